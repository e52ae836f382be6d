<script setup lang="ts">
import type { Theme } from '#core/model'

/** The lines of a diagram: written here, drawn on the stage at once. */
const props = defineProps<{ element: string; name: string; theme: Theme }>()
const place = ref<HTMLElement>()
const editor = useTextEditor({ element: () => props.element, place, label: () => `Outline of ${props.name}`, lists: true })
</script>

<template>
  <section class="items">
    <TextTools :editor="editor" :theme="theme" outline />
    <div ref="place" class="lines" data-test="diagram-outline" @keydown.stop />
    <p class="quiet small">A line is an item. Enter begins the next, Tab puts it under the one above.</p>
  </section>
</template>

<style scoped>
.items {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.lines {
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--panel);
  padding: 8px 10px;
  min-height: 120px;
  max-height: 46vh;
  overflow-y: auto;
}
.lines :deep(.ProseMirror) {
  outline: none;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
  min-height: 100px;
}
.lines :deep(p) {
  margin: 0 0 4px;
  padding-left: 14px;
  position: relative;
}
.lines :deep(p)::before {
  content: '';
  position: absolute;
  left: 2px;
  top: 0.58em;
  width: 5px;
  height: 5px;
  border-radius: 50%;
  background: var(--act);
}
.lines :deep(p[data-level='2']) {
  margin-left: 16px;
}
.lines :deep(p[data-level='3']) {
  margin-left: 32px;
}
.lines :deep(p[data-level='4']) {
  margin-left: 48px;
}
.lines :deep(p[data-level]:not([data-level='0'], [data-level='1'], [data-level='2'], [data-level='3'], [data-level='4'])) {
  margin-left: 60px;
}
.lines :deep(p[data-highlighted])::before {
  background: var(--now);
  box-shadow: 0 0 0 3px var(--now-wash);
}
.small {
  font-size: 12.5px;
  margin: 0;
}
</style>
