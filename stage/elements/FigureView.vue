<script setup lang="ts">
import { computed } from 'vue'
import type { FigureElement, ShownElement, Theme } from '#core/deck'
import { drawFigure, figureLook } from '#core/figures'

/** A drawn person in its pose, feet on the lower edge of its box. */
const props = defineProps<{ theme: Theme, element: FigureElement & ShownElement }>()
const drawing = computed(() => drawFigure({ look: figureLook(props.element, props.theme), pose: props.element.pose, facing: props.element.facing }, props.theme.palette))
</script>

<template>
  <svg class="stage-figure" :viewBox="drawing.view.join(' ')" preserveAspectRatio="xMidYMax meet" :role="element.alt ? 'img' : undefined" :aria-label="element.alt || undefined" :aria-hidden="element.alt ? undefined : true">
    <g :transform="element.facing === 'left' ? 'scale(-1 1)' : undefined"><path v-for="(part, index) in drawing.parts" :key="index" :d="part.d" :fill="part.fill" :stroke="part.stroke?.color ?? 'none'" :stroke-width="part.stroke?.width" stroke-linecap="round" stroke-linejoin="round" /></g>
  </svg>
</template>
