<script setup lang="ts">
import { computed, inject, onMounted, onUpdated, ref, shallowRef, watch } from 'vue'
import { backdropOf, groundOf, shownElements, slideOrStandIn, themeOf, themeUnder, type Deck } from '#core/deck'
import { compileSlide, type Frame } from '#core/timing'
import { applyElementFrame, type ElementNodes } from './apply-frame'
import ChartView from './elements/ChartView.vue'
import GroundView from './elements/GroundView.vue'
import PictureView from './elements/PictureView.vue'
import ShapeView from './elements/ShapeView.vue'
import TextView from './elements/TextView.vue'
import { stageHostKey } from './host'

/** `frame` is what to show until the first call of `apply`; `editing` is an element whose content is shown elsewhere. */
const props = defineProps<{ deck: Deck, slide: string, prompts?: boolean, frame?: Frame | null, editing?: string | null, scale?: number }>()
const host = inject(stageHostKey)!

const root = ref<HTMLElement>()
const score = computed(() => compileSlide(props.deck, props.slide, host()))
const elements = computed(() => shownElements(props.deck, props.slide))
const ground = computed(() => {
  const slide = slideOrStandIn(props.deck, props.slide)
  return slide ? { color: groundOf(props.deck, slide), backdrop: backdropOf(props.deck, slide), palette: themeUnder(props.deck, slide.id).palette } : null
})
/** The theme as it is seen on this slide's ground. */
const theme = computed(() => {
  const slide = slideOrStandIn(props.deck, props.slide)
  return slide ? themeOf(props.deck, slide) : props.deck.theme.theme!
})
const size = computed(() => props.deck.info.info!.size)
const boxStyle = (element: (typeof elements.value)[number]) => ({
  left: `${element.box.x}px`, top: `${element.box.y}px`, width: `${element.box.width}px`, height: `${element.box.height}px`,
  ...(element.box.angle ? { transform: `rotate(${element.box.angle}deg)` } : {}), ...(element.opacity !== undefined && element.opacity !== 1 ? { opacity: String(element.opacity) } : {}),
})

const charts = shallowRef<Record<string, InstanceType<typeof ChartView> | null>>({})
let nodes = new Map<string, ElementNodes>()
let current: Frame | null = props.frame ?? null

function collect() {
  nodes = new Map()
  for (const moving of root.value?.querySelectorAll<HTMLElement>('.stage-moving') ?? []) {
    const id = moving.dataset.element!
    const parts: ElementNodes['parts'] = []
    for (const node of moving.querySelectorAll<HTMLElement | SVGElement>('[data-part]')) (parts[Number(node.dataset.part)] ??= []).push(node)
    const counting = score.value.tracks.get(id)?.cues.some(({ cue }) => cue.effect === 'count-up')
    const runs = counting ? Array.from(moving.querySelectorAll<HTMLElement>('.stage-run'), node => ({ node, text: node.textContent ?? '', part: Number(node.dataset.of ?? 0) })) : []
    nodes.set(id, { moving, parts: Array.from(parts, list => list ?? []), runs, redraw: charts.value[id]?.redraw ?? null })
  }
}

/** Shows a frame of this slide. */
function apply(frame: Frame | null) {
  current = frame
  for (const [id, node] of nodes) applyElementFrame(node, frame?.elements.get(id))
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
onUpdated(renew)
watch(score, renew, { flush: 'post' })
watch(() => props.frame, frame => apply(frame ?? null))
defineExpose({ apply })
</script>

<template>
  <div ref="root" class="stage-slide" :style="{ width: `${size.width}px`, height: `${size.height}px`}">
    <GroundView v-if="ground" :ground="ground.color" :backdrop="ground.backdrop" :palette="ground.palette" :size="size" :host="host()" :scale="scale ?? 1" />
    <div v-for="element in elements" :key="element.id" class="stage-element" :style="boxStyle(element)">
      <div v-show="editing !== element.id" class="stage-moving" :data-element="element.id">
        <TextView v-if="element.kind === 'text'" :deck="deck" :theme="theme" :element="element" :track="score.tracks.get(element.id)" :measurer="host().measurer" :prompts="!!prompts" />
        <ChartView v-else-if="element.kind === 'chart'" :ref="view => { charts[element.id] = view as never }" :deck="deck" :theme="theme" :element="element" :host="host()" :prompts="!!prompts" />
        <PictureView v-else-if="element.kind === 'picture'" :element="element" :host="host()" :prompts="!!prompts" :scale="scale ?? 1" />
        <ShapeView v-else-if="element.kind === 'shape'" :palette="theme.palette" :element="element" />
        <p v-else-if="prompts && element.placeholder === 'items'" class="stage-empty">The items stand here, as many as there are</p>
        <p v-else-if="prompts" class="stage-empty">{{ element.name }}: a {{ element.kind }}, kept but not drawn</p>
      </div>
    </div>
  </div>
</template>
