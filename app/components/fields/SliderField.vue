<script setup lang="ts">
// The parts that Nuxt UI makes its slider of: its own cannot be named for who hears it.
import { SliderRange, SliderRoot, SliderThumb, SliderTrack } from 'reka-ui'

/** A slider with what it stands at beside it, told while it is dragged; what is chosen is given when the hand lets go, as one edit. */
const props = defineProps<{
  modelValue: number
  label: string
  min?: number
  max: number
  step?: number
  unit?: string
  disabled?: boolean
  /** Without the number beside it. */
  bare?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [value: number] }>()
const dragged = ref<number | null>(null)
const now = computed(() => dragged.value ?? props.modelValue)
const words = computed(() => `${now.value}${props.unit ? ` ${props.unit}` : ''}`)
const given = computed(() => [now.value])
async function keep(values: number[]) {
  const [value] = values
  if (value !== undefined && value !== props.modelValue) emit('update:modelValue', value)
  // By keys the slider tells of a step once more after it is kept.
  await nextTick()
  dragged.value = null
}
</script>

<template>
  <span class="slider">
    <SliderRoot
      :model-value="given"
      :min="min ?? 0"
      :max="max"
      :step="step ?? 1"
      class="track"
      thumb-alignment="overflow"
      :disabled="disabled"
      @update:model-value="values => (dragged = values?.[0] ?? null)"
      @value-commit="keep"
    >
      <SliderTrack class="rail"><SliderRange class="range" /></SliderTrack>
      <SliderThumb class="thumb" :aria-label="label" :aria-valuetext="words" />
    </SliderRoot>
    <span v-if="!bare" class="amount">{{ words }}</span>
  </span>
</template>

<style scoped>
.slider {
  display: inline-flex;
  align-items: center;
  gap: 9px;
  min-width: 0;
}
.track {
  position: relative;
  display: flex;
  align-items: center;
  flex: 1;
  width: 92px;
  min-width: 0;
  /* The middle of what is turned stands at the value, at the ends too. */
  margin: 0 8px;
  height: 20px;
  touch-action: none;
}
.track[data-disabled] {
  opacity: 0.5;
}
.rail {
  position: relative;
  flex: 1;
  height: 6px;
  border-radius: 3px;
  background: var(--well);
  overflow: hidden;
}
.range {
  position: absolute;
  height: 100%;
  background: var(--act);
}
.thumb {
  width: 15px;
  height: 15px;
  border-radius: 50%;
  background: var(--panel);
  border: 2px solid var(--act);
  cursor: pointer;
}
.amount {
  width: 50px;
  flex: none;
  font-size: 12.5px;
  color: var(--second);
  text-align: right;
}
</style>
