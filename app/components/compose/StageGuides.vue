<script setup lang="ts">
import { setFields } from '#core/edits'

/** Lines to compose by: those of its own, those from below, and what a moving part is drawn to, with the distances. */
const store = useDeck()
const where = useWhere()
const stage = useStage()
const { owner, own, beneath } = useSnapping()
/** A guide on its way: which one, and where it stands. */
const dragged = ref<{ axis: 'x' | 'y'; index: number; at: number } | null>(null)

const line = (axis: 'x' | 'y', at: number, from: number, to: number, width = 1.5) =>
  axis === 'x'
    ? { left: `${at}px`, top: `${from}px`, height: `${to - from}px`, borderLeftWidth: `${width / stage.scale}px` }
    : { top: `${at}px`, left: `${from}px`, width: `${to - from}px`, borderTopWidth: `${width / stage.scale}px` }
const across = (axis: 'x' | 'y', at: number) =>
  axis === 'x' ? line('x', at, 0, stage.size.height, 1) : line('y', at, 0, stage.size.width, 1)
const reach = (axis: 'x' | 'y') => (axis === 'x' ? stage.size.width : stage.size.height)
const axes = ['x', 'y'] as const

/** Moves a guide, a new one from the edge included; let go off the slide it is gone. */
function press(event: PointerEvent, axis: 'x' | 'y', index = -1) {
  if (event.button !== 0 || !store.canEdit || !owner.value?.record) return
  event.preventDefault()
  const all = [...own.value[axis]]
  const targets = [
    stage.size.width / 2,
    ...stage.elements.flatMap(element =>
      axis === 'x'
        ? [element.box.x, element.box.x + element.box.width / 2, element.box.x + element.box.width]
        : [element.box.y, element.box.y + element.box.height / 2, element.box.y + element.box.height],
    ),
  ]
  followPointer(
    event,
    move => {
      const free = stage.point(move)[axis]
      const near = move.altKey ? undefined : targets.find(target => Math.abs(target - free) * stage.scale < 5)
      dragged.value = { axis, index, at: Math.round(near ?? free) }
    },
    given => {
      const end = dragged.value
      dragged.value = null
      if (!given || !end) return
      const gone = end.at < 0 || end.at > reach(axis)
      const next =
        index >= 0 ? all.flatMap((at, position) => (position === index ? (gone ? [] : [end.at]) : [at])) : gone ? all : [...all, end.at]
      if (next.join() === all.join()) return
      const guides = { ...own.value, [axis]: next }
      store.edit(
        gone ? 'remove a guide' : index >= 0 ? 'move a guide' : 'set a guide',
        setFields(store.current, {
          table: owner.value!.table,
          id: where.stageId!,
          fields: { guides: guides.x.length || guides.y.length ? guides : undefined },
        }),
      )
    },
  )
}
/** A distance as a bar with its length in the middle. */
const bar = (axis: 'x' | 'y', at: number, from: number, to: number) =>
  axis === 'x'
    ? { left: `${from}px`, top: `${at}px`, width: `${to - from}px`, borderTopWidth: `${1.5 / stage.scale}px` }
    : { top: `${from}px`, left: `${at}px`, height: `${to - from}px`, borderLeftWidth: `${1.5 / stage.scale}px` }
defineExpose({ press })
</script>

<template>
  <div class="guides">
    <template v-for="axis in axes" :key="axis">
      <div v-for="(at, index) in beneath[axis]" :key="`b${index}`" class="guide below" :style="across(axis, at)" />
      <template v-for="(at, index) in own[axis]" :key="index">
        <div
          v-if="!(dragged?.axis === axis && dragged.index === index)"
          class="guide mine"
          :class="axis"
          :data-guide="`${axis}${at}`"
          :style="across(axis, at)"
        >
          <i :style="{ '--reach': `${5 / stage.scale}px` }" @pointerdown.stop="press($event, axis, index)" />
        </div>
      </template>
    </template>
    <div v-if="dragged" class="guide mine" :style="across(dragged.axis, dragged.at)">
      <b :style="{ transform: `scale(${1 / stage.scale})` }">
        {{ dragged.at < 0 || dragged.at > reach(dragged.axis) ? 'away' : dragged.at }}
      </b>
    </div>
    <div
      v-for="(guide, index) in stage.guides"
      :key="`s${index}`"
      class="guide snap"
      :style="line(guide.axis, guide.at, guide.from, guide.to)"
    />
    <div
      v-for="(measure, index) in stage.measures"
      :key="`m${index}`"
      class="measure"
      :class="[measure.axis, { equal: measure.equal }]"
      :style="bar(measure.axis, measure.at, measure.from, measure.to)"
    >
      <b :style="{ transform: `translate(-50%,-50%) scale(${1 / stage.scale})` }">{{ Math.round(measure.to - measure.from) }}</b>
    </div>
  </div>
</template>

<style scoped>
.guides {
  position: absolute;
  inset: 0;
  pointer-events: none;
}
.guide {
  position: absolute;
  border: 0 solid #2fa38f;
}
.guide.snap {
  border-style: dashed;
}
.guide.below {
  opacity: 0.45;
  border-style: dotted;
}
.guide.mine {
  border-color: #2f7f9a;
}
.guide i {
  position: absolute;
  pointer-events: auto;
  touch-action: none;
}
.guide.x i {
  top: 0;
  bottom: 0;
  left: calc(-1 * var(--reach));
  width: calc(2 * var(--reach));
  cursor: ew-resize;
}
.guide.y i {
  left: 0;
  right: 0;
  top: calc(-1 * var(--reach));
  height: calc(2 * var(--reach));
  cursor: ns-resize;
}
.guide b {
  position: absolute;
  left: 0;
  top: 0;
  transform-origin: 0 0;
}
.guide b,
.measure b {
  background: #2f7f9a;
  color: #fff;
  font: 500 12px 'Spline Sans Mono';
  padding: 1px 6px;
  border-radius: 5px;
  white-space: nowrap;
}
.measure {
  position: absolute;
  border: 0 solid #b87b1f;
}
.measure b {
  position: absolute;
  left: 50%;
  top: 50%;
  background: #fbeed6;
  color: #5a3a0a;
}
.measure.equal {
  border-color: #12615c;
}
.measure.equal b {
  background: #12615c;
  color: #fff;
}
</style>
