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
          requestIdleCallback(bringAll, { timeout: 3000 })
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

const keys = [
  ['Space', 'play and stop'],
  [', and .', 'one frame back, on; with Shift one beat'],
  ['Alt 1 to Alt 5', 'the five phases'],
  ['Arrows', 'nudge by 8; with Alt by 1, with Shift by 40'],
  ['Tab', 'walk the elements of the slide'],
  ['Alt Left, Alt Right', 'in the outline: a line further out, further in'],
  ['Alt Up, Alt Down', 'in the outline: a slide earlier, later'],
  ['Enter', 'edit the text that is selected'],
  ['A', 'what to add to the slide'],
  ['B', 'a new beat at the playhead'],
  ['Delete', 'delete what is selected'],
  ['Ctrl D', 'duplicate, with the same offset again'],
  ['Ctrl C, X, V', 'copy, cut, paste'],
  ['G, Shift G', 'group, open the group'],
  ['Page Up, Page Down', 'forward, back'],
  ['+ - 0', 'on the stage: nearer, farther, fit'],
  ['+ - F', 'in the score: nearer, farther, all in sight'],
  ['Left, Right', 'on a bar of the score: earlier, later; with Alt its end, with Ctrl its start'],
  ['/', 'find anything: commands, settings, slides, elements, words'],
  ['Ctrl Z, Ctrl Shift Z', 'undo, redo'],
  ['?', 'this page'],
] as const
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
      <RundownStrip v-if="settled" />
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
    <TheTour v-if="touring && store.deck" @go="go" @done="leaveTour" />
    <UModal v-model:open="keysShown" title="Keys" description="What the keyboard does here">
      <template #body>
        <dl class="keys">
          <template v-for="[key, words] in keys" :key="key">
            <dt class="amount">{{ key }}</dt>
            <dd>{{ words }}</dd>
          </template>
        </dl>
      </template>
    </UModal>
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
.keys {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px 18px;
  margin: 0;
}
.keys dd {
  margin: 0;
  color: var(--second);
}
</style>
