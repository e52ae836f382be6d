<script setup lang="ts">
import { infoOf, type Cue } from '#core/model'
import { setFields } from '#core/edits'
import type { Options } from '#core/values'
import { linePath, thinned, measurePath } from '#core/shapes'
import { effectNamed, optionOf } from '#core/timing'

/** The way of a chosen move as a ghost over the stage, with handles to bend it and a pen to draw it anew. Lengths in px of deck space. */
const props = defineProps<{ cue: Cue; scale: number; /** Only shown: a press chooses its cue. */ ghost?: boolean }>()
const store = useDeck()
const where = useWhere()
const selected = useSelected()
const root = ref<SVGSVGElement>()
const effect = computed(() => effectNamed(props.cue.effect, props.cue.what))
const element = computed(() => where.score?.elements.find(one => one.id === props.cue.element))
const tried = shallowRef<Options | null>(null)
const options = computed(() => tried.value ?? props.cue.options)
const number = (name: string) => optionOf<number>(effect.value, options.value, name)
const path = computed(() => effect.value.path?.of(options.value) ?? null)
const shape = computed(() => effect.value.path?.shape)
/** Where the way begins: the middle of the part as composed. */
const origin = computed(() => {
  const box = element.value?.box
  if (!box || path.value === null) return null
  const start = measurePath(path.value).at(0)
  return { x: box.x + box.width / 2 - start.x, y: box.y + box.height / 2 - start.y }
})
const size = computed(() => infoOf(store.current).size)
const end = computed(() => (path.value === null ? null : measurePath(path.value).at(1)))
const middle = computed(() => (shape.value === 'arc' && path.value !== null ? measurePath(path.value).at(0.5) : null))
const unit = computed(() => 1 / props.scale)
const drawing = ref(false)
const drawn = shallowRef<{ x: number; y: number }[]>([])

const keep = (next: Options) =>
  store.edit('bend a motion', setFields(store.current, { table: 'cues', id: props.cue.id, fields: { options: next } }))
const round = (value: number) => Math.round(value)
function pull(event: PointerEvent, change: (x: number, y: number) => Options) {
  if (event.button !== 0 || !store.canEdit) return
  const box = root.value!.getBoundingClientRect()
  followPointer(
    event,
    next => {
      tried.value = change(
        (next.clientX - box.left) / props.scale - origin.value!.x,
        (next.clientY - box.top) / props.scale - origin.value!.y,
      )
    },
    given => {
      const made = tried.value
      tried.value = null
      if (given && made) keep(made)
    },
  )
}
const pullEnd = (event: PointerEvent) => pull(event, (x, y) => ({ ...options.value, x: round(x), y: round(y) }))
/** How far the pointer lies from the straight way, as a share of half its length. */
const pullMiddle = (event: PointerEvent) =>
  pull(event, (x, y) => {
    const [dx, dy] = [number('x'), number('y')]
    const chord = Math.hypot(dx, dy) || 1
    const aside = (dx * y - dy * x) / chord
    return { ...options.value, bend: round(Math.min(200, Math.max(-200, (-aside / (chord / 2)) * 100))) }
  })
const way: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}
function nudge(event: KeyboardEvent, change: (x: number, y: number) => Options) {
  const step = way[event.key]
  if (!step) return
  event.preventDefault()
  event.stopPropagation()
  const by = event.altKey ? 1 : 8
  keep(change(step[0] * by, step[1] * by))
}
const nudgeEnd = (event: KeyboardEvent) => nudge(event, (x, y) => ({ ...options.value, x: number('x') + x, y: number('y') + y }))
const nudgeMiddle = (event: KeyboardEvent) =>
  nudge(event, (x, y) => ({ ...options.value, bend: Math.min(200, Math.max(-200, number('bend') + x - y)) }))
function draw(event: PointerEvent) {
  if (!drawing.value || event.button !== 0) return
  const box = root.value!.getBoundingClientRect()
  const at = (pointer: PointerEvent) => ({ x: (pointer.clientX - box.left) / props.scale, y: (pointer.clientY - box.top) / props.scale })
  drawn.value = [at(event)]
  followPointer(
    event,
    next => {
      drawn.value = [...drawn.value, at(next)]
    },
    given => {
      const points = drawn.value
      drawn.value = []
      drawing.value = false
      if (!given || points.length < 3) return
      const first = points[0]!
      // So few corners that the path stays short enough to be kept, however long one draws.
      const kept = thinned(
        points.map(point => ({ x: point.x - first.x, y: point.y - first.y })),
        2 / props.scale,
        40,
      )
      keep({
        ...props.cue.options,
        path: linePath(
          'curve',
          kept.map(point => [round(point.x), round(point.y)] as const),
        ),
      })
    },
  )
}
</script>

<template>
  <svg
    v-if="path !== null && origin && end"
    ref="root"
    class="motion-path"
    :class="{ drawing, ghost }"
    :viewBox="`0 0 ${size.width} ${size.height}`"
    :style="{ width: `${size.width * scale}px`, height: `${size.height * scale}px` }"
    @pointerdown="draw"
  >
    <polyline v-if="drawn.length" :points="drawn.map(point => `${point.x},${point.y}`).join(' ')" class="way" :stroke-width="2.5 * unit" />
    <g v-else :transform="`translate(${origin.x},${origin.y})`">
      <path
        v-if="ghost"
        :d="path"
        class="press-way"
        :stroke-width="14 * unit"
        role="button"
        tabindex="0"
        :aria-label="`The way of ${element?.name}`"
        @click="selected.cueId = cue.id"
        @keydown.enter="selected.cueId = cue.id"
      />
      <path :d="path" class="halo" :stroke-width="6 * unit" />
      <path :d="path" class="way" :stroke-width="2.5 * unit" :stroke-dasharray="`${9 * unit} ${6 * unit}`" />
      <circle :cx="measurePath(path).at(0).x" :cy="measurePath(path).at(0).y" :r="5 * unit" class="start" :stroke-width="2 * unit" />
      <path
        :d="`M${-9 * unit} ${-7 * unit}L${5 * unit} 0L${-9 * unit} ${7 * unit}Z`"
        class="tip"
        :transform="`translate(${end.x},${end.y}) rotate(${end.angle})`"
      />
      <template v-if="!ghost && store.canEdit && shape !== 'drawn'">
        <circle
          :cx="end.x"
          :cy="end.y"
          :r="11 * unit"
          class="grip"
          :stroke-width="2 * unit"
          role="button"
          tabindex="0"
          aria-label="Where it goes"
          @pointerdown.stop.prevent="pullEnd"
          @keydown="nudgeEnd"
        />
        <circle
          v-if="middle"
          :cx="middle.x"
          :cy="middle.y"
          :r="8 * unit"
          class="grip"
          :stroke-width="2 * unit"
          role="button"
          tabindex="0"
          aria-label="How far it bends"
          @pointerdown.stop.prevent="pullMiddle"
          @keydown="nudgeMiddle"
        />
      </template>
    </g>
  </svg>
  <UButton
    v-if="!ghost && path !== null && shape === 'drawn' && store.canEdit"
    size="sm"
    class="pen"
    :active="drawing"
    icon="i-lucide-pencil-line"
    :aria-pressed="drawing"
    @click="drawing = !drawing"
  >
    {{ drawing ? 'Draw the way on the stage' : 'Draw the way' }}
  </UButton>
</template>

<style scoped>
.motion-path {
  position: absolute;
  z-index: 4;
  inset: 0;
  overflow: visible;
  pointer-events: none;
  touch-action: none;
}
.motion-path.drawing {
  pointer-events: auto;
  cursor: crosshair;
  background: rgb(0 0 0 / 0.06);
}
.ghost .way,
.ghost .tip,
.ghost .start {
  opacity: 0.4;
}
.ghost .halo {
  opacity: 0.3;
}
.press-way {
  fill: none;
  stroke: transparent;
  pointer-events: stroke;
  cursor: pointer;
}
.way {
  fill: none;
  stroke: var(--moves);
  stroke-linecap: round;
  stroke-linejoin: round;
}
.halo {
  fill: none;
  stroke: rgb(255 255 255 / 0.75);
  stroke-linecap: round;
}
.start {
  fill: #fff;
  stroke: var(--moves);
}
.tip {
  fill: var(--moves);
}
.grip:focus-visible {
  outline: 2px solid var(--now);
  outline-offset: 2px;
}
.grip {
  fill: rgb(255 255 255 / 0.35);
  stroke: var(--moves);
  pointer-events: auto;
  cursor: grab;
}
.pen {
  position: absolute;
  z-index: 5;
  right: 8px;
  bottom: 8px;
}
</style>
