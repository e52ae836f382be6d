<script setup lang="ts">
import type { BoardView } from '#core/model'
import type { Box } from '#core/values'

/** The views of a board over the stage at work: dragged by their frames and names, sized at a corner in the shape of the picture. */
const store = useDeck()
const stage = useStage()
const board = useBoard()
const tried = shallowRef<{ id: string; box: Box } | null>(null)
const boxOf = (view: BoardView) => (tried.value?.id === view.id ? tried.value.box : view.box)
const unit = computed(() => 1 / stage.scale)
const least = 80

function press(event: PointerEvent, view: BoardView, part: 'place' | 'corner') {
  if (event.button !== 0) return
  event.stopPropagation()
  board.view = view.id
  if (!store.canEdit) return
  event.preventDefault()
  const start = stage.point(event)
  const { box } = view
  const ratio = box.height / box.width
  followPointer(
    event,
    move => {
      const to = stage.point(move)
      const [dx, dy] = [to.x - start.x, to.y - start.y]
      if (part === 'place') {
        tried.value = { id: view.id, box: { ...box, x: Math.round(box.x + dx), y: Math.round(box.y + dy) } }
        return
      }
      const width = Math.max(least, Math.round(box.width + Math.max(dx, dy / ratio)))
      tried.value = { id: view.id, box: { ...box, width, height: Math.round(width * ratio) } }
    },
    given => {
      const made = tried.value
      tried.value = null
      if (given && made) board.change(view.id, part === 'place' ? 'move a view' : 'size a view', { box: made.box })
    },
  )
}
const steps: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}
function nudge(event: KeyboardEvent, view: BoardView) {
  const step = steps[event.key]
  if (!step || !store.canEdit) return
  event.preventDefault()
  event.stopPropagation()
  const by = event.shiftKey ? 40 : event.altKey ? 1 : 8
  board.change(view.id, 'move a view', { box: { ...view.box, x: view.box.x + step[0] * by, y: view.box.y + step[1] * by } })
}
</script>

<template>
  <div
    v-for="(view, index) in board.views"
    :key="view.id"
    class="view"
    :class="{ here: board.view === view.id }"
    :style="{
      left: `${boxOf(view).x}px`,
      top: `${boxOf(view).y}px`,
      width: `${boxOf(view).width}px`,
      height: `${boxOf(view).height}px`,
      transform: view.box.angle ? `rotate(${view.box.angle}deg)` : undefined,
      borderWidth: `${2 * unit}px`,
      borderRadius: `${6 * unit}px`,
    }"
  >
    <button
      class="name"
      :style="{
        fontSize: `${13 * unit}px`,
        padding: `${2 * unit}px ${9 * unit}px`,
        borderRadius: `${7 * unit}px`,
        left: `${8 * unit}px`,
        top: `${8 * unit}px`,
        maxWidth: `calc(100% - ${16 * unit}px)`,
      }"
      :aria-label="`View ${index + 1}, ${view.name}`"
      @pointerdown="press($event, view, 'place')"
      @keydown="nudge($event, view)"
      @dblclick.stop="stage.zoomOn(view.box)"
    >
      {{ index + 1 }} {{ view.name }}
    </button>
    <span
      v-if="store.canEdit && board.view === view.id"
      class="corner"
      aria-hidden="true"
      :style="{
        width: `${12 * unit}px`,
        height: `${12 * unit}px`,
        right: `${-6 * unit}px`,
        bottom: `${-6 * unit}px`,
        borderWidth: `${2 * unit}px`,
      }"
      @pointerdown="press($event, view, 'corner')"
    />
  </div>
</template>

<style scoped>
.view {
  position: absolute;
  border: solid color-mix(in srgb, var(--act) 55%, transparent);
  pointer-events: none;
}
.view.here {
  border-color: var(--act);
  background: color-mix(in srgb, var(--act) 5%, transparent);
}
.name {
  position: absolute;
  pointer-events: auto;
  border: 0;
  background: var(--act);
  color: var(--on-act);
  font-weight: 600;
  font-family: inherit;
  cursor: move;
  touch-action: none;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.corner {
  position: absolute;
  pointer-events: auto;
  border: solid var(--act);
  background: var(--panel);
  border-radius: 50%;
  cursor: nwse-resize;
  touch-action: none;
}
</style>
