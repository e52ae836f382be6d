<script setup lang="ts">
/** A slider with what it stands at beside it, told while it is dragged; what is chosen is given when the hand lets go, as one edit. */
const props = defineProps<{
  modelValue: number
  label: string
  least?: number
  most: number
  step?: number
  unit?: string
  disabled?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [value: number] }>()
const dragged = ref<number | null>(null)
const now = computed(() => dragged.value ?? props.modelValue)
const numberIn = (event: Event) => Number((event.target as HTMLInputElement).value)
function keep(event: Event) {
  dragged.value = null
  emit('update:modelValue', numberIn(event))
}
</script>

<template>
  <span class="slider">
    <input
      type="range"
      :min="least ?? 0"
      :max="most"
      :step="step ?? 1"
      :value="now"
      :aria-label="label"
      :aria-valuetext="`${now}${unit ? ` ${unit}` : ''}`"
      :disabled="disabled"
      @input="dragged = numberIn($event)"
      @change="keep"
    />
    <span class="amount">{{ now }}{{ unit ? ` ${unit}` : '' }}</span>
  </span>
</template>

<style scoped>
.slider {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-width: 0;
}
input {
  flex: 1;
  width: 108px;
  min-width: 0;
  accent-color: var(--act);
}
.amount {
  width: 50px;
  flex: none;
  font-size: 12.5px;
  color: var(--second);
  text-align: right;
}
</style>
