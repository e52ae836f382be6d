<script setup lang="ts">
import { rowCount, type DataTable } from '#core/data'
import type { ChartSpec } from '#core/model'

/**
 * A choice among drawings of a table’s own rows, best first, those that lack something apart; `panel` says more of the one that is chosen.
 */
interface DrawnTile {
  name: string
  label: string
  spec: ChartSpec
  words: string
  /** Whether the words warn. */
  warns: boolean
}
defineProps<{
  table: DataTable | undefined
  /** Why the table is not here. */
  lack: string
  /** What is said of a table without rows. */
  empty: string
  tiles: readonly DrawnTile[]
  chosen: string | null
  lacking: readonly { name: string; label: string; lacks: string }[]
  /** What one of them is called, as “kind”; two and more. */
  one: string
  many: string
  /** What the panel is of. */
  panelLabel: string
}>()
const emit = defineEmits<{ choose: [name: string] }>()
/** Drawings are laid out for a room in which their words can be read once they are small. */
const room = { width: 588, height: 330 }
</script>

<template>
  <div class="draw">
    <p v-if="lack" class="wait" role="alert">{{ lack }} It is asked for again by itself.</p>
    <p v-else-if="!table" class="quiet wait" role="status">Bringing the table…</p>
    <p v-else-if="!rowCount(table)" class="wait">{{ empty }}</p>
    <template v-else>
      <div class="choice">
        <slot name="above" />
        <div v-if="tiles.length || lacking.length" class="tiles" @keydown="walkGrid($event, '.tile')">
          <UButton
            v-for="tile in tiles"
            :key="tile.name"
            variant="bare"
            class="tile"
            :class="{ here: tile.name === chosen, warns: tile.warns }"
            :aria-pressed="tile.name === chosen"
            @click="emit('choose', tile.name)"
          >
            <span class="picture"><ChartDrawing :spec="tile.spec" :table="table" v-bind="room" :most="3000" /></span>
            <b>{{ tile.label }}</b>
            <span :class="tile.warns ? 'warning' : 'why'">{{ tile.words }}</span>
          </UButton>
          <div v-if="lacking.length" class="lacking">
            <b>{{ lacking.length === 1 ? `One more ${one}` : `${numberWords(lacking.length)} more ${many}` }}</b>
            <span v-for="entry in lacking" :key="entry.name">{{ entry.label }}: needs {{ entry.lacks }}.</span>
          </div>
        </div>
      </div>
      <aside v-if="chosen !== null" class="panel" :aria-label="panelLabel"><slot name="panel" :table="table" /></aside>
    </template>
  </div>
</template>

<style scoped>
.draw {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  gap: 18px;
  flex: 1;
  min-height: 0;
}
.wait {
  grid-column: 1 / -1;
  margin: auto;
}
.choice {
  display: flex;
  flex-direction: column;
  gap: 10px;
  min-height: 0;
}
.tiles {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(208px, 1fr));
  gap: 16px 14px;
  align-content: start;
  overflow-y: auto;
  min-height: 0;
  padding: 3px 4px 20px 3px;
}
.tile {
  display: flex;
  flex-direction: column;
  align-items: stretch;
  justify-content: flex-start;
  gap: 2px;
  text-align: left;
  font-size: 13px;
  white-space: normal;
  border-radius: 10px;
}
.picture {
  display: block;
  padding: 6px;
  margin-bottom: 4px;
  background: var(--panel);
  border: 1px solid var(--line);
  border-radius: 8px;
}
.tile.here .picture {
  outline: 2px solid var(--act);
  outline-offset: 1px;
}
.tile.warns .picture {
  border-color: var(--wrong);
}
.why {
  color: var(--second);
}
.warning {
  color: var(--wrong);
}
.lacking {
  display: flex;
  flex-direction: column;
  gap: 4px;
  padding: 12px 14px;
  font-size: 12px;
  color: var(--second);
  border: 1px dashed var(--line);
  border-radius: 8px;
}
.lacking b {
  font-size: 13px;
  color: var(--ink);
}
.panel {
  display: flex;
  flex-direction: column;
  gap: 10px;
  overflow-y: auto;
  min-height: 0;
  padding: 2px 4px 0;
}
.panel :slotted(p),
.panel :slotted(h3),
.panel :slotted(h4) {
  margin: 0;
}
.panel :slotted(h3) {
  font-size: 17px;
}
@media (max-width: 1150px) {
  .draw {
    grid-template-columns: minmax(0, 1fr) 280px;
  }
}
</style>
