<script setup lang="ts">
import { isPlaced, liftedOut, tonesOf, type ChartDrawing } from '#core/charts'
import { gatheredFor, type DataTable } from '#core/data'
import type { ChartSpec, Theme } from '#core/model'

/** What a chart on a map has beside others: the map, and places that can be lifted out of it, each as a picture of its own. */
const props = defineProps<{ spec: ChartSpec; table: DataTable; drawing: ChartDrawing | null; theme: Theme; canLift: boolean }>()
const emit = defineEmits<{ map: [map: string | null]; picture: [file: File] }>()
const host = useStageHost()
const tables = useTables()
const maps = useMaps()
const choices = computed(() => [
  ...(isPlaced(props.table) ? [{ value: null as string | null, label: 'its own outlines' }] : []),
  ...maps.list.value.map(({ id, label }) => ({ value: id as string | null, label })),
])
const places = computed(() => {
  const areas = new Set(props.drawing?.marks.flatMap(mark => (mark.shape === 'region' && mark.value !== null ? mark.key : [])))
  return gatheredFor(props.spec, props.table).categories.filter(({ key }) => areas.has(key))
})
function liftOut(key: string) {
  const place = places.value.find(one => one.key === key)
  if (!place) return
  const map = props.spec.map ? tables.table(props.spec.map) : undefined
  const room = { width: 0, height: 0, textSize: 28, fonts: props.theme.fonts, measurer: host.host.measurer, language: 'en' }
  const fill = tonesOf(props.spec, props.theme.palette).of({ name: 'plain' })
  const made = liftedOut(props.spec, props.table, { ...room, ...(map ? { map } : {}) }, { ...place, fill })
  if (made) emit('picture', new File([made.svg], `${place.label}.svg`, { type: 'image/svg+xml' }))
  else notifyProblem(`“${place.label}” is no area of this map.`)
}
</script>

<template>
  <div class="row">
    <span class="label">Map</span>
    <ChoiceField :model-value="spec.map ?? null" :items="choices" label="Map" @update:model-value="next => emit('map', next)" />
  </div>
  <div v-if="places.length && canLift" class="row">
    <span class="label">Lift out</span>
    <ChoiceField
      :model-value="''"
      :items="places.map(({ key, label }) => ({ value: key, label }))"
      label="Lift out as a picture"
      placeholder="a place"
      @update:model-value="liftOut"
    />
  </div>
</template>
