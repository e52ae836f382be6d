<script setup lang="ts">
/** A choice between a few views of the same thing. */
defineProps<{ label: string; views: readonly { value: string; label: string }[]; value: string }>()
const emit = defineEmits<{ show: [value: string] }>()
</script>

<template>
  <div class="views" role="radiogroup" :aria-label="label">
    <UButton
      v-for="view in views"
      :key="view.value"
      size="sm"
      :active="value === view.value"
      role="radio"
      :aria-checked="value === view.value"
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
