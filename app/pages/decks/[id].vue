<script setup lang="ts">
import { watchDebounced } from '@vueuse/core'
import { advance, goBack } from '#core/timing'
import { expected } from '#core/values'

const route = useRoute()
const router = useRouter()
const store = useDeck()
const stage = useStageHost()
const work = useStage()
const { toggle } = usePlayback()

const phases = [
  { name: 'outline', label: 'Outline' },
  { name: 'compose', label: 'Compose' },
  { name: 'time', label: 'Time' },
  { name: 'check', label: 'Check' },
  { name: 'deliver', label: 'Deliver' },
] as const
const phase = computed(() => String(route.query.phase ?? 'outline'))
const go = (name: string) => void router.replace({ query: { ...route.query, phase: name } })
const keysShown = ref(false)
const finding = ref(false)
/** Brings the other phases here once the first stands: they then open at once, and while the server is away too. */
async function loadPhases() {
  // Without the server they are asked for again when they are opened.
  await Promise.all([
    import('~/components/phases/OutlinePhase.vue'),
    import('~/components/phases/ComposePhase.vue'),
    import('~/components/phases/TimePhase.vue'),
    import('~/components/phases/CheckPhase.vue'),
    import('~/components/phases/DeliverPhase.vue'),
  ]).catch(expected('TypeError'))
}
/** The slide in hand comes first; the rundown, which reckons every slide of the deck, follows a frame later. */
const settled = ref(false)
watch(
  () => !!store.deck,
  arrived => {
    if (arrived)
      requestAnimationFrame(() =>
        requestAnimationFrame(() => {
          settled.value = true
          void loadPhases()
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
    if (arrived) void stage.need(store.deck!)
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
onBeforeUnmount(() => store.close())
useHead({ title: computed(() => `${store.deck?.info.info?.title ?? 'Deck'} · Hailbank`) })
const colors = computed(() =>
  Object.fromEntries(Object.entries(store.deck?.theme.theme?.palette ?? {}).map(([role, value]) => [`--role-${role}`, value])),
)

function play() {
  const moment = store.moment
  void router.push({
    path: `/present/${store.id}`,
    query: { ...(moment ? { slide: moment.slide, beat: String(moment.beat) } : {}), ...(work.variant ? { variant: work.variant } : {}) },
  })
}

function onKey(event: KeyboardEvent) {
  const control = event.ctrlKey || event.metaKey
  const phaseKey = event.altKey && /^Digit([1-5])$/.exec(event.code)
  if (phaseKey) {
    event.preventDefault()
    go(phases[Number(phaseKey[1]) - 1]!.name)
    return
  }
  if (control && event.key.toLowerCase() === 'z' && !isTyping(event.target)) {
    event.preventDefault()
    if (event.shiftKey) store.redo()
    else store.undo()
    return
  }
  if (control && event.key.toLowerCase() === 'y' && !isTyping(event.target)) {
    event.preventDefault()
    store.redo()
    return
  }
  if (isTyping(event.target) || control || event.altKey) return
  if (event.key === ' ' && !(event.target instanceof HTMLButtonElement)) {
    event.preventDefault()
    toggle()
  } else if (
    (event.key === ',' || event.key === '.' || event.key === '<' || event.key === '>' || event.key === ';' || event.key === ':') &&
    store.plan &&
    store.moment
  ) {
    event.preventDefault()
    const forwards = event.code === 'Period'
    if (event.shiftKey) {
      const next = (forwards ? advance : goBack)(store.plan, store.moment)
      if (next) store.goTo(next)
    } else store.goTo({ ...store.moment, seconds: Math.max(0, store.moment.seconds + (forwards ? 1 : -1) / 30) })
  } else if (event.key === '?') keysShown.value = true
  else if (event.key === '/') {
    event.preventDefault()
    finding.value = true
  }
}
onKeys(onKey)

const keys = [
  ['Space', 'play and stop'],
  [', and .', 'one frame back, on; with Shift one beat'],
  ['Alt 1 to Alt 5', 'the five phases'],
  ['Arrows', 'nudge by 8; with Alt by 1, with Shift by 40'],
  ['Tab', 'walk the parts of the slide'],
  ['Enter', 'edit the text that is selected'],
  ['A', 'what to add to the slide'],
  ['B', 'a new beat at the playhead'],
  ['Delete', 'take away what is selected'],
  ['Ctrl D', 'duplicate, with the same offset again'],
  ['Ctrl C, X, V', 'copy, cut, paste'],
  ['G, Shift G', 'group, open the group'],
  ['Page Up, Page Down', 'forward, back'],
  ['+ - 0', 'nearer, farther, fit'],
  ['/', 'find words and parts, and replace'],
  ['Ctrl Z, Ctrl Shift Z', 'undo, redo'],
  ['?', 'this page'],
] as const
</script>

<template>
  <div class="work" :style="colors">
    <template v-if="store.deck">
      <DeckBar :phase="phase" :phases="phases" @go="go" @play="play" />
      <main class="phase-area" :data-phase="phase">
        <LazyOutlinePhase v-if="phase === 'outline'" />
        <LazyComposePhase v-else-if="phase === 'compose'" />
        <LazyTimePhase v-else-if="phase === 'time'" />
        <LazyCheckPhase v-else-if="phase === 'check'" @go="go" />
        <LazyDeliverPhase v-else @play="play" />
      </main>
      <RundownStrip v-if="settled" />
      <div v-else class="rundown-place" />
    </template>
    <div v-else class="waiting">
      <p v-if="store.status.closed">
        There is no such deck, or it is off the shelf.
        <NuxtLink to="/" class="link">All decks</NuxtLink>
      </p>
      <p v-else class="quiet">Fetching the deck</p>
    </div>
    <FindAnything v-if="store.deck" v-model="finding" />
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
