<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import {
  drawingOfElement,
  drawingOnItsWay,
  hasRows,
  partedBySeries,
  questionOf,
  specInState,
  tableOfChart,
  type ChartDrawing,
} from '#core/charts'
import { infoOf, type ChartElement, type Deck, type Parts, type Theme } from '#core/model'
import type { ShownElement } from '#core/resolved'
import type { ElementFrame } from '#core/timing'
import { drawChartInto } from '../chart-nodes'
import { chartShowing } from '../chart-showing'
import type { StageHost } from '../host'
import { useRedraw } from '../redraw'

const props = defineProps<{
  deck: Deck
  theme: Theme
  element: ChartElement & ShownElement
  /** The finest parts that its cues tell apart. */
  partsBy: Parts['by'] | null
  host: StageHost
  prompts: boolean
}>()
const svg = ref<SVGSVGElement>()

const rows = computed(() => tableOfChart(props.deck, props.element, props.host.table))
const drawing = computed(() => {
  const made = drawingOfElement(props.deck, props.element, null, props.host.table, props.host.measurer)
  const { chart } = props.element
  if (!made || props.partsBy !== 'series' || !chart || !rows.value) return made
  return partedBySeries(made, chart, rows.value, infoOf(props.deck).language).drawing
})
/** Why nothing is drawn. */
const lack = computed(() => {
  const { chart, prompt } = props.element
  if (!chart || !hasRows(props.element)) return prompt ?? 'Drop a CSV file here'
  if (rows.value) return questionOf(chart, rows.value)
  return chart.table ? 'The table of this chart is not at hand' : (prompt ?? 'Its lines say no amounts yet')
})

/** The frame that is shown, and the chart in words as it stands: on its way it keeps those of where it came from. */
let last: ElementFrame | null = null
const told = ref('')
/** The drawing of a frame: on its way between two states, or as composed. */
function drawingOf(frame: ElementFrame | null): ChartDrawing | null {
  const chart = frame?.chart
  return chart ? drawingOnItsWay(props.deck, props.element, chart, props.host.table, props.host.measurer) : drawing.value
}
const showing = chartShowing(
  next => {
    if (!svg.value || !props.element.chart) return
    drawChartInto(svg.value, next, specInState(props.deck, props.element.chart, last?.chart?.to ?? null), props.theme)
  },
  () => props.element.box,
  // Not in pictures of a slide, nor where somebody wants no motion.
  () => !props.host.stillsOnly && !matchMedia('(prefers-reduced-motion: reduce)').matches,
)
function redraw(frame: ElementFrame | null) {
  last = frame
  const next = drawingOf(frame)
  if (!next || !svg.value) return
  const rests = (frame?.chart?.progress ?? 1) >= 1
  const { width, height } = props.element.box
  showing.show({ drawing: next, rows: rows.value, look: [svg.value, props.element.chart, props.theme, width, height], rests })
  if (rests) told.value = next.description
}
watch(
  () => [drawing.value, props.element.chart, props.theme, svg.value],
  () => redraw(last),
  { flush: 'post' },
)
onBeforeUnmount(showing.stop)
useRedraw(() => props.element.id, redraw)
</script>

<template>
  <div class="stage-chart">
    <svg
      v-if="drawing"
      ref="svg"
      :viewBox="`0 0 ${element.box.width} ${element.box.height}`"
      role="img"
      :aria-label="element.alt || told || drawing.description"
    />
    <p v-else-if="prompts" class="stage-empty">{{ lack }}</p>
  </div>
</template>
