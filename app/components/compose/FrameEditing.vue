<script setup lang="ts">
import { setFields } from '#core/edits'
import type { PictureElement } from '#core/model'
import type { ShownElement } from '#core/resolved'
import type { View } from '#core/values'
import { centerOf, cropOf, draggedView, turn, viewOf, zoomedView } from '#core/place'

/** A picture moved and enlarged inside its frame by hand, with the point of it that crops keep in sight. */
const props = defineProps<{ element: PictureElement & ShownElement }>()
const store = useDeck()
const stage = useStage()
const tried = computed(() => stage.tries[props.element.id] as Partial<PictureElement> | undefined)
const view = computed<View>(() => tried.value?.view ?? viewOf(props.element))
const natural = computed(() => props.element.natural ?? { width: 800, height: 600 })
const crop = computed(() => cropOf(natural.value, props.element.box, view.value))
const focus = computed(() => tried.value?.focus ?? props.element.focus)
const source = computed(() => `/api/media/${props.element.media}`)

const local = (by: { x: number; y: number }) => turn(by, { x: 0, y: 0 }, -props.element.box.angle)
function keep(label: string, fields: Partial<PictureElement>) {
  stage.tries = {}
  store.edit(`${label} ${props.element.name}`, setFields(store.current, { table: 'elements', id: props.element.id, fields }))
}
function press(event: PointerEvent) {
  if (event.button !== 0) return
  event.preventDefault()
  const from = stage.point(event)
  const start = view.value
  followPointer(
    event,
    move => {
      const to = stage.point(move)
      stage.tries = {
        [props.element.id]: {
          view: draggedView(natural.value, props.element.box, start, local({ x: to.x - from.x, y: to.y - from.y })),
        },
      }
    },
    given => {
      const made = tried.value?.view
      stage.tries = {}
      if (given && made) keep('place', { view: made })
    },
  )
}
/** A view that the wheel has come to, kept when it rests. */
let coming: View | null = null
let settle: ReturnType<typeof setTimeout> | undefined
function settled() {
  clearTimeout(settle)
  const view = coming
  coming = null
  if (view) keep('enlarge', { view })
}
function wheel(event: WheelEvent) {
  event.preventDefault()
  const at = turn(stage.point(event), centerOf(props.element.box), -props.element.box.angle)
  const next = zoomedView(natural.value, props.element.box, view.value, Math.exp(-event.deltaY * 0.0016), {
    x: at.x - props.element.box.x,
    y: at.y - props.element.box.y,
  })
  stage.tries = { [props.element.id]: { view: next } }
  coming = next
  clearTimeout(settle)
  settle = setTimeout(settled, 350)
}
function pressFocus(event: PointerEvent) {
  event.preventDefault()
  followPointer(
    event,
    move => {
      const at = turn(stage.point(move), centerOf(props.element.box), -props.element.box.angle)
      const spot = {
        x: Math.min(1, Math.max(0, (at.x - props.element.box.x - crop.value.x) / crop.value.width)),
        y: Math.min(1, Math.max(0, (at.y - props.element.box.y - crop.value.y) / crop.value.height)),
      }
      stage.tries = { [props.element.id]: { focus: spot } }
    },
    given => {
      const made = tried.value?.focus
      stage.tries = {}
      if (given && made) keep('set what matters in', { focus: made })
    },
  )
}
onBeforeUnmount(settled)
function onKey(event: KeyboardEvent) {
  if (event.key !== 'Escape' && event.key !== 'Enter') return
  event.stopImmediatePropagation()
  stage.framing = null
}
onMounted(() => addEventListener('keydown', onKey, true))
onBeforeUnmount(() => removeEventListener('keydown', onKey, true))
const box = computed(() => ({
  left: `${props.element.box.x}px`,
  top: `${props.element.box.y}px`,
  width: `${props.element.box.width}px`,
  height: `${props.element.box.height}px`,
  transform: props.element.box.angle ? `rotate(${props.element.box.angle}deg)` : undefined,
}))
const whole = computed(() => ({
  left: `${crop.value.x}px`,
  top: `${crop.value.y}px`,
  width: `${crop.value.width}px`,
  height: `${crop.value.height}px`,
}))
const ring = computed(() => ({
  left: `${crop.value.x + (focus.value?.x ?? 0.5) * crop.value.width}px`,
  top: `${crop.value.y + (focus.value?.y ?? 0.5) * crop.value.height}px`,
  transform: `translate(-50%,-50%) scale(${1 / stage.scale})`,
}))
</script>

<template>
  <div class="framing" :style="box" data-test="framing" @pointerdown.stop="press" @wheel.stop="wheel">
    <img class="whole" :src="source" alt="" :style="whole" draggable="false" />
    <span class="edge" :style="{ outlineWidth: `${2 / stage.scale}px` }" />
    <span
      class="focus"
      :class="{ chosen: !!focus }"
      title="The point that crops keep in sight"
      data-test="focus"
      :style="ring"
      @pointerdown.stop="pressFocus"
    />
    <p class="told" :style="{ transform: `translate(-50%, 0) scale(${1 / stage.scale})` }" @pointerdown.stop>
      Drag to move the picture, turn the wheel to enlarge it
      <UButton size="sm" @click="stage.framing = null">Done</UButton>
    </p>
  </div>
</template>

<style scoped>
.framing {
  position: absolute;
  z-index: 4;
  cursor: grab;
  touch-action: none;
}
.whole {
  position: absolute;
  max-width: none;
  opacity: 0.35;
  pointer-events: none;
  z-index: -1;
}
.edge {
  position: absolute;
  inset: 0;
  outline: solid #e6a037;
  pointer-events: none;
}
.focus {
  position: absolute;
  width: 26px;
  height: 26px;
  border: 2px dashed #fff;
  border-radius: 50%;
  box-shadow: 0 0 0 1.5px #15262b;
  cursor: move;
}
.focus.chosen {
  border-style: solid;
}
.focus::after {
  content: '';
  position: absolute;
  inset: 8px;
  border-radius: 50%;
  background: #fff;
  box-shadow: 0 0 0 1px #15262b;
}
.told {
  position: absolute;
  left: 50%;
  top: 100%;
  transform-origin: 50% 0;
  margin: 12px 0 0;
  background: #15262b;
  color: #fff;
  font: 500 13px 'Hanken Grotesk';
  padding: 5px 6px 5px 12px;
  border-radius: 8px;
  white-space: nowrap;
  display: flex;
  gap: 10px;
  align-items: center;
  cursor: default;
}
</style>
