<script setup lang="ts">
import { placeElements } from '#core/edits'
import type { ShownElement } from '#core/resolved'
import type { Box } from '#core/values'
import { boundsOf, boxOf, centerOf, handles, resizeTogether, snapAngle, snapResize, turnTogether, turned, type Handle } from '#core/place'

/** The selected parts with their outlines, and handles to size and turn them, one or all together. */
const store = useDeck()
const where = useWhere()
const stage = useStage()
const { roomFor } = useSnapping()
const { nameOf } = useArranging()

const peersHere = computed(() => store.peers.filter(peer => peer.slide === where.stageId))
const theirs = computed(() =>
  peersHere.value.flatMap(peer =>
    peer.selection
      .map(id => stage.byId.get(id))
      .filter(element => element !== undefined)
      .map(element => ({ peer, element })),
  ),
)
const boxStyle = (box: Box) => ({
  left: `${box.x}px`,
  top: `${box.y}px`,
  width: `${box.width}px`,
  height: `${box.height}px`,
  transform: box.angle ? `rotate(${box.angle}deg)` : undefined,
})

const moving = computed(() => stage.leaves(stage.movable).filter(element => !element.locked))
/** A line is shaped by its points, not by a box around it. */
const byPoints = computed(
  () =>
    moving.value.length === 1 && isLine(moving.value[0]!) && moving.value[0]!.kind === 'shape' && moving.value[0]!.line?.way !== 'freehand',
)
const isLine = (element: ShownElement) => element.kind === 'shape' && element.shape === 'line'
/** The box that the handles stand on: that of the one part, or the rectangle around all. */
const frame = computed<Box | null>(() => {
  if (!moving.value.length || byPoints.value) return null
  if (moving.value.length === 1) return stage.boxNow(moving.value[0]!)
  return boxOf(boundsOf(...moving.value.map(stage.boxNow)))
})
const turning = ref<{ angle: number; neighbour: boolean } | null>(null)

function finish(label: string, given: boolean) {
  const tried = stage.tries
  turning.value = null
  stage.forgetTried()
  if (given && Object.keys(tried).length)
    store.edit(
      `${label} ${nameOf(stage.movable)}`,
      placeElements(store.current, { boxes: Object.fromEntries(Object.entries(tried).map(([id, fields]) => [id, fields.box as Box])) }),
    )
}

function pressHandle(event: PointerEvent, handle: Handle) {
  const parts = moving.value
  const from = frame.value
  if (!from || event.button !== 0) return
  event.preventDefault()
  const start = stage.point(event)
  const room = roomFor(new Set(parts.map(element => element.id)))
  const corner = handle.across !== 0 && handle.down !== 0
  const [only] = parts
  const keeps =
    parts.length === 1 && corner && (only!.kind === 'icon' || only!.kind === 'figure' || (only!.kind === 'picture' && !only!.placeholder))
  followPointer(
    event,
    move => {
      const to = stage.point(move)
      const snapped = snapResize(from, handle, { x: to.x - start.x, y: to.y - start.y }, move.altKey ? { ...room, reach: 0 } : room, {
        keepProportion: move.shiftKey !== keeps,
        fromCenter: move.ctrlKey,
      })
      stage.guides = snapped.guides
      stage.measures = snapped.measures
      const boxes =
        parts.length === 1
          ? [snapped.box]
          : resizeTogether(
              parts.map(element => element.box),
              from,
              snapped.box,
            )
      stage.tries = Object.fromEntries(parts.map((element, index) => [element.id, { box: boxes[index]! }]))
    },
    given => finish('resize', given),
  )
}

function pressTurn(event: PointerEvent) {
  const parts = moving.value
  const from = frame.value
  if (!from || event.button !== 0) return
  event.preventDefault()
  const center = centerOf(from)
  const neighbours = [
    ...new Set(
      stage.elements.filter(element => !parts.includes(element) && element.box.angle % 90 !== 0).map(element => turned(element.box.angle)),
    ),
  ]
  const start = parts.length === 1 ? from.angle : 0
  followPointer(
    event,
    move => {
      const to = stage.point(move)
      const free = (Math.atan2(to.y - center.y, to.x - center.x) * 180) / Math.PI + 90
      const snapped = move.altKey ? { angle: turned(Math.round(free * 10) / 10), to: null } : snapAngle(free, neighbours)
      turning.value = { angle: snapped.angle, neighbour: snapped.to === 'neighbour' }
      const boxes = turnTogether(
        parts.map(element => element.box),
        center,
        snapped.angle - start,
      )
      stage.tries = Object.fromEntries(parts.map((element, index) => [element.id, { box: boxes[index]! }]))
    },
    given => finish('turn', given),
  )
}

const handleStyle = (handle: Handle) => ({
  left: `${((handle.across + 1) / 2) * 100}%`,
  top: `${((handle.down + 1) / 2) * 100}%`,
  transform: `translate(-50%,-50%) scale(${1 / stage.scale})`,
})
/** Two neighbouring handles of a small part would cover it: then only the corners are shown. */
const shown = computed(() =>
  frame.value && Math.min(frame.value.width, frame.value.height) * stage.scale < 34
    ? handles.filter(handle => ((handle.across && handle.down) || frame.value!.width > frame.value!.height ? handle.across : handle.down))
    : handles,
)
const compass = ['ns-resize', 'nesw-resize', 'ew-resize', 'nwse-resize'] as const
const cursor = (handle: Handle) =>
  compass[(((Math.round((Math.atan2(handle.across, -handle.down) * 180) / Math.PI + (frame.value?.angle ?? 0)) + 360 + 22) % 180) / 45) | 0]
</script>

<template>
  <div class="layer">
    <div
      v-for="{ peer, element } in theirs"
      :key="`${peer.client}${element.id}`"
      class="theirs"
      :style="{ ...boxStyle(element.box), borderColor: peer.color, borderWidth: `${2 / stage.scale}px` }"
    >
      <span :style="{ background: peer.color, transform: `scale(${1 / stage.scale})` }">{{ peer.name }}</span>
    </div>
    <template v-if="!stage.editing && !stage.framing && !stage.tool">
      <template v-for="element in stage.chosen" :key="element.id">
        <div
          v-if="!(byPoints && isLine(element))"
          class="chosen"
          :class="{ group: element.kind === 'group', fixed: stage.isFixed(element) }"
          :style="{ ...boxStyle(stage.outlineOf(element)), outlineWidth: `${1.5 / stage.scale}px`, '--hair': `${0.75 / stage.scale}px` }"
        />
      </template>
      <div
        v-if="frame"
        class="chosen"
        :style="{ ...boxStyle(frame), outlineWidth: `${(moving.length > 1 ? 1.5 : 0) / stage.scale}px`, '--hair': '0px' }"
      >
        <span
          v-for="handle in shown"
          :key="`${handle.across}${handle.down}`"
          class="handle"
          :data-handle="`${handle.across},${handle.down}`"
          :style="{ ...handleStyle(handle), cursor: cursor(handle) }"
          @pointerdown.stop="pressHandle($event, handle)"
        />
        <span
          class="turn"
          title="Turn"
          data-test="turn"
          :style="{ transform: `translate(-50%, -100%) scale(${1 / stage.scale})` }"
          @pointerdown.stop="pressTurn"
        />
        <span v-if="turning" class="told" :style="{ transform: `translate(-50%, 0) rotate(${-frame.angle}deg) scale(${1 / stage.scale})` }">
          {{ turning.angle.toFixed(turning.angle % 1 ? 1 : 0) }}°{{ turning.neighbour ? ' as its neighbour' : '' }}
        </span>
      </div>
      <LineHandles v-if="byPoints && moving[0]?.kind === 'shape'" :element="moving[0]" />
      <AmountHandles
        v-else-if="moving.length === 1 && (moving[0]!.kind === 'shape' || moving[0]!.kind === 'picture')"
        :element="moving[0]!"
      />
    </template>
  </div>
</template>

<style scoped>
.layer {
  position: absolute;
  inset: 0;
  pointer-events: none;
}
.chosen {
  position: absolute;
  outline: 2px solid #12615c;
  pointer-events: none;
}
/* A pale line beside the green one keeps the outline visible on dark pictures. */
.chosen::after {
  content: '';
  position: absolute;
  inset: calc(-1 * var(--hair));
  outline: var(--hair) solid rgb(255 255 255 / 0.85);
  outline-offset: var(--hair);
}
.chosen.group {
  outline-style: dashed;
}
.chosen.fixed {
  outline-color: #74878c;
}
.handle {
  position: absolute;
  width: 11px;
  height: 11px;
  border: 1.5px solid #12615c;
  background: #fff;
  border-radius: 50%;
  pointer-events: auto;
  touch-action: none;
}
.handle::after {
  content: '';
  position: absolute;
  inset: -6px;
}
.turn {
  position: absolute;
  left: 50%;
  top: 0;
  width: 14px;
  height: 34px;
  transform-origin: 50% 100%;
  pointer-events: auto;
  cursor: grab;
  touch-action: none;
}
.turn::before {
  content: '';
  position: absolute;
  left: 0;
  top: 0;
  width: 11px;
  height: 11px;
  border: 1.5px solid #12615c;
  border-radius: 50%;
  background: #fff;
}
.turn::after {
  content: '';
  position: absolute;
  left: 6px;
  top: 13px;
  bottom: 6px;
  border-left: 1.5px solid #12615c;
}
.told {
  position: absolute;
  left: 50%;
  top: 100%;
  margin-top: 8px;
  background: #12615c;
  color: #fff;
  font: 500 12px 'Spline Sans Mono';
  padding: 2px 7px;
  border-radius: 6px;
  white-space: nowrap;
}
.theirs {
  position: absolute;
  border-style: solid;
}
.theirs span {
  position: absolute;
  left: 0;
  bottom: 100%;
  transform-origin: 0 100%;
  color: #fff;
  font: 600 12px 'Hanken Grotesk';
  padding: 1px 6px;
  border-radius: 4px 4px 4px 0;
  white-space: nowrap;
}
</style>
