<script setup lang="ts">
import { computed } from 'vue'
import { cssColor } from '#core/color'
import type { Deck, ShapeElement, ShownElement } from '#core/deck'

const props = defineProps<{ deck: Deck, element: ShapeElement & ShownElement }>()
const palette = computed(() => props.deck.theme.theme!.palette)
const fill = computed(() => (props.element.fill ? cssColor(props.element.fill, palette.value) : 'none'))
const stroke = computed(() => (props.element.stroke ? { 'stroke': cssColor(props.element.stroke.color, palette.value), 'stroke-width': props.element.stroke.width, 'stroke-dasharray': props.element.stroke.dash?.join(' ') } : {}))
const inset = computed(() => (props.element.stroke?.width ?? 0) / 2)
const width = computed(() => Math.max(0, props.element.box.width - 2 * inset.value))
const height = computed(() => Math.max(0, props.element.box.height - 2 * inset.value))
</script>

<template>
  <svg class="stage-shape" :viewBox="`0 0 ${element.box.width} ${element.box.height}`" preserveAspectRatio="none" :role="element.alt ? 'img' : undefined" :aria-label="element.alt || undefined" :aria-hidden="element.alt ? undefined : true">
    <ellipse v-if="element.shape === 'ellipse'" :cx="element.box.width / 2" :cy="element.box.height / 2" :rx="width / 2" :ry="height / 2" :fill="fill" v-bind="stroke" />
    <polygon v-else-if="element.shape === 'triangle'" :points="`${element.box.width / 2},${inset} ${inset + width},${inset + height} ${inset},${inset + height}`" :fill="fill" v-bind="stroke" stroke-linejoin="round" />
    <line v-else-if="element.shape === 'line'" :x1="inset" :x2="inset + width" :y1="element.box.height / 2" :y2="element.box.height / 2" v-bind="stroke" stroke-linecap="round" />
    <rect v-else :x="inset" :y="inset" :width="width" :height="height" :rx="element.shape === 'rounded' ? Math.min(element.radius ?? 32, width / 2, height / 2) : 0" :fill="fill" v-bind="stroke" />
  </svg>
</template>
