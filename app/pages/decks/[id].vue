<script setup lang="ts">
import { expected } from '#core/values'
import { watchDebounced } from '@vueuse/core'

const route = useRoute()
const router = useRouter()
const store = useDeck()
const where = useWhere()
const stage = useStageHost()
const work = useStage()

const { phase, shown, lacking, go, again, bringAll } = usePhases()
const keysShown = ref(false)
const finding = ref(false)
/** The slide in hand comes first; the rundown, which reckons every slide of the deck, follows a frame later. */
const settled = ref(false)
watch(
  () => !!store.deck,
  arrived => {
    if (arrived)
      requestAnimationFrame(() =>
        requestAnimationFrame(() => {
          settled.value = true
          requestIdleCallback(() => void bringAll(), { timeout: 3000 })
        }),
      )
  },
  { immediate: true },
)

await stage.ready
store.open(String(route.params.id))
/** Fonts are looked for at once when the deck arrives, and later when typing rests: the whole deck is read for it. */
watch(
  () => !!store.deck,
  arrived => {
    if (arrived) void stage.need(store.current)
  },
  { immediate: true },
)
watchDebounced(
  () => store.deck,
  deck => {
    if (deck) void stage.need(deck)
  },
  { debounce: 700 },
)
watch(
  () => !!store.deck,
  arrived => {
    const asked = String(route.query.slide ?? '')
    if (arrived && asked && store.current.slides[asked]) where.goToSlide(asked)
  },
)
/** Where one is, so that one can go on there; while the server is away that is no loss. */
watchDebounced(
  () => (store.deck && where.slideId ? `${where.slideId} ${phase.value}` : null),
  at => {
    if (at)
      void $fetch(`/api/decks/${store.id}/place`, { method: 'PUT', body: { slide: where.slideId, phase: phase.value } }).catch(
        expected('FetchError'),
      )
  },
  { debounce: 1500, immediate: true },
)
useStoryIntake()
const stopFollowing = useTables().followOnAir()
onBeforeUnmount(stopFollowing)
onBeforeUnmount(() => store.close())
useHead({ title: computed(() => `${store.deck?.info.info?.title ?? 'Deck'} · Hailbank`) })
const colors = computed(() =>
  Object.fromEntries(Object.entries(store.deck?.theme.theme?.palette ?? {}).map(([role, value]) => [`--role-${role}`, value])),
)

function play() {
  const moment = where.moment
  void router.push({
    path: `/present/${store.id}`,
    query: { ...(moment ? { slide: moment.slide, beat: String(moment.beat) } : {}), ...(work.variant ? { variant: work.variant } : {}) },
  })
}

useDeckKeys({
  go,
  find: () => {
    finding.value = true
  },
  tellKeys: () => {
    keysShown.value = true
  },
})
/** Whoever asks for it is shown round, from the list of decks too. */
const touring = ref(route.query.tour !== undefined)
function leaveTour() {
  touring.value = false
  void router.replace({ query: { ...route.query, tour: undefined } })
}
useUnfetched(() => {
  keysShown.value = touring.value = false
})
const commands = useCommands({
  go,
  play,
  tellKeys: () => {
    keysShown.value = true
  },
  tour: () => {
    touring.value = true
  },
})
/** What phases ask of the page. */
const asks: Readonly<Record<string, object>> = { check: { go }, deliver: { play } }
</script>

<template>
  <div class="work" :style="colors">
    <template v-if="store.deck">
      <DeckBar :phase="phase" :phases="phases" @go="go" @play="play" />
      <main class="phase-area" :data-phase="shown?.name">
        <div v-if="lacking" class="waiting lacking" role="alert">
          <p>{{ lacking }} could not be fetched from the server. If that stays so, load the page again.</p>
          <UButton color="primary" variant="solid" @click="again">Try again</UButton>
        </div>
        <component :is="shown.component" v-else-if="shown" v-on="asks[shown.name] ?? {}" />
      </main>
      <Suspense v-if="settled">
        <LazyRundownStrip />
        <template #fallback><div class="rundown-place" /></template>
      </Suspense>
      <div v-else class="rundown-place" />
    </template>
    <div v-else class="waiting">
      <p v-if="store.status.closed">
        There is no such deck, or it was removed.
        <NuxtLink to="/" class="link">All decks</NuxtLink>
      </p>
      <p v-else class="quiet">Fetching the deck</p>
    </div>
    <FindAnything v-if="store.deck" v-model="finding" :commands="commands" />
    <LazyTheTour v-if="touring && store.deck" @go="go" @done="leaveTour" />
    <LazyTheKeys v-if="keysShown" v-model="keysShown" />
  </div>
</template>

<style scoped>
.work {
  height: 100vh;
  display: flex;
  flex-direction: column;
  overflow: hidden;
}
.phase-area {
  flex: 1;
  min-height: 0;
  position: relative;
}
.rundown-place {
  height: 148px;
  border-top: 1px solid var(--line);
  flex: none;
}
.waiting {
  flex: 1;
  display: grid;
  place-items: center;
}
.lacking {
  height: 100%;
  align-content: center;
  gap: 12px;
}
.link {
  color: var(--act);
  text-decoration: underline;
}
</style>
