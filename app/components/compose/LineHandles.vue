<script setup lang="ts">
import { setFields } from '#core/edits'
import type { ShapeElement } from '#core/model'
import type { ShownElement } from '#core/resolved'
import { contains, type Point } from '#core/place'
import { placedPoints, placeLine } from '#core/shapes'

/** The points of a line: moved, added between two others; its ends hold on to what they are let go over. */
const props = defineProps<{ element: ShapeElement & ShownElement }>()
const store = useDeck()
const stage = useStage()
const { roomFor } = useSnapping()

const now = computed(() => ({ ...props.element, ...stage.tries[props.element.id] }) as ShapeElement & ShownElement)
const points = computed(() => placedPoints(now.value, now.value.box))
const held = computed(() => !!(props.element.from || props.element.to))
/** Between two points one can be added; a line that holds on to something runs by itself. */
const between = computed(() =>
  held.value || points.value.length > 40
    ? []
    : points.value.slice(1).map((to, index) => ({ x: (to.x + points.value[index]!.x) / 2, y: (to.y + points.value[index]!.y) / 2 })),
)
const over = ref<string | null>(null)

const canHold = (element: ShownElement) =>
  !element.pinned && element.id !== props.element.id && element.kind !== 'group' && !(element.kind === 'shape' && element.shape === 'line')
const elementUnder = (at: Point) => stage.elements.findLast(element => canHold(element) && contains(element.box, at))

function press(event: PointerEvent, index: number, added: boolean) {
  if (event.button !== 0) return
  event.preventDefault()
  const start = [...points.value]
  if (added) start.splice(index, 0, stage.point(event))
  const end = !added && index === 0 ? ('from' as const) : !added && index === start.length - 1 ? ('to' as const) : null
  const room = roomFor(new Set([props.element.id]))
  let hold: { element: string; side: 'auto' } | null = null
  followPointer(
    event,
    move => {
      let to = stage.point(move)
      const under = end && !move.altKey ? elementUnder(to) : undefined
      over.value = under?.id ?? null
      hold = under ? { element: under.id, side: 'auto' } : null
      if (move.shiftKey && start.length > 1) {
        const anchor = start[index === 0 ? 1 : index - 1]!
        const step = Math.PI / 12
        const angle = Math.round(Math.atan2(to.y - anchor.y, to.x - anchor.x) / step) * step
        const length = Math.hypot(to.x - anchor.x, to.y - anchor.y)
        to = { x: anchor.x + Math.cos(angle) * length, y: anchor.y + Math.sin(angle) * length }
      } else if (!move.altKey && !under) {
        const near = (axis: 'x' | 'y') =>
          [
            ...room.others.flatMap(other =>
              axis === 'x'
                ? [other.left, (other.left + other.right) / 2, other.right]
                : [other.top, (other.top + other.bottom) / 2, other.bottom],
            ),
            ...start.filter((_, other) => other !== index).map(point => point[axis]),
            ...(room.guides?.[axis] ?? []),
          ].find(at => Math.abs(at - to[axis]) <= room.reach)
        to = { x: near('x') ?? to.x, y: near('y') ?? to.y }
      }
      const next = start.map((point, at) => (at === index ? to : point))
      const fields = placeLine(now.value, held.value && end ? [next[0]!, next.at(-1)!] : next)
      stage.tries = { [props.element.id]: { ...fields, box: fields.box, ...(end ? { [end]: hold } : {}) } }
    },
    given => {
      const tried = stage.tries[props.element.id]
      over.value = null
      stage.forgetTried()
      if (given && tried)
        store.edit(`bend ${props.element.name}`, setFields(store.current, { table: 'elements', id: props.element.id, fields: tried }))
    },
  )
}
/** Taken out by a double press, as long as two remain. */
function takeOut(index: number) {
  if (points.value.length <= 2 || held.value) return
  store.edit(
    `bend ${props.element.name}`,
    setFields(store.current, {
      table: 'elements',
      id: props.element.id,
      fields: placeLine(
        props.element,
        points.value.filter((_, at) => at !== index),
      ),
    }),
  )
}
const style = (at: Point) => ({ left: `${at.x}px`, top: `${at.y}px`, transform: `translate(-50%,-50%) scale(${1 / stage.scale})` })
const overBox = computed(() => (over.value ? stage.byId.get(over.value)?.box : undefined))
</script>

<template>
  <div class="points">
    <div
      v-if="overBox"
      class="over"
      :style="{
        left: `${overBox.x}px`,
        top: `${overBox.y}px`,
        width: `${overBox.width}px`,
        height: `${overBox.height}px`,
        transform: `rotate(${overBox.angle}deg)`,
        borderWidth: `${3 / stage.scale}px`,
      }"
    />
    <span
      v-for="(at, index) in between"
      :key="`b${index}`"
      class="between"
      title="Drag to bend here"
      :style="style(at)"
      @pointerdown.stop="press($event, index + 1, true)"
    />
    <template v-for="(at, index) in points" :key="index">
      <span
        v-if="!held || index === 0 || index === points.length - 1"
        class="point"
        :class="{ holds: (index === 0 && element.from) || (index === points.length - 1 && element.to) }"
        :data-point="index"
        :style="style(at)"
        @pointerdown.stop="press($event, index, false)"
        @dblclick.stop="takeOut(index)"
      />
    </template>
  </div>
</template>

<style scoped>
.points {
  position: absolute;
  inset: 0;
  pointer-events: none;
}
.point,
.between {
  position: absolute;
  width: 11px;
  height: 11px;
  border: 1.5px solid #12615c;
  background: #fff;
  border-radius: 50%;
  pointer-events: auto;
  cursor: crosshair;
  touch-action: none;
}
.point::after,
.between::after {
  content: '';
  position: absolute;
  inset: -6px;
}
.point.holds {
  background: #12615c;
}
.between {
  width: 8px;
  height: 8px;
  opacity: 0.65;
  border-style: dashed;
}
.over {
  position: absolute;
  border-style: solid;
  border-color: #e6a037;
  border-radius: 4px;
}
</style>
