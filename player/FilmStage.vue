<script setup lang="ts">
import { computed, nextTick, onMounted, provide, ref, shallowRef } from 'vue'
import { captionAt, captionTrack, voiceAt } from '#core/sound'
import { asPlayed } from '#core/amounts'
import { inkOf } from '#core/drawing'
import { speaks } from '#core/model'
import { faceAt } from '#core/figures'
import { withSyllables } from '#core/text'
import { fontNeeds } from '#core/themes'
import {
  frameCount,
  frameSeconds,
  momentAt,
  repeatedFrames,
  rundown,
  soundPlan,
  stillFrame,
  type Moment,
  type TimingContext,
} from '#core/timing'
import { browserMeasurer, declareFaces, loadFonts, stageHostKey, StageView, type StageHost } from '#stage'
import { peaksIn, syllablesIn, type PlayerBundle } from './bundle'
import CaptionLine from './CaptionLine.vue'
import { openPictures } from './pictures'

/** A deck as a film that is sought frame by frame, `width` px wide. Nothing runs by itself. */
const props = defineProps<{ bundle: PlayerBundle; width: number; rate: number; captions: boolean }>()
const tables = new Map(props.bundle.tables.map(table => [table.id, table]))
const letters = shallowRef(browserMeasurer())
const measurer = computed(() => withSyllables(letters.value, syllablesIn(props.bundle)))
const ink = inkOf(props.bundle.ink ?? { words: {}, traced: {} })
const host = computed<StageHost>(() => ({
  measurer: measurer.value,
  table: id => tables.get(id),
  mediaLength: hash => props.bundle.lengths[hash],
  mediaUrl: hash => props.bundle.media[hash],
  ink,
  seekAhead: () => 0.5 / props.rate,
  voice: moment => voiceOf(moment),
}))
provide(stageHostKey, () => host.value)
/** A slide for each row of those that ask for it, and numbers as the tables have them. */
const deck = computed(() => asPlayed(props.bundle.deck, host.value.table))
const plan = computed(() => rundown(deck.value, 'film', host.value as TimingContext))
const sounds = computed(() => soundPlan(deck.value, plan.value, host.value as TimingContext))
const voiceOf = (moment: Moment): ReturnType<typeof voiceAt> =>
  voiceAt(plan.value, sounds.value, hash => peaksIn(props.bundle, hash), moment)
/** Slides on which a face moves with the voice. */
const faces = computed(() => new Set(plan.value.slides.filter(slide => slide.score.elements.some(speaks)).map(slide => slide.slide)))
const track = computed(() => captionTrack(deck.value, sounds.value))
const stage = ref<InstanceType<typeof StageView>>()
const root = ref<HTMLElement>()
const words = ref('')
const pictures = openPictures()

const sought = (video: HTMLVideoElement) =>
  new Promise<void>(resolve => {
    const done = () => resolve()
    video.addEventListener('seeked', done, { once: true })
    video.addEventListener('error', done, { once: true })
    if (!video.seeking && video.readyState >= 2) done()
  })

/** Shows a frame, and resolves once its films stand at their pictures. */
async function seek(frame: number) {
  drawn = -1
  const seconds = frameSeconds(frame, props.rate)
  const moment = momentAt(plan.value, Math.min(seconds, plan.value.length))
  if (!moment) return
  words.value = props.captions ? captionAt(track.value, seconds) : ''
  await stage.value?.show(moment)
  await nextTick()
  await Promise.all(Array.from(root.value!.querySelectorAll('video'), video => (video.error ? undefined : sought(video))))
  await pictures(root.value!)
  // Only a frame that the browser drew after this shows the moment; whoever takes the picture asks which it was.
  requestAnimationFrame(() => {
    drawn = frame
  })
}
/** The frame that the last drawing of this page showed; −1 for none that was sought. */
let drawn = -1

/** How faces are at a frame, as a word that tells one from another; empty where none moves. */
function faceWords(frame: number): string {
  const moment = momentAt(plan.value, Math.min(frameSeconds(frame, props.rate), plan.value.length))
  const voice = moment && faces.value.has(moment.slide) ? voiceOf(moment) : null
  return voice ? JSON.stringify(faceAt(voice)) : ''
}

/**
 * What is to be drawn and heard: how many frames, which of them show the picture before, the sound, the captions, and the end of each beat
 * in frames.
 */
function outline() {
  const repeats = repeatedFrames(plan.value, props.rate)
  if (props.captions)
    for (const frame of repeats.keys())
      repeats[frame] &&=
        captionAt(track.value, frameSeconds(frame, props.rate)) === captionAt(track.value, frameSeconds(frame - 1, props.rate))
  if (faces.value.size) for (const frame of repeats.keys()) repeats[frame] &&= faceWords(frame) === faceWords(frame - 1)
  const beats = plan.value.slides.flatMap(slide =>
    slide.beats.map(beat => ({ slide: slide.index + 1, beat: beat.index + 1, frame: stillFrame(plan.value, slide, beat, props.rate) })),
  )
  return {
    frames: frameCount(plan.value.length, props.rate),
    repeats: repeats.map(Number).join(''),
    sounds: sounds.value,
    captions: track.value,
    beats,
  }
}

onMounted(async () => {
  const { families, faces, letters: written } = fontNeeds(deck.value, props.bundle.tables)
  declareFaces(faces, hash => props.bundle.media[hash])
  await loadFonts(families, written)
  letters.value = browserMeasurer()
  await nextTick()
  Object.assign(window, { hailbankFilm: { seek, outline, drawn: () => drawn } })
})
</script>

<template>
  <div ref="root" class="film-stage">
    <StageView ref="stage" :deck="deck" :plan="plan" :width="width" />
    <CaptionLine :text="words" :width="width" />
  </div>
</template>

<style>
.film-stage {
  position: absolute;
  inset: 0;
  overflow: hidden;
}
</style>
