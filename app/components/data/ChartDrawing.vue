<script setup lang="ts">
import { drawChart, type ChartDrawing } from '#core/charts'
import type { DataTable } from '#core/data'
import { houseTheme } from '#core/layouts'
import type { ChartSpec, Theme } from '#core/model'
import { drawChartInto } from '#stage/chart-nodes'

/**
 * A chart of a table as it would be drawn, `width` by `height` px of deck space, in a theme or else in the colours of the page; of at most
 * so many marks.
 */
const props = defineProps<{ spec: ChartSpec; table: DataTable; width: number; height: number; most?: number; theme?: Theme }>()
const emit = defineEmits<{ drawn: [Pick<ChartDrawing, 'description' | 'leftOut'> & { notes: readonly string[] }] }>()
const host = useStageHost()
const color = useColorMode()
const svg = useTemplateRef<SVGSVGElement>('svg')
const usualText = 28
const colors = computed(() => {
  if (props.theme) return props.theme
  const { palette } = houseTheme
  return color.value === 'dark' ? { ...houseTheme, palette: { ...palette, ground: palette.ink, ink: palette.ground } } : houseTheme
})
const tables = useTables()
/** The outlines that it is drawn on; undefined until they are here. */
const map = computed(() => (props.spec.map ? tables.table(props.spec.map) : undefined))
const drawing = computed(() =>
  drawChart(props.spec, props.table, {
    width: props.width,
    height: props.height,
    textSize: usualText,
    fonts: colors.value.fonts,
    measurer: host.host.measurer,
    language: navigator.language,
    ...(map.value ? { map: map.value } : {}),
  }),
)
/** Nodes beyond a few thousand stop a page: where that many are not to be seen anyway, it is said how many there would be. */
/** A map whose outlines are on their way shows nothing yet. */
const isComing = computed(() => !!props.spec.map && !map.value)
const isTooMuch = computed(() => drawing.value.marks.length > (props.most ?? 50_000))
watch(
  [drawing, colors, svg, isComing],
  () => {
    if (!svg.value || isTooMuch.value || isComing.value) return
    drawChartInto(svg.value, drawing.value, props.spec, colors.value)
    emit('drawn', { description: drawing.value.description, leftOut: drawing.value.leftOut, notes: drawing.value.notes ?? [] })
  },
  { flush: 'post', immediate: true },
)
</script>

<template>
  <span v-if="isTooMuch" class="drawing much">{{ numberWords(drawing.marks.length) }} marks are too many to draw in this room.</span>
  <span v-else-if="isComing && tables.lacking(spec.map!)" class="drawing much">The map is not here: {{ tables.lacking(spec.map!) }}</span>
  <svg v-else ref="svg" class="drawing" :viewBox="`0 0 ${width} ${height}`" role="img" :aria-label="drawing.description" />
</template>

<style scoped>
.much {
  aspect-ratio: 16 / 9;
  padding: 14px;
  font-size: 13px;
  color: var(--second);
}
.drawing {
  display: block;
  width: 100%;
  height: 100%;
}
</style>
