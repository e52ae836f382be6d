<script setup lang="ts">
import { infoOf, deckTheme, extentOf, type Deck } from '#core/model'
import { computed, inject, onMounted, onUpdated, provide, ref, watch } from 'vue'
import { cssColor } from '#core/color'
import { backdropOf, groundOf, previewElements, slideOrStandIn, themeOf, themeUnder, type ShownElement, type Tries } from '#core/resolved'
import { compileSlide, type Frame } from '#core/timing'
import { applyElementFrame, type ElementNodes } from './apply-frame'
import ElementView from './ElementView.vue'
import GroundView from './elements/GroundView.vue'
import { redrawKey, stageHostKey, type Redraw } from './host'

/**
 * `whole` shows all of a board, as it is worked on; `frame` is what to show until the first call of `apply`; `editing` is an element whose
 * content is shown elsewhere; `tries` are fields tried out before they are kept.
 */
const props = defineProps<{
  deck: Deck
  slide: string
  prompts?: boolean
  whole?: boolean
  frame?: Frame | null
  editing?: string | null
  scale?: number
  tries?: Tries
}>()
const host = inject(stageHostKey)!

const root = ref<HTMLElement>()
/** What the camera moves. */
const within = ref<HTMLElement>()
const score = computed(() => compileSlide(props.deck, props.slide, host()))
const elements = computed(() => previewElements(props.deck, props.slide, props.tries))
/** What stands in each group, and under '' what stands in none. */
const members = computed(() => {
  const groups = new Set(elements.value.filter(element => element.kind === 'group').map(element => element.id))
  const made = new Map<string, ShownElement[]>()
  for (const element of elements.value) {
    const parent = element.parent && groups.has(element.parent) ? element.parent : ''
    const list = made.get(parent)
    if (list) list.push(element)
    else made.set(parent, [element])
  }
  return made
})
const ground = computed(() => {
  const slide = slideOrStandIn(props.deck, props.slide)
  return slide
    ? { color: groundOf(props.deck, slide), backdrop: backdropOf(props.deck, slide), palette: themeUnder(props.deck, slide.id).palette }
    : null
})
/** The theme as it is seen on this slide's ground. */
const theme = computed(() => {
  const slide = slideOrStandIn(props.deck, props.slide)
  return slide ? themeOf(props.deck, slide) : deckTheme(props.deck)
})
const size = computed(() => infoOf(props.deck).size)
const extent = computed(() => extentOf(props.deck, props.slide))
const isBoard = computed(() => !!props.deck.slides[props.slide]?.board)
/** What is seen: the picture, or all of a board at work. */
const seen = computed(() => (props.whole ? extent.value : size.value))
/** On a board, what is the layout's stands before the camera and does not move with it. */
const standing = computed(() => (members.value.get('') ?? []).filter(element => !isBoard.value || !element.pinned))
const before = computed(() => (isBoard.value && !props.whole ? (members.value.get('') ?? []).filter(element => element.pinned) : []))

/** What draws charts on their way, by element: they sign in as they appear. */
const redraws = new Map<string, Redraw>()
provide(redrawKey, (element, redraw) => {
  if (redraw) redraws.set(element, redraw)
  else redraws.delete(element)
})
let nodes = new Map<string, ElementNodes>()
let current: Frame | null = props.frame ?? null
let groundShown = 1

function collect() {
  nodes = new Map()
  for (const moving of root.value?.querySelectorAll<HTMLElement>('.stage-moving') ?? []) {
    const id = moving.dataset.element!
    const parts: ElementNodes['parts'] = []
    const inGroup = members.value.has(id)
    if (!inGroup)
      for (const node of moving.querySelectorAll<HTMLElement | SVGElement>('[data-part]'))
        (parts[Number(node.dataset.part)] ??= []).push(node)
    const counting = score.value.tracks.get(id)?.cues.some(({ effect }) => effect.countsNumbers)
    const runs = counting
      ? Array.from(moving.querySelectorAll<HTMLElement>('.stage-run'), node => ({
          node,
          text: node.textContent ?? '',
          part: Number(node.dataset.of ?? 0),
        }))
      : []
    const said =
      inGroup || !score.value.tracks.get(id)?.said.length
        ? []
        : Array.from(moving.querySelectorAll<HTMLElement>(':scope > .stage-text > .stage-said'))
    nodes.set(id, { moving, parts: Array.from(parts, list => list ?? []), said, runs, redraw: redraws.get(id) ?? null })
  }
}

/** Shows a frame of this slide. */
function apply(frame: Frame | null) {
  current = frame
  for (const [id, node] of nodes) applyElementFrame(node, frame?.elements.get(id), theme.value.palette, frame?.voice)
  const camera = frame?.camera
  const { width, height } = size.value
  const moved =
    camera && !props.whole
      ? `translate(${width / 2}px,${height / 2}px)${camera.angle ? ` rotate(${-camera.angle}deg)` : ''} scale(${camera.scale}) ` +
        `translate(${-camera.x}px,${-camera.y}px)`
      : ''
  if (within.value && within.value.style.transform !== moved) within.value.style.transform = moved
  const share = frame?.ground ?? 1
  if (share !== groundShown)
    root.value?.querySelector<HTMLElement>('.stage-ground')?.style.setProperty('opacity', share === 1 ? '' : String(share))
  groundShown = share
}

/** After the structure was rendered anew, nodes are found again and brought to the frame that is shown. */
function renew() {
  const shown = current
  apply(null)
  collect()
  apply(shown)
}
onMounted(() => {
  collect()
  apply(current)
})
onUpdated(() => {
  // Where nothing is played, places tried out by hand change no node that a frame would touch.
  if (current || !props.tries) renew()
})
watch(score, renew, { flush: 'post' })
watch(
  () => props.frame,
  frame => apply(frame ?? null),
)
defineExpose({ apply })
</script>

<template>
  <div ref="root" class="stage-slide" :style="{ width: `${seen.width}px`, height: `${seen.height}px` }">
    <div v-if="isBoard && ground" class="stage-beyond" :style="{ background: cssColor(ground.color, ground.palette) }" />
    <div ref="within" class="stage-within" :style="isBoard ? { width: `${extent.width}px`, height: `${extent.height}px` } : undefined">
      <GroundView
        v-if="ground"
        :ground="ground.color"
        :backdrop="ground.backdrop"
        :palette="ground.palette"
        :size="extent"
        :host="host()"
        :scale="scale ?? 1"
      />
      <ElementView
        v-for="element in standing"
        :key="element.id"
        :deck="deck"
        :theme="theme"
        :element="element"
        :members="members"
        :score="score"
        :host="host()"
        :prompts="!!prompts"
        :editing="editing ?? null"
        :scale="scale ?? 1"
      />
    </div>
    <ElementView
      v-for="element in before"
      :key="element.id"
      :deck="deck"
      :theme="theme"
      :element="element"
      :members="members"
      :score="score"
      :host="host()"
      :prompts="!!prompts"
      :editing="null"
      :scale="scale ?? 1"
    />
  </div>
</template>
