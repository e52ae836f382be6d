<script setup lang="ts">
/** The browser's own window for choosing files, asked for by `open`. The same file can be chosen again. */
defineProps<{ accept: string; multiple?: boolean }>()
const emit = defineEmits<{ /** The first one. */ file: [file: File]; files: [files: File[]] }>()
const field = useTemplateRef('field')
function take() {
  const files = [...(field.value?.files ?? [])]
  if (field.value) field.value.value = ''
  if (!files[0]) return
  emit('file', files[0])
  emit('files', files)
}
defineExpose({ open: () => field.value?.click() })
</script>

<template>
  <input
    ref="field"
    type="file"
    class="hidden-words"
    tabindex="-1"
    aria-hidden="true"
    :accept="accept"
    :multiple="multiple"
    @change="take"
  />
</template>
