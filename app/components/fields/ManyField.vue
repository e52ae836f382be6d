<script setup lang="ts">
import type { Choice } from '~/composables/choices'

/** Any of several, chosen from a list that is searched by words; with `creates` also what is not in it yet. */
const props = defineProps<{
  modelValue: readonly string[]
  items: readonly Choice<string>[]
  label: string
  /** What stands there where none is chosen. */
  none: string
  creates?: boolean
  disabled?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [value: string[]] }>()
/** What was chosen before it was in the list stays in it. */
const rows = computed(() => {
  const known = new Set(props.items.map(({ value }) => value))
  const own = props.modelValue.filter(value => !known.has(value)).map(value => ({ value, label: value }))
  return [...own, ...props.items].map(({ value, label }) => ({ value, label: String(label) }))
})
const give = (values: unknown) => emit('update:modelValue', Array.isArray(values) ? values.map(String) : [])
const add = (value: string) => emit('update:modelValue', [...props.modelValue, value.trim()])
</script>

<template>
  <USelectMenu
    class="choice-field"
    multiple
    :items="rows"
    value-key="value"
    :model-value="[...modelValue]"
    :placeholder="none"
    :disabled="disabled"
    :aria-label="label"
    :search-input="{ placeholder: creates ? 'Find, or write another' : 'Find', autofocus: true }"
    :create-item="creates ? { position: 'bottom' } : false"
    @update:model-value="give"
    @create="add"
  />
</template>
