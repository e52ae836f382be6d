<script setup lang="ts">
import { chosenColumns, timesOf, type ChartColumn } from '#core/charts'
import { columnNamed, gatheredFor, isTime, type DataTable } from '#core/data'
import { infoOf, type ChartSpec, type Finding } from '#core/model'

/** Which rows of its table a chart draws, and in which order: of one moment, some alone, the largest. */
const props = defineProps<{ spec: ChartSpec; table: DataTable; takes: readonly ChartColumn[] }>()
const emit = defineEmits<{ set: [fields: { [K in keyof ChartSpec]?: ChartSpec[K] | undefined }] }>()
const store = useDeck()

/** Columns that the chart can run through: those of time first, and others that are no amounts. */
const throughs = computed(() => {
  const { across, series } = chosenColumns(props.spec, props.table)
  const free = props.table.columns.filter(
    column => (column.type !== 'number' || isTime(column)) && (column === through.value || (column !== across && column !== series)),
  )
  return [...free].sort((a, b) => Number(isTime(b)) - Number(isTime(a)))
})
const through = computed(() => columnNamed(props.table, props.spec.moment?.column ?? null))
const moments = computed(() =>
  props.spec.moment ? timesOf(props.spec, props.table, props.spec.moment.column, infoOf(store.current).language) : [],
)
const momentValue = computed(() => {
  const { moment } = props.spec
  return moment?.at === 'named' ? `key ${moment.key}` : (moment?.at ?? 'last')
})
const runAlong = (column: string | null) => emit('set', { moment: column === null ? undefined : { column, at: 'last' } })
function showMoment(value: string) {
  const { key: _, ...kept } = props.spec.moment!
  const moment = value.startsWith('key ')
    ? { ...kept, at: 'named' as const, key: value.slice(4) }
    : { ...kept, at: value as 'first' | 'last' }
  emit('set', { moment })
}
const ways = { evenly: 'evenly', slower: 'slower where places change', steps: 'moment by moment' }
function goes(next: string) {
  const { goes: _, ...moment } = props.spec.moment!
  emit('set', { moment: next === 'slower' || next === 'steps' ? { ...moment, goes: next } : moment })
}
const sayMoment = () => emit('set', { moment: { ...props.spec.moment!, told: props.spec.moment!.told === false ? undefined : false } })

/** What can be drawn alone: what is found, and every category, whatever is drawn now; each by a key that tells the two apart. */
const finds: readonly Finding[] = ['most', 'next', 'least', 'rise', 'fall']
const alone = computed(() => {
  const { only: _only, largest: _largest, moment, ...whole } = props.spec
  const made = gatheredFor({ ...whole, across: chosenColumns(props.spec, props.table).across.name }, props.table)
  const entries = moment || made.series.length < 2 || !made.seriesName ? made.categories : made.series
  return [
    ...finds.map(find => ({ key: `found ${find}`, label: findingWords[find] })),
    ...entries.map(({ key, label }) => ({ key: `key ${key}`, label })),
  ]
})
const drawnAlone = computed(() => {
  const { keys = [], found = [] } = props.spec.only ?? {}
  return [...found.map(find => `found ${find}`), ...keys.map(key => `key ${key}`)]
})
function drawAlone(chosen: readonly string[]) {
  const found = finds.filter(find => chosen.includes(`found ${find}`))
  const keys = chosen.flatMap(one => (one.startsWith('key ') ? [one.slice(4)] : []))
  emit('set', { only: found.length || keys.length ? { keys, found } : undefined })
}
const orders = { data: 'as in the data', rising: 'rising', falling: 'falling', name: 'by name' }
</script>

<template>
  <div v-if="throughs.length" class="row">
    <span class="label">Runs through</span>
    <ChoiceField
      :model-value="through?.name ?? null"
      :items="[{ value: null, label: 'nothing' }, ...throughs.map(({ name }) => ({ value: name, label: name }))]"
      label="Runs through"
      @update:model-value="runAlong"
    />
  </div>
  <template v-if="spec.moment && moments.length">
    <div class="row">
      <span class="label">Shows</span>
      <ChoiceField
        :model-value="momentValue"
        :items="[
          { value: 'first', label: `the first, ${moments[0]!.label}` },
          { value: 'last', label: `the last, ${moments.at(-1)!.label}` },
          ...moments.map(({ key, label }) => ({ value: `key ${key}`, label })),
        ]"
        label="The moment that it shows"
        @update:model-value="showMoment"
      />
    </div>
    <div class="row">
      <span class="label">Goes there</span>
      <ChoiceField
        :model-value="spec.moment.goes ?? 'evenly'"
        :items="choicesOf(ways)"
        label="How it goes to that moment"
        @update:model-value="goes"
      />
    </div>
    <div class="row">
      <span class="label">Moment</span>
      <UButton size="sm" :active="spec.moment.told !== false" :aria-pressed="spec.moment.told !== false" @click="sayMoment">
        {{ spec.moment.told === false ? 'not said' : 'said in the chart' }}
      </UButton>
    </div>
  </template>
  <ToggleList
    v-if="takes.includes('across')"
    label="Drawn alone"
    none="no, all are"
    :items="alone"
    :chosen="drawnAlone"
    @choose="drawAlone"
  />
  <div class="row">
    <span class="label">Order</span>
    <ChoiceField :model-value="spec.order" :items="choicesOf(orders)" label="Order" @update:model-value="order => emit('set', { order })" />
  </div>
  <div v-if="takes.includes('across')" class="row">
    <span class="label">Only the largest</span>
    <NumberField
      :model-value="spec.largest ?? 0"
      :label="spec.moment ? 'Only the largest; 0 for all' : 'Only the largest, and the rest as one; 0 for all'"
      :min="0"
      :max="1000"
      :step="1"
      @update:model-value="next => emit('set', { largest: next || undefined })"
    />
  </div>
</template>
