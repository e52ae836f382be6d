<script setup lang="ts">
import { readSum } from '#core/values'

/**
 * A number that is taken when one leaves the field or presses Enter, also as a sum ("100+50", "1/3"). Arrows and the wheel step, with Shift
 * by ten, with Alt by a tenth. What is out of its range is put within and said. Null stands for several that differ.
 */
const props = defineProps<{
  modelValue: number | null
  label: string
  unit?: string
  min?: number
  max?: number
  step?: number
  decimals?: number
  disabled?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [value: number] }>()
const written = (value: number | null) => value?.toFixed(props.decimals ?? 0) ?? ''
/** What is being written, before it is taken. */
const draft = ref<string | null>(null)
const shown = computed(() => draft.value ?? written(props.modelValue))
const held = (value: number) => Math.min(props.max ?? Infinity, Math.max(props.min ?? -Infinity, value))

/** The number that is written, within its range; null where none is. What is none, or out of its range, is said. */
function writtenNow(): number | null {
  const text = draft.value?.trim() ?? ''
  draft.value = null
  if (!text) return null
  const value = readSum(text)
  if (value === null) {
    notifyProblem(`${props.label} takes a number or a sum, as 120, 1.5 or 100+50; “${text.slice(0, 40)}” is none.`)
    return null
  }
  if (held(value) !== value)
    notifyProblem(
      `${props.label} can be ${held(value)} at ${held(value) < value ? 'most' : 'least'}, so it is that, not ${written(value)}.`,
    )
  return held(value)
}
const give = (value: number | null) => value !== null && value !== props.modelValue && emit('update:modelValue', value)
const take = () => give(writtenNow())
/** Steps from what is written, where something is, as one edit. */
function stepBy(direction: number, by: { shiftKey: boolean; altKey: boolean }) {
  const size = (props.step ?? 1) * (by.shiftKey ? 10 : by.altKey ? 0.1 : 1)
  give(held(Math.round(((writtenNow() ?? props.modelValue ?? 0) + direction * size) * 1000) / 1000))
}
/** The wheel turns the number that is worked on, and scrolls past all others. */
function turn(event: WheelEvent) {
  if (document.activeElement !== event.target || !event.deltaY) return
  event.preventDefault()
  stepBy(event.deltaY < 0 ? 1 : -1, event)
}
</script>

<template>
  <span class="number">
    <UInput
      :model-value="shown"
      class="number-input"
      :ui="{ base: 'amount text-right pe-5', trailing: 'pe-0.5' }"
      :placeholder="modelValue === null ? 'mixed' : undefined"
      inputmode="decimal"
      autocomplete="off"
      :aria-label="label"
      :disabled="disabled"
      @update:model-value="text => (draft = String(text))"
      @blur="take"
      @keydown.enter="take"
      @keydown.esc="draft = null"
      @keydown.up.prevent="stepBy(1, $event)"
      @keydown.down.prevent="stepBy(-1, $event)"
      @wheel="turn"
    >
      <template #trailing>
        <span class="steps" aria-hidden="true">
          <button type="button" tabindex="-1" :disabled="disabled" @pointerdown.prevent @click="stepBy(1, $event)">
            <UIcon name="i-lucide-chevron-up" />
          </button>
          <button type="button" tabindex="-1" :disabled="disabled" @pointerdown.prevent @click="stepBy(-1, $event)">
            <UIcon name="i-lucide-chevron-down" />
          </button>
        </span>
      </template>
    </UInput>
    <span v-if="unit" class="quiet">{{ unit }}</span>
  </span>
</template>

<style scoped>
.number {
  display: inline-flex;
  align-items: center;
  gap: 5px;
}
.number-input {
  width: var(--number-width, 78px);
}
.steps {
  display: flex;
  flex-direction: column;
  opacity: 0;
}
.number:hover .steps,
.number:focus-within .steps {
  opacity: 1;
}
.steps button {
  display: grid;
  place-items: center;
  width: 15px;
  height: 12px;
  font-size: 12px;
  color: var(--third);
  cursor: pointer;
}
.steps button:hover {
  color: var(--act);
}
</style>
