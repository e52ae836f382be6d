<script setup lang="ts">
/** What there is to say: the deck as text with ways to lay it out, or all of its slides at once. */
const route = useRoute()
const router = useRouter()
const overview = computed(() => route.query.view === 'overview')
const show = (view: 'text' | 'overview') => void router.replace({ query: { ...route.query, view: view === 'overview' ? view : undefined } })
const copying = ref<string[] | null>(null)
const taking = ref(false)
const starting = ref(false)
useUnfetched(() => {
  taking.value = starting.value = false
  copying.value = null
  if (overview.value) show('text')
})
</script>

<template>
  <div class="outline-phase" :class="{ wide: overview }">
    <Suspense>
      <LazySlideOverview v-if="overview" @copy="copying = $event">
        <template #head><OutlineViews :overview="overview" @show="show" /></template>
      </LazySlideOverview>
      <OutlineText v-else>
        <template #head><OutlineViews :overview="overview" @show="show" /></template>
      </OutlineText>
    </Suspense>
    <LazyLayoutWays v-if="!overview" @other="taking = true" @starter="starting = true" />
    <LazyOtherDeck v-if="taking" @close="taking = false" />
    <LazyCopySlides v-if="copying" :slides="copying" @close="copying = null" />
    <LazyStarterShelf v-if="starting" @close="starting = false" />
  </div>
</template>

<style scoped>
.outline-phase {
  display: grid;
  grid-template-columns: minmax(380px, 44%) 1fr;
  height: 100%;
}
.outline-phase.wide {
  grid-template-columns: 1fr;
}
</style>
