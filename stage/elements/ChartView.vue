<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { drawingOfElement, drawingOnItsWay, questionOf, specInState } from '#core/charts'
import type { ChartElement, Deck, Theme } from '#core/model'
import type { ShownElement } from '#core/resolved'
import type { ElementFrame } from '#core/timing'
import { drawChartInto } from '../chart-nodes'
import type { StageHost } from '../host'
import { useRedraw } from '../redraw'

const props = defineProps<{ deck: Deck; theme: Theme; element: ChartElement & ShownElement; host: StageHost; prompts: boolean }>()
const svg = ref<SVGSVGElement>()

const drawing = computed(() => drawingOfElement(props.deck, props.element, null, props.host.table, props.host.measurer))
let shown: unknown = null
/** Why nothing is drawn. */
const lack = computed(() => {
  const { chart, prompt } = props.element
  if (!chart?.table) return prompt ?? 'Drop a CSV file here'
  const table = props.host.table(chart.table)
  return table ? questionOf(chart, table) : 'The table of this chart is not at hand'
})

/** Draws the chart on its way between two states, or as composed. */
function redraw(frame: ElementFrame | null) {
  const chart = frame?.chart ?? null
  if (!svg.value || !props.element.chart) return
  const next = chart ? drawingOnItsWay(props.deck, props.element, chart, props.host.table, props.host.measurer) : drawing.value
  if (!next || next === shown) return
  shown = next
  drawChartInto(svg.value, next, specInState(props.deck, props.element.chart, chart?.to ?? null), props.theme)
}
watch(
  () => [drawing.value, props.element.chart, props.theme],
  () => {
    shown = null
    redraw(null)
  },
  { flush: 'post' },
)
useRedraw(() => props.element.id, redraw)
</script>

<template>
  <div class="stage-chart">
    <svg
      v-if="drawing"
      ref="svg"
      :viewBox="`0 0 ${element.box.width} ${element.box.height}`"
      role="img"
      :aria-label="element.alt || drawing.description"
    />
    <p v-else-if="prompts" class="stage-empty">{{ lack }}</p>
  </div>
</template>
