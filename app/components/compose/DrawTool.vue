<script setup lang="ts">
import { addElement, placeElements, setFields } from '#core/edits'
import type { ShapeElement } from '#core/model'
import type { ShownElement } from '#core/resolved'
import { angleAlong, bestPorts, contains, routeAround, type Point } from '#core/place'
import { linePath, placeLine, thinned } from '#core/shapes'

/** Draws with the pointer: lines, strokes of the hand, lines that hold two parts together, and the angle of an edge beneath. */
const store = useDeck()
const where = useWhere()
const selected = useSelected()
const stage = useStage()
const { nameOf } = useArranging()
const points = shallowRef<Point[]>([])
const hover = ref<Point | null>(null)
const from = ref<string | null>(null)
const over = ref<string | null>(null)

const canHold = (element: ShownElement) =>
  !element.pinned && element.kind !== 'group' && !(element.kind === 'shape' && element.shape === 'line')
const under = (at: Point) => stage.elements.findLast(element => canHold(element) && contains(element.box, at))?.id ?? null
const angle = computed(() => (points.value.length && hover.value ? angleAlong(points.value[0]!, hover.value) : 0))
const words: Readonly<Record<string, string>> = {
  straight: 'Drag a line, or press point after point and Enter',
  curve: 'Press the points that the curve goes through, then Enter',
  elbow: 'Press the corners, then Enter',
  freehand: 'Draw; let go to end the stroke',
  area: 'Draw round what shall move; let go to close it',
  connector: 'Drag from one element to another',
  angle: 'Press two points along the edge that the element shall follow',
}
const byHand = computed(() => stage.tool === 'freehand' || stage.tool === 'area')
const way = computed(() =>
  stage.tool === 'curve'
    ? ('curve' as const)
    : stage.tool === 'elbow'
      ? ('elbow' as const)
      : stage.tool === 'freehand' || stage.tool === 'area'
        ? ('freehand' as const)
        : ('straight' as const),
)
const path = computed(() => {
  const all = hover.value && points.value.length && !byHand.value ? [...points.value, hover.value] : points.value
  if (stage.tool === 'connector' && from.value && hover.value) {
    const start = stage.byId.get(from.value)!.box
    const end =
      over.value && over.value !== from.value
        ? stage.byId.get(over.value)!.box
        : { x: hover.value.x, y: hover.value.y, width: 0, height: 0, angle: 0 }
    const ports = bestPorts(start, end)
    return linePath(
      'elbow',
      routeAround(ports.from, over.value && over.value !== from.value ? ports.to : { point: hover.value, out: null }, []).map(
        point => [point.x, point.y] as const,
      ),
    )
  }
  return all.length > 1
    ? linePath(
        way.value,
        all.map(point => [point.x, point.y] as const),
      )
    : ''
})
/** With Shift a stretch runs at a multiple of 15°. */
function squared(start: Point | undefined, at: Point, square: boolean): Point {
  if (!square || !start) return at
  const step = Math.PI / 12
  const turn = Math.round(Math.atan2(at.y - start.y, at.x - start.x) / step) * step
  const length = Math.hypot(at.x - start.x, at.y - start.y)
  return { x: start.x + Math.cos(turn) * length, y: start.y + Math.sin(turn) * length }
}
const stroke = { color: { role: 'ink' as const }, width: 6 }
function end() {
  points.value = []
  hover.value = from.value = over.value = null
  stage.tool = null
}
function put(label: string, fields: Pick<ShapeElement, 'name'> & Partial<ShapeElement>) {
  const id = freshId()
  store.edit(label, addElement(store.current, { element: { id, owner: where.stageId!, kind: 'shape', shape: 'line', ...fields } }))
  end()
  selected.select(id)
}
function finish() {
  // The second press of a double one stands where the first did.
  const made = points.value.filter(
    (point, index, all) => index === 0 || Math.hypot(point.x - all[index - 1]!.x, point.y - all[index - 1]!.y) * stage.scale > 2,
  )
  if (made.length > 1)
    put('draw a line', {
      name: way.value === 'curve' ? 'Curve' : way.value === 'freehand' ? 'Stroke' : 'Line',
      stroke,
      ...placeLine({ line: { way: way.value, points: [] } }, made),
    })
  else end()
}
/** What moves of the chosen film: the corners of the area as fractions of its box, which may stand turned. */
function keepArea() {
  const film = stage.single
  if (film?.kind === 'film') {
    const { box } = film
    const turn = (-box.angle * Math.PI) / 180
    const corners = points.value.map(({ x, y }): [number, number] => {
      const [dx, dy] = [x - box.x - box.width / 2, y - box.y - box.height / 2]
      return [
        0.5 + (dx * Math.cos(turn) - dy * Math.sin(turn)) / box.width,
        0.5 + (dx * Math.sin(turn) + dy * Math.cos(turn)) / box.height,
      ].map(share => Math.round(share * 10_000) / 10_000) as [number, number]
    })
    if (corners.length >= 3)
      store.edit(
        `let ${film.name} move in an area`,
        setFields(store.current, {
          table: 'elements',
          id: film.id,
          fields: { moving: { points: corners.slice(0, 2000), soft: film.moving?.soft ?? 24 } },
        }),
      )
  }
  end()
}
function turnTo() {
  const [a] = points.value
  const b = hover.value
  if (a && b && Math.hypot(a.x - b.x, a.y - b.y) * stage.scale > 6) {
    const turned = angleAlong(a, b)
    store.edit(
      `turn ${nameOf(stage.movable)}`,
      placeElements(store.current, {
        boxes: Object.fromEntries(stage.leaves(stage.movable).map(element => [element.id, { ...element.box, angle: turned }])),
      }),
    )
    end()
  }
}
function press(event: PointerEvent) {
  if (event.button !== 0) return
  event.preventDefault()
  const at = stage.point(event)
  if (stage.tool === 'connector') connect(event, at)
  else if (byHand.value) drawByHand(event, at)
  else setPoint(event, at)
}
/** Holds what is pressed on together with what it is dragged to. */
function connect(event: PointerEvent, start: Point) {
  from.value = under(start)
  followPointer(
    event,
    move => {
      hover.value = stage.point(move)
      over.value = under(hover.value)
    },
    given => {
      const [a, b, to] = [from.value, over.value, hover.value]
      if (!given || !to || (a && a === b) || (!a && Math.hypot(to.x - start.x, to.y - start.y) * stage.scale < 6)) return end()
      put('connect', {
        name: 'Connector',
        stroke,
        ends: { start: 'none', end: 'solid' },
        from: a ? { element: a, side: 'auto' } : null,
        to: b ? { element: b, side: 'auto' } : null,
        ...placeLine({ line: { way: 'elbow', points: [] } }, [start, to]),
      })
    },
  )
}
function drawByHand(event: PointerEvent, at: Point) {
  points.value = [at]
  followPointer(
    event,
    move => {
      points.value = [...points.value, ...(move.getCoalescedEvents?.() ?? [move]).map(stage.point)]
    },
    given => {
      if (!given || points.value.length < 3) return end()
      points.value = thinned(points.value, 1.2 / stage.scale)
      if (stage.tool === 'area') keepArea()
      else finish()
    },
  )
}
/** One more point of a line, or the two of an angle. */
function setPoint(event: PointerEvent, at: Point) {
  const first = points.value[0]
  points.value = stage.tool === 'angle' && first ? [first] : [...points.value, squared(points.value.at(-1), at, event.shiftKey)]
  hover.value = at
  followPointer(
    event,
    move => {
      hover.value = squared(points.value.at(-1), stage.point(move), move.shiftKey)
    },
    given => {
      const far = !!hover.value && Math.hypot(hover.value.x - at.x, hover.value.y - at.y) * stage.scale > 8
      if (!given) return end()
      if (stage.tool === 'angle') return turnTo()
      // Dragged from the first point: a line of two points, done.
      if (points.value.length === 1 && far) {
        points.value = [points.value[0]!, hover.value!]
        finish()
      }
    },
  )
}
const move = (event: PointerEvent) => {
  if (points.value.length && !byHand.value) hover.value = squared(points.value.at(-1), stage.point(event), event.shiftKey)
}
function onKey(event: KeyboardEvent) {
  if (event.key === 'Enter' && points.value.length) {
    event.preventDefault()
    finish()
  } else if (event.key === 'Escape') end()
  else return
  event.stopImmediatePropagation()
}
onMounted(() => addEventListener('keydown', onKey, true))
onBeforeUnmount(() => removeEventListener('keydown', onKey, true))
const heldBoxes = computed(() =>
  [from.value, over.value].map(id => (id ? stage.byId.get(id)?.box : undefined)).filter(box => box !== undefined),
)
</script>

<template>
  <div class="draw" data-test="draw" @pointerdown.stop="press" @pointermove="move" @dblclick.stop="finish">
    <svg class="lines" :viewBox="`0 0 ${stage.size.width} ${stage.size.height}`">
      <path :d="path" fill="none" stroke="#e6a037" :stroke-width="3 / stage.scale" stroke-linejoin="round" stroke-linecap="round" />
      <circle
        v-for="(at, index) in byHand ? [] : points"
        :key="index"
        :cx="at.x"
        :cy="at.y"
        :r="5 / stage.scale"
        fill="#fff"
        stroke="#7a4f0d"
        :stroke-width="1.5 / stage.scale"
      />
    </svg>
    <div
      v-for="(box, index) in heldBoxes"
      :key="index"
      class="held"
      :style="{
        left: `${box.x}px`,
        top: `${box.y}px`,
        width: `${box.width}px`,
        height: `${box.height}px`,
        transform: `rotate(${box.angle}deg)`,
        borderWidth: `${3 / stage.scale}px`,
      }"
    />
    <p class="told" :style="{ transform: `translate(-50%, 0) scale(${1 / stage.scale})` }" role="status">
      {{ words[stage.tool ?? ''] }}
      <b v-if="stage.tool === 'angle' && points.length" class="amount">{{ angle.toFixed(1) }}°</b>
    </p>
  </div>
</template>

<style scoped>
.draw {
  position: absolute;
  inset: 0;
  z-index: 4;
  cursor: crosshair;
  touch-action: none;
}
.lines {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  overflow: visible;
  pointer-events: none;
}
.held {
  position: absolute;
  border: solid #e6a037;
  border-radius: 4px;
  pointer-events: none;
}
.told {
  position: absolute;
  left: 50%;
  bottom: 0;
  transform-origin: 50% 100%;
  margin: 0 0 14px;
  background: #15262b;
  color: #fff;
  font: 500 13px 'Hanken Grotesk';
  padding: 5px 12px;
  border-radius: 8px;
  white-space: nowrap;
  pointer-events: none;
  display: flex;
  gap: 10px;
}
</style>
