<script setup lang="ts">
/** What is composed: one slide, or the look of all. */
const route = useRoute()
const router = useRouter()
const look = computed(() => typeof route.query.look === 'string')
const views = [
  { value: 'slide', label: 'Slide' },
  { value: 'look', label: 'Look' },
]
const show = (wanted: string) =>
  void router.replace({ query: { ...route.query, look: wanted === 'look' ? (route.query.look ?? 'looks') : undefined } })
</script>

<template>
  <ViewSwitch label="What is composed" :views="views" :value="look ? 'look' : 'slide'" @show="show" />
</template>
