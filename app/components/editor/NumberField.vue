<script setup lang="ts">
/** A number that is taken when one leaves the field or presses Enter; arrows step. Null stands for several that differ. */
const props = defineProps<{
  modelValue: number | null
  label: string
  unit?: string
  least?: number
  most?: number
  step?: number
  decimals?: number
}>()
const emit = defineEmits<{ 'update:modelValue': [value: number] }>()
const written = (value: number | null) => value?.toFixed(props.decimals ?? 0) ?? ''
const shown = computed(() => written(props.modelValue))
function take(event: Event) {
  const input = event.target as HTMLInputElement
  const value = Number(input.value.replace(',', '.'))
  const held = Math.min(props.most ?? Infinity, Math.max(props.least ?? -Infinity, value))
  if (Number.isFinite(value) && held !== value)
    warn(`${props.label} can be ${held} at ${held < value ? 'most' : 'least'}, so it is that, not ${value}.`)
  if (Number.isFinite(value) && input.value.trim() && held !== props.modelValue) emit('update:modelValue', held)
  input.value = written(Number.isFinite(value) && input.value.trim() ? held : props.modelValue)
}
function nudge(event: KeyboardEvent, direction: number) {
  event.preventDefault()
  const step = (props.step ?? 1) * (event.shiftKey ? 10 : 1)
  emit(
    'update:modelValue',
    Math.min(
      props.most ?? Infinity,
      Math.max(props.least ?? -Infinity, Math.round(((props.modelValue ?? 0) + direction * step) * 1000) / 1000),
    ),
  )
}
</script>

<template>
  <span class="number">
    <input
      v-written="shown"
      class="field amount"
      :placeholder="modelValue === null ? 'mixed' : undefined"
      inputmode="decimal"
      :aria-label="label"
      @change="take"
      @keydown.enter="take"
      @keydown.up="nudge($event, 1)"
      @keydown.down="nudge($event, -1)"
    />
    <span v-if="unit" class="quiet">{{ unit }}</span>
  </span>
</template>

<style scoped>
.number {
  display: inline-flex;
  align-items: center;
  gap: 5px;
}
.number .field {
  width: 66px;
  text-align: right;
}
</style>
