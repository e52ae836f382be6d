<script setup lang="ts">
import { useVirtualizer } from '@tanstack/vue-virtual'
import { decimalsOf, gridWords, type ColumnChoice, type TotalRow } from '#core/data'
import type { RowOrder, ShownRow, SourceDetail } from '~/composables/data-room'

/** A table as it was read: how each column was, its name and unit, its rows, and total rows apart below them. */
const props = defineProps<{
  detail: SourceDetail
  rowAt: (place: number) => ShownRow | undefined
  canEdit: boolean
}>()
const emit = defineEmits<{ decide: [column: string, label: string, choice: ColumnChoice | undefined] }>()
/** The order that rows are looked at in. */
const order = defineModel<RowOrder | null>('order', { required: true })
const place = useTemplateRef('place')
const columns = computed(() => props.detail.shown.columns)
const reading = computed(() => props.detail.shown.reading)
const readings = computed(() => new Map(reading.value.columns.map(column => [column.name, column])))
const rowHeight = 27
const virtual = useVirtualizer(
  computed(() => ({
    count: props.detail.shown.rows,
    getScrollElement: () => place.value ?? null,
    estimateSize: () => rowHeight,
    overscan: 12,
  })),
)
const inSight = computed(() =>
  virtual.value.getVirtualItems().map(({ index }) => {
    const row = props.rowAt(index)
    return { index, number: row?.number ?? index, cells: row?.cells }
  }),
)
/** px that rows before those in sight take. */
const before = computed(() => (inSight.value[0]?.index ?? 0) * rowHeight)
const after = computed(() => Math.max(0, props.detail.shown.rows - inSight.value.length) * rowHeight - before.value)
type HeadColumn = SourceDetail['shown']['columns'][number]
const isAmount = (column: HeadColumn) => column.type === 'number'
/** Decimals that all cells of a column are shown with, by those that came first. */
const decimals = computed(() => {
  const first = inSight.value.filter(row => row.cells)
  return columns.value.map((column, at) =>
    decimalsOf(
      column,
      first.map(row => row.cells![at]!),
    ),
  )
})
const words = (column: HeadColumn, at: number, value: string | number | null) => gridWords(column, value, language, decimals.value[at])
const language = navigator.language
const unitOf = (column: HeadColumn) => (column.kind === 'duration' ? '' : (column.unit ?? ''))
const { limits, widthOf, setWidth, pull, pullByKey } = useColumnWidths(() => props.detail.id)
const widthStyle = (name: string) => {
  const width = widthOf(name)
  return width ? { minWidth: `${width}px`, maxWidth: `${width}px`, width: `${width}px` } : undefined
}
const signOf = (at: number) =>
  ({ up: 'i-lucide-arrow-up-narrow-wide', down: 'i-lucide-arrow-down-wide-narrow', none: 'i-lucide-arrow-down-up' })[wayOf(at) ?? 'none']
const wayOf = (at: number) => (order.value?.column === at ? order.value.way : null)
/** The ways that rows can be looked at by a column. */
const ordersOf = (column: HeadColumn, at: number) => [
  [
    { way: 'up' as const, label: isAmount(column) ? 'Least first' : column.type === 'date' ? 'Earliest first' : 'A to Z' },
    { way: 'down' as const, label: isAmount(column) ? 'Greatest first' : column.type === 'date' ? 'Latest first' : 'Z to A' },
  ].map(({ way, label }) => ({
    label,
    icon: way === 'up' ? 'i-lucide-arrow-up-narrow-wide' : 'i-lucide-arrow-down-wide-narrow',
    onSelect: () => void (order.value = { column: at, way }),
  })),
  [{ label: 'As it is written', icon: 'i-lucide-list', disabled: !order.value, onSelect: () => void (order.value = null) }],
]
/** What total rows say of a column; where times were gathered into rows the totals stand for none of them. */
function sumIn(total: TotalRow, name: string) {
  return total.sums.find(({ column }) => column === name)
}
const totals = computed(() =>
  reading.value.totals.filter(
    total => !total.sums.length || total.sums.some(({ column }) => columns.value.some(({ name }) => name === column)),
  ),
)
watch(
  () => props.detail,
  (now, last) => {
    if (now.id !== last.id) place.value?.scrollTo({ top: 0, left: 0 })
  },
)
</script>

<template>
  <div ref="place" class="place" tabindex="0" role="group" :aria-label="`Rows of ${detail.name}`">
    <table :aria-rowcount="detail.shown.rows + 1">
      <thead>
        <tr>
          <th class="number" scope="col"><span class="hidden-words">Row</span></th>
          <th
            v-for="(column, at) in columns"
            :key="column.name"
            scope="col"
            :class="{ open: column.open }"
            :style="widthStyle(column.name)"
            :aria-sort="wayOf(at) === 'up' ? 'ascending' : wayOf(at) === 'down' ? 'descending' : undefined"
          >
            <DataColumn
              v-if="readings.get(column.name)"
              :reading="readings.get(column.name)!"
              :can-edit="canEdit"
              @decide="(label, choice) => emit('decide', column.name, label, choice)"
            />
            <p v-else-if="!detail.steps" class="gathered">Gathered from columns that stood across</p>
            <UContextMenu :items="ordersOf(column, at)">
              <div class="name">
                <span :title="column.name">{{ column.name }}</span>
                <span class="unit">{{ unitOf(column) }}</span>
                <UDropdownMenu :items="ordersOf(column, at)">
                  <UButton
                    variant="bare"
                    class="sort"
                    :class="{ ordered: wayOf(at) }"
                    :icon="signOf(at)"
                    :aria-label="`Order rows by ${column.name}`"
                  />
                </UDropdownMenu>
              </div>
            </UContextMenu>
            <span
              class="edge"
              role="separator"
              tabindex="0"
              aria-orientation="vertical"
              :aria-label="`Width of ${column.name}`"
              :aria-valuenow="widthOf(column.name) ?? limits.usual"
              :aria-valuemin="limits.least"
              :aria-valuemax="limits.most"
              @pointerdown="pull(column.name, $event)"
              @keydown="pullByKey(column.name, $event)"
              @dblclick="setWidth(column.name, undefined)"
            />
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-if="before > 0" aria-hidden="true"><td :colspan="columns.length + 1" :style="{ height: `${before}px` }" /></tr>
        <tr v-for="row in inSight" :key="row.index" :aria-rowindex="row.index + 2">
          <th class="number amount quiet" scope="row">{{ numberWords(row.number + 1) }}</th>
          <td
            v-for="(column, at) in columns"
            :key="column.name"
            :class="{ figures: isAmount(column), open: column.open, missing: row.cells && row.cells[at] === null }"
            :style="widthStyle(column.name)"
          >
            <template v-if="!row.cells">…</template>
            <template v-else-if="row.cells[at] === null">missing</template>
            <template v-else>{{ words(column, at, row.cells[at]!) }}</template>
          </td>
        </tr>
        <tr v-if="after > 0" aria-hidden="true"><td :colspan="columns.length + 1" :style="{ height: `${after}px` }" /></tr>
      </tbody>
      <tfoot v-if="totals.length">
        <tr v-for="total in totals" :key="total.row">
          <th class="number" />
          <td
            v-for="(column, at) in columns"
            :key="column.name"
            :class="{ figures: isAmount(column), wrong: sumIn(total, column.name)?.agrees === false }"
          >
            <template v-if="sumIn(total, column.name)">
              {{ words(column, at, sumIn(total, column.name)!.written) }}
              <span v-if="sumIn(total, column.name)!.agrees" class="quiet">agrees</span>
              <span v-else>, sum {{ words(column, at, sumIn(total, column.name)!.sum) }}</span>
            </template>
            <template v-else-if="at === 0">{{ total.label || 'Total' }}, kept apart</template>
          </td>
        </tr>
      </tfoot>
    </table>
  </div>
</template>

<style scoped>
.place {
  overflow: auto;
  border: 1px solid var(--line);
  border-radius: 12px;
  background: var(--panel);
  min-height: 0;
}
table {
  border-collapse: separate;
  border-spacing: 0;
  font-size: 13.5px;
  min-width: 100%;
}
th,
td {
  border-right: 1px solid var(--line);
  border-bottom: 1px solid var(--line);
  font-weight: 400;
  text-align: left;
}
tr > :last-child {
  border-right: 0;
}
thead th {
  position: sticky;
  top: 0;
  z-index: 1;
  background: var(--panel);
  padding: 0;
  min-width: 118px;
  max-width: 260px;
  vertical-align: top;
}
.name {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  padding: 6px 10px;
  border-top: 1px solid var(--line);
  font-weight: 600;
}
.name span:first-child {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.name span:first-child {
  margin-right: auto;
}
.sort {
  flex: none;
  opacity: 0;
  color: var(--second);
}
th:hover .sort,
.sort:focus-visible,
.sort[aria-expanded='true'],
.sort.ordered {
  opacity: 1;
}
.sort.ordered {
  color: var(--act);
}
.edge {
  position: absolute;
  top: 0;
  right: -4px;
  bottom: 0;
  width: 8px;
  z-index: 2;
  cursor: col-resize;
  touch-action: none;
}
.edge:hover,
.edge:focus-visible {
  background: linear-gradient(var(--act), var(--act)) center / 2px 100% no-repeat;
}
.edge:focus-visible {
  outline: 2px solid var(--act);
  outline-offset: -1px;
}
.unit {
  color: var(--second);
  font-weight: 400;
}
thead th.open .name {
  background: var(--now-wash);
  color: var(--now-ink);
}
td.open {
  background: color-mix(in srgb, var(--now-wash) 45%, transparent);
}
td,
tbody th {
  height: 27px;
  padding: 0 10px;
  max-width: 260px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.number {
  width: 44px;
  min-width: 44px !important;
  text-align: right !important;
}
td.figures {
  text-align: right;
  font-family: 'Spline Sans Mono', monospace;
  font-size: 13px;
}
.missing {
  color: var(--third);
  font-style: italic;
}
.gathered {
  height: 112px;
  margin: 0;
  padding: 9px 10px;
  font-size: 12.5px;
  color: var(--second);
}
tfoot td,
tfoot th {
  position: sticky;
  bottom: 0;
  background: var(--well);
  border-bottom: 0;
}
tfoot .wrong {
  color: var(--wrong);
  font-weight: 600;
}
</style>
