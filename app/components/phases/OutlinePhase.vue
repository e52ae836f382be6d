<script setup lang="ts">
/** What there is to say: the deck as text with ways to lay it out, or all of its slides at once. */
const route = useRoute()
const router = useRouter()
const view = computed<OutlineView>(() => outlineViews.find(({ value }) => value === route.query.view)?.value ?? 'text')
const show = (next: OutlineView) => void router.replace({ query: { ...route.query, view: next === 'text' ? undefined : next } })
const copying = ref<string[] | null>(null)
const taking = ref(false)
const starting = ref(false)
useUnfetched(() => {
  taking.value = starting.value = false
  copying.value = null
  if (view.value !== 'text') show('text')
})
</script>

<template>
  <div class="outline-phase" :class="{ wide: view !== 'text' }">
    <Suspense>
      <LazySlideOverview v-if="view === 'overview'" @copy="copying = $event">
        <template #head><OutlineViews :view="view" @show="show" /></template>
      </LazySlideOverview>
      <LazyDeckDesigns v-else-if="view === 'designs'" @taken="show('overview')">
        <template #head><OutlineViews :view="view" @show="show" /></template>
      </LazyDeckDesigns>
      <OutlineText v-else @design="show('designs')">
        <template #head><OutlineViews :view="view" @show="show" /></template>
      </OutlineText>
    </Suspense>
    <LazyLayoutWays v-if="view === 'text'" @other="taking = true" @starter="starting = true" />
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
  grid-template-columns: minmax(0, 1fr);
}
</style>
