<script setup lang="ts">
import { computed } from 'vue'
import { cssColor, type Palette } from '#core/color'
import type { ShapeElement, ShownElement } from '#core/deck'
import { chevronPoints, sectorPath } from '#core/place'

const props = defineProps<{ palette: Palette, element: ShapeElement & ShownElement }>()
const fill = computed(() => (props.element.fill ? cssColor(props.element.fill, props.palette) : 'none'))
const stroke = computed(() => (props.element.stroke ? { 'stroke': cssColor(props.element.stroke.color, props.palette), 'stroke-width': props.element.stroke.width, 'stroke-dasharray': props.element.stroke.dash?.join(' ') } : {}))
const inset = computed(() => (props.element.stroke?.width ?? 0) / 2)
const width = computed(() => Math.max(0, props.element.box.width - 2 * inset.value))
const height = computed(() => Math.max(0, props.element.box.height - 2 * inset.value))
const inner = computed(() => ({ x: inset.value, y: inset.value, width: width.value, height: height.value }))
</script>

<template>
  <svg class="stage-shape" :viewBox="`0 0 ${element.box.width} ${element.box.height}`" preserveAspectRatio="none" :role="element.alt ? 'img' : undefined" :aria-label="element.alt || undefined" :aria-hidden="element.alt ? undefined : true">
    <ellipse v-if="element.shape === 'ellipse'" :cx="element.box.width / 2" :cy="element.box.height / 2" :rx="width / 2" :ry="height / 2" :fill="fill" v-bind="stroke" />
    <polygon v-else-if="element.shape === 'triangle'" :points="`${element.box.width / 2},${inset} ${inset + width},${inset + height} ${inset},${inset + height}`" :fill="fill" v-bind="stroke" stroke-linejoin="round" />
    <polygon v-else-if="element.shape === 'chevron'" :points="chevronPoints(inner)" :fill="fill" v-bind="stroke" stroke-linejoin="round" />
    <path v-else-if="element.shape === 'sector'" :d="sectorPath(inner, element.sector)" fill-rule="evenodd" :fill="fill" v-bind="stroke" />
    <line v-else-if="element.shape === 'line'" :x1="inset" :x2="inset + width" :y1="element.box.height / 2" :y2="element.box.height / 2" v-bind="stroke" stroke-linecap="round" />
    <rect v-else :x="inset" :y="inset" :width="width" :height="height" :rx="element.shape === 'rounded' ? Math.min(element.radius ?? 32, width / 2, height / 2) : 0" :fill="fill" v-bind="stroke" />
  </svg>
</template>
