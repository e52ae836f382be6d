<script setup lang="ts">
import { computed, ref, useId } from 'vue'
import { cssColor, isPlain, type Palette } from '#core/color'
import type { ShapeElement } from '#core/model'
import type { ShownElement } from '#core/resolved'
import { shapePath } from '#core/drawing'
import type { StageHost } from '../host'
import { useRedraw } from '../redraw'
import PaintDefs from './PaintDefs.vue'

const props = defineProps<{ palette: Palette; element: ShapeElement & ShownElement; host: StageHost; scale: number }>()
const name = useId()
const size = computed(() => ({ width: props.element.box.width, height: props.element.box.height }))
const isLine = computed(() => props.element.shape === 'line')
const paint = computed(() => props.element.fill ?? null)
const fill = computed(() => (!paint.value ? 'none' : isPlain(paint.value) ? cssColor(paint.value, props.palette) : `url(#${name})`))
const color = computed(() => (props.element.stroke ? cssColor(props.element.stroke.color, props.palette) : 'none'))
const stroke = computed(() =>
  props.element.stroke
    ? { stroke: color.value, 'stroke-width': props.element.stroke.width, 'stroke-dasharray': props.element.stroke.dash?.join(' ') }
    : {},
)
/** An outline is drawn inside the box: the shape stands in by half its width. */
const drawn = computed(() => shapePath(props.element))
const outlined = computed(() => props.element.stroke?.width ?? 0)
const inner = computed(() => ({
  width: Math.max(0, size.value.width - outlined.value),
  height: Math.max(0, size.value.height - outlined.value),
}))
/** On the way from another shape its outline is that of neither. */
const filled = ref<SVGPathElement>()
useRedraw(
  () => props.element.id,
  frame => {
    const d = frame?.outline ?? drawn.value.fill
    if (filled.value && filled.value.getAttribute('d') !== d) filled.value.setAttribute('d', d)
  },
)
const cap = computed(() => (props.element.line?.way === 'freehand' || !props.element.ends ? 'round' : 'butt'))
</script>

<template>
  <svg
    class="stage-shape"
    :viewBox="`0 0 ${size.width} ${size.height}`"
    preserveAspectRatio="none"
    :role="element.alt ? 'img' : undefined"
    :aria-label="element.alt || undefined"
    :aria-hidden="element.alt ? undefined : true"
  >
    <PaintDefs v-if="paint && !isPlain(paint)" :name="name" :paint="paint" :size="inner" :palette="palette" :host="host" :scale="scale" />
    <template v-if="isLine">
      <path :d="drawn.outline" fill="none" v-bind="stroke" :stroke-linecap="cap" stroke-linejoin="round" />
      <path
        v-for="(mark, index) in drawn.marks"
        :key="index"
        :d="mark.path"
        :fill="mark.filled ? color : 'none'"
        :stroke="mark.filled ? 'none' : color"
        :stroke-width="element.stroke?.width ?? 4"
        stroke-linecap="round"
        stroke-linejoin="round"
      />
    </template>
    <template v-else>
      <path ref="filled" :d="drawn.fill" fill-rule="evenodd" :fill="fill" v-bind="element.rough ? {} : stroke" stroke-linejoin="round" />
      <path
        v-if="element.rough && element.stroke"
        :d="drawn.outline"
        fill="none"
        v-bind="stroke"
        stroke-linecap="round"
        stroke-linejoin="round"
      />
    </template>
  </svg>
</template>
