<script setup lang="ts">
import { computed } from 'vue'
import { cssColor, gradientLine, isPlain, type Palette } from '#core/color'
import type { Paint } from '#core/values'
import { cropOf, viewOf } from '#core/place'
import type { StageHost } from '../host'

/** What an SVG refers to by `url(#name)` to be filled with a gradient or picture; nothing for a plain colour. */
const props = defineProps<{
  name: string
  paint: Paint
  size: { width: number; height: number }
  palette: Palette
  host: StageHost
  scale: number
}>()
const stops = computed(() => (isPlain(props.paint) || props.paint.kind === 'picture' ? [] : props.paint.stops))
const line = computed(() => (!isPlain(props.paint) && props.paint.kind === 'linear' ? gradientLine(props.paint.angle, props.size) : null))
const radial = computed(() => {
  if (isPlain(props.paint) || props.paint.kind !== 'radial') return null
  const [cx, cy] = [props.paint.x * props.size.width, props.paint.y * props.size.height]
  return { cx, cy, r: Math.hypot(Math.max(cx, props.size.width - cx), Math.max(cy, props.size.height - cy)) }
})
const picture = computed(() => {
  if (isPlain(props.paint) || props.paint.kind !== 'picture') return null
  const source = props.host.mediaUrl(props.paint.media, props.size.width * props.scale)
  return source ? { source, ...cropOf(props.paint.natural, props.size, viewOf(props.paint)) } : null
})
</script>

<template>
  <defs>
    <linearGradient v-if="line" :id="name" gradientUnits="userSpaceOnUse" v-bind="line">
      <stop v-for="(stop, index) in stops" :key="index" :offset="stop.at" :stop-color="cssColor(stop.color, palette)" />
    </linearGradient>
    <radialGradient v-else-if="radial" :id="name" gradientUnits="userSpaceOnUse" v-bind="radial">
      <stop v-for="(stop, index) in stops" :key="index" :offset="stop.at" :stop-color="cssColor(stop.color, palette)" />
    </radialGradient>
    <pattern v-else-if="picture" :id="name" patternUnits="userSpaceOnUse" :width="size.width" :height="size.height">
      <image
        :href="picture.source"
        :x="picture.x"
        :y="picture.y"
        :width="picture.width"
        :height="picture.height"
        preserveAspectRatio="none"
      />
    </pattern>
  </defs>
</template>
