<script setup lang="ts">
import { asPlayed, playedSlide } from '#core/amounts'
import { infoOf, type Purpose } from '#core/model'
import { computed, onBeforeUnmount, onMounted, provide, ref, shallowRef, watch, type ComputedRef } from 'vue'
import { captionAt, captionTrack, voiceAt } from '#core/sound'
import { heardAt, rundown, secondsAt, soundPlan, type Moment, type Rundown, type SoundPlan, type TimingContext } from '#core/timing'
import { inkOf } from '#core/drawing'
import { withSyllables } from '#core/text'
import { fontNeeds } from '#core/themes'
import { browserMeasurer, declareFaces, declareFamilies, loadFonts, stageHostKey, StageView, type StageHost } from '#stage'
import { peaksIn, syllablesIn, type PlayerBundle } from './bundle'
import CaptionLine from './CaptionLine.vue'
import { filmCourse, talkCourse, type Course } from './course'
import { openClock, openSound, type SoundEngine } from './sound'

/**
 * Plays a bundle as its purpose (or another), filling its parent. `from` is where it starts. Emits `over` at the end and `moment` as it
 * goes.
 */
const props = defineProps<{
  bundle: PlayerBundle
  as?: Purpose
  from?: Moment | null
  /** Seconds into the deck by an outer clock; then nothing else moves it. */ clock?: () => number
  /** Whether what is said can be read along. */ captions?: boolean
}>()
const emit = defineEmits<{ over: []; moment: [moment: Moment] }>()

const purpose = computed(() => props.as ?? infoOf(deck.value).purpose)
const tables = computed(() => new Map(props.bundle.tables.map(table => [table.id, table])))
const letters = shallowRef(browserMeasurer())
const measurer = computed(() => withSyllables(letters.value, syllablesIn(props.bundle)))
const ink = computed(() => inkOf(props.bundle.ink ?? { words: {}, traced: {} }))
const host = computed<StageHost>(() => ({
  measurer: measurer.value,
  table: id => tables.value.get(id),
  mediaLength: hash => props.bundle.lengths[hash],
  mediaUrl: hash => props.bundle.media[hash],
  ink: ink.value,
  live: () => !paused.value && !over.value,
  voice: moment => voiceAt(plan.value, sounds.value, hash => peaksIn(props.bundle, hash), moment),
}))
provide(stageHostKey, () => host.value)
/** A slide for each row of those that ask for it, and numbers as the tables have them. */
const deck = computed(() => asPlayed(props.bundle.deck, host.value.table))
const plan: ComputedRef<Rundown> = computed(() => rundown(deck.value, purpose.value, host.value as TimingContext))
const sounds: ComputedRef<SoundPlan> = computed(() => soundPlan(deck.value, plan.value, host.value as TimingContext))
const track = computed(() => captionTrack(deck.value, sounds.value))

const frame = ref<HTMLElement>()
const stage = ref<InstanceType<typeof StageView>>()
const width = ref(0)
const over = ref(false)
const paused = ref(false)
let course: Course
let request = 0
let engine: SoundEngine | null = null
const passed = openClock(() => engine)
const words = ref('')

function fit() {
  const box = frame.value?.getBoundingClientRect()
  const { width: w, height: h } = infoOf(deck.value).size
  if (box) width.value = Math.max(1, Math.min(box.width, (box.height * w) / h))
}

function show() {
  const moment = course.moment()
  if (!moment) return
  void stage.value?.show(moment)
  listen(moment)
  emit('moment', moment)
}

/** Films are heard with their pictures; all else is heard here. In a talk what plays goes on as it does, whatever the speaker does. */
function listen(moment: Moment) {
  const planned = secondsAt(plan.value, moment)
  const slide = purpose.value === 'talk' ? plan.value.slides.find(one => one.slide === moment.slide) : undefined
  // A speaker may stand on a slide for longer than planned: what is heard on it is heard to its own end.
  const seconds = slide && planned !== null ? Math.min(planned, slide.start + slide.length - 0.001) : planned
  words.value = props.captions && seconds !== null ? captionAt(track.value, seconds) : ''
  const heard =
    seconds === null || paused.value || over.value ? [] : heardAt(sounds.value, seconds).filter(({ sounding }) => sounding.kind !== 'film')
  if (!engine && heard.length) engine = openSound(hash => props.bundle.media[hash])
  engine?.hear(heard, purpose.value !== 'talk')
}

function tick() {
  request = requestAnimationFrame(tick)
  const since = passed()
  if (props.clock) course = filmCourse(plan.value, props.clock())
  else if (!paused.value && !over.value) course.pass(since)
  if (!over.value && course.isOver()) {
    over.value = true
    emit('over')
  }
  show()
}

function act(change: () => void) {
  change()
  const ended = course.isOver()
  if (ended && !over.value) emit('over')
  over.value = ended
  show()
}
const forward = () => act(() => course.forward())
const back = () => act(() => course.back())
const goTo = (moment: Moment) => act(() => course.goTo(moment))
const pause = () => {
  paused.value = !paused.value
}
/** A press on words that lead somewhere goes there, and is no advance: to a slide of the deck, or to an address in a window of its own. */
function follow(event: MouseEvent) {
  const link = (event.target as Element).closest?.('[data-link]')?.getAttribute('data-link')
  if (!link) return
  event.stopPropagation()
  if (!link.startsWith('#')) {
    if (/^(https?|mailto):/i.test(link)) window.open(link, '_blank', 'noopener,noreferrer')
  } else {
    const slide = playedSlide(deck.value, link.slice(1))
    if (deck.value.slides[slide]) goTo({ slide, beat: 0, seconds: 0 })
  }
}
defineExpose({ forward, back, goTo, pause, paused, over })

/** Where it is to begin: a slide that is there for rows begins with the first of them. */
const begins = () => props.from && { ...props.from, slide: playedSlide(deck.value, props.from.slide) }
const start = () => {
  course = purpose.value === 'talk' ? talkCourse(plan.value, begins() ?? null) : filmCourse(plan.value, 0)
}
start()
const beginning = begins()
if (beginning) course!.goTo(beginning)
watch(plan, next => course.replan(next))

let observer: ResizeObserver
onMounted(async () => {
  observer = new ResizeObserver(fit)
  observer.observe(frame.value!)
  fit()
  const { families, faces, letters: written } = fontNeeds(deck.value, props.bundle.tables)
  if (!props.bundle.alone) declareFamilies(families)
  declareFaces(faces, hash => props.bundle.media[hash])
  await loadFonts(families, written)
  letters.value = browserMeasurer()
  passed()
  request = requestAnimationFrame(tick)
})
onBeforeUnmount(() => {
  cancelAnimationFrame(request)
  observer?.disconnect()
  engine?.close()
})
</script>

<template>
  <div ref="frame" class="player-view" :data-over="over || undefined" @click.capture="follow">
    <StageView v-if="width" ref="stage" :deck="deck" :plan="plan" :width="width" />
    <CaptionLine :text="words" :width="width" />
    <div v-if="over && purpose === 'talk'" class="player-end">The end. Back shows the last slide again, Escape leaves.</div>
  </div>
</template>

<style>
.player-view {
  position: absolute;
  inset: 0;
  isolation: isolate;
  display: grid;
  place-items: center;
  background: #0b1113;
  overflow: hidden;
}
.player-end {
  position: absolute;
  inset: 0;
  display: grid;
  place-items: center;
  background: #0b1113;
  color: #859899;
  font:
    400 18px 'Hanken Grotesk',
    sans-serif;
}
</style>
