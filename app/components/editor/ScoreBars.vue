<script setup lang="ts">
import type { ScoreCue } from '#core/timing'

/** The cues of one row of the score as bars: their shape tells what they do, their words by what. */
defineProps<{ bars: readonly { item: ScoreCue; x: number; width: number; label: string; lane: number }[]; name: string }>()
const emit = defineEmits<{
  press: [event: PointerEvent, item: ScoreCue, part: 'start' | 'body' | 'edge']
  key: [event: KeyboardEvent, item: ScoreCue]
}>()
const store = useDeck()
const many = useScore()
</script>

<template>
  <button
    v-for="bar in bars"
    :key="bar.item.cue.id"
    class="bar"
    :class="[bar.item.cue.what, { here: many.chosen.includes(bar.item.cue.id), thin: bar.width < thinnestBar }]"
    :style="{ left: `${bar.x}px`, top: `${7 + bar.lane * 28}px`, width: `${bar.width}px` }"
    :aria-label="`${bar.label} of ${name}, beat ${bar.item.beat + 1}`"
    :data-cue="bar.item.cue.id"
    title="Drag to move. Arrows move, with Alt its end, with Ctrl its start; Shift: by a second"
    @pointerdown="emit('press', $event, bar.item, 'body')"
    @keydown="emit('key', $event, bar.item)"
    @click="$event.detail === 0 && many.choose(bar.item.cue.id, $event.shiftKey)"
  >
    <span class="shape" />
    <span class="words">{{ bar.label }}</span>
    <template v-if="store.canEdit && bar.item.cue.what !== 'media'">
      <span v-if="bar.width >= 24" class="edge start" @pointerdown.stop="emit('press', $event, bar.item, 'start')" />
      <span class="edge" @pointerdown.stop="emit('press', $event, bar.item, 'edge')" />
    </template>
  </button>
</template>

<style scoped>
.bar {
  position: absolute;
  height: 22px;
  border: 0;
  background: none;
  padding: 0;
  color: #fff;
  font: 500 12.5px/22px 'Hanken Grotesk';
  cursor: grab;
  text-align: left;
  z-index: 2;
  touch-action: none;
}
.shape {
  position: absolute;
  inset: 0;
  background: var(--tone);
}
.enter {
  --tone: var(--comes);
}
.exit {
  --tone: var(--goes);
}
.emphasis {
  --tone: var(--eye);
}
.move,
.pose,
.camera {
  --tone: var(--moves);
}
.data,
.media {
  --tone: var(--data);
}
.enter .shape {
  clip-path: polygon(10px 0, 100% 0, 100% 100%, 0 100%);
}
.exit .shape {
  clip-path: polygon(0 0, calc(100% - 10px) 0, 100% 100%, 0 100%);
}
.emphasis .shape {
  clip-path: polygon(8px 0, calc(100% - 8px) 0, 100% 50%, calc(100% - 8px) 100%, 8px 100%, 0 50%);
}
.bar.here .shape {
  filter: brightness(0.75);
  box-shadow: inset 0 0 0 2px var(--ink);
}
.words {
  position: absolute;
  top: 0;
  left: 14px;
  right: 6px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  pointer-events: none;
}
.thin .words {
  left: calc(100% + 6px);
  right: auto;
  color: var(--ink);
  overflow: visible;
}
.dark .bar:not(.thin) {
  color: #10191c;
}
.edge {
  position: absolute;
  right: -4px;
  top: -2px;
  bottom: -2px;
  width: 10px;
  cursor: ew-resize;
}
.edge.start {
  right: auto;
  left: -4px;
}
</style>
