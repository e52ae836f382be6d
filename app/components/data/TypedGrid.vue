<script setup lang="ts">
import { useVirtualizer } from '@tanstack/vue-virtual'
import { useEventListener } from '@vueuse/core'
import type { ColumnChoice } from '#core/data'
import type { SourceDetail } from '~/composables/data-room'
import type { CellPlace } from '~/composables/typed-grid'

/** A table that is typed by hand: cells are written where they stand; below the last row and beside the last column one goes on. */
const props = defineProps<{ detail: SourceDetail | null; name: string }>()
const emit = defineEmits<{ made: [id: string]; kept: []; decide: [column: string, label: string, choice: ColumnChoice | undefined] }>()
const grid = useTypedGrid({
  id: () => props.detail?.id ?? null,
  name: () => props.name,
  made: id => emit('made', id),
  kept: () => emit('kept'),
})
const { cells, ready, fault, held, isKept, past, future } = grid
await grid.load()
// The table may have been typed into by somebody else.
watch(
  () => props.detail,
  () => writing.value === null && void grid.follow(),
)

const place = useTemplateRef('place')
const at = ref<CellPlace>({ row: cells.value.rows.length ? 0 : -1, column: 0 })
/** What is being written into the cell; null while one only walks. */
const writing = ref<string | null>(null)
const columns = computed(() => cells.value.header.length + 1)
const rowHeight = 29
const virtual = useVirtualizer(
  computed(() => ({
    count: cells.value.rows.length + 1,
    getScrollElement: () => place.value ?? null,
    estimateSize: () => rowHeight,
    overscan: 12,
  })),
)
const inSight = computed(() => virtual.value.getVirtualItems().map(({ index }) => index))
const before = computed(() => (inSight.value[0] ?? 0) * rowHeight)
const after = computed(() => Math.max(0, cells.value.rows.length + 1 - inSight.value.length) * rowHeight - before.value)
const readings = computed(() => new Map(props.detail?.shown.reading.columns.map(column => [column.name, column])))
const cellOf = ({ row, column }: CellPlace) => (row < 0 ? cells.value.header[column] : cells.value.rows[row]?.[column]) ?? ''
const isAt = (row: number, column: number) => at.value.row === row && at.value.column === column
const idOf = (row: number, column: number) => `typed-${row}-${column}`
const isAmount = (column: number) => props.detail?.shown.columns.find(({ name }) => name === cells.value.header[column])?.type === 'number'

function walk(down: number, across: number) {
  const held = (value: number, from: number, until: number) => Math.min(until, Math.max(from, value))
  at.value = {
    row: held(at.value.row + down, -1, cells.value.rows.length),
    column: held(at.value.column + across, 0, columns.value - 1),
  }
  if (at.value.row >= 0) virtual.value.scrollToIndex(at.value.row)
}
const begin = (words: string) => (writing.value = words)
function done(keep: boolean) {
  if (writing.value === null) return
  if (keep) grid.write(at.value, [[writing.value]])
  writing.value = null
  place.value?.focus()
}
/** The keys of a cell that is being written are its own. */
function onWriteKey(event: KeyboardEvent) {
  event.stopPropagation()
  if (event.isComposing) return
  const way = { Enter: [event.shiftKey ? -1 : 1, 0], Tab: [0, event.shiftKey ? -1 : 1] }[event.key]
  if (event.key === 'Escape') done(false)
  else if (way) {
    event.preventDefault()
    done(true)
    walk(way[0]!, way[1]!)
  }
}
const ways: Readonly<Record<string, readonly [number, number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
  PageUp: [-15, 0],
  PageDown: [15, 0],
}
function onKey(event: KeyboardEvent) {
  if (event.target !== place.value) return
  const isCommand = event.ctrlKey || event.metaKey
  const acts: Readonly<Record<string, () => void>> = {
    Enter: () => begin(cellOf(at.value)),
    F2: () => begin(cellOf(at.value)),
    Delete: () => grid.write(at.value, [['']]),
    Backspace: () => grid.write(at.value, [['']]),
    Home: () => walk(0, -mostAcross),
    End: () => walk(0, mostAcross),
  }
  // By Tab one leaves the grid where its line ends.
  const isEnd = event.shiftKey ? at.value.column === 0 : at.value.column === columns.value - 1
  if (event.key === 'Tab' && isEnd) return
  const way = event.key === 'Tab' ? ([0, event.shiftKey ? -1 : 1] as const) : ways[event.key]
  if (isCommand && /^[zy]$/i.test(event.key)) (event.key.toLowerCase() === 'y' || event.shiftKey ? grid.again : grid.back)()
  else if (way && !isCommand && !event.altKey) walk(...way)
  else if (acts[event.key] && !isCommand) acts[event.key]!()
  else if (event.key.length === 1 && !isCommand && !event.altKey) begin(event.key)
  else return
  event.preventDefault()
  event.stopPropagation()
}
const mostAcross = 100
function press(row: number, column: number) {
  done(true)
  at.value = { row, column }
  place.value?.focus()
}
/** Rows of a spreadsheet go into the cells from where one stands. */
useEventListener(
  place,
  'paste',
  (event: ClipboardEvent) => {
    const words = event.clipboardData?.getData('text/plain')
    if (writing.value !== null || !words) return
    event.preventDefault()
    event.stopPropagation()
    grid.write(
      at.value,
      words
        .replace(/\r?\n$/, '')
        .split(/\r?\n/)
        .map(line => line.split('\t')),
    )
  },
  { capture: true },
)
useEventListener(place, 'copy', (event: ClipboardEvent) => {
  if (writing.value !== null) return
  event.clipboardData?.setData('text/plain', cellOf(at.value))
  event.preventDefault()
})
const state = computed(
  () =>
    fault.value ||
    (!props.detail && !cells.value.rows.length
      ? 'Saved as soon as there is a row.'
      : !isKept.value
        ? 'Saving…'
        : held.value
          ? `Saved, and held: ${held.value} What was on air stays there.`
          : 'Saved.'),
)
onMounted(() => place.value?.focus())
</script>

<template>
  <div v-if="ready" class="typed">
    <div class="tools">
      <UButton size="sm" icon="i-lucide-undo-2" aria-label="Take back" :disabled="!past.length" @click="grid.back" />
      <UButton size="sm" icon="i-lucide-redo-2" aria-label="Do again" :disabled="!future.length" @click="grid.again" />
      <UButton size="sm" :disabled="at.row < 0" @click="grid.insertRow(at.row)">Row above</UButton>
      <UButton size="sm" @click="grid.insertColumn(at.column)">Column before</UButton>
      <UButton size="sm" :disabled="at.row < 0 || at.row >= cells.rows.length" @click="grid.removeRow(at.row)">Remove the row</UButton>
      <UButton size="sm" :disabled="at.column >= cells.header.length || cells.header.length < 2" @click="grid.removeColumn(at.column)">
        Remove the column
      </UButton>
      <span role="status" :class="fault || held ? 'wrong' : 'quiet'">{{ state }}</span>
    </div>
    <div
      ref="place"
      class="place"
      role="grid"
      tabindex="0"
      :aria-label="`Cells of ${name}`"
      :aria-rowcount="cells.rows.length + 2"
      :aria-colcount="columns"
      :aria-activedescendant="idOf(at.row, at.column)"
      @keydown="onKey"
    >
      <table>
        <thead>
          <tr role="row">
            <th class="number" />
            <th v-for="column in columns" :key="column" :class="{ more: column === columns }">
              <DataColumn
                v-if="readings.get(cells.header[column - 1] ?? '')"
                :reading="readings.get(cells.header[column - 1]!)!"
                can-edit
                @decide="(label, choice) => emit('decide', cells.header[column - 1]!, label, choice)"
              />
              <div
                :id="idOf(-1, column - 1)"
                :title="cells.header[column - 1] || undefined"
                class="cell name"
                role="columnheader"
                :class="{ here: isAt(-1, column - 1) }"
                @mousedown.prevent="press(-1, column - 1)"
                @dblclick="begin(cellOf(at))"
              >
                <CellField
                  v-if="isAt(-1, column - 1) && writing !== null"
                  v-model="writing"
                  :label="`Name of column ${column}`"
                  :most="200"
                  @key="onWriteKey"
                  @leave="done(true)"
                />
                <template v-else>{{ cells.header[column - 1] || (column === columns ? 'one more' : `Column ${column}`) }}</template>
              </div>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-if="before > 0" aria-hidden="true"><td :colspan="columns + 1" :style="{ height: `${before}px` }" /></tr>
          <tr v-for="row in inSight" :key="row" role="row" :aria-rowindex="row + 2">
            <th class="number quiet" scope="row">{{ row < cells.rows.length ? numberWords(row + 1) : '+' }}</th>
            <td
              v-for="column in columns"
              :id="idOf(row, column - 1)"
              :key="column"
              role="gridcell"
              class="cell"
              :class="{ here: isAt(row, column - 1), figures: isAmount(column - 1) }"
              @mousedown.prevent="press(row, column - 1)"
              @dblclick="begin(cellOf(at))"
            >
              <CellField
                v-if="isAt(row, column - 1) && writing !== null"
                v-model="writing"
                :label="`${cells.header[column - 1] || `Column ${column}`}, row ${row + 1}`"
                :most="2000"
                @key="onWriteKey"
                @leave="done(true)"
              />
              <template v-else>{{ cells.rows[row]?.[column - 1] }}</template>
            </td>
          </tr>
          <tr v-if="after > 0" aria-hidden="true"><td :colspan="columns + 1" :style="{ height: `${after}px` }" /></tr>
        </tbody>
      </table>
    </div>
    <p class="quiet keys">
      Type into the cell that is marked; Enter goes down, Tab to the right, F2 changes what stands there. Rows of a spreadsheet can be
      pasted.
    </p>
  </div>
</template>

<style scoped>
.typed {
  display: flex;
  flex-direction: column;
  gap: 10px;
  min-height: 0;
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}
.tools [role='status'] {
  margin-left: 6px;
}
.wrong {
  color: var(--wrong);
}
.place {
  overflow: auto;
  border: 1px solid var(--line);
  border-radius: 12px;
  background: var(--panel);
  min-height: 0;
  outline-offset: 2px;
}
table {
  border-collapse: separate;
  border-spacing: 0;
  font-size: 13.5px;
}
th,
td {
  border-right: 1px solid var(--line);
  border-bottom: 1px solid var(--line);
  font-weight: 400;
  text-align: left;
}
thead th {
  position: sticky;
  top: 0;
  z-index: 1;
  background: var(--panel);
  padding: 0;
  vertical-align: bottom;
}
.cell {
  position: relative;
  height: 29px;
  min-width: 132px;
  max-width: 260px;
  padding: 0 10px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  cursor: cell;
}
.name {
  line-height: 29px;
  font-weight: 600;
  border-top: 1px solid var(--line);
}
.more .name {
  color: var(--third);
  font-weight: 400;
}
.here {
  box-shadow: inset 0 0 0 2px var(--act);
}
.figures {
  text-align: right;
  font-family: 'Spline Sans Mono', monospace;
  font-size: 13px;
}
.number {
  width: 44px;
  min-width: 44px;
  text-align: right;
  padding: 0 10px;
}
.keys {
  margin: 0;
  font-size: 13px;
}
</style>
