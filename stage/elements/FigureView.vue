<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { speaks, type FigureElement, type Theme } from '#core/model'
import type { ShownElement } from '#core/resolved'
import { drawFigure, faceAt, figureLook, restingFace, type Face, type FigureDrawing, type Pose } from '#core/figures'
import type { ElementFrame, Frame } from '#core/timing'
import { useRedraw } from '../redraw'

/** A drawn person, feet on the lower edge of its box; as it acts, its parts are drawn anew without rendering. */
const props = defineProps<{ theme: Theme; element: FigureElement & ShownElement }>()
const group = ref<SVGGElement>()
const look = computed(() => figureLook(props.element, props.theme))
const composed = computed(() => drawFigure({ look: look.value, pose: props.element.pose }, props.theme.palette))
const space = 'http://www.w3.org/2000/svg'
const mirrored = (faces: 'left' | 'right') => (faces === 'left' ? 'scale(-1 1)' : '')
let shown: { pose: Pose | null; face: Face; of: FigureDrawing } | null = null

function write({ parts }: FigureDrawing) {
  const node = group.value!
  while (node.childElementCount > parts.length) node.lastElementChild!.remove()
  while (node.childElementCount < parts.length) node.append(document.createElementNS(space, 'path'))
  parts.forEach((part, index) => {
    const path = node.children[index]!
    const set = (name: string, value: string) => {
      if (path.getAttribute(name) !== value) path.setAttribute(name, value)
    }
    set('d', part.d)
    set('fill', part.fill)
    set('stroke', part.stroke?.color ?? 'none')
    set('stroke-width', String(part.stroke?.width ?? 0))
  })
}
function redraw(frame: ElementFrame | null, voice?: Frame['voice']) {
  if (!group.value) return
  const pose = frame?.figure?.pose ?? null
  const face = voice && speaks(props.element) ? faceAt(voice) : restingFace
  const same =
    shown &&
    shown.of === composed.value &&
    shown.pose === pose &&
    shown.face.mouth === face.mouth &&
    shown.face.brows === face.brows &&
    shown.face.eyes === face.eyes
  if (same) return
  shown = { pose, face, of: composed.value }
  group.value.setAttribute('transform', mirrored(frame?.figure?.faces ?? props.element.facing ?? 'right'))
  write(
    pose || face !== restingFace
      ? drawFigure({ look: look.value, pose: pose ?? props.element.pose, face }, props.theme.palette)
      : composed.value,
  )
}
watch(
  [composed, () => props.element.facing],
  () => {
    shown = null
    redraw(null)
  },
  { flush: 'post' },
)
useRedraw(() => props.element.id, redraw)
</script>

<template>
  <svg
    class="stage-figure"
    :viewBox="composed.view.join(' ')"
    preserveAspectRatio="xMidYMax meet"
    :role="element.alt ? 'img' : undefined"
    :aria-label="element.alt || undefined"
    :aria-hidden="element.alt ? undefined : true"
  >
    <g ref="group" stroke-linecap="round" stroke-linejoin="round" />
  </svg>
</template>
