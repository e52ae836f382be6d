<script setup lang="ts">
import { setFields } from '#core/edits'
import type { Sound } from '#core/model'
import { spokenIn } from '#core/sound'
import type { Sounding } from '#core/timing'

/** The sounds over a slide along its beats: what is spoken, heard once, and laid under; each with how loud it is. */
const props = defineProps<{
  columns: readonly { unit: number; index: number; x: number; width: number; moves: number; hold: number }[]
  total: number
  proposed: readonly number[]
}>()
const store = useDeck()
const where = useWhere()
const sounds = useSounds()
const clips = useClips()

const planned = computed(() => store.plan?.slides.find(slide => slide.slide === where.slideId))
interface Piece {
  x: number
  width: number
  from: number
  until: number
}

/** The stretches of a sounding that lie in each beat, px and seconds into the file; a loop is parted where it begins again. */
function piecesOf(sounding: Sounding): Piece[] {
  const slide = planned.value
  if (!slide) return []
  return props.columns.flatMap((column): Piece[] => {
    const beat = slide.beats[column.index]
    if (!beat) return []
    const [first, last] = [Math.max(sounding.start, beat.start), Math.min(sounding.end, beat.start + column.moves + column.hold)]
    const made: Piece[] = []
    for (let at = first; at < last - 0.001;) {
      const played = sounding.played + at - sounding.start
      const { span } = sounding
      const into = sounding.loop && span.seconds > 0 ? played % span.seconds : played
      const run = Math.min(last - at, Math.max(0.01, span.seconds - into))
      made.push({
        x: column.x + (at - beat.start) * column.unit,
        width: run * column.unit,
        from: span.from + into * span.speed,
        until: span.from + (into + run) * span.speed,
      })
      at += run
      if (made.length > 400) break
    }
    return made
  })
}
const lanes = computed(() =>
  sounds.here.map(sound => {
    const sounding = sounds.plan?.soundings.find(one => one.id === sound.id)
    return { sound, sounding, peaks: clips.peaks(sound.media), pieces: sounding ? piecesOf(sounding) : [] }
  }),
)
const words: Readonly<Record<Sound['use'], string>> = { narration: 'voice', bed: 'music', effect: 'sound' }

/** How much of a file is left at least, seconds, when its ends are dragged together. */
const leastLeft = 0.1
const unitAt = (event: PointerEvent) => {
  const at = event.clientX - (event.currentTarget as HTMLElement).closest('.track')!.getBoundingClientRect().left
  return (props.columns.findLast(column => column.x <= at) ?? props.columns[0]!).unit
}
/** Dragged at its beginning or end, a sound plays less or more of its file; what is left stays where it is heard. */
function pressTrim(event: PointerEvent, { sound, sounding }: (typeof lanes.value)[number], edge: 'from' | 'until') {
  if (event.button !== 0 || !sounding || !store.canEdit) return
  sounds.choose(sound.id)
  const unit = unitAt(event)
  const { span } = sounding
  const whole = clips.length(sound.media) ?? span.until
  const [least, most] =
    edge === 'from' ? [-Math.min(span.from, sound.delay), span.seconds - leastLeft] : [leastLeft - span.seconds, whole - span.until]
  tryWhileDragged(event, `trim ${sound.name}`, next => {
    const by = Math.round(Math.min(most, Math.max(least, (next.clientX - event.clientX) / unit)) * 100) / 100
    if (!by) return null
    const until = span.until + by
    return changed(
      sound,
      edge === 'from'
        ? { from: Math.max(0, span.from + by) || undefined, delay: Math.max(0, sound.delay + by) }
        : { until: until >= whole - 0.005 ? undefined : until },
    )
  })
}
const changed = (sound: Sound, fields: Partial<Sound>) => setFields(store.current, { table: 'sounds', id: sound.id, fields })

/** Dragged along time, a sound that begins on this slide waits longer or less. */
function press(event: PointerEvent, sound: Sound) {
  if (event.button !== 0) return
  sounds.choose(sound.id)
  if (!store.canEdit || sound.fromSlide !== where.slideId) return
  // As wide as a second is where it was taken hold of.
  const unit = unitAt(event)
  tryWhileDragged(event, `move ${sound.name}`, next => {
    const far = Math.abs(next.clientX - event.clientX) > 3
    return far
      ? changed(sound, { delay: Math.max(0, Math.round((sound.delay + (next.clientX - event.clientX) / unit) * 100) / 100) })
      : null
  })
}
/** Its volume, dragged up and down at its left edge. */
function pressVolume(event: PointerEvent, sound: Sound) {
  if (event.button !== 0 || !store.canEdit) return
  sounds.choose(sound.id)
  louder.value = sound.id
  tryWhileDragged(
    event,
    `change the volume of ${sound.name}`,
    next => {
      const volume = Math.round(Math.min(1, Math.max(0, sound.volume + (event.clientY - next.clientY) / 80)) * 100) / 100
      return volume === sound.volume ? null : changed(sound, { volume })
    },
    () => {
      louder.value = null
    },
  )
}
/** The sound whose volume is under the hand. */
const louder = ref<string | null>(null)
const speech = computed(() => {
  const voice = lanes.value.find(lane => lane.sound.use === 'narration')
  return voice?.peaks ? spokenIn(voice.peaks) : []
})
/** Where on the page a moment after the slide's opening lies. */
function xAt(seconds: number): number {
  const slide = planned.value
  if (!slide) return 0
  const opening = slide.start + slide.transition
  const column = props.columns.findLast(one => (slide.beats[one.index]?.start ?? Infinity) - opening <= seconds + 1e-6) ?? props.columns[0]
  const beat = column && slide.beats[column.index]
  return column && beat ? column.x + Math.min(column.width, (seconds - (beat.start - opening)) * column.unit) : 0
}
defineExpose({ speech })
</script>

<template>
  <div class="sounds" aria-label="Sounds">
    <div v-for="lane in lanes" :key="lane.sound.id" class="lane" :class="{ here: sounds.chosenId === lane.sound.id }">
      <button class="name" :aria-label="`${lane.sound.name}, ${words[lane.sound.use]}`" @click="sounds.choose(lane.sound.id)">
        <span>{{ lane.sound.name }}</span>
        <span class="quiet">{{ words[lane.sound.use] }}</span>
      </button>
      <div class="track" :style="{ width: `${total}px` }">
        <div
          v-for="(piece, index) in lane.pieces"
          :key="index"
          class="piece"
          :class="lane.sound.use"
          :data-sound="lane.sound.id"
          :style="{ left: `${piece.x}px`, width: `${Math.max(2, piece.width)}px` }"
          @pointerdown="press($event, lane.sound)"
        >
          <WaveForm
            v-if="lane.peaks"
            :peaks="lane.peaks"
            :from="piece.from"
            :until="piece.until"
            :width="Math.max(2, piece.width)"
            :height="30"
            :style="{ transform: `scaleY(${0.15 + 0.85 * lane.sound.volume})` }"
          />
          <span
            v-if="store.canEdit && index === 0 && lane.sound.fromSlide === where.slideId"
            class="trim from"
            :title="`Drag where ${lane.sound.name} begins`"
            :data-trim="`from ${lane.sound.id}`"
            @pointerdown.stop="pressTrim($event, lane, 'from')"
          />
          <span
            v-if="store.canEdit && index === lane.pieces.length - 1 && !lane.sound.loop"
            class="trim until"
            :title="`Drag where ${lane.sound.name} ends`"
            :data-trim="`until ${lane.sound.id}`"
            @pointerdown.stop="pressTrim($event, lane, 'until')"
          />
        </div>
        <span
          v-if="lane.pieces[0]"
          class="volume amount"
          :class="{ held: louder === lane.sound.id }"
          :style="{ left: `${lane.pieces[0].x + 3}px` }"
          :title="`Volume of ${lane.sound.name}: drag up or down`"
          @pointerdown.stop="pressVolume($event, lane.sound)"
        >
          {{ Math.round(lane.sound.volume * 100) }} %
        </span>
        <span v-if="!lane.pieces.length" class="quiet none">
          {{ lane.sounding ? 'not heard on this slide' : 'its file is not at hand' }}
        </span>
        <template v-if="lane.sound.use === 'narration'">
          <i v-for="(second, index) in proposed" :key="`p${index}`" class="proposed" :style="{ left: `${xAt(second)}px` }" />
        </template>
      </div>
    </div>
  </div>
</template>

<style scoped>
.sounds {
  position: sticky;
  bottom: 0;
  z-index: 6;
  background: var(--panel);
  border-top: 1px solid var(--line);
}
.lane {
  display: flex;
  height: 38px;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 60%, transparent);
  position: relative;
}
.name {
  width: 172px;
  flex: none;
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  padding: 0 12px 0 14px;
  border: 0;
  border-right: 1px solid var(--line);
  background: var(--panel);
  color: inherit;
  font: inherit;
  position: sticky;
  left: 0;
  z-index: 5;
  text-align: left;
  cursor: pointer;
}
.name span:first-child {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.name .quiet {
  font-size: 12.5px;
}
.here .name {
  background: var(--act-wash);
  font-weight: 600;
}
.track {
  position: relative;
}
.piece {
  position: absolute;
  top: 3px;
  height: 31px;
  overflow: hidden;
  background: color-mix(in srgb, currentColor 13%, transparent);
  border-radius: 3px;
  cursor: grab;
  touch-action: none;
  color: var(--comes);
}
.piece.bed {
  color: var(--moves);
}
.piece.effect {
  color: var(--goes);
}
.here .piece {
  background: color-mix(in srgb, currentColor 26%, transparent);
}
.trim {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 8px;
  cursor: ew-resize;
  touch-action: none;
  background: currentColor;
  opacity: 0;
}
.trim.from {
  left: 0;
  border-radius: 3px 0 0 3px;
}
.trim.until {
  right: 0;
  border-radius: 0 3px 3px 0;
}
.piece:hover .trim,
.here .trim {
  opacity: 0.55;
}
.volume {
  position: absolute;
  top: 10px;
  font-size: 11.5px;
  line-height: 17px;
  padding: 0 5px;
  border-radius: 999px;
  background: var(--panel);
  border: 1px solid var(--line);
  cursor: ns-resize;
  touch-action: none;
  opacity: 0;
  z-index: 2;
}
.lane:hover .volume,
.here .volume,
.volume.held {
  opacity: 1;
}
.none {
  position: absolute;
  left: 12px;
  top: 9px;
  font-size: 13px;
}
.proposed {
  position: absolute;
  top: 0;
  bottom: 0;
  border-left: 2px dashed var(--now);
  z-index: 3;
  pointer-events: none;
}
</style>
