<script setup lang="ts">
import type { Change } from '#core/model'
import type { ScoreTurn } from '~/composables/score-bars'

/** The bar of one part: dragged along time, it changes the time from one part to the next. */
const props = defineProps<{
  turn: ScoreTurn
  /** What gives a cue's parts so much time from one to the next, seconds. */ staggered: (cue: string, seconds: number) => Change[]
}>()
const store = useDeck()
const held = (stagger: number) => Math.min(60, Math.max(0, Math.round(stagger * 100) / 100))
const label = 'change the turns of parts'

function press(event: PointerEvent) {
  if (event.button !== 0 || !store.canEdit || props.turn.index === 0) return
  const { cue, stagger, step, index } = props.turn
  tryWhileDragged(event, label, next => {
    const wanted = held(stagger + (next.clientX - event.clientX) / step / index)
    return wanted === stagger ? null : props.staggered(cue, wanted)
  })
}
function nudge(event: KeyboardEvent) {
  if ((event.key !== 'ArrowLeft' && event.key !== 'ArrowRight') || !store.canEdit) return
  event.preventDefault()
  event.stopPropagation()
  store.edit(label, props.staggered(props.turn.cue, held(props.turn.stagger + (event.key === 'ArrowRight' ? 0.05 : -0.05))))
}
</script>

<template>
  <button
    class="turn"
    :class="[turn.tone, { first: turn.index === 0 }]"
    :style="{ left: `${turn.x}px`, top: `${turn.top}px` }"
    :aria-label="`Turn ${turn.index + 1}: ${turn.words}`"
    :title="turn.index ? 'Drag to change the time from one to the next' : undefined"
    @pointerdown="press"
    @keydown="nudge"
  >
    <i :style="{ width: `${turn.width}px` }" />
    <span>{{ turn.words }}</span>
  </button>
</template>

<style scoped>
.turn {
  position: absolute;
  height: 18px;
  display: flex;
  align-items: center;
  gap: 6px;
  border: 0;
  background: none;
  padding: 0;
  font: 500 12px/18px 'Hanken Grotesk';
  color: var(--second);
  cursor: ew-resize;
  touch-action: none;
  z-index: 2;
  white-space: nowrap;
}
.turn.first {
  cursor: default;
}
.turn i {
  display: block;
  height: 8px;
  border-radius: 4px;
  background: var(--tone);
  opacity: 0.7;
}
.turn span {
  max-width: 240px;
  overflow: hidden;
  text-overflow: ellipsis;
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
.move {
  --tone: var(--moves);
}
</style>
