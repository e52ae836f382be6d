<script setup lang="ts">
defineProps<{ view: OutlineView }>()
const emit = defineEmits<{ show: [view: OutlineView] }>()
</script>

<template>
  <h2>What you will say</h2>
  <ViewSwitch label="View" :views="outlineViews" :value="view" @show="emit('show', $event as OutlineView)" />
</template>

<style scoped>
h2 {
  font-size: 18px;
  white-space: nowrap;
}
</style>
