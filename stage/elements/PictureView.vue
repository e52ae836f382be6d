<script setup lang="ts">
import { computed } from 'vue'
import type { PictureElement, ShownElement } from '#core/deck'
import type { StageHost } from '../host'

const props = defineProps<{ element: PictureElement & ShownElement, host: StageHost, prompts: boolean, scale: number }>()
const source = computed(() => (props.element.media ? props.host.mediaUrl(props.element.media, props.element.box.width * props.scale) : undefined))
const frame = computed(() => {
  const shape = props.element.frame?.shape ?? 'rectangle'
  return { borderRadius: shape === 'circle' ? '50%' : shape === 'rounded' ? `${props.element.frame?.radius ?? 24}px` : '0' }
})
const view = computed(() => {
  const { x = 0.5, y = 0.5, zoom = 1 } = props.element.view ?? {}
  const flip = props.element.flip
  return {
    objectPosition: `${x * 100}% ${y * 100}%`, transformOrigin: `${x * 100}% ${y * 100}%`,
    transform: `scale(${zoom * (flip?.across ? -1 : 1)}, ${zoom * (flip?.down ? -1 : 1)})`,
  }
})
</script>

<template>
  <div class="stage-picture" :style="frame">
    <img v-if="source" :src="source" :alt="element.alt ?? ''" :style="view" :class="{ whole: element.logo }" draggable="false" decoding="async">
    <p v-else-if="prompts" class="stage-empty">{{ element.prompt ?? 'Drop a picture here' }}</p>
  </div>
</template>
