<script setup lang="ts">
/** A choice between a few views of the same thing. */
const props = defineProps<{ label: string; views: readonly { value: string; label: string }[]; value: string }>()
const emit = defineEmits<{ show: [value: string] }>()
/** The arrows choose the next one and go there (ARIA Authoring Practices, radio group). */
function step(event: KeyboardEvent, by: number) {
  const { views, value } = props
  const next = views[(views.findIndex(view => view.value === value) + by + views.length) % views.length]!
  emit('show', next.value)
  const radios = (event.currentTarget as HTMLElement).querySelectorAll<HTMLElement>('[role=radio]')
  radios[views.indexOf(next)]?.focus()
}
</script>

<template>
  <div
    class="views"
    role="radiogroup"
    :aria-label="label"
    @keydown.right.prevent.stop="step($event, 1)"
    @keydown.down.prevent.stop="step($event, 1)"
    @keydown.left.prevent.stop="step($event, -1)"
    @keydown.up.prevent.stop="step($event, -1)"
  >
    <UButton
      v-for="view in views"
      :key="view.value"
      size="sm"
      :active="value === view.value"
      role="radio"
      :aria-checked="value === view.value"
      :tabindex="value === view.value ? 0 : -1"
      @click="emit('show', view.value)"
    >
      {{ view.label }}
    </UButton>
  </div>
</template>

<style scoped>
.views {
  display: flex;
  gap: 4px;
}
</style>
