<script setup lang="ts">
/** What there is to say: the deck as text with ways to lay it out, or all of its slides at once. */
const route = useRoute()
const router = useRouter()
const overview = computed(() => route.query.view === 'overview')
const show = (view: 'text' | 'overview') => void router.replace({ query: { ...route.query, view: view === 'overview' ? view : undefined } })
const copying = ref<string[] | null>(null)
const taking = ref(false)
const starting = ref(false)
</script>

<template>
  <div class="outline-phase" :class="{ wide: overview }">
    <SlideOverview v-if="overview" @copy="copying = $event">
      <template #head><OutlineViews :overview="overview" @show="show" /></template>
    </SlideOverview>
    <template v-else>
      <OutlineText>
        <template #head><OutlineViews :overview="overview" @show="show" /></template>
      </OutlineText>
      <LayoutWays @other="taking = true" @starter="starting = true" />
    </template>
    <OtherDeck v-if="taking" @close="taking = false" />
    <CopySlides v-if="copying" :slides="copying" @close="copying = null" />
    <StarterShelf v-if="starting" @close="starting = false" />
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
