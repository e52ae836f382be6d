<script setup lang="ts">
import { computed } from 'vue'
import { contrast, cssColor, hexOf, textureSide, textureSvg, type Palette } from '#core/color'
import type { Backdrop } from '#core/model'
import type { Color } from '#core/values'
import type { StageHost } from '../host'

/** What lies beneath everything on a slide: its colour, what fills it, texture, darkened edges, border. */
const props = defineProps<{
  ground: Color
  backdrop: Backdrop
  palette: Palette
  size: { width: number; height: number }
  host: StageHost
  scale: number
}>()

const css = (color: Color) => cssColor(color, props.palette)
const fill = computed(() => props.backdrop.fill ?? null)
const stops = (list: readonly { color: Color; at: number }[]) => list.map(({ color, at }) => `${css(color)} ${at * 100}%`).join(', ')
const plain = computed(() => css(props.ground))
const dark = computed(
  () => contrast(hexOf(props.ground, props.palette), '#ffffff') > contrast(hexOf(props.ground, props.palette), '#000000'),
)
const filled = computed(() => {
  const own = fill.value
  if (own?.kind === 'linear') return { background: `linear-gradient(${own.angle}deg, ${stops(own.stops)})` }
  if (own?.kind === 'radial')
    return { background: `radial-gradient(circle farthest-corner at ${own.x * 100}% ${own.y * 100}%, ${stops(own.stops)})` }
  if (own?.kind === 'corners') return { background: `linear-gradient(to right, ${css(own.colors[0]!)}, ${css(own.colors[1]!)})` }
  return null
})
/** The lower corners, fading in downwards: both together run between the four colours across and down alike. */
const lower = computed(() => {
  const own = fill.value
  return own?.kind === 'corners'
    ? {
        background: `linear-gradient(to right, ${css(own.colors[3]!)}, ${css(own.colors[2]!)})`,
        maskImage: 'linear-gradient(to bottom, transparent, #000)',
      }
    : null
})
const picture = computed(() => {
  const own = fill.value
  if (own?.kind !== 'picture') return null
  const { x = 0.5, y = 0.5, zoom = 1 } = own.view ?? {}
  const blur = own.blur ?? 0
  return {
    source: props.host.mediaUrl(own.media, props.size.width * props.scale),
    style: {
      objectPosition: `${x * 100}% ${y * 100}%`,
      transformOrigin: `${x * 100}% ${y * 100}%`,
      transform: `scale(${zoom * (blur ? 1 + (blur * 4) / props.size.height : 1)})`,
      filter:
        [blur ? `blur(${blur}px)` : '', own.colour !== undefined && own.colour !== 1 ? `saturate(${own.colour})` : '']
          .filter(Boolean)
          .join(' ') || undefined,
    },
    veil: own.veil ? css(own.veil) : null,
  }
})
const texture = computed(() => {
  const own = props.backdrop.texture
  return own
    ? {
        backgroundImage: `url("data:image/svg+xml,${encodeURIComponent(textureSvg(own, dark.value))}")`,
        backgroundSize: `${textureSide}px`,
      }
    : null
})
const vignette = computed(() =>
  props.backdrop.vignette
    ? { background: `radial-gradient(ellipse at center, transparent 45%, rgb(0 0 0 / ${props.backdrop.vignette * 0.7}) 115%)` }
    : null,
)
const border = computed(() => {
  const own = props.backdrop.border
  return own ? { inset: `${own.inset}px`, border: `${own.width}px solid ${css(own.color)}`, borderRadius: `${own.radius}px` } : null
})
</script>

<template>
  <div class="stage-ground" :style="{ background: plain }" aria-hidden="true">
    <div v-if="filled" class="stage-ground-part" :style="filled" />
    <div v-if="lower" class="stage-ground-part" :style="lower" />
    <template v-if="picture">
      <img
        v-if="picture.source"
        class="stage-ground-part"
        :src="picture.source"
        alt=""
        :style="picture.style"
        draggable="false"
        decoding="async"
      />
      <div v-if="picture.veil" class="stage-ground-part" :style="{ background: picture.veil }" />
    </template>
    <div v-if="texture" class="stage-ground-part" :style="texture" />
    <div v-if="vignette" class="stage-ground-part" :style="vignette" />
    <div v-if="border" class="stage-ground-part" :style="border" />
  </div>
</template>
