<script setup lang="ts">
defineProps<{ overview: boolean }>()
const emit = defineEmits<{ show: [view: 'text' | 'overview'] }>()
const views = [
  { value: 'text', label: 'Text' },
  { value: 'overview', label: 'Overview' },
]
</script>

<template>
  <h2>What you will say</h2>
  <ViewSwitch label="View" :views="views" :value="overview ? 'overview' : 'text'" @show="emit('show', $event as 'text' | 'overview')" />
</template>

<style scoped>
h2 {
  font-size: 18px;
  white-space: nowrap;
}
</style>
