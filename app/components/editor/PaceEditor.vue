<script setup lang="ts">
import type { Easing } from '#core/values'
import { easingOf, namedEasings, type EasingName } from '#core/timing'

/** How motion goes along its time: a pace by name, a curve drawn by hand, a spring, or steps. */
const props = defineProps<{ modelValue: Easing; disabled?: boolean }>()
const easingNames = Object.keys(namedEasings) as EasingName[]
const emit = defineEmits<{ 'update:modelValue': [easing: Easing] }>()
/** One’s own stands in the list, but cannot be chosen there. */
const takeNamed = (next: string) => next !== 'own' && emit('update:modelValue', namedEasings[next as EasingName])

const size = { width: 240, height: 150 }
/** Progress 0 and 1 stand here, so that overshoot both ways has room; px of the drawing. */
const edge = { left: 14, right: 226, foot: 114, head: 36 }
const at = (time: number, progress: number) => ({
  x: edge.left + time * (edge.right - edge.left),
  y: edge.foot + progress * (edge.head - edge.foot),
})

const tried = shallowRef<Easing | null>(null)
const easing = computed(() => tried.value ?? props.modelValue)
const name = computed(
  () => Object.entries(namedEasings).find(([, known]) => JSON.stringify(known) === JSON.stringify(easing.value))?.[0] ?? 'own',
)
const curve = computed(() => {
  const ease = easingOf({ ...easing.value })
  return Array.from({ length: 121 }, (_, index) => {
    const { x, y } = at(index / 120, ease(index / 120))
    return `${x.toFixed(1)},${Math.min(size.height - 2, Math.max(2, y)).toFixed(1)}`
  }).join(' ')
})
const percent = (share: number) => Math.round(share * 100)
const handles = computed(() => {
  const own = easing.value
  if (own.kind !== 'cubic-bezier') return []
  return [
    { key: 1 as const, from: at(0, 0), to: at(own.x1, own.y1), time: percent(own.x1), way: percent(own.y1), label: 'How it starts' },
    { key: 2 as const, from: at(1, 1), to: at(own.x2, own.y2), time: percent(own.x2), way: percent(own.y2), label: 'How it ends' },
  ]
})
const kinds = [
  ['cubic-bezier', 'Curve'],
  ['spring', 'Spring'],
  ['steps', 'Steps'],
  ['linear', 'Even'],
] as const
const firstOf: Readonly<Record<Easing['kind'], Easing>> = {
  'cubic-bezier': namedEasings['ease both ways'],
  spring: namedEasings.spring,
  steps: namedEasings['five steps'],
  linear: namedEasings.linear,
}
const round = (number: number) => Math.round(number * 100) / 100

function moved(key: 1 | 2, x: number, y: number): Easing {
  const own = easing.value as Easing & { kind: 'cubic-bezier' }
  const held = { x: round(Math.min(1, Math.max(0, x))), y: round(Math.min(2, Math.max(-1, y))) }
  return key === 1 ? { ...own, x1: held.x, y1: held.y } : { ...own, x2: held.x, y2: held.y }
}
function press(event: PointerEvent, key: 1 | 2) {
  if (event.button !== 0 || props.disabled) return
  const box = (event.currentTarget as SVGElement).ownerSVGElement!.getBoundingClientRect()
  const ratio = size.width / box.width
  followPointer(
    event,
    next => {
      const [x, y] = [(next.clientX - box.left) * ratio, (next.clientY - box.top) * ratio]
      tried.value = moved(key, (x - edge.left) / (edge.right - edge.left), (y - edge.foot) / (edge.head - edge.foot))
    },
    given => {
      const made = tried.value
      tried.value = null
      if (given && made) emit('update:modelValue', made)
    },
  )
}
function nudge(event: KeyboardEvent, key: 1 | 2) {
  const steps: Readonly<Record<string, readonly [number, number]>> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, 1],
    ArrowDown: [0, -1],
  }
  const step = steps[event.key]
  const own = easing.value
  if (!step || own.kind !== 'cubic-bezier' || props.disabled) return
  event.preventDefault()
  event.stopPropagation()
  const by = event.shiftKey ? 0.1 : 0.02
  emit(
    'update:modelValue',
    key === 1 ? moved(1, own.x1 + step[0] * by, own.y1 + step[1] * by) : moved(2, own.x2 + step[0] * by, own.y2 + step[1] * by),
  )
}
</script>

<template>
  <div class="pace">
    <div class="row">
      <span class="label">Easing</span>
      <ChoiceField
        :model-value="name"
        :items="[...asTheyAre(easingNames), ...(name === 'own' ? [{ value: 'own', label: 'my own', disabled: true }] : [])]"
        label="Easing"
        :disabled="disabled"
        @update:model-value="takeNamed"
      />
    </div>
    <div class="kinds" role="group" aria-label="Kind of easing">
      <UButton
        v-for="[kind, words] in kinds"
        :key="kind"
        size="sm"
        :active="easing.kind === kind"
        :aria-pressed="easing.kind === kind"
        :disabled="disabled"
        @click="easing.kind !== kind && emit('update:modelValue', firstOf[kind])"
      >
        {{ words }}
      </UButton>
    </div>
    <svg
      class="drawing"
      :viewBox="`0 0 ${size.width} ${size.height}`"
      role="group"
      :aria-label="`The easing, ${name === 'own' ? 'my own' : name}`"
    >
      <line v-for="level in [edge.foot, edge.head]" :key="level" :x1="edge.left" :x2="edge.right" :y1="level" :y2="level" class="level" />
      <text :x="edge.left" :y="edge.foot + 13" class="word">starts</text>
      <text :x="edge.right" :y="edge.head - 6" class="word end">there</text>
      <line
        v-for="handle in handles"
        :key="`l${handle.key}`"
        :x1="handle.from.x"
        :y1="handle.from.y"
        :x2="handle.to.x"
        :y2="handle.to.y"
        class="arm"
      />
      <polyline :points="curve" class="line" />
      <circle
        v-for="handle in handles"
        :key="handle.key"
        :cx="handle.to.x"
        :cy="Math.min(size.height - 7, Math.max(7, handle.to.y))"
        r="6.5"
        class="handle"
        tabindex="0"
        role="slider"
        :aria-label="handle.label"
        :aria-valuetext="`${handle.time} % of the time, ${handle.way} % of the way`"
        :aria-valuenow="handle.way"
        aria-valuemin="-100"
        aria-valuemax="200"
        @pointerdown.prevent="press($event, handle.key)"
        @keydown="nudge($event, handle.key)"
      />
    </svg>
    <template v-if="easing.kind === 'spring'">
      <div class="row">
        <span class="label">Stiffness</span>
        <NumberField
          :model-value="easing.stiffness"
          label="Stiffness"
          :min="1"
          :max="2000"
          :step="10"
          @update:model-value="stiffness => emit('update:modelValue', { ...(easing as typeof easing & { kind: 'spring' }), stiffness })"
        />
      </div>
      <div class="row">
        <span class="label">Damping</span>
        <NumberField
          :model-value="easing.damping"
          label="Damping"
          :min="0.1"
          :max="200"
          :step="1"
          :decimals="1"
          @update:model-value="damping => emit('update:modelValue', { ...(easing as typeof easing & { kind: 'spring' }), damping })"
        />
      </div>
      <div class="row">
        <span class="label">Mass</span>
        <NumberField
          :model-value="easing.mass"
          label="Mass"
          :min="0.05"
          :max="50"
          :step="0.1"
          :decimals="2"
          @update:model-value="mass => emit('update:modelValue', { ...(easing as typeof easing & { kind: 'spring' }), mass })"
        />
      </div>
    </template>
    <template v-else-if="easing.kind === 'steps'">
      <div class="row">
        <span class="label">Steps</span>
        <NumberField
          :model-value="easing.count"
          label="Steps"
          :min="1"
          :max="1000"
          @update:model-value="
            count => emit('update:modelValue', { ...(easing as typeof easing & { kind: 'steps' }), count: Math.round(count) })
          "
        />
      </div>
      <div class="row">
        <span class="label">First step</span>
        <ChoiceField
          :model-value="easing.jump"
          :items="[
            { value: 'start', label: 'at once' },
            { value: 'end', label: 'after its time' },
            { value: 'both', label: 'at once, and after the last' },
            { value: 'none', label: 'within the ends' },
          ]"
          label="When the steps come"
          @update:model-value="next => emit('update:modelValue', { ...(easing as typeof easing & { kind: 'steps' }), jump: next })"
        />
      </div>
    </template>
  </div>
</template>

<style scoped>
.pace {
  display: flex;
  flex-direction: column;
  gap: 4px;
}
.kinds {
  display: flex;
  gap: 4px;
  flex-wrap: wrap;
}
.drawing {
  background: var(--act-wash);
  border-radius: 8px;
  width: 100%;
  max-width: 300px;
  touch-action: none;
}
.level {
  stroke: var(--line);
  stroke-width: 1;
}
.word {
  font: 500 10.5px 'Hanken Grotesk';
  fill: var(--second);
}
.word.end {
  text-anchor: end;
}
.arm {
  stroke: var(--third);
  stroke-width: 1.5;
}
.line {
  fill: none;
  stroke: var(--act);
  stroke-width: 2.5;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.handle {
  fill: var(--panel);
  stroke: var(--now);
  stroke-width: 2.5;
  cursor: grab;
}
.handle:focus-visible {
  outline: 2px solid var(--now);
  outline-offset: 2px;
}
</style>
