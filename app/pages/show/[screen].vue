<script setup lang="ts">
import type { DataTable } from '#core/data'
import { mediaOf, type Deck } from '#core/model'
import type { InkBook } from '#core/drawing'
import { loopPosition } from '#core/signage'
import type { Moment } from '#core/timing'
import { PlayerView, type PlayerBundle } from '#player'

/**
 * A screen’s own page. It keeps everything that it plays in its own hands, follows the wall clock, and goes on while the
 * server is away; what it played meanwhile it reports when the server is back.
 */
interface Item {
  deck: string
  title: string
  version: number
  seconds: number
  /** Which versions of the team's tables it draws. */
  tables: string
}
interface Play {
  deck: string
  version: number
  startedAt: string
  seconds: number
}

definePageMeta({ layout: false })
const route = useRoute()
const token = computed(() => route.hash.slice(1))
const headers = computed(() => ({ authorization: `Bearer ${token.value}` }))
const items = shallowRef<{ item: Item; bundle: PlayerBundle }[]>([])
const index = ref(-1)
const message = ref('Asking what to play')
const reachable = ref(false)
let tag = ''
let offset = 0
let plays: Play[] = []
let playing: { item: Item; startedAt: number } | null = null
let slide = ''
const bundles = new Map<string, { bundle: PlayerBundle; drawn: string }>()
const keyOf = ({ deck, version }: Item) => `${deck}:${version}`
/** What is played, and how long each of it lasts: where only its rows differ, it is played on. */
const playOf = (list: readonly { item: Item }[]) => list.map(({ item }) => `${keyOf(item)}:${item.seconds}`).join()
const now = () => Date.now() + offset

async function bundleOf(item: Item): Promise<PlayerBundle> {
  const key = keyOf(item)
  const known = bundles.get(key)
  if (known?.drawn === item.tables) return known.bundle
  const version = await $fetch<{
    snapshot: Deck
    tables: DataTable[]
    lengths: Record<string, number>
    ink: InkBook
    syllables: Record<string, string[]>
    peaks: Record<string, string>
  }>('/api/screen/version', { query: { deck: item.deck, number: item.version }, headers: headers.value })
  const media: Record<string, string> = { ...known?.bundle.media }
  for (const hash of mediaOf(version.snapshot)) {
    if (media[hash]) continue
    try {
      media[hash] = URL.createObjectURL(await $fetch<Blob>(`/api/media/${hash}`, { headers: headers.value, responseType: 'blob' }))
    } catch (error) {
      // A file that is not there costs its own place on the slide, which shows a calm plate instead; all else is asked for again.
      if ((error as { statusCode?: number }).statusCode !== 404) throw error
    }
  }
  // Where only rows have changed, all else stays the very same: what draws them moves to the new ones, and nothing else stirs.
  const same = ({ id, version: number }: DataTable) => known?.bundle.tables.find(one => one.id === id && one.version === number)
  const tables = version.tables.map(table => same(table) ?? table)
  const bundle: PlayerBundle = {
    deck: known?.bundle.deck ?? version.snapshot,
    tables,
    media,
    lengths: version.lengths,
    ink: version.ink,
    syllables: version.syllables,
    peaks: version.peaks,
  }
  bundles.set(key, { bundle, drawn: item.tables })
  return bundle
}

async function ask() {
  try {
    const sent = Date.now()
    const manifest = await $fetch<{ items: Item[]; tag: string; now: number; screen: { name: string } }>('/api/screen', {
      headers: headers.value,
    })
    const took = Date.now() - sent
    // The server’s clock, taken in the middle of the request; small differences are left alone, lest every answer jerk the picture.
    const measured = manifest.now - (sent + took / 2)
    if (Math.abs(measured - offset) > Math.max(150, took)) offset = measured
    reachable.value = true
    if (manifest.tag !== tag) {
      const next = []
      let lacking: unknown
      for (const item of manifest.items) {
        try {
          next.push({ item, bundle: await bundleOf(item) })
        } catch (error) {
          // One deck that cannot be had leaves the others playing; it is asked for again with the next question.
          lacking = error
        }
      }
      if (lacking && !next.length) throw lacking
      if (lacking && items.value.length === next.length) {
        await report()
        return
      }
      const goesOn = playOf(items.value) === playOf(next)
      items.value = next
      tag = lacking ? '' : manifest.tag
      if (!goesOn) index.value = -1
      for (const [key, { bundle }] of bundles) {
        if (next.some(({ item }) => keyOf(item) === key)) continue
        Object.values(bundle.media).forEach(url => URL.revokeObjectURL(url))
        bundles.delete(key)
      }
    }
    message.value = items.value.length ? '' : `${manifest.screen.name}: nothing to play yet`
    await report()
  } catch (error) {
    const status = (error as { statusCode?: number }).statusCode
    reachable.value = status !== undefined && status !== 401
    if (status === 401) message.value = 'This address is not valid any more. Open the screen again from the list of screens.'
    else if (!items.value.length)
      message.value =
        status === undefined
          ? 'The server does not answer. This page goes on asking.'
          : `The server answers, but cannot give what to play (${status}). This page goes on asking.`
  }
}

async function report() {
  const sent = plays
  await $fetch('/api/screen/report', {
    method: 'POST',
    headers: headers.value,
    body: {
      playing: playing ? { deck: playing.item.deck, version: playing.item.version, title: playing.item.title, slide } : null,
      plays: sent.slice(0, 2000),
    },
  })
  plays = plays.filter(play => !sent.slice(0, 2000).includes(play))
}

const position = () =>
  loopPosition(
    items.value.map(({ item }) => ({ length: item.seconds })),
    now(),
  )
function finish(at: number) {
  if (playing)
    plays.push({
      deck: playing.item.deck,
      version: playing.item.version,
      startedAt: new Date(playing.startedAt).toISOString(),
      seconds: Math.max(0, (at - playing.startedAt) / 1000),
    })
  // A day and more of plays is kept while the server is away; beyond that the oldest go.
  if (plays.length > 50_000) plays = plays.slice(-50_000)
  playing = null
}
function follow() {
  const at = position()
  if (!at || (at.index === index.value && playing && at.seconds * 1000 + 50 >= now() - playing.startedAt)) return
  finish(now())
  index.value = at.index
  playing = { item: items.value[at.index]!.item, startedAt: Math.round(now() - at.seconds * 1000) }
}
const note = (moment: Moment) => {
  slide = moment.slide
}
const clock = () => position()?.seconds ?? 0
const current = computed(() => items.value[index.value])

let asking: ReturnType<typeof setInterval>
let following: ReturnType<typeof setInterval>
onMounted(() => {
  void ask()
  asking = setInterval(ask, 2500)
  following = setInterval(follow, 100)
})
onBeforeUnmount(() => {
  clearInterval(asking)
  clearInterval(following)
})
watch(items, follow)
</script>

<template>
  <div class="screen" :data-reachable="reachable" :data-index="index">
    <PlayerView
      v-if="current"
      :key="`${current.item.deck}:${current.item.version}`"
      :bundle="current.bundle"
      as="loop"
      :clock="clock"
      @moment="note"
    />
    <p v-if="message" class="words">{{ message }}</p>
  </div>
</template>

<style scoped>
.screen {
  position: fixed;
  inset: 0;
  background: #0b1113;
  cursor: none;
}
.words {
  position: absolute;
  inset: 0;
  display: grid;
  place-items: center;
  color: #859899;
  font-size: 22px;
  margin: 0;
}
</style>
