<script setup lang="ts">
import { placeElements, topsOf } from '#core/edits'
import { isFraming } from '#core/families'
import { pressed, type ShownElement } from '#core/resolved'
import type { Box, Id } from '#core/values'
import { boundsOf, movedBy, overlap, snapMove } from '#core/place'
import { touches } from '#core/shapes'

/** What is pressed on the stage: parts are selected, moved and reached under others. It stays as it is while parts move. */
const emit = defineEmits<{ open: [element: ShownElement, top: Id, at: { x: number; y: number }] }>()
const props = defineProps<{ dropAt: Id | null }>()
const store = useDeck()
const selected = useSelected()
const stage = useStage()
const { roomFor } = useSnapping()
const { nameOf } = useArranging()
const layer = ref<HTMLElement>()
const marquee = ref<{ left: number; top: number; right: number; bottom: number } | null>(null)
/** Where the last press that moved nothing was, so that the next one there reaches under. */
let last: { x: number; y: number; at: number } | null = null

const hits = computed(() => stage.elements.filter(element => !element.pinned))
/** What a layout draws about a slide’s content, a veil over a picture or a ring about it, is reached after the content. */
const byReach = computed(() => [
  ...hits.value.filter(({ placeholder }) => isFraming(placeholder)),
  ...hits.value.filter(({ placeholder }) => !isFraming(placeholder)),
])
const isLine = (element: ShownElement) => element.kind === 'shape' && element.shape === 'line'
const topOf = (element: ShownElement) => pressed(store.current, element.id, stage.opened)
const tabbable = (element: ShownElement) => topOf(element) === element.id
const boxStyle = (element: ShownElement) => {
  const { x, y, width, height, angle } = element.box
  return { left: `${x}px`, top: `${y}px`, width: `${width}px`, height: `${height}px`, transform: angle ? `rotate(${angle}deg)` : undefined }
}
/** The parts under a place, front to back, each as what a press on it means. */
function stackAt(at: { x: number; y: number }): { leaf: ShownElement; top: Id }[] {
  const made: { leaf: ShownElement; top: Id }[] = []
  for (const leaf of byReach.value.toReversed()) {
    if (leaf.kind === 'group' || !touches(leaf, at, 7 / stage.scale)) continue
    const top = topOf(leaf)
    if (!made.some(entry => entry.top === top)) made.push({ leaf, top })
  }
  return made
}
const focus = (id: Id) => layer.value?.querySelector<HTMLElement>(`[data-hit="${id}"]`)?.focus({ preventScroll: true })

function press(event: PointerEvent) {
  if (event.button !== 0) return
  stage.editing = stage.framing = null
  const from = stage.point(event)
  const stack = stackAt(from)
  if (!stack.length) return pressGround(event)
  event.preventDefault()
  const inHand = stack.find(entry => selected.elements.includes(entry.top))
  const target = inHand ?? stack[0]!
  const again = !!last && Math.hypot(last.x - event.clientX, last.y - event.clientY) < 5 && event.timeStamp - last.at > 320
  if (event.shiftKey) selected.toggle(stack[0]!.top)
  else if (!inHand) selected.select(target.top)
  focus(target.top)
  const moving = stage.leaves(stage.movable).filter(element => !element.locked)
  const room = roomFor(new Set(moving.map(element => element.id)))
  let moved = false
  followPointer(
    event,
    move => {
      if (!moving.length) return
      const to = stage.point(move)
      let by = { x: to.x - from.x, y: to.y - from.y }
      if (!moved && Math.hypot(by.x, by.y) * stage.scale < 3) return
      moved = true
      if (move.shiftKey) by = Math.abs(by.x) >= Math.abs(by.y) ? { x: by.x, y: 0 } : { x: 0, y: by.y }
      const snapped = snapMove(
        moving.map(element => movedBy(element.box, by)),
        move.altKey ? { ...room, reach: 0 } : room,
      )
      const shift = { x: by.x + snapped.shift.x, y: by.y + snapped.shift.y }
      stage.guides = snapped.guides
      stage.measures = snapped.measures
      stage.tries = Object.fromEntries(moving.map(element => [element.id, { box: movedBy(element.box, shift) }]))
    },
    given => {
      const tried = stage.tries
      stage.forgetTried()
      if (moved) {
        last = null
        if (given)
          store.edit(
            `move ${nameOf(stage.movable)}`,
            placeElements(store.current, {
              boxes: Object.fromEntries(Object.entries(tried).map(([id, fields]) => [id, fields.box as Box])),
            }),
          )
        return
      }
      if (!event.shiftKey && inHand) {
        // Pressed again where it stands: what lies under it comes into the hand; elsewhere, what is in front.
        const next = again ? stack[(stack.indexOf(inHand) + 1) % stack.length]! : selected.elements.length > 1 || !last ? inHand : stack[0]!
        if (!selected.elements.includes(next.top) || selected.elements.length > 1) selected.select(next.top)
        focus(next.top)
      }
      last = { x: event.clientX, y: event.clientY, at: event.timeStamp }
    },
  )
}

function pressGround(event: PointerEvent) {
  event.preventDefault()
  if (document.activeElement instanceof HTMLElement) document.activeElement.blur()
  last = null
  const kept = event.shiftKey ? [...selected.elements] : []
  if (!event.shiftKey) {
    if (!selected.elements.length) stage.opened = null
    selected.select()
  }
  const from = stage.point(event)
  followPointer(
    event,
    move => {
      const to = stage.point(move)
      const frame = {
        left: Math.min(from.x, to.x),
        right: Math.max(from.x, to.x),
        top: Math.min(from.y, to.y),
        bottom: Math.max(from.y, to.y),
      }
      if ((frame.right - frame.left + frame.bottom - frame.top) * stage.scale < 6) return
      marquee.value = frame
      const under = hits.value
        .filter(element => element.kind !== 'group' && !element.locked && overlap(boundsOf(element.box), frame))
        .map(topOf)
      selected.select(...topsOf(store.current, [...new Set([...kept, ...under])]))
    },
    () => {
      marquee.value = null
    },
  )
}

function pressTwice(event: MouseEvent) {
  const stack = stackAt(stage.point(event))
  const target = stack.find(entry => selected.elements.includes(entry.top)) ?? stack[0]
  if (target) emit('open', target.leaf, target.top, { x: event.clientX, y: event.clientY })
  else stage.opened = null
}

/** Tab walks the parts and selects the one that it reaches; a press has selected already. */
function reached(event: FocusEvent, id: Id) {
  if ((event.currentTarget as HTMLElement).matches(':focus-visible') && !selected.elements.includes(id)) selected.select(id)
}
defineExpose({ stackAt, pressGround })
</script>

<template>
  <div ref="layer" class="hits" @pointerdown="press" @dblclick="pressTwice">
    <div
      v-for="element in hits"
      :key="element.id"
      v-memo="[element, selected.elements.includes(element.id), tabbable(element), props.dropAt === element.id]"
      class="hit"
      :class="{
        drop: props.dropAt === element.id,
        locked: element.locked,
        thin: isLine(element) || element.kind === 'group',
        content: !isFraming(element.placeholder),
      }"
      :style="boxStyle(element)"
      :tabindex="tabbable(element) ? 0 : -1"
      role="button"
      :aria-label="`${element.name}, ${element.kind}`"
      :aria-pressed="selected.elements.includes(element.id)"
      :data-hit="element.id"
      :data-menu="element.id"
      @focus="reached($event, element.id)"
    />
    <div
      v-if="marquee"
      class="marquee"
      :style="{
        left: `${marquee.left}px`,
        top: `${marquee.top}px`,
        width: `${marquee.right - marquee.left}px`,
        height: `${marquee.bottom - marquee.top}px`,
        borderWidth: `${1 / stage.scale}px`,
      }"
    />
  </div>
</template>

<style scoped>
.hits {
  position: absolute;
  inset: 0;
  /* What is above what in here is of no matter to the handles over it. */
  isolation: isolate;
}
.hit {
  position: absolute;
  cursor: move;
  touch-action: none;
  outline: none;
}
.hit.content {
  z-index: 1;
}
.hit.thin {
  pointer-events: none;
}
.hit:hover {
  box-shadow: 0 0 0 2px color-mix(in srgb, var(--act) 45%, transparent);
}
.hit.locked {
  cursor: default;
}
.hit.drop {
  box-shadow: inset 0 0 0 6px var(--act);
  background: color-mix(in srgb, var(--act) 12%, transparent);
}
.marquee {
  position: absolute;
  border: 1px dashed #12615c;
  background: rgb(18 97 92 / 0.1);
  pointer-events: none;
}
</style>
