<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { drawingOfElement, drawingOnItsWay, passageBetween, questionOf, specInState, type ChartDrawing } from '#core/charts'
import type { ChartElement, Deck, Theme } from '#core/model'
import type { ShownElement } from '#core/resolved'
import type { ElementFrame } from '#core/timing'
import { drawChartInto } from '../chart-nodes'
import type { StageHost } from '../host'
import { useRedraw } from '../redraw'

const props = defineProps<{ deck: Deck; theme: Theme; element: ChartElement & ShownElement; host: StageHost; prompts: boolean }>()
const svg = ref<SVGSVGElement>()

const drawing = computed(() => drawingOfElement(props.deck, props.element, null, props.host.table, props.host.measurer))
/** Why nothing is drawn. */
const lack = computed(() => {
  const { chart, prompt } = props.element
  if (!chart?.table) return prompt ?? 'Drop a CSV file here'
  const table = props.host.table(chart.table)
  return table ? questionOf(chart, table) : 'The table of this chart is not at hand'
})

/** What stands in the nodes, what frame that was of, and the way to other rows that is being shown. */
let shown: ChartDrawing | null = null
let last: ElementFrame | null = null
/** The chart in words as it stands; on its way it keeps those of where it came from. */
const told = ref('')
let toRows: { to: ChartDrawing; request: number } | null = null

/** The drawing of a frame: on its way between two states, or as composed. */
function drawingOf(frame: ElementFrame | null): ChartDrawing | null {
  const chart = frame?.chart
  return chart ? drawingOnItsWay(props.deck, props.element, chart, props.host.table, props.host.measurer) : drawing.value
}
function draw(next: ChartDrawing) {
  if (!svg.value || !props.element.chart || next === shown) return
  shown = next
  if ((last?.chart?.progress ?? 1) >= 1 && told.value !== next.description) told.value = next.description
  drawChartInto(svg.value, next, specInState(props.deck, props.element.chart, last?.chart?.to ?? null), props.theme)
}
function stopMoving() {
  if (toRows) cancelAnimationFrame(toRows.request)
  toRows = null
}
function redraw(frame: ElementFrame | null) {
  last = frame
  const next = drawingOf(frame)
  if (!next || next === toRows?.to) return
  stopMoving()
  draw(next)
}
/** Whether new rows are moved to: not in pictures of a slide, nor where somebody wants no motion. */
const moves = () => !props.host.stillsOnly && !matchMedia('(prefers-reduced-motion: reduce)').matches
/** Lets the marks go from the rows that are drawn to those that came. */
function moveTo(to: ChartDrawing) {
  stopMoving()
  if (!shown || !moves()) return draw(to)
  const passage = passageBetween(shown, to, props.element.box.width, props.element.box.height)
  const begun = performance.now()
  const step = () => {
    const share = (performance.now() - begun) / 1000 / passage.seconds
    draw(passage.at(share))
    if (share >= 1) toRows = null
    else toRows = { to, request: requestAnimationFrame(step) }
  }
  toRows = { to, request: 0 }
  step()
}
const rows = computed(() => (props.element.chart?.table ? props.host.table(props.element.chart.table) : undefined))
watch(
  () => [drawing.value, rows.value, props.element.chart, props.theme] as const,
  ([, table, chart, theme], [before, tableBefore, chartBefore, themeBefore]) => {
    const isRested = (last?.chart?.progress ?? 1) >= 1
    const next = drawingOf(last)
    if (next && before && table !== tableBefore && chart === chartBefore && theme === themeBefore && isRested) return moveTo(next)
    stopMoving()
    shown = null
    redraw(null)
  },
  { flush: 'post' },
)
onBeforeUnmount(stopMoving)
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
