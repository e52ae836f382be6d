<script setup lang="ts">
import { drawChart } from '#core/charts'
import type { DataTable } from '#core/data'
import { houseTheme } from '#core/layouts'
import type { ChartSpec } from '#core/model'
import { drawChartInto } from '#stage/chart-nodes'

/** A chart of a table as it would be drawn, `width` by `height` px of deck space, in the colours of the page. */
const props = defineProps<{ spec: ChartSpec; table: DataTable; width: number; height: number }>()
const emit = defineEmits<{ drawn: [{ description: string; leftOut: number }] }>()
const host = useStageHost()
const color = useColorMode()
const svg = useTemplateRef<SVGSVGElement>('svg')
const usualText = 28
const theme = computed(() => {
  const { palette } = houseTheme
  return color.value === 'dark' ? { ...houseTheme, palette: { ...palette, ground: palette.ink, ink: palette.ground } } : houseTheme
})
const drawing = computed(() =>
  drawChart(props.spec, props.table, {
    width: props.width,
    height: props.height,
    textSize: usualText,
    fonts: houseTheme.fonts,
    measurer: host.host.measurer,
    language: navigator.language,
  }),
)
watch(
  [drawing, theme, svg],
  () => {
    if (!svg.value) return
    drawChartInto(svg.value, drawing.value, props.spec, theme.value)
    emit('drawn', { description: drawing.value.description, leftOut: drawing.value.leftOut })
  },
  { flush: 'post', immediate: true },
)
</script>

<template>
  <svg ref="svg" class="drawing" :viewBox="`0 0 ${width} ${height}`" role="img" :aria-label="drawing.description" />
</template>

<style scoped>
.drawing {
  display: block;
  width: 100%;
  height: 100%;
}
</style>
