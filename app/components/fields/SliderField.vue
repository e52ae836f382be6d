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
  /** Without the number beside it. */
  bare?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [value: number] }>()
const dragged = ref<number | null>(null)
const now = computed(() => dragged.value ?? props.modelValue)
const root = ref<HTMLElement>()
/** What is turned carries the name and the words itself: that is what has the focus, and is read out. */
function nameIt() {
  const thumb = root.value?.querySelector('[role=slider]')
  thumb?.setAttribute('aria-label', props.label)
  thumb?.setAttribute('aria-valuetext', words.value)
}
const words = computed(() => `${now.value}${props.unit ? ` ${props.unit}` : ''}`)
onMounted(nameIt)
onUpdated(nameIt)
function keep() {
  if (dragged.value !== null && dragged.value !== props.modelValue) emit('update:modelValue', dragged.value)
  dragged.value = null
}
</script>

<template>
  <span ref="root" class="slider">
    <USlider
      :model-value="now"
      :min="least ?? 0"
      :max="most"
      :step="step ?? 1"
      size="sm"
      class="track"
      :disabled="disabled"
      @update:model-value="value => (dragged = value ?? null)"
      @change="keep"
    />
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
