<script setup lang="ts">
import { asPlayed, eachRow } from '#core/amounts'
import { slidesOf } from '#core/model'
import { filmDeck, filmFormats, filmRates, filmSize, formatWords, longestAnimation, type FilmOrder } from '#core/formats/film'
import { rundown } from '#core/timing'

interface Film {
  id: string
  name: string
  state: 'waiting' | 'working' | 'done' | 'failed' | 'cancelled'
  done: number
  total: number
  message: string
  bytes: number | null
  createdAt: string
}

/** Orders films of the deck in the variant that is chosen, shows how far they are, and hands them out. */
const store = useDeck()
const stage = useStageHost()
const work = useStage()
const order = reactive<FilmOrder>({
  format: 'mp4',
  rate: 30,
  shape: 'own',
  side: 1080,
  captions: 'none',
  from: null,
  until: null,
  variant: work.variant ?? null,
  each: null,
})
/** Slides that are there for rows, each of which can become a film of its own. */
const rowSlides = computed(() =>
  store.slides.flatMap((slide, index) => (slide.rows && !slide.skipped ? [{ slide, number: index + 1 }] : [])),
)
watch(rowSlides, list => {
  if (order.each && !list.some(({ slide }) => slide.id === order.each)) order.each = null
})
/** How many films it becomes. */
const count = computed(() => (order.each ? eachRow(store.current, order.each, stage.host.table).length : 1))
watch(
  () => work.variant,
  variant => {
    order.variant = variant ?? null
  },
)
// Pictures have no file beside them that could be read along.
watch(
  () => order.format,
  format => {
    if (format === 'stills' && order.captions === 'beside') order.captions = 'none'
  },
)
const films = shallowRef<Film[]>([])
const busy = ref(false)
const shapeWords = {
  own: 'as the deck is',
  wide: 'wide, 16 : 9',
  square: 'square, 1 : 1',
  upright: 'upright, 4 : 5',
  tall: 'tall, 9 : 16',
} as const
const sides = [360, 480, 720, 1080, 1440, 2160]
const shown = computed(() => filmDeck(store.current, { ...order, ...(order.each ? { from: order.each, until: order.each } : {}) }))
const size = computed(() => filmSize(store.current, order))
const plan = computed(() => rundown(asPlayed(shown.value, stage.host.table), 'film', stage.host))
const seen = computed(() => slidesOf(shown.value).filter(slide => !slide.skipped))
const animated = computed(() => order.format === 'gif' || order.format === 'webp')
const beats = computed(() => plan.value.slides.reduce((sum, slide) => sum + slide.beats.length, 0))
/** Size, length and number of pictures, as they will be. */
const facts = computed(() => {
  const [films, together] = count.value > 1 ? [`${numberWords(count.value)} films of `, 'together '] : ['', '']
  const picture = `${size.value.width} × ${size.value.height}`
  if (order.format === 'stills') return `${films}${picture}, ${together}${beats.value === 1 ? 'one picture' : `${beats.value} pictures`}`
  const frames = numberWords(Math.round(plan.value.length * order.rate))
  return `${films}${picture}, ${together}${clockWords(plan.value.length, true)}, ${frames} frames`
})
const problem = computed(() =>
  !seen.value.length
    ? 'No slide of it is played.'
    : animated.value && plan.value.length > longestAnimation
      ? `It runs ${secondsWords(plan.value.length)}; an animation may run ${longestAnimation} s. Choose fewer slides, or MP4.`
      : '',
)
const ratio = computed(() => size.value.height / size.value.width)

async function load() {
  try {
    const answer = await $fetch<{ films: Film[]; workers: number }>(`/api/decks/${store.id}/films`)
    films.value = answer.films
    silence.value = answer.workers
      ? ''
      : 'Nothing makes films at the moment: the program that does is not running. It goes on by itself as soon as it is.'
  } catch (error) {
    silence.value = messageOf(error)
  }
}
/** Why nothing goes on; empty where something does. */
const silence = ref('')
const running = computed(() => films.value.some(film => film.state === 'waiting' || film.state === 'working'))
let timer: ReturnType<typeof setTimeout>
async function look() {
  await load()
  timer = setTimeout(look, running.value ? 700 : 5000)
}
onMounted(look)
onBeforeUnmount(() => clearTimeout(timer))

async function make() {
  busy.value = true
  const made = await asking(() => $fetch(`/api/decks/${store.id}/films`, { method: 'POST', body: { ...order } }))
  busy.value = false
  if (made) {
    clearTimeout(timer)
    await look()
  }
}
const act = async (film: Film, what: 'cancel' | 'again') => {
  await asking(() => $fetch(`/api/jobs/${film.id}/${what}`, { method: 'POST' }))
  await load()
}
const drop = async (film: Film) => {
  await asking(() => $fetch(`/api/jobs/${film.id}`, { method: 'DELETE' }))
  await load()
}
const share = (film: Film) => (film.total ? Math.min(1, film.done / film.total) : 0)
const stateWords = (film: Film) => {
  if (film.state === 'waiting') return 'waits for its turn'
  if (film.state === 'working')
    return film.total ? `${film.message || 'Drawing'}, ${numberWords(film.done)} of ${numberWords(film.total)}` : film.message || 'begins'
  return film.state === 'done' ? (film.bytes ? bytesWords(film.bytes) : 'done') : film.state === 'failed' ? film.message : 'cancelled'
}
</script>

<template>
  <section class="film" aria-label="Film">
    <h3>Export as a film</h3>
    <div class="halves">
      <div class="wishes">
        <div class="row">
          <span class="label">As</span>
          <ChoiceField
            v-model="order.format"
            :items="filmFormats.map(format => ({ value: format, label: formatWords[format].label }))"
            label="Format"
          />
        </div>
        <div class="row">
          <span class="label">Shape</span>
          <ChoiceField v-model="order.shape" :items="choicesOf(shapeWords)" label="Shape" />
        </div>
        <div class="row">
          <span class="label">Shorter side</span>
          <ChoiceField v-model="order.side" :items="sides.map(side => ({ value: side, label: `${side} px` }))" label="Shorter side" />
        </div>
        <div v-if="order.format !== 'stills'" class="row">
          <span class="label">Frames a second</span>
          <ChoiceField v-model="order.rate" :items="asTheyAre(filmRates)" label="Frames a second" />
        </div>
        <div class="row">
          <span class="label">Captions</span>
          <ChoiceField
            v-model="order.captions"
            :items="[
              { value: 'none', label: 'none' },
              ...(order.format !== 'stills' ? [{ value: 'beside', label: 'beside it, as .vtt and .srt' }] : []),
              { value: 'picture', label: 'in the picture' },
            ]"
            label="Captions"
          />
        </div>
        <div v-if="rowSlides.length" class="row">
          <span class="label">Files</span>
          <ChoiceField
            v-model="order.each"
            :items="[
              { value: null, label: 'one' },
              ...rowSlides.map(({ slide, number }) => ({ value: slide.id, label: `one a row of slide ${number}` })),
            ]"
            label="Files"
          />
        </div>
        <div v-if="!order.each" class="row">
          <span class="label">From</span>
          <ChoiceField
            v-model="order.from"
            :items="[
              { value: null, label: 'the first slide' },
              ...store.slides.map((slide, index) => ({ value: slide.id, label: `slide ${index + 1}` })),
            ]"
            label="From slide"
          />
        </div>
        <div v-if="!order.each" class="row">
          <span class="label">until</span>
          <ChoiceField
            v-model="order.until"
            :items="[
              { value: null, label: 'the last slide' },
              ...store.slides.map((slide, index) => ({ value: slide.id, label: `slide ${index + 1}` })),
            ]"
            label="Until slide"
          />
        </div>
      </div>
      <div class="preview">
        <p class="quiet">
          <span class="amount">{{ facts }}</span>
        </p>
        <div class="slides">
          <NearThumb
            v-for="(slide, index) in seen"
            :key="slide.id"
            :deck="shown"
            :slide="slide.id"
            :width="ratio > 1 ? 92 : 168"
            :ratio="ratio"
            :label="`Slide ${index + 1} of the film`"
          />
        </div>
      </div>
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <div v-if="store.canEdit" class="foot">
      <UButton color="primary" variant="solid" :disabled="busy || !!problem" @click="make">
        {{ count > 1 ? `Make ${numberWords(count)} films` : 'Make the film' }}
      </UButton>
    </div>
    <p v-if="silence && running" class="problem" role="status">{{ silence }}</p>
    <ul v-if="films.length" class="films">
      <li v-for="film in films" :key="film.id" :data-film="film.state">
        <div class="about">
          <b>{{ film.name }}</b>
          <span :class="film.state === 'failed' ? 'problem' : 'quiet'">{{ stateWords(film) }}</span>
        </div>
        <div
          v-if="film.state === 'working' || film.state === 'waiting'"
          class="bar"
          role="progressbar"
          :aria-label="film.name"
          aria-valuemin="0"
          :aria-valuemax="film.total"
          :aria-valuenow="film.done"
        >
          <i :style="{ width: `${share(film) * 100}%` }" />
        </div>
        <div class="acts">
          <UButton
            v-if="film.state === 'done'"
            color="primary"
            variant="solid"
            size="sm"
            :to="`/api/jobs/${film.id}/file`"
            external
            download
          >
            Download
          </UButton>
          <template v-if="store.canEdit">
            <UButton v-if="film.state === 'working' || film.state === 'waiting'" size="sm" @click="act(film, 'cancel')">Cancel</UButton>
            <template v-else>
              <UButton v-if="film.state !== 'done'" size="sm" @click="act(film, 'again')">Try again</UButton>
              <UButton variant="ghost" size="sm" :aria-label="`Remove ${film.name}`" @click="drop(film)">Remove</UButton>
            </template>
          </template>
        </div>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.film {
  grid-column: 1 / -1;
  background: var(--panel);
  border: 1px solid var(--line);
  border-radius: 10px;
  padding: 16px 18px;
}
h3 {
  font-size: 17px;
  margin-bottom: 8px;
}
.halves {
  display: grid;
  grid-template-columns: 300px 1fr;
  gap: 26px;
}
.row {
  margin-bottom: 4px;
}
.preview p {
  margin: 4px 0 8px;
}
.slides {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  max-height: 250px;
  overflow-y: auto;
  padding: 2px;
}
.slides > * {
  border-radius: 4px;
  box-shadow: 0 0 0 1px var(--line);
}
.foot {
  margin-top: 10px;
}
.problem {
  color: var(--wrong);
  margin: 8px 0 0;
}
.films {
  list-style: none;
  margin: 14px 0 0;
  padding: 0;
}
.films li {
  display: grid;
  grid-template-columns: 1fr 200px auto;
  gap: 14px;
  align-items: center;
  padding: 8px 0;
  border-top: 1px solid var(--line);
  min-height: 44px;
}
.about {
  display: flex;
  flex-direction: column;
  min-width: 0;
}
.about b {
  font-weight: 600;
  overflow-wrap: anywhere;
}
.about .problem {
  margin: 0;
}
.bar {
  height: 8px;
  border-radius: 999px;
  background: var(--well);
  overflow: hidden;
}
.bar i {
  display: block;
  height: 100%;
  background: var(--act);
  transition: width 0.4s;
}
.films .acts {
  display: flex;
  gap: 6px;
  justify-content: flex-end;
  grid-column: 3;
}
</style>
