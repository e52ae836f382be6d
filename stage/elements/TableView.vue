<script setup lang="ts">
import { computed } from 'vue'
import { cssColor, hexOf, hexOver, readableOn } from '#core/color'
import type { Deck, TableElement, Theme } from '#core/model'
import { styleNamed, type ShownElement } from '#core/resolved'
import { layoutOfTable, type TableCell } from '#core/tables'
import type { StageHost } from '../host'
import { fontStack } from '../measurer'

/** A table: every cell a part of its own, so that rows and columns can build in. */
const props = defineProps<{ deck: Deck; theme: Theme; element: TableElement & ShownElement; host: StageHost; prompts: boolean }>()
const layout = computed(() => layoutOfTable(props.deck, props.element, props.host.table, props.host.measurer))
const palette = computed(() => props.theme.palette)
const body = computed(() => styleNamed(props.theme, 'body'))
const family = computed(() => fontStack(body.value.family ?? props.theme.fonts[body.value.font]))
const color = computed(() => hexOf(props.element.color ?? { role: 'accent1' }, palette.value))
const band = computed(() => hexOver({ hex: color.value, alpha: 0.1 }, palette.value.ground, palette.value))
const rule = computed(() => cssColor({ role: 'ink', alpha: 0.22 }, palette.value))
const rules = computed(() => props.element.rules ?? 'rows')
function cellStyle(cell: TableCell) {
  const thin = `${Math.max(1, layout.value!.size * 0.04)}px solid ${rule.value}`
  const { across } = layout.value!.pad
  return {
    left: `${cell.x}px`,
    top: `${cell.y}px`,
    width: `${cell.width}px`,
    height: `${cell.height}px`,
    padding: `0 ${across}px`,
    fontSize: `${layout.value!.size}px`,
    textAlign: cell.align,
    fontWeight: cell.kind === 'body' ? body.value.weight : Math.max(600, body.value.weight),
    ...(cell.kind === 'head'
      ? { background: color.value, color: palette.value[readableOn(color.value, palette.value)] }
      : { color: palette.value.ink, ...(cell.band ? { background: band.value } : {}) }),
    ...(cell.kind === 'total'
      ? { borderTop: `${Math.max(2, layout.value!.size * 0.08)}px solid ${color.value}` }
      : rules.value !== 'none' && cell.kind === 'body'
        ? { borderBottom: thin }
        : {}),
    ...(rules.value === 'grid' && cell.column > 0 ? { borderLeft: thin } : {}),
  }
}
</script>

<template>
  <div class="stage-table" role="table" :aria-label="element.alt || element.name" :style="{ fontFamily: family }">
    <template v-if="layout && layout.cells.length">
      <div
        v-for="cell in layout.cells"
        :key="`${cell.row},${cell.column}`"
        class="stage-cell"
        :role="cell.kind === 'head' ? 'columnheader' : 'cell'"
        :style="cellStyle(cell)"
        :data-part="cell.row * layout.columns + cell.column"
      >
        <span
          v-for="(line, index) in cell.lines"
          :key="index"
          class="stage-cell-line"
          :style="cell.shift ? { transform: `translateX(${cell.shift}px)` } : undefined"
        >
          {{ line }}
        </span>
      </div>
    </template>
    <p v-else-if="prompts" class="stage-empty">{{ element.table ? 'Its data are on their way' : 'Press twice to write in its cells' }}</p>
  </div>
</template>
