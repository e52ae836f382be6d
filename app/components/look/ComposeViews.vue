<script setup lang="ts">
/** What is composed: one slide, or the look of all. */
const route = useRoute()
const router = useRouter()
const look = computed(() => typeof route.query.look === 'string')
const show = (wanted: boolean) => void router.replace({ query: { ...route.query, look: wanted ? (route.query.look ?? 'palette') : undefined } })
</script>

<template>
  <div class="views" role="radiogroup" aria-label="What is composed">
    <button class="press small" role="radio" :aria-checked="!look" :class="{ on: !look }" @click="show(false)">Slide</button>
    <button class="press small" role="radio" :aria-checked="look" :class="{ on: look }" @click="show(true)">Look</button>
  </div>
</template>

<style scoped>
.views { display: flex; gap: 4px; }
</style>
