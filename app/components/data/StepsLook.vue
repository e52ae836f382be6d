<script setup lang="ts">
import { decimalsOf, gridWords } from '#core/data'
import type { StepColumn } from '#core/steps'

/** The rows before and after the step that is chosen, how many they are, and what their sums come to. */
const props = defineProps<{ desk: ReturnType<typeof useStepsDesk>; isMade: boolean }>()
const emit = defineEmits<{ draw: [] }>()
const { detail, isBusy, isLong, progress, stop, chosen, runs, counts, sightOf } = props.desk

const sides = [
  { value: 'before', label: 'Before' },
  { value: 'after', label: 'After' },
] as const
const side = ref<'before' | 'after'>('after')
/** The step whose rows are shown; the first where none is chosen. */
const at = computed(() => Math.max(0, chosen.value))
/** The step that is chosen cannot be done: there are rows before it alone. */
const isUndone = computed(() => chosen.value >= 0 && counts.value[chosen.value]?.after === null)
const shown = computed(() => {
  const look = detail.value?.look
  if (!look) return null
  const isBefore = side.value === 'before' || chosen.value < 0 || isUndone.value
  const columns = isBefore ? sightOf(at.value).columns : (runs.value[at.value]?.columns ?? [])
  const cells = isBefore ? look.before : look.after
  const rows = isBefore ? (counts.value[at.value]?.before ?? detail.value!.rows) : (counts.value[at.value]?.after ?? 0)
  return { columns, cells, rows, names: new Set(isBefore ? [] : sightOf(at.value).columns.map(({ name }) => name)) }
})
const language = navigator.language
const decimals = computed(() => shown.value?.columns.map((column, index) => decimalsOf(column, shown.value!.cells[index] ?? [])) ?? [])
const words = (column: StepColumn, index: number, value: string | number | null) =>
  gridWords(column, value, language, decimals.value[index])
const rowsShown = computed(() => shown.value?.cells[0]?.length ?? 0)
/** Sums that a step leaves as they were, and those that it does not. */
const sums = computed(() => (chosen.value < 0 || isUndone.value ? [] : (detail.value?.look?.sums ?? [])))
const amount = (value: number) => numberWords(value, Number.isInteger(value) ? 0 : 2)
const same = (one: { before: number; after: number }) =>
  Math.abs(one.before - one.after) <= 1e-9 * Math.max(Math.abs(one.before), Math.abs(one.after))
const longWords = computed(() => {
  if (!progress.value) return 'Working…'
  const { step, done, of } = progress.value
  return `Step ${step + 1}: ${numberWords(done)} of ${numberWords(of)} rows looked at`
})
const seconds = computed(() => runs.value[at.value]?.seconds ?? 0)
</script>

<template>
  <section class="look" aria-label="Rows at the step that is chosen">
    <header>
      <h3>{{ chosen < 0 ? 'As it is read' : `${side === 'after' && !isUndone ? 'After' : 'Before'} step ${chosen + 1}` }}</h3>
      <span v-if="isBusy && !isLong" class="quiet" role="status">working…</span>
      <ViewSwitch
        v-if="chosen >= 0 && !isUndone"
        label="Which rows"
        :views="sides"
        :value="side"
        @show="next => (side = next === 'before' ? 'before' : 'after')"
      />
    </header>
    <p v-if="chosen >= 0 && !isUndone" class="large">
      <b>{{ numberWords(counts[chosen]?.before ?? 0) }} → {{ numberWords(counts[chosen]?.after ?? 0) }}</b>
      <span class="quiet">rows{{ seconds >= 0.05 ? `, answered in ${secondsWords(seconds)}` : '' }}</span>
    </p>
    <p v-else class="large">
      <b>{{ numberWords(shown?.rows ?? 0) }}</b>
      <span class="quiet">{{ shown?.rows === 1 ? 'row' : 'rows' }}</span>
    </p>
    <div v-if="isLong" class="long">
      <UProgress :model-value="progress?.done ?? null" :max="progress?.of ?? 1" size="xs" aria-label="How far the steps are" />
      <span class="quiet" role="status">{{ longWords }}</span>
      <UButton size="sm" @click="stop">Stop</UButton>
    </div>
    <div v-if="shown" class="place" :class="{ older: isLong }" tabindex="0" role="region" aria-label="Rows">
      <table>
        <thead>
          <tr>
            <th
              v-for="column in shown.columns"
              :key="column.name"
              scope="col"
              :class="{ amount: column.type === 'number', fresh: shown.names.size && !shown.names.has(column.name) }"
            >
              {{ column.name }}
              <span v-if="column.unit" class="quiet">{{ column.unit }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rowsShown" :key="row">
            <td
              v-for="(column, index) in shown.columns"
              :key="column.name"
              :class="{
                amount: column.type === 'number',
                fresh: shown.names.size && !shown.names.has(column.name),
                missing: shown.cells[index]?.[row - 1] === null,
              }"
            >
              {{ shown.cells[index]?.[row - 1] === null ? 'missing' : words(column, index, shown.cells[index]![row - 1]!) }}
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="shown.rows > rowsShown" class="quiet more">{{ numberWords(shown.rows - rowsShown) }} more rows</p>
      <p v-if="!shown.rows" class="quiet more">No row is left here.</p>
    </div>
    <p v-if="sums.length" class="sums">
      <b>Sums.</b>
      <template v-for="one in sums.slice(0, 3)" :key="one.column">
        {{ one.column }}: {{ amount(one.after) }}, {{ same(one) ? 'the same before and after' : `${amount(one.before)} before` }}.
      </template>
    </p>
    <footer>
      <span class="quiet">
        <UKbd value="↑" />
        <UKbd value="↓" />
        walk the steps
      </span>
      <UButton v-if="isMade" color="primary" variant="solid" @click="emit('draw')">Draw it</UButton>
    </footer>
  </section>
</template>

<style scoped>
.look {
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-width: 0;
  min-height: 0;
  padding: 14px 16px;
  border: 1px solid var(--line);
  border-radius: 12px;
  background: var(--panel);
}
.look header {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 34px;
}
.look header > :last-child:not(h3) {
  margin-left: auto;
}
h3 {
  margin: 0;
  font-size: 17px;
}
.large {
  display: flex;
  align-items: baseline;
  gap: 10px;
  margin: 0;
}
.large b {
  font-size: 24px;
  font-weight: 700;
}
.long {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: 4px 10px;
}
.long > :first-child {
  grid-column: 1 / -1;
}
.older {
  opacity: 0.55;
}
.place {
  flex: 1;
  min-height: 80px;
  overflow: auto;
}
table {
  border-collapse: collapse;
  min-width: 100%;
  font-size: 13.5px;
}
th,
td {
  padding: 4px 10px;
  text-align: left;
  white-space: nowrap;
  max-width: 240px;
  overflow: hidden;
  text-overflow: ellipsis;
}
th {
  position: sticky;
  top: 0;
  background: var(--panel);
  border-bottom: 1.5px solid var(--ink);
  font-weight: 650;
}
td {
  padding: 4px 10px;
  text-align: left;
  white-space: nowrap;
  max-width: 240px;
  overflow: hidden;
  text-overflow: ellipsis;
}
.amount {
  text-align: right;
  font-family: var(--font-mono);
  font-variant-numeric: tabular-nums;
}
th.amount {
  font-family: inherit;
}
th.fresh,
td.fresh {
  background: var(--act-wash);
}
.missing {
  color: var(--third);
  font-style: italic;
}
.more {
  margin: 8px 10px;
}
.sums b {
  margin-right: 6px;
}
.sums {
  margin: 0;
  padding-top: 8px;
  border-top: 1px solid var(--line);
  font-size: 13.5px;
}
footer {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
}
</style>
