<script setup lang="ts">
import { computed, useId } from 'vue'
import { colorMatrix, cssColor, fromSide, treatmentOf } from '#core/color'
import type { PictureElement, Theme } from '#core/model'
import type { ShownElement } from '#core/resolved'
import { cropOf, viewOf } from '#core/place'
import { outlineOf } from '#core/shapes'
import type { StageHost } from '../host'
import { useLost } from '../lost'
import { fontStack } from '../measurer'

const props = defineProps<{ element: PictureElement & ShownElement; theme: Theme; host: StageHost; prompts: boolean; scale: number }>()
const name = useId()
const palette = computed(() => props.theme.palette)
const size = computed(() => ({ width: props.element.box.width, height: props.element.box.height }))
const source = computed(() =>
  props.element.media ? props.host.mediaUrl(props.element.media, props.element.box.width * props.scale) : undefined,
)
const { lost, lose } = useLost(() => source.value)
const treatment = computed(() => (props.element.logo ? null : treatmentOf(props.element.treatment, props.theme.pictures)))
const matrix = computed(() => colorMatrix(treatment.value, palette.value))

const words = computed(() => props.element.frame?.words?.trim() ?? '')
const outline = computed(() => {
  const frame = props.element.frame
  return !frame || frame.shape === 'rectangle' || words.value ? null : outlineOf(frame, size.value)
})
/** Letters as a frame: as high as the box, squeezed or spread to its width. */
const letters = computed(() =>
  words.value ? { fontSize: size.value.height * 0.98, y: size.value.height * 0.84, family: fontStack(props.theme.fonts.display) } : null,
)
const clip = computed(() => (letters.value ? `url(#${name}-words)` : outline.value ? `path(evenodd, "${outline.value}")` : undefined))
const fade = computed(() =>
  treatment.value?.fade ? fromSide(treatment.value.fade.side, treatment.value.fade.share, 'transparent', '#000') : undefined,
)

const image = computed(() => {
  const { natural } = props.element
  const filters = [matrix.value ? `url(#${name}-look)` : '', treatment.value?.blur ? `blur(${treatment.value.blur}px)` : '']
    .filter(Boolean)
    .join(' ')
  const filter = filters ? { filter: filters } : {}
  if (!natural || props.element.logo) return filter
  const crop = cropOf(natural, size.value, viewOf(props.element))
  return { left: `${crop.x}px`, top: `${crop.y}px`, width: `${crop.width}px`, height: `${crop.height}px`, ...filter }
})
const layers = computed(() => {
  const { tint, shade } = treatment.value ?? {}
  return [
    ...(tint ? [{ background: cssColor(tint.color, palette.value), opacity: String(tint.strength) }] : []),
    ...(shade
      ? [
          {
            background: fromSide(
              shade.side,
              shade.share,
              cssColor(shade.color, palette.value),
              cssColor({ ...shade.color, alpha: 0 }, palette.value),
            ),
          },
        ]
      : []),
  ]
})
const border = computed(() => props.element.border ?? null)
/** Letters that stand in its place while it has no picture: as large as they are read well within its frame. */
const instead = computed(() => {
  const { instead: letters, media } = props.element
  if (!letters || media) return null
  const { width, height } = size.value
  return {
    words: letters.words,
    style: {
      background: cssColor(letters.fill, palette.value),
      color: cssColor(letters.color, palette.value),
      fontFamily: fontStack(props.theme.fonts.display),
      fontSize: `${Math.min(width, height) * 0.4}px`,
    },
  }
})
</script>

<template>
  <div class="stage-picture">
    <svg v-if="matrix || letters" class="stage-definitions" aria-hidden="true">
      <filter v-if="matrix" :id="`${name}-look`" color-interpolation-filters="sRGB" x="0" y="0" width="1" height="1">
        <feColorMatrix type="matrix" :values="matrix.join(' ')" />
      </filter>
      <clipPath v-if="letters" :id="`${name}-words`">
        <text
          x="0"
          :y="letters.y"
          :font-size="letters.fontSize"
          :font-family="letters.family"
          font-weight="800"
          :textLength="size.width"
          lengthAdjust="spacingAndGlyphs"
        >
          {{ words }}
        </text>
      </clipPath>
    </svg>
    <div class="stage-picture-frame" :style="{ clipPath: clip, maskImage: fade }">
      <img
        v-if="source && !lost"
        :src="source"
        :alt="element.alt ?? ''"
        :style="image"
        :class="{ whole: element.logo, placed: !!element.natural && !element.logo }"
        draggable="false"
        decoding="async"
        @error="lose"
      />
      <p v-else-if="element.media && !element.logo" class="stage-lost">{{ prompts ? 'This picture is not at hand' : '' }}</p>
      <p v-else-if="instead" class="stage-letters" :style="instead.style" aria-hidden="true">{{ instead.words }}</p>
      <p v-else-if="prompts && !element.media" class="stage-empty">{{ element.prompt ?? 'Drop a picture here' }}</p>
      <template v-if="source && !lost">
        <div v-for="(layer, index) in layers" :key="index" class="stage-picture-layer" :style="layer" />
      </template>
    </div>
    <svg v-if="border && source && !letters" class="stage-shape" :viewBox="`0 0 ${size.width} ${size.height}`" aria-hidden="true">
      <path
        :d="outline ?? `M0 0H${size.width}V${size.height}H0Z`"
        fill="none"
        :stroke="cssColor(border.color, palette)"
        :stroke-width="border.width"
        :stroke-dasharray="border.dash?.join(' ')"
        stroke-linejoin="round"
      />
    </svg>
  </div>
</template>
