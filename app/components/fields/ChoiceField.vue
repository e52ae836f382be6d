<script setup lang="ts" generic="T extends string | number | boolean | null | undefined">
import { USelect as Select, USelectMenu as SelectMenu } from '#components'
import type { Choice } from '~/composables/choices'

/** One of several, chosen from a list; long lists are searched by words. What stands on none of them shows the placeholder. */
const props = defineProps<{
  modelValue?: T
  items: readonly Choice<T>[]
  /** Its name, where no label stands around it. */
  label?: string
  placeholder?: string
  disabled?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [value: T] }>()
defineOptions({ inheritAttrs: false })

const searchedFrom = 15
const isLong = computed(() => props.items.length >= searchedFrom)
/** The list takes no empty values, so it is told places. */
const rows = computed(() => props.items.map(({ label, disabled }, value) => ({ label: String(label), disabled, value })))
const place = computed(() => {
  const found = props.items.findIndex(item => item.value === props.modelValue)
  return found < 0 ? undefined : found
})
const choose = (at: unknown) => {
  const item = props.items[Number(at)]
  if (item && item.value !== props.modelValue) emit('update:modelValue', item.value)
}
</script>

<template>
  <component
    :is="isLong ? SelectMenu : Select"
    v-bind="{ ...$attrs, ...(isLong ? { searchInput: { placeholder: 'Find', autofocus: true } } : {}) }"
    :items="rows"
    value-key="value"
    :model-value="place"
    :placeholder="placeholder"
    :disabled="disabled"
    :aria-label="label"
    class="choice-field"
    @update:model-value="choose"
  />
</template>
