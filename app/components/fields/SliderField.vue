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
function keep() {
  if (dragged.value !== null && dragged.value !== props.modelValue) emit('update:modelValue', dragged.value)
  dragged.value = null
}
</script>

<template>
  <span class="slider">
    <USlider
      :model-value="now"
      :min="least ?? 0"
      :max="most"
      :step="step ?? 1"
      size="sm"
      class="track"
      :aria-label="label"
      :aria-valuetext="`${now}${unit ? ` ${unit}` : ''}`"
      :disabled="disabled"
      @update:model-value="value => (dragged = value ?? null)"
      @change="keep"
    />
    <span class="amount">{{ now }}{{ unit ? ` ${unit}` : '' }}</span>
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
  flex: 1;
  width: 108px;
  min-width: 0;
}
.amount {
  width: 50px;
  flex: none;
  font-size: 12.5px;
  color: var(--second);
  text-align: right;
}
</style>
