<script setup lang="ts">
import { infoOf, type Deck, type Transition } from '#core/model'
import { computed, inject, nextTick, ref, shallowRef } from 'vue'
import { cssColor } from '#core/color'
import { themeUnder } from '#core/resolved'
import {
  carriedFrames,
  easingOf,
  frameIn,
  gone,
  lastMoment,
  still,
  transitionNamed,
  transitionProgress,
  type Frame,
  type Moment,
  type Rundown,
  type RundownSlide,
  type SlideFrame,
  type TransitionFrame,
  crossfade,
} from '#core/timing'
import { polygonCss } from './apply-frame'
import { stageHostKey } from './host'
import SlideView from './SlideView.vue'

/** A deck at a moment, `width` px wide, with the transition that the moment stands in. */
const props = defineProps<{ deck: Deck; plan: Rundown; width: number }>()

const size = computed(() => infoOf(props.deck).size)
const scale = computed(() => props.width / size.value.width)
const host = inject(stageHostKey)!
const veil = ref<HTMLElement>()
const views: Record<string, InstanceType<typeof SlideView> | null> = {}
const frames: Record<string, HTMLElement | null> = {}
const mounted = shallowRef<string[]>([])
const shown = ref<string | null>(null)

function place(id: string, frame: SlideFrame, front: boolean) {
  const node = frames[id]
  if (!node) return
  node.style.visibility = frame.opacity > 0 ? '' : 'hidden'
  node.style.opacity = frame.opacity < 1 ? String(frame.opacity) : ''
  node.style.transform = transformOf(frame)
  node.style.transformOrigin = `${frame.originX * 100}% ${frame.originY * 100}%`
  node.style.filter = frame.blur ? `blur(${frame.blur * scale.value}px)` : ''
  node.style.clipPath = frame.mask
    ? polygonCss(frame.mask)
    : frame.cut
      ? `inset(${frame.cut.top * 100}% ${frame.cut.right * 100}% ${frame.cut.bottom * 100}% ${frame.cut.left * 100}%)`
      : ''
  node.style.zIndex = front ? '2' : '1'
}

function transformOf({ x, y, scale: size, turnX, turnY }: SlideFrame): string {
  let css = x || y ? `translate(${x * 100}%,${y * 100}%)` : ''
  if (turnX || turnY) css += `perspective(${props.width * 1.5}px) rotateX(${turnX}deg) rotateY(${turnY}deg)`
  return size === 1 ? css : `${css}scale(${size})`
}

function lay(color: TransitionFrame['veil'], slide: string) {
  const node = veil.value
  if (!node) return
  node.style.visibility = color && color.opacity > 0 ? '' : 'hidden'
  if (!color) return
  node.style.background = cssColor(color.color, themeUnder(props.deck, slide).palette)
  node.style.opacity = String(color.opacity)
}

/** The slides to keep mounted around one: the one before, itself, and the next, so that going on never waits. */
function around(index: number): string[] {
  const slides = props.plan.slides
  const at = (i: number) => slides[props.plan.purpose === 'loop' ? (i + slides.length) % slides.length : i]?.slide
  return [...new Set([at(index - 1), at(index), at(index + 1)].filter(id => id !== undefined))]
}

/** Shows a moment. Pure in what it shows: any moment after any other. Resolves once a slide that was not mounted stands. */
async function show(moment: Moment): Promise<void> {
  const index = props.plan.slides.findIndex(slide => slide.slide === moment.slide)
  const slide = props.plan.slides[index]
  if (!slide) return
  await mount(moment.slide, around(index))
  const arriving = transitionInto(slide, index, moment)
  for (const id of mounted.value) if (id !== slide.slide && id !== arriving?.before.slide) place(id, gone(), false)
  const silent = frameIn(slide, moment)
  const voice = host().voice?.(moment)
  const frame = voice ? { ...silent, voice } : silent
  if (arriving) return cross(slide, frame, arriving)
  views[slide.slide]?.apply(frame)
  lay(undefined, slide.slide)
  place(slide.slide, still(), true)
}
defineExpose({ show })

async function mount(slide: string, wanted: string[]) {
  if (shown.value === slide && wanted.every(id => mounted.value.includes(id))) return
  shown.value = slide
  mounted.value = wanted
  await nextTick()
}

/** A slide that gives way to another: how far, 0 to 1, and by which transition. */
interface Arriving {
  before: RundownSlide
  progress: number
  record: Transition
}

/** The transition into a slide that a moment stands in; null where there is none, or it is over. */
function transitionInto(slide: RundownSlide, index: number, moment: Moment): Arriving | null {
  const { slides, purpose } = props.plan
  const progress = transitionProgress(slide, moment)
  const before = index > 0 ? slides[index - 1] : purpose === 'loop' ? slides.at(-1) : undefined
  const record = props.deck.slides[slide.slide]?.transition
  return progress < 1 && before && before !== slide && record ? { before, progress, record } : null
}

/** Shows two slides at once, as their transition has them. */
function cross(slide: RundownSlide, frame: Frame, { before, progress, record }: Arriving) {
  // Parts of a board stand where its camera shows them: between it and a slide nothing can be carried in a straight line.
  const wished = transitionNamed(record.effect)
  const kind = wished.carries && (before.score.board || slide.score.board) ? crossfade : wished
  const eased = easingOf(record.easing)(progress)
  const ended = frameIn(before, lastMoment(before.score))
  const frames =
    kind.carries && eased > 0 && eased < 1
      ? carriedFrames(props.deck, { score: before.score, frame: ended }, { score: slide.score, frame }, eased, host().measurer)
      : { from: ended, to: frame }
  views[slide.slide]?.apply(frames.to)
  views[before.slide]?.apply(frames.from)
  const { from, to, front, veil: color } = kind.apply(eased, record.options ?? {})
  lay(color, slide.slide)
  place(before.slide, from, front === 'from')
  place(slide.slide, to, front !== 'from')
}
</script>

<template>
  <div class="stage-view" :style="{ width: `${width}px`, height: `${size.height * scale}px` }">
    <div
      v-for="id in mounted"
      :key="id"
      :ref="
        node => {
          frames[id] = node as HTMLElement | null
        }
      "
      class="stage-layer"
      :style="{ visibility: 'hidden' }"
      :data-slide="id"
      :aria-hidden="id === shown ? undefined : true"
    >
      <div class="stage-scaled" :style="{ transform: `scale(${scale})` }">
        <SlideView
          :ref="
            view => {
              views[id] = view as InstanceType<typeof SlideView> | null
            }
          "
          :deck="deck"
          :slide="id"
          :scale="scale"
        />
      </div>
    </div>
    <div ref="veil" class="stage-veil" :style="{ visibility: 'hidden' }" />
  </div>
</template>
