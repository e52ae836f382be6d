<script setup lang="ts">
import { deckTheme, infoOf, type ChartElement, type ChartSpec, type Finding } from '#core/model'
import {
  chartKindNamed,
  chartKinds,
  chosenColumns,
  columnsFor,
  drawingOfElement,
  newChart,
  timesOf,
  tonesOf,
  type ChartColumn,
} from '#core/charts'
import { columnNamed, gatheredFor, isTime, rowCount, type DataTable } from '#core/data'
import { setFields } from '#core/edits'
import { themeSeen, type ShownElement } from '#core/resolved'

const props = defineProps<{ element: ChartElement & ShownElement }>()
const emit = defineEmits<{ choose: [] }>()
const store = useDeck()
const where = useWhere()
const host = useStageHost()
const tables = useTables()
const states = useStates()
/** The states of a chart that is told in some are worked on one by one. */
const isTold = computed(() => states.chart?.id === props.element.id)
const spec = computed<ChartSpec>(() => (isTold.value && states.current ? states.current.spec : (props.element.chart ?? newChart(null))))
const table = computed<DataTable | undefined>(() => (spec.value.table ? tables.table(spec.value.table) : undefined))
const theme = computed(() => (where.stageId ? themeSeen(store.current, where.stageId) : deckTheme(store.current)))
/** The colours that the chart has by the theme, where nobody chose others. */
const tones = computed(() => tonesOf(spec.value, theme.value.palette))
const kind = computed(() => chartKindNamed(spec.value.kind))
const columns = computed(() => (table.value ? chosenColumns(spec.value, table.value) : null))
const drawing = computed(() =>
  drawingOfElement(store.current, props.element, isTold.value ? states.chosen : null, host.host.table, host.host.measurer),
)
/** What can be highlighted: each series where there are several, else each category. */
const entries = computed(() => {
  if (!table.value) return []
  const made = gatheredFor(spec.value, table.value)
  return made.series.length > 1 ? made.series : made.categories
})

/** Columns that the chart can run through: those of time first, and others that are no amounts. */
const throughs = computed(() => {
  if (!table.value || !columns.value) return []
  const used = new Set([columns.value.across, columns.value.series])
  const free = table.value.columns.filter(
    column => (column.type !== 'number' || isTime(column)) && (column === through.value || !used.has(column)),
  )
  return [...free].sort((a, b) => Number(isTime(b)) - Number(isTime(a)))
})
const through = computed(() => columnNamed(table.value!, spec.value.moment?.column ?? null))
const moments = computed(() =>
  table.value && spec.value.moment ? timesOf(spec.value, table.value, spec.value.moment.column, infoOf(store.current).language) : [],
)
const momentValue = computed(() => (spec.value.moment?.at === 'named' ? `key ${spec.value.moment.key}` : (spec.value.moment?.at ?? 'last')))
const runAlong = (column: string | null) => set({ moment: column === null ? undefined : { column, at: 'last' } })
function showMoment(value: string) {
  const { column, told } = spec.value.moment!
  const kept = told === undefined ? { column } : { column, told }
  set({ moment: value.startsWith('key ') ? { ...kept, at: 'named', key: value.slice(4) } : { ...kept, at: value as 'first' | 'last' } })
}
/** What can be drawn alone: every category, whatever is drawn now. */
const categories = computed(() => {
  if (!table.value || !columns.value) return []
  const { only: _only, largest: _largest, moment: _moment, ...whole } = spec.value
  const made = gatheredFor({ ...whole, across: columns.value.across.name }, table.value)
  return spec.value.moment || made.series.length < 2 || !made.seriesName ? made.categories : made.series
})
const finds: readonly Finding[] = ['most', 'next', 'least', 'rise', 'fall']
function setOnly(only: NonNullable<ChartSpec['only']>) {
  set({ only: only.keys.length || only.found.length ? only : undefined })
}
const only = computed(() => spec.value.only ?? { keys: [], found: [] })

/** Sets fields; what is undefined is taken away. */
function set(fields: { [K in keyof ChartSpec]?: ChartSpec[K] | undefined }) {
  const chart = Object.fromEntries(Object.entries({ ...spec.value, ...fields }).filter(([, value]) => value !== undefined)) as ChartSpec
  const label = `change ${props.element.name}`
  if (isTold.value) states.set(label, chart)
  else store.edit(label, setFields(store.current, { table: 'elements', id: props.element.id, fields: { chart } }))
}
const setFormat = (fields: Partial<ChartSpec['format']>) => set({ format: { ...spec.value.format, ...fields } })
const toggled = <T extends string>(list: readonly T[], key: T): T[] =>
  list.includes(key) ? list.filter(other => other !== key) : [...list, key]
const roles: Readonly<Record<Exclude<ChartColumn, 'height'>, string>> = {
  across: 'Across',
  series: 'For each',
  along: 'Against',
  size: 'Sized by',
}
const shownRoles = computed(() => kind.value.takes.filter(role => role !== 'height'))
const choicesFor = (role: ChartColumn) => {
  const own = columnsFor(role, table.value!, columns.value!).map(({ name }) => ({ value: name as string | null, label: name }))
  return role === 'series' || role === 'size' ? [{ value: null, label: 'none' }, ...own] : own
}
/** More columns of amounts, each a series. */
const besides = computed(() => {
  if (!table.value || !columns.value || columns.value.series || !kind.value.takes.includes('series') || spec.value.aggregate === 'count')
    return []
  return columnsFor('along', table.value, columns.value)
})
const aggregates = { sum: 'sum of', mean: 'mean of', least: 'least of', most: 'most of', count: 'count of rows' }
const orders = { data: 'as in the data', rising: 'rising', falling: 'falling', name: 'by name' }
const scales = { auto: 'by size', none: 'in full', thousands: 'in k', millions: 'in M', percent: 'as %' }
const rules = {
  none: 'nothing by itself',
  most: 'the greatest',
  next: 'the second',
  least: 'the least',
  first: 'the first',
  last: 'the last',
  rise: 'what rose most',
  fall: 'what fell most',
}
const labels = {
  all: 'wherever there is room',
  highlighted: 'on what is highlighted',
  none: 'none, an axis instead',
}
</script>

<template>
  <div class="settings">
    <p v-if="!table" class="quiet">
      No table yet. Drop a CSV file on the chart.
      <UButton variant="bare" class="link" @click="emit('choose')">Choose one</UButton>
    </p>
    <template v-else>
      <p v-if="isTold && states.isOpen" class="state">
        State {{ states.at + 1 }} of {{ states.list.length }}, {{ states.current?.name }}
        <span class="quiet">
          {{ states.chosen ? 'What is changed here changes this state.' : 'As composed: later states begin from it.' }}
        </span>
      </p>
      <p v-else-if="isTold && store.canEdit" class="quiet">
        <UButton size="sm" data-test="tell-in-states" @click="states.opened = element.id">Tell it in states</UButton>
      </p>
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
      <div v-if="kind.takes.includes('height')" class="row">
        <span class="label">Amount</span>
        <ChoiceField
          :model-value="spec.aggregate"
          :items="choicesOf(aggregates)"
          label="Made by"
          @update:model-value="next => set({ aggregate: next })"
        />
      </div>
      <div v-if="kind.takes.includes('height') && spec.aggregate !== 'count'" class="row">
        <span class="label">Column</span>
        <ChoiceField
          :model-value="columns!.height?.name ?? null"
          :items="choicesFor('height')"
          label="Column of amounts"
          placeholder="no column of numbers"
          @update:model-value="next => set({ height: next })"
        />
      </div>
      <div v-for="role in shownRoles" :key="role" class="row">
        <span class="label">{{ roles[role] }}</span>
        <ChoiceField
          :model-value="columns![role]?.name ?? null"
          :items="choicesFor(role)"
          :label="roles[role]"
          placeholder="no such column"
          @update:model-value="next => set({ [role]: next })"
        />
      </div>
      <details v-if="besides.length">
        <summary>Columns beside it: {{ spec.beside?.length || 'none' }}</summary>
        <div class="keys">
          <UButton
            v-for="column in besides"
            :key="column.name"
            size="sm"
            :active="spec.beside?.includes(column.name)"
            :aria-pressed="spec.beside?.includes(column.name) ?? false"
            @click="set({ beside: toggled(spec.beside ?? [], column.name) })"
          >
            {{ column.name }}
          </UButton>
        </div>
      </details>
      <div v-if="throughs.length" class="row">
        <span class="label">Runs through</span>
        <ChoiceField
          :model-value="through?.name ?? null"
          :items="[{ value: null, label: 'nothing' }, ...throughs.map(({ name }) => ({ value: name, label: name }))]"
          label="Runs through"
          @update:model-value="runAlong"
        />
      </div>
      <div v-if="spec.moment && moments.length" class="row">
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
      <div v-if="spec.moment" class="row">
        <span class="label">Moment</span>
        <UButton
          size="sm"
          :active="spec.moment.told !== false"
          :aria-pressed="spec.moment.told !== false"
          @click="set({ moment: { ...spec.moment, told: spec.moment.told === false ? undefined : false } })"
        >
          {{ spec.moment.told === false ? 'not said' : 'said in the chart' }}
        </UButton>
      </div>
      <details v-if="kind.takes.includes('across')">
        <summary>Drawn alone: {{ only.keys.length + only.found.length || 'no, all are' }}</summary>
        <div class="keys">
          <UButton
            v-for="find in finds"
            :key="find"
            size="sm"
            :active="only.found.includes(find)"
            :aria-pressed="only.found.includes(find)"
            @click="setOnly({ ...only, found: toggled(only.found, find) })"
          >
            {{ rules[find] }}
          </UButton>
          <UButton
            v-for="entry in categories"
            :key="entry.key"
            size="sm"
            :active="only.keys.includes(entry.key)"
            :aria-pressed="only.keys.includes(entry.key)"
            @click="setOnly({ ...only, keys: toggled(only.keys, entry.key) })"
          >
            {{ entry.label }}
          </UButton>
        </div>
      </details>
      <div class="row">
        <span class="label">Order</span>
        <ChoiceField
          :model-value="spec.order"
          :items="choicesOf(orders)"
          label="Order"
          @update:model-value="next => set({ order: next })"
        />
      </div>
      <div v-if="kind.takes.includes('across')" class="row">
        <span class="label">Only the largest</span>
        <NumberField
          :model-value="spec.largest ?? 0"
          label="Only the largest, and the rest as one; 0 for all"
          :min="0"
          :max="1000"
          :step="1"
          @update:model-value="next => set({ largest: next || undefined })"
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
        <span class="label">Amounts said</span>
        <ChoiceField
          :model-value="spec.labels"
          :items="choicesOf(labels)"
          label="Amounts"
          @update:model-value="next => set({ labels: next })"
        />
      </div>
      <p v-if="drawing?.leftOut" class="quiet">
        {{ drawing.leftOut === 1 ? 'One label has' : `${numberWords(drawing.leftOut)} labels have` }} no room and
        {{ drawing.leftOut === 1 ? 'is' : 'are' }} left out.
      </p>
      <div v-if="drawing?.total" class="row">
        <span class="label">Total {{ drawing.total }}</span>
        <UButton size="sm" :active="spec.total" :aria-pressed="spec.total" @click="set({ total: !spec.total })">
          {{ spec.total ? 'shown' : 'not shown' }}
        </UButton>
      </div>
      <div class="row">
        <span class="label">Highlighted</span>
        <ChoiceField
          :model-value="spec.rule ?? 'none'"
          :items="choicesOf(rules)"
          label="Highlighted by itself"
          @update:model-value="next => set({ rule: next === 'none' ? undefined : next })"
        />
      </div>
      <details>
        <summary>Highlighted beside: {{ spec.highlighted.length || 'none' }}</summary>
        <div class="keys">
          <UButton
            v-for="entry in entries"
            :key="entry.key"
            size="sm"
            :active="spec.highlighted.includes(entry.key)"
            :aria-pressed="spec.highlighted.includes(entry.key)"
            @click="set({ highlighted: toggled(spec.highlighted, entry.key) })"
          >
            {{ entry.label }}
          </UButton>
        </div>
      </details>
      <div class="row">
        <span class="label">Colour</span>
        <span class="pair">
          <ColorField
            :model-value="spec.color ?? { hex: tones.of({ name: 'plain' }) }"
            :theme="theme"
            label="Colour of the chart"
            @update:model-value="color => color && set({ color })"
          />
          <UButton v-if="spec.color" size="sm" aria-label="The chart’s colour by the theme" @click="set({ color: undefined })">
            By theme
          </UButton>
        </span>
      </div>
      <div class="row">
        <span class="label">Highlighted in</span>
        <span class="pair">
          <ColorField
            :model-value="spec.highlightColor ?? { hex: tones.of({ name: 'highlighted' }) }"
            :theme="theme"
            label="Colour of what is highlighted"
            @update:model-value="color => color && set({ highlightColor: color })"
          />
          <UButton
            v-if="spec.highlightColor"
            size="sm"
            aria-label="What is highlighted by the theme"
            @click="set({ highlightColor: undefined })"
          >
            By theme
          </UButton>
        </span>
      </div>
      <PassageSettings v-if="isTold && states.chosen" />
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
.state {
  font-weight: 500;
}
.state .quiet {
  display: block;
  font-weight: 400;
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
