<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, ref } from 'vue'
import type { FilmElement } from '#core/model'
import type { ShownElement } from '#core/resolved'
import { outlineOf } from '#core/shapes'
import { spanOfClip, type ElementFrame } from '#core/timing'
import { driveVideo } from '../drive-video'
import type { StageHost } from '../host'
import { useLost } from '../lost'
import { useRedraw } from '../redraw'

/** A film in its frame: a still until it plays, where the host has one; else the video itself, sought to that still. */
const props = defineProps<{ element: FilmElement & ShownElement; host: StageHost; prompts: boolean; scale: number }>()
const video = ref<HTMLVideoElement>()
const playing = ref(false)
/** Whether the video has a picture to show; until then its still stands there. */
const drawn = ref(false)
const size = computed(() => ({ width: props.element.box.width, height: props.element.box.height }))
const address = computed(() => (props.element.media ? props.host.mediaUrl(props.element.media) : undefined))
const { lost, lose } = useLost(() => address.value)
const source = computed(() => (lost.value ? undefined : address.value))
const posterAt = computed(() => props.element.poster ?? props.element.from ?? 0)
const still = computed(() =>
  props.element.media ? props.host.stillUrl?.(props.element.media, posterAt.value, size.value.width * props.scale) : undefined,
)
const clip = computed(() => {
  const outline = props.element.frame && props.element.frame.shape !== 'rectangle' ? outlineOf(props.element.frame, size.value) : null
  return outline ? `path(evenodd, "${outline}")` : undefined
})
const fit = computed(() => (props.element.fit === 'whole' ? 'contain' : 'cover'))

/** Where the picture moves only in an area: a mask that shows the film there, and a still beneath that stands for all else. */
const area = computed(() => {
  const { moving } = props.element
  if (!moving) return null
  const { width, height } = size.value
  const points = moving.points.map(([x, y]) => `${Math.round(x * width)},${Math.round(y * height)}`).join(' ')
  const svg =
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" preserveAspectRatio="none"><filter id="f" x="-1" ` +
    `y="-1" width="3" height="3"><feGaussianBlur stdDeviation="${moving.soft / 2}"/></filter><polygon points="${points}" ` +
    'filter="url(#f)"/></svg>'
  const image = `url("data:image/svg+xml,${encodeURIComponent(svg)}")`
  return { maskImage: image, maskSize: '100% 100%', maskRepeat: 'no-repeat' }
})
const tail = ref<HTMLVideoElement>()
const under = ref<HTMLVideoElement>()
/** Where in the file its end begins to go over into its beginning, seconds. */
const seam = computed(() => {
  const span = spanOfClip(props.element, props.host)
  return span ? span.until - (span.blend ?? 0) * span.speed : 0
})
const blends = computed(() => !!props.element.loop && !!props.element.blend)
let media: ElementFrame['media'] = null
function drive() {
  if (!video.value) return
  const at = media ?? { at: posterAt.value, running: false }
  const ahead = props.host.seekAhead?.() ?? 0
  const how = { live: props.host.live?.() ?? false, speed: props.element.speed ?? 1, volume: props.element.volume ?? 1 }
  driveVideo(video.value, { ...at, at: at.at + ahead }, how)
  if (under.value) driveVideo(under.value, { at: posterAt.value + ahead, running: false }, { ...how, volume: 0 })
  if (!tail.value) return
  tail.value.style.opacity = String(media?.tail?.opacity ?? 0)
  // Between two seams it waits where it will be needed next.
  driveVideo(tail.value, media?.tail ? { at: media.tail.at + ahead, running: media.running } : { at: seam.value + ahead, running: false }, {
    ...how,
    volume: 0,
  })
}
function redraw(frame: ElementFrame | null) {
  media = frame?.media ?? null
  const plays = media !== null && !(props.host.stillsOnly && still.value)
  if (playing.value !== plays) {
    playing.value = plays
    drawn.value = false
    void nextTick(drive)
  } else drive()
}
useRedraw(() => props.element.id, redraw)
onBeforeUnmount(() => video.value?.pause())
</script>

<template>
  <div class="stage-film" :style="{ clipPath: clip }">
    <img
      v-if="still"
      v-show="!playing || !drawn || area"
      :src="still"
      :alt="element.alt ?? ''"
      :style="{ objectFit: fit }"
      draggable="false"
      decoding="async"
    />
    <video
      v-if="source && area && !still"
      ref="under"
      :src="source"
      :style="{ objectFit: fit }"
      aria-hidden="true"
      muted
      preload="auto"
      playsinline
      disablepictureinpicture
      @loadedmetadata="drive"
    />
    <video
      v-if="source && (playing || !still)"
      ref="video"
      :src="source"
      :style="{ objectFit: fit, ...area }"
      :aria-label="element.alt ?? element.name"
      preload="auto"
      playsinline
      disablepictureinpicture
      @loadedmetadata="drive"
      @seeked="drawn = true"
      @playing="drawn = true"
      @error="lose"
    />
    <p v-if="element.media && !source && (playing || !still)" class="stage-lost">{{ prompts ? 'This film is not at hand' : '' }}</p>
    <video
      v-if="source && blends && (playing || !still)"
      ref="tail"
      :src="source"
      :style="{ objectFit: fit, opacity: 0, ...area }"
      aria-hidden="true"
      muted
      preload="auto"
      playsinline
      disablepictureinpicture
      @loadedmetadata="drive"
    />
    <p v-if="prompts && !element.media" class="stage-empty">A film stands here</p>
  </div>
</template>
