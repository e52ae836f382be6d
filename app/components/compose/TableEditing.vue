<script setup lang="ts">
import { setFields } from '#core/edits'
import { mostWritten, type Amount, type TableElement } from '#core/model'
import type { ShownElement } from '#core/resolved'
import {
  cellKey,
  fieldsOfWritten,
  hasRoomFor,
  layoutOfTable,
  withBlock,
  withCell,
  withColumnAfter,
  withoutColumn,
  withoutRow,
  withRowAfter,
  writtenOf,
  type Written,
} from '#core/tables'

/** The cells of a written table, written in where they stand. Enter goes down, Tab on; at the end a row is added. */
const props = defineProps<{ element: TableElement & ShownElement }>()
const emit = defineEmits<{ done: [] }>()
const store = useDeck()
const stage = useStage()
const host = useStageHost()
const place = ref<HTMLElement>()
/** What is written, and what is shown of it: numbers of tables of data are what they are now. */
const written = computed(() => writtenOf(props.element))
const cells = computed(() => written.value.cells)
const width = computed(() => cells.value[0]!.length)
const layout = computed(() => layoutOfTable(stage.deck!, props.element, host.host.table, host.host.measurer))
const hasHead = computed(() => props.element.head !== false)
/** Rows of the layout as rows of what is written: without a head, its names are not shown. */
const shown = computed(() =>
  (layout.value?.cells ?? []).filter(cell => cell.kind !== 'total').map(cell => ({ ...cell, at: cell.row + (hasHead.value ? 0 : 1) })),
)
const tooMuch =
  `A table that is written by hand has at most ${mostWritten.rows} rows, ${mostWritten.columns} columns ` +
  `and ${numberWords(mostWritten.letters)} letters a cell. Upload what is more as a table under Data.`
function keep(what: string, next: Written) {
  // A table that is full stays as it is.
  if (next === written.value) notifyProblem(tooMuch)
  else
    store.edit(
      `${what} ${props.element.name}`,
      setFields(store.current, { table: 'elements', id: props.element.id, fields: fieldsOfWritten(next) }),
    )
}
function write(row: number, column: number, words: string) {
  if (cells.value[row]?.[column] !== words) keep('write in', withCell(written.value, row, column, words))
}
const focus = (row: number, column: number) =>
  nextTick(() => place.value?.querySelector<HTMLInputElement>(`[data-cell="${row},${column}"]`)?.select())
const addRow = (after: number) => keep('add a row to', withRowAfter(written.value, after))
const here = ref({ row: 0, column: 0 })
const amountHere = computed((): Amount | undefined => written.value.amounts[cellKey(here.value.row, here.value.column)])
async function key(event: KeyboardEvent, row: number, column: number) {
  if (event.key === 'Escape') {
    write(row, column, (event.target as HTMLInputElement).value)
    return emit('done')
  }
  const [down, along] =
    event.key === 'Enter'
      ? [event.shiftKey ? -1 : 1, 0]
      : event.key === 'Tab'
        ? [0, event.shiftKey ? -1 : 1]
        : event.key === 'ArrowDown'
          ? [1, 0]
          : event.key === 'ArrowUp'
            ? [-1, 0]
            : [0, 0]
  if (!down && !along) return
  event.preventDefault()
  write(row, column, (event.target as HTMLInputElement).value)
  let [nextRow, nextColumn] = [row + down, column + along]
  if (nextColumn >= width.value) [nextRow, nextColumn] = [row + 1, 0]
  if (nextColumn < 0) [nextRow, nextColumn] = [row - 1, width.value - 1]
  if (nextRow >= cells.value.length && event.key !== 'ArrowDown') addRow(cells.value.length - 1)
  await focus(nextRow, nextColumn)
}
function paste(event: ClipboardEvent, row: number, column: number) {
  const words = event.clipboardData?.getData('text/plain') ?? ''
  if (!/[\t\n]/.test(words.trim())) return
  event.preventDefault()
  const block = words
    .replace(/\r\n?/g, '\n')
    .replace(/\n$/, '')
    .split('\n')
    .map(line => line.split('\t'))
  if (!hasRoomFor(row, column, block)) notifyProblem(`Not all of it has room here. ${tooMuch}`)
  keep('paste into', withBlock(written.value, row, column, block))
}
onMounted(() => void focus(hasHead.value ? 0 : 1, 0))
const box = computed(() => ({
  left: `${props.element.box.x}px`,
  top: `${props.element.box.y}px`,
  width: `${props.element.box.width}px`,
  height: `${props.element.box.height}px`,
  transform: props.element.box.angle ? `rotate(${props.element.box.angle}deg)` : undefined,
}))
</script>

<template>
  <div ref="place" class="table-editing" :style="box" data-test="table-editing" @pointerdown.stop @dblclick.stop>
    <input
      v-for="cell in shown"
      :key="`${cell.at},${cell.column}`"
      v-written="cells[cell.at]?.[cell.column] ?? ''"
      class="cell"
      :class="{ told: written.amounts[cellKey(cell.at, cell.column)] }"
      :data-cell="`${cell.at},${cell.column}`"
      :aria-label="cell.kind === 'head' ? `Name of column ${cell.column + 1}` : `Row ${cell.at}, column ${cell.column + 1}`"
      :maxlength="mostWritten.letters"
      :style="{
        left: `${cell.x}px`,
        top: `${cell.y}px`,
        width: `${cell.width}px`,
        height: `${cell.height}px`,
        fontSize: `${layout!.size}px`,
        padding: `0 ${layout!.pad.across}px`,
        textAlign: cell.align,
      }"
      @focus="here = { row: cell.at, column: cell.column }"
      @change="write(cell.at, cell.column, ($event.target as HTMLInputElement).value)"
      @keydown.stop="key($event, cell.at, cell.column)"
      @paste.stop="paste($event, cell.at, cell.column)"
    />
    <div class="bar" :style="{ transform: `scale(${1 / stage.scale})` }" role="toolbar" aria-label="Cells">
      <UButton size="sm" @click="addRow(here.row)">Row below</UButton>
      <UButton size="sm" @click="keep('add a column to', withColumnAfter(written, here.column))">Column after</UButton>
      <UButton size="sm" :disabled="cells.length < 3" @click="keep('take a row from', withoutRow(written, here.row))">
        Without this row
      </UButton>
      <UButton size="sm" :disabled="width < 2" @click="keep('take a column from', withoutColumn(written, here.column))">
        Without this column
      </UButton>
      <UPopover v-if="hasHead ? here.row > 0 : true">
        <UButton size="sm" icon="i-lucide-sigma" :active="!!amountHere">Number of a table</UButton>
        <template #content="{ close }">
          <AmountForm
            :key="cellKey(here.row, here.column)"
            :of="amountHere ?? null"
            @put="
              (words, of) => {
                keep('put a number in', withCell(written, here.row, here.column, words, of))
                close()
              }
            "
            @free="
              () => {
                keep('free a number of', withCell(written, here.row, here.column, cells[here.row]?.[here.column] ?? ''))
                close()
              }
            "
          />
        </template>
      </UPopover>
      <UButton size="sm" @click="emit('done')">Done</UButton>
    </div>
  </div>
</template>

<style scoped>
.table-editing {
  position: absolute;
  z-index: 5;
}
.cell {
  position: absolute;
  box-sizing: border-box;
  border: 1px solid color-mix(in srgb, #12615c 45%, transparent);
  background: #fff;
  color: #15262b;
  font-family: 'Hanken Grotesk', sans-serif;
  border-radius: 0;
}
.told {
  border-bottom: 3px solid #12615c;
}
.cell:focus {
  outline: 3px solid #12615c;
  z-index: 1;
}
.bar {
  position: absolute;
  left: 0;
  top: 100%;
  margin-top: 8px;
  transform-origin: 0 0;
  display: flex;
  gap: 4px;
  background: var(--panel);
  border: 1px solid var(--line);
  border-radius: 8px;
  padding: 4px;
  box-shadow: var(--shadow);
}
</style>
