<script setup lang="ts">
import { slidesOf, type Deck } from '#core/model'

/** Where one was last: the very slide, and one press goes on there. Whoever was nowhere yet is offered a tour through a deck. */
defineProps<{ deck?: string }>()

interface Place {
  deck: string
  title: string
  purpose: DeckEntry['purpose']
  slide: string | null
  phase: PhaseName
  at: string
  changed_at: string
  seconds: number[] | null
}
const { data } = await useFetch<{ places: Place[]; at: { index: number; of: number; cover: Deck } | null }>('/api/places', { deep: false })
const stage = useStageHost()
watch(
  data,
  answer => {
    if (answer?.at) void stage.need(answer.at.cover)
  },
  { immediate: true },
)
const place = computed(() => data.value?.places[0])
const cover = computed(() => (data.value?.at ? slidesOf(data.value.at.cover)[0]?.id : undefined))
const size = computed(() => data.value?.at?.cover.info.info?.size ?? { width: 16, height: 9 })
const to = (one: Place) => ({ path: `/decks/${one.deck}`, query: { phase: one.phase, ...(one.slide ? { slide: one.slide } : {}) } })
const phaseWords = computed(() => phases.find(phase => phase.name === place.value?.phase)?.label ?? '')
const saved = computed(() =>
  place.value
    ? new Date(place.value.changed_at).toLocaleString(undefined, { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
    : '',
)
</script>

<template>
  <section v-if="place && data?.at" class="last" aria-label="You were at">
    <h2>You were at</h2>
    <div class="pair">
      <NuxtLink :to="to(place)" class="cover" tabindex="-1" aria-hidden="true">
        <SlideThumb
          v-if="cover"
          :deck="data.at.cover"
          :slide="cover"
          :width="Math.min(264, Math.round((149 * size.width) / size.height))"
          :label="`Slide ${data.at.index + 1} of ${place.title}`"
        />
      </NuxtLink>
      <div class="words">
        <h3>{{ place.title }}</h3>
        <p>
          {{ data.at.of ? `Slide ${data.at.index + 1} of ${data.at.of}, in ${phaseWords}.` : `In ${phaseWords}, without slides yet.` }}
          Saved {{ saved }}.
        </p>
        <DeckStrip v-if="place.seconds" class="lasts" :seconds="place.seconds" :purpose="place.purpose" :at="data.at.index" />
        <UButton color="primary" variant="solid" :to="to(place)">Continue</UButton>
        <p v-if="data.places.length > 1" class="quiet">
          before that
          <template v-for="(one, index) in data.places.slice(1)" :key="one.deck">
            {{ index ? ', ' : '' }}
            <NuxtLink :to="to(one)">{{ one.title }}</NuxtLink>
          </template>
        </p>
      </div>
    </div>
  </section>
  <section v-else-if="data && deck" class="last" aria-label="New here?">
    <h2>New here?</h2>
    <p>
      A deck is written, made, timed, checked and delivered, from left to right. One minute shows you round, and can be left at any time.
    </p>
    <UButton class="tour" icon="i-lucide-footprints" :to="`/decks/${deck}?tour`">Take the tour</UButton>
  </section>
</template>

<style scoped>
.tour {
  margin-top: 12px;
}
h2 {
  font-size: 18px;
  margin-bottom: 10px;
}
.pair {
  display: flex;
  gap: 18px;
}
.cover {
  flex: none;
  display: grid;
  place-items: center;
  min-width: 264px;
  height: 149px;
  border-radius: 8px;
  overflow: hidden;
  background: var(--well);
  box-shadow: var(--shadow);
}
.words {
  min-width: 0;
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 6px;
}
h3 {
  font-size: 20px;
  overflow-wrap: anywhere;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
.lasts {
  width: 232px;
  max-width: 100%;
}
p {
  margin: 0;
  color: var(--second);
}
p.quiet {
  font-size: 13px;
}
p.quiet a {
  color: var(--act);
  font-weight: 500;
}
</style>
