<script setup lang="ts">
/** Words that are written in a cell, over all of it; it has the cursor at once, and its keys are its own. */
const words = defineModel<string>({ required: true })
defineProps<{ label: string; most: number }>()
const emit = defineEmits<{ key: [event: KeyboardEvent]; leave: [] }>()
const own = useTemplateRef<{ inputRef: HTMLInputElement }>('own')
onMounted(() => own.value?.inputRef.focus())
</script>

<template>
  <UInput
    ref="own"
    v-model="words"
    class="cell-field"
    variant="none"
    :aria-label="label"
    :maxlength="most"
    @mousedown.stop
    @keydown="(event: KeyboardEvent) => emit('key', event)"
    @blur="emit('leave')"
  />
</template>

<style scoped>
.cell-field {
  position: absolute;
  inset: 0;
}
.cell-field :deep(input) {
  width: 100%;
  height: 100%;
  padding: 0 10px;
  border-radius: 0;
  outline: 2px solid var(--act);
  outline-offset: -2px;
  background: var(--panel);
  color: var(--ink);
  font: inherit;
}
</style>
