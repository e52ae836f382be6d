<script setup lang="ts">
/**
 * Words that are taken when one leaves the field, or presses Enter in a line. What is being written stays while all around is drawn anew;
 * Escape gives it up. With `rows` it is as many lines high. All else is handed on to the field.
 */
const props = defineProps<{ modelValue?: string | null; rows?: number | string }>()
const emit = defineEmits<{ 'update:modelValue': [words: string] }>()
defineOptions({ inheritAttrs: false })
/** What is being written, before it is taken. */
const draft = ref<string | null>(null)
const given = computed(() => props.modelValue ?? '')
const shown = computed(() => draft.value ?? given.value)
const write = (words: string | number | undefined) => (draft.value = String(words ?? ''))

function take() {
  const words = draft.value
  draft.value = null
  if (words !== null && words !== given.value) emit('update:modelValue', words)
}
</script>

<template>
  <UTextarea
    v-if="rows"
    v-bind="$attrs"
    :rows="Number(rows)"
    :model-value="shown"
    @update:model-value="write"
    @blur="take"
    @keydown.esc="draft = null"
  />
  <UInput
    v-else
    v-bind="$attrs"
    :model-value="shown"
    @update:model-value="write"
    @blur="take"
    @keydown.enter="take"
    @keydown.esc="draft = null"
  />
</template>
