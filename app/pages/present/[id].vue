<script setup lang="ts">
import { asPlayed } from '#core/amounts'
import { infoOf, mediaOf, voicesOf, type Purpose } from '#core/model'
import { expected } from '#core/values'
import { inVariant, variantNamed } from '#core/resolved'
import { tablesOf } from '#core/formats/deck-file'
import { rundown, type Moment } from '#core/timing'
import { PlayerView, type PlayerBundle } from '#player'

/** The room’s window: the deck full screen, with keys, press and mouse. Follows edits that are made meanwhile. */
const route = useRoute()
const router = useRouter()
const store = useDeck()
const stage = useStageHost()
const tables = useTables()
const clips = useClips()
const inkStore = useInk()
const words = useSyllables()
const as = computed(() => (['talk', 'film', 'loop'].includes(String(route.query.as)) ? (route.query.as as Purpose) : undefined))
const player = ref<{ forward(): void; back(): void; pause(): void; over: boolean; paused: boolean }>()
const root = ref<HTMLElement>()
const shownControls = ref(false)
const captions = ref(false)
let hide: ReturnType<typeof setTimeout>

store.open(String(route.params.id))
onBeforeUnmount(() => store.close())
const stopFollowing = tables.followOnAir()
onBeforeUnmount(stopFollowing)
// The bundle holds what is known. As the rundown is reckoned, what is not is asked for: how words are written, lines of pictures, lengths.
watchEffect(() => store.deck && void rundown(asPlayed(store.deck, stage.host.table), store.purpose, stage.host))
const bundle = computed<PlayerBundle | null>(() => {
  if (!store.deck) return null
  const wanted = tablesOf(store.deck).map(id => tables.table(id))
  if (wanted.some(table => !table)) return null
  const variant = route.query.variant ? variantNamed(store.deck, String(route.query.variant)) : undefined
  return {
    deck: inVariant(store.deck, variant?.id),
    tables: wanted as NonNullable<(typeof wanted)[number]>[],
    media: Object.fromEntries(mediaOf(store.deck).map(hash => [hash, `/api/media/${hash}`])),
    lengths: clips.lengths,
    ink: inkStore.book,
    syllables: words.known[infoOf(store.deck).language] ?? {},
    peaks: Object.fromEntries(voicesOf(store.deck).map(hash => [hash, clips.peaks(hash) ?? new Uint8Array()])),
  }
})
const from: Moment | null = route.query.slide
  ? { slide: String(route.query.slide), beat: Number(route.query.beat ?? 0) || 0, seconds: 0 }
  : null
const beat = ref('')

const leave = () => {
  if (document.fullscreenElement) void document.exitFullscreen()
  // One comes back to where one was.
  const before = String(history.state?.back ?? '')
  if (before.startsWith(`/decks/${String(route.params.id)}`)) router.back()
  else void router.push({ path: `/decks/${route.params.id}`, query: { phase: 'deliver' } })
}
const fullScreen = () =>
  void (document.fullscreenElement
    ? document.exitFullscreen()
    : root.value?.requestFullscreen().catch(expected('TypeError', 'NotAllowedError')))
function onKey(event: KeyboardEvent) {
  const keys: Record<string, () => void> = {
    ' ': () => player.value?.forward(),
    ArrowRight: () => player.value?.forward(),
    ArrowDown: () => player.value?.forward(),
    PageDown: () => player.value?.forward(),
    Enter: () => player.value?.forward(),
    ArrowLeft: () => player.value?.back(),
    ArrowUp: () => player.value?.back(),
    PageUp: () => player.value?.back(),
    Backspace: () => player.value?.back(),
    p: () => player.value?.pause(),
    f: fullScreen,
    c: () => {
      captions.value = !captions.value
    },
    Escape: leave,
  }
  if (event.ctrlKey || event.metaKey || event.altKey || !keys[event.key]) return
  if (event.target instanceof HTMLButtonElement && (event.key === ' ' || event.key === 'Enter')) return
  event.preventDefault()
  keys[event.key]!()
}
function stir() {
  shownControls.value = true
  clearTimeout(hide)
  hide = setTimeout(() => {
    shownControls.value = false
  }, 2000)
}
onMounted(() => {
  addEventListener('keydown', onKey)
  root.value?.requestFullscreen?.().catch(expected('TypeError', 'NotAllowedError'))
})
onBeforeUnmount(() => removeEventListener('keydown', onKey))
</script>

<template>
  <div
    ref="root"
    class="room dark"
    :class="{ stirred: shownControls }"
    @mousemove="stir"
    @click.self="player?.forward()"
    @contextmenu.prevent="player?.back()"
  >
    <PlayerView
      v-if="bundle"
      ref="player"
      :bundle="bundle"
      :as="as"
      :from="from"
      :captions="captions"
      @click="player?.forward()"
      @moment="
        moment => {
          beat = `${moment.slide}:${moment.beat}`
        }
      "
    />
    <p v-else class="quiet">{{ store.status.closed ? 'There is no such deck.' : 'Fetching the deck' }}</p>
    <span class="hidden-words" data-test="beat">{{ beat }}</span>
    <div class="controls" @click.stop>
      <UButton @click="player?.back()">Back</UButton>
      <UButton @click="player?.forward()">On</UButton>
      <UButton @click="player?.pause()">{{ player?.paused ? 'Go on playing' : 'Pause' }}</UButton>
      <UButton :aria-pressed="captions" @click="captions = !captions">Captions</UButton>
      <UButton @click="fullScreen">Full screen</UButton>
      <UButton @click="leave">Leave</UButton>
    </div>
  </div>
</template>

<style scoped>
.room {
  position: fixed;
  inset: 0;
  background: #0b1113;
  display: grid;
  place-items: center;
  cursor: none;
}
.room.stirred {
  cursor: default;
}
.controls {
  position: absolute;
  left: 50%;
  bottom: 18px;
  transform: translateX(-50%);
  display: flex;
  gap: 6px;
  background: rgb(16 25 28 / 0.85);
  border-radius: 10px;
  padding: 6px;
  opacity: 0;
  transition: opacity 0.2s;
}
.stirred .controls,
.controls:focus-within {
  opacity: 1;
}
</style>
