<script setup lang="ts">
import { computed, nextTick, ref, shallowRef } from 'vue'
import type { Deck } from '#core/deck'
import { easingOf, frameAt, lastMoment, transitionNamed, transitionProgress, type Moment, type Rundown, type SlideFrame } from '#core/timing'
import SlideView from './SlideView.vue'

/** A deck at a moment, `width` px wide, with the transition that the moment stands in. */
const props = defineProps<{ deck: Deck, plan: Rundown, width: number }>()

const size = computed(() => props.deck.info.info!.size)
const scale = computed(() => props.width / size.value.width)
const views: Record<string, InstanceType<typeof SlideView> | null> = {}
const frames: Record<string, HTMLElement | null> = {}
const mounted = shallowRef<string[]>([])
const shown = ref<string | null>(null)

function place(id: string, frame: SlideFrame, front: boolean) {
  const node = frames[id]
  if (!node) return
  node.style.visibility = frame.opacity > 0 ? '' : 'hidden'
  node.style.opacity = frame.opacity < 1 ? String(frame.opacity) : ''
  node.style.transform = frame.x || frame.y ? `translate(${frame.x * 100}%,${frame.y * 100}%)` : ''
  node.style.clipPath = frame.cut ? `inset(${frame.cut.top * 100}% ${frame.cut.right * 100}% ${frame.cut.bottom * 100}% ${frame.cut.left * 100}%)` : ''
  node.style.zIndex = front ? '2' : '1'
}

const still: SlideFrame = { opacity: 1, x: 0, y: 0, cut: null }
const gone: SlideFrame = { opacity: 0, x: 0, y: 0, cut: null }

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
  const wanted = around(index)
  if (shown.value !== moment.slide || wanted.some(id => !mounted.value.includes(id))) {
    shown.value = moment.slide
    mounted.value = wanted
    await nextTick()
  }
  const progress = transitionProgress(slide, moment)
  const before = index > 0 ? props.plan.slides[index - 1] : props.plan.purpose === 'loop' ? props.plan.slides.at(-1) : undefined
  const record = props.deck.slides[slide.slide]?.transition
  const inTransition = progress < 1 && before && before !== slide && record
  for (const id of mounted.value) if (id !== slide.slide && (!inTransition || id !== before.slide)) place(id, gone, false)
  views[slide.slide]?.apply(frameAt(slide.score, moment))
  if (!inTransition) {
    place(slide.slide, still, true)
    return
  }
  views[before.slide]?.apply(frameAt(before.score, lastMoment(before.score)))
  const { from, to } = transitionNamed(record.effect).apply(easingOf(record.easing)(progress), record.options ?? {})
  place(before.slide, from, false)
  place(slide.slide, to, true)
}
defineExpose({ show })
</script>

<template>
  <div class="stage-view" :style="{ width: `${width}px`, height: `${size.height * scale}px` }">
    <div v-for="id in mounted" :key="id" :ref="node => { frames[id] = node as HTMLElement | null }" class="stage-layer" :style="{ visibility: 'hidden' }" :data-slide="id" :aria-hidden="id === shown ? undefined : true">
      <div class="stage-scaled" :style="{ transform: `scale(${scale})` }">
        <SlideView :ref="view => { views[id] = view as never }" :deck="deck" :slide="id" :scale="scale" />
      </div>
    </div>
  </div>
</template>
