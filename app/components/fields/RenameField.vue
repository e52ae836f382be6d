<script setup lang="ts">
/**
 * The field in which a thing in a list is renamed, where its name stood: the cursor is in it, Enter and leaving it take the name, Escape
 * gives it up. An empty name, and the one that it has, rename nothing. All else is handed on to the field.
 */
const props = defineProps<{ modelValue: string | undefined; optional?: boolean }>()
const emit = defineEmits<{ rename: [name: string]; done: [] }>()
function take(words: string) {
  const name = words.trim()
  if ((name || props.optional) && name !== (props.modelValue ?? '')) emit('rename', name)
}
</script>

<template>
  <WordsField
    v-cursor
    :model-value="modelValue"
    @update:model-value="take"
    @blur="emit('done')"
    @keydown.enter="emit('done')"
    @keydown.esc="emit('done')"
  />
</template>
