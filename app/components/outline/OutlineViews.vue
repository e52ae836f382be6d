<script setup lang="ts">
defineProps<{ overview: boolean }>()
const emit = defineEmits<{ show: [view: 'text' | 'overview'] }>()
</script>

<template>
  <h2>What you will say</h2>
  <div class="views" role="radiogroup" aria-label="View">
    <button class="press small" role="radio" :aria-checked="!overview" :class="{ on: !overview }" @click="emit('show', 'text')">Text</button>
    <button class="press small" role="radio" :aria-checked="overview" :class="{ on: overview }" @click="emit('show', 'overview')">Overview</button>
  </div>
</template>

<style scoped>
h2 { font-size: 18px; white-space: nowrap; }
.views { display: flex; gap: 4px; }
</style>
