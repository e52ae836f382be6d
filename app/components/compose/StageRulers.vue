<script setup lang="ts">
/** Strips along the edges of the area: guides are dragged out of them onto the slide. */
const emit = defineEmits<{ guide: [event: PointerEvent, axis: 'x' | 'y'] }>()
const stage = useStage()
/** px of deck space from one tick to the next, so that they stand at least 40 px of the screen apart. */
const step = computed(() => [10, 20, 50, 100, 200, 500, 1000].find(candidate => candidate * stage.scale >= 40) ?? 1000)
const start = (axis: 'x' | 'y') => {
  const [room, extent, shift] =
    axis === 'x' ? [stage.area.width, stage.size.width, stage.pan.x] : [stage.area.height, stage.size.height, stage.pan.y]
  return room / 2 + shift - (extent * stage.scale) / 2
}
const ticks = (axis: 'x' | 'y') => {
  const [room, from] = [axis === 'x' ? stage.area.width : stage.area.height, start(axis)]
  const first = Math.ceil(-from / stage.scale / step.value)
  const last = Math.floor((room - from) / stage.scale / step.value)
  return Array.from({ length: Math.max(0, Math.min(200, last - first + 1)) }, (_, index) => ({
    at: (first + index) * step.value,
    px: from + (first + index) * step.value * stage.scale,
  }))
}
</script>

<template>
  <div class="ruler across" title="Drag a level guide onto the slide" data-test="ruler-y" @pointerdown.stop="emit('guide', $event, 'y')">
    <span v-for="tick in ticks('x')" :key="tick.at" :style="{ left: `${tick.px}px` }">{{ tick.at }}</span>
  </div>
  <div class="ruler down" title="Drag an upright guide onto the slide" data-test="ruler-x" @pointerdown.stop="emit('guide', $event, 'x')">
    <span v-for="tick in ticks('y')" :key="tick.at" :style="{ top: `${tick.px}px` }" />
  </div>
</template>

<style scoped>
.ruler {
  position: absolute;
  z-index: 4;
  background: var(--ground);
  color: var(--third);
  font: 400 9.5px 'Spline Sans Mono';
  overflow: hidden;
  touch-action: none;
  user-select: none;
}
.across {
  left: 0;
  right: 0;
  top: 0;
  height: 13px;
  border-bottom: 1px solid var(--line);
  cursor: row-resize;
}
.down {
  left: 0;
  top: 13px;
  bottom: 0;
  width: 9px;
  border-right: 1px solid var(--line);
  cursor: col-resize;
}
.across span {
  position: absolute;
  padding-left: 3px;
  border-left: 1px solid var(--line);
  height: 100%;
  line-height: 13px;
}
.down span {
  position: absolute;
  left: 0;
  right: 0;
  border-top: 1px solid var(--line);
}
</style>
