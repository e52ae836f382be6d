<script setup lang="ts">
import type { Theme } from '#core/model'
import type { Stroke } from '#core/values'

/** A line around something: its colour, weight in px of deck space, and dashes. */
const props = defineProps<{ modelValue: Stroke | null | undefined; theme: Theme; label: string; initial?: number; plain?: boolean }>()
const emit = defineEmits<{ 'update:modelValue': [stroke: Stroke | null] }>()
/** Dashes as multiples of the weight, so that they keep their look when it changes. */
const dashes: Readonly<Record<string, readonly number[]>> = {
  unbroken: [],
  dashes: [3, 2],
  'long dashes': [6, 3],
  dots: [1, 1.6],
  'dash and dot': [5, 2, 1, 2],
}
const way = computed(() => {
  const { dash, width } = props.modelValue ?? { width: 1 }
  if (!dash?.length) return 'unbroken'
  return (
    Object.entries(dashes).find(
      ([, parts]) => parts.length === dash.length && parts.every((part, index) => Math.abs(part * Math.max(1, width) - dash[index]!) < 0.6),
    )?.[0] ?? 'dashes'
  )
})
const made = (fields: Partial<Stroke>, name = way.value): Stroke => {
  const { dash: _, ...base } = { color: { role: 'ink' as const }, width: props.initial ?? 6, ...props.modelValue, ...fields }
  const parts = dashes[name] ?? []
  return parts.length ? { ...base, dash: parts.map(part => Math.round(part * Math.max(1, base.width) * 10) / 10) } : base
}
</script>

<template>
  <div class="row">
    <span class="label">{{ label }}</span>
    <span class="pair">
      <ColorField
        none
        :model-value="modelValue?.color ?? null"
        :theme="theme"
        :label="label"
        @update:model-value="color => emit('update:modelValue', color ? made({ color }) : null)"
      />
      <NumberField
        v-if="modelValue"
        :model-value="modelValue.width"
        :label="`Weight of the ${label.toLowerCase()}`"
        :min="0.5"
        :max="300"
        @update:model-value="width => emit('update:modelValue', made({ width }))"
      />
    </span>
  </div>
  <div v-if="modelValue && !plain" class="row">
    <span class="label">Drawn as</span>
    <ChoiceField
      :model-value="way"
      :items="Object.keys(dashes).map(name => ({ value: name, label: name }))"
      :label="`${label} drawn as`"
      @update:model-value="next => emit('update:modelValue', made({}, next))"
    />
  </div>
</template>

<style scoped>
.pair {
  display: inline-flex;
  gap: 5px;
  align-items: center;
}
</style>
