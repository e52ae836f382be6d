<script setup lang="ts">
import { computed, inject, nextTick, onBeforeUnmount, onMounted, ref } from 'vue'
import type { FilmElement, ShownElement } from '#core/deck'
import { outlineOf } from '#core/shapes'
import type { ElementFrame } from '#core/timing'
import { driveVideo } from '../drive-video'
import { redrawKey, type StageHost } from '../host'

/** A film in its frame: a still until it plays, where the host has one; else the video itself, sought to that still. */
const props = defineProps<{ element: FilmElement & ShownElement, host: StageHost, prompts: boolean, scale: number }>()
const video = ref<HTMLVideoElement>()
const playing = ref(false)
/** Whether the video has a picture to show; until then its still stands there. */
const drawn = ref(false)
const size = computed(() => ({ width: props.element.box.width, height: props.element.box.height }))
const source = computed(() => (props.element.media ? props.host.mediaUrl(props.element.media) : undefined))
const posterAt = computed(() => props.element.poster ?? props.element.from ?? 0)
const still = computed(() => (props.element.media ? props.host.stillUrl?.(props.element.media, posterAt.value, size.value.width * props.scale) : undefined))
const clip = computed(() => {
  const outline = props.element.frame && props.element.frame.shape !== 'rectangle' ? outlineOf(props.element.frame, size.value) : null
  return outline ? `path(evenodd, "${outline}")` : undefined
})
const fit = computed(() => (props.element.fit === 'whole' ? 'contain' : 'cover'))

let media: ElementFrame['media'] = null
function drive() {
  if (!video.value) return
  const at = media ?? { at: posterAt.value, running: false }
  driveVideo(video.value, { ...at, at: at.at + (props.host.seekAhead?.() ?? 0) }, { live: props.host.live?.() ?? false, speed: props.element.speed ?? 1, volume: props.element.volume ?? 1 })
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
const signIn = inject(redrawKey)
onMounted(() => {
  signIn?.(props.element.id, redraw)
  drive()
})
onBeforeUnmount(() => {
  video.value?.pause()
  signIn?.(props.element.id, null)
})
</script>

<template>
  <div class="stage-film" :style="{ clipPath: clip }">
    <img v-if="still" v-show="!playing || !drawn" :src="still" :alt="element.alt ?? ''" :style="{ objectFit: fit }" draggable="false" decoding="async">
    <video v-if="source && (playing || !still)" ref="video" :src="source" :style="{ objectFit: fit }" :aria-label="element.alt ?? element.name" preload="auto" playsinline disablepictureinpicture @loadedmetadata="drive" @seeked="drawn = true" @playing="drawn = true" />
    <p v-else-if="prompts && !element.media" class="stage-empty">A film stands here</p>
  </div>
</template>
