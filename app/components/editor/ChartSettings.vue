<script setup lang="ts">
import { infoOf, deckTheme, type ChartElement, type ChartSpec } from '#core/model'
import { chartKindNamed, chartKinds, newChart } from '#core/charts'
import { formatNumber, rowCount, summarise, type DataTable } from '#core/data'
import { setFields } from '#core/edits'
import { themeSeen, type ShownElement } from '#core/resolved'

const props = defineProps<{ element: ChartElement & ShownElement }>()
const emit = defineEmits<{ choose: [] }>()
const store = useDeck()
const where = useWhere()
const tables = useTables()
const spec = computed<ChartSpec>(() => props.element.chart ?? newChart(null))
const table = computed<DataTable | undefined>(() => (spec.value.table ? tables.table(spec.value.table) : undefined))
const theme = computed(() => (where.stageId ? themeSeen(store.current, where.stageId) : deckTheme(store.current)))
const made = computed(() =>
  table.value
    ? summarise(
        table.value,
        { by: spec.value.across, value: spec.value.height, aggregate: spec.value.aggregate, order: spec.value.order },
        infoOf(store.current).language,
      )
    : null,
)
const values = computed(() => made.value?.rows.map(row => row.value).filter(value => value !== null) ?? [])
const total = computed(() =>
  formatNumber(
    values.value.reduce((sum, value) => sum + value, 0),
    spec.value.format,
    infoOf(store.current).language,
    values.value,
  ),
)

function set(fields: Partial<ChartSpec>) {
  const { options, ...rest } = { ...spec.value, ...fields }
  const chart = options ? { ...rest, options } : rest
  store.edit(`change ${props.element.name}`, setFields(store.current, { table: 'elements', id: props.element.id, fields: { chart } }))
}
const setFormat = (fields: Partial<ChartSpec['format']>) => set({ format: { ...spec.value.format, ...fields } })
const toggleHighlighted = (key: string) =>
  set({
    highlighted: spec.value.highlighted.includes(key)
      ? spec.value.highlighted.filter(other => other !== key)
      : [...spec.value.highlighted, key],
  })
const aggregates = { sum: 'sum of', mean: 'mean of', least: 'least of', most: 'most of', count: 'count of rows' }
const orders = { data: 'as in the data', rising: 'rising', falling: 'falling', name: 'by name' }
const scales = { auto: 'by size', none: 'in full', thousands: 'in k', millions: 'in M', percent: 'as %' }
const kind = computed(() => chartKindNamed(spec.value.kind))
const labels = computed(() => ({
  all: `on every ${kind.value.part}`,
  highlighted: `on highlighted ${kind.value.part}s`,
  none: 'none, an axis instead',
}))
</script>

<template>
  <div class="settings">
    <p v-if="!table" class="quiet">
      No table yet. Drop a CSV file on the chart.
      <UButton variant="bare" class="link" @click="emit('choose')">Choose one</UButton>
    </p>
    <template v-else>
      <p class="quiet">
        Reads {{ rowCount(table) }} rows of
        <b class="file">{{ table.name }}</b>
        <UButton variant="bare" class="link" @click="emit('choose')">Another table</UButton>
      </p>
      <div class="row">
        <span class="label">Kind</span>
        <ChoiceField
          :model-value="kind.name"
          :items="chartKinds.map(one => ({ value: one.name, label: one.label }))"
          label="Kind of chart"
          @update:model-value="next => set({ kind: next, options: undefined })"
        />
      </div>
      <OptionFields :of="kind" :options="spec.options ?? {}" @set="options => set({ options })" />
      <div class="row">
        <span class="label">Across</span>
        <ChoiceField
          :model-value="made!.category"
          :items="table.columns.map(column => ({ value: column.name, label: column.name }))"
          label="Across"
          @update:model-value="next => set({ across: next })"
        />
      </div>
      <div class="row">
        <span class="label">Height</span>
        <ChoiceField
          :model-value="spec.aggregate"
          :items="choicesOf(aggregates)"
          label="Made by"
          @update:model-value="next => set({ aggregate: next })"
        />
      </div>
      <div v-if="spec.aggregate !== 'count'" class="row">
        <span class="label">Column</span>
        <ChoiceField
          :model-value="made!.amount ?? ''"
          :items="
            table.columns.filter(candidate => candidate.type === 'number').map(column => ({ value: column.name, label: column.name }))
          "
          label="Height"
          @update:model-value="next => set({ height: next })"
        />
      </div>
      <div class="row">
        <span class="label">Order</span>
        <ChoiceField
          :model-value="spec.order"
          :items="choicesOf(orders)"
          label="Order"
          @update:model-value="next => set({ order: next })"
        />
      </div>
      <div class="row">
        <span class="label">Numbers read</span>
        <ChoiceField
          :model-value="spec.format.scale"
          :items="choicesOf(scales)"
          label="Scale of numbers"
          @update:model-value="next => setFormat({ scale: next })"
        />
      </div>
      <div class="row">
        <span class="label">Decimals</span>
        <ChoiceField
          :model-value="String(spec.format.decimals)"
          :items="[{ value: 'null', label: 'as needed' }, ...[0, 1, 2, 3, 4, 5, 6].map(count => ({ value: String(count), label: count }))]"
          label="Decimals"
          @update:model-value="next => setFormat({ decimals: next === 'null' ? null : Number(next) })"
        />
      </div>
      <div class="row">
        <span class="label">Before, after</span>
        <span class="pair">
          <WordsField
            :model-value="spec.format.prefix"
            class="short"
            aria-label="Before the number"
            maxlength="20"
            @update:model-value="words => setFormat({ prefix: words })"
          />
          <WordsField
            :model-value="spec.format.suffix"
            class="short"
            aria-label="After the number"
            maxlength="40"
            @update:model-value="words => setFormat({ suffix: words })"
          />
        </span>
      </div>
      <div class="row">
        <span class="label">Amounts</span>
        <ChoiceField
          :model-value="spec.labels"
          :items="choicesOf(labels)"
          label="Amounts"
          @update:model-value="next => set({ labels: next })"
        />
      </div>
      <div class="row">
        <span class="label">Total {{ total }}</span>
        <UButton size="sm" :active="spec.total" :aria-pressed="spec.total" @click="set({ total: !spec.total })">
          {{ spec.total ? 'shown' : 'not shown' }}
        </UButton>
      </div>
      <div class="row">
        <span class="label">Bars</span>
        <ColorField
          :model-value="spec.color"
          :theme="theme"
          :label="`Colour of the ${kind.part}s`"
          @update:model-value="color => color && set({ color })"
        />
      </div>
      <div class="row">
        <span class="label">Highlighted {{ kind.part }}s</span>
        <ColorField
          :model-value="spec.highlightColor"
          :theme="theme"
          :label="`Colour of highlighted ${kind.part}s`"
          @update:model-value="color => color && set({ highlightColor: color })"
        />
      </div>
      <details>
        <summary>Which are highlighted: {{ spec.highlighted.length || 'none' }}</summary>
        <div class="keys">
          <UButton
            v-for="row in made!.rows"
            :key="row.key"
            size="sm"
            :active="spec.highlighted.includes(row.key)"
            :aria-pressed="spec.highlighted.includes(row.key)"
            @click="toggleHighlighted(row.key)"
          >
            {{ row.label }}
          </UButton>
        </div>
      </details>
    </template>
  </div>
</template>

<style scoped>
.settings {
  display: flex;
  flex-direction: column;
  gap: 2px;
}
p {
  margin: 0 0 8px;
}
.file {
  color: var(--act);
}
.link {
  border: 0;
  background: none;
  padding: 0;
  font: inherit;
  color: var(--act);
  text-decoration: underline;
  cursor: pointer;
}
.pair {
  display: flex;
  gap: 5px;
  min-width: 0;
  justify-content: flex-end;
}
.short {
  width: 62px;
}
details {
  margin-top: 6px;
  color: var(--second);
}
summary {
  cursor: pointer;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
  padding: 8px 0;
  max-height: 160px;
  overflow-y: auto;
}
</style>
