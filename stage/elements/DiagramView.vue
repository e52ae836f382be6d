<script setup lang="ts">
import { computed } from 'vue'
import type { Deck, DiagramElement, Theme } from '#core/model'
import type { ShownElement } from '#core/resolved'
import { drawDiagram, textOfDiagram, type PaintedShape } from '#core/diagrams'
import type { StageHost } from '../host'
import IconView from './IconView.vue'
import TextView from './TextView.vue'

/** A diagram: what is always there, then each item as a part that cues can move, with the lines that lead to it. */
const props = defineProps<{
  deck: Deck
  theme: Theme
  element: DiagramElement & ShownElement
  host: StageHost
  scale: number
  prompts: boolean
}>()
const drawing = computed(() => drawDiagram(props.deck, props.element, props.host.measurer))
const view = computed(() => `0 0 ${props.element.box.width} ${props.element.box.height}`)
const paint = (shape: PaintedShape) => ({
  d: shape.d,
  fill: shape.fill ?? 'none',
  stroke: shape.stroke ?? 'none',
  'stroke-width': shape.width,
  'stroke-linejoin': 'round' as const,
  'stroke-linecap': 'round' as const,
})
const at = (place: { x: number; y: number; width: number; height: number }) => ({
  left: `${place.x}px`,
  top: `${place.y}px`,
  width: `${place.width}px`,
  height: `${place.height}px`,
})
</script>

<template>
  <div class="stage-diagram" role="group" :aria-label="element.alt || undefined">
    <svg class="stage-shape" :viewBox="view" aria-hidden="true">
      <path v-for="(shape, index) in drawing.back" :key="index" v-bind="paint(shape)" />
    </svg>
    <template v-for="item in drawing.items" :key="`l${item.part}`">
      <svg v-if="item.links.length" class="stage-shape" :viewBox="view" aria-hidden="true" :data-part="item.part">
        <path v-for="(link, index) in item.links" :key="index" v-bind="paint(link)" />
      </svg>
    </template>
    <div v-for="item in drawing.items" :key="item.part" class="stage-item" :style="at(item.place)" :data-part="item.part">
      <svg
        class="stage-item-shapes"
        :width="item.place.width"
        :height="item.place.height"
        :viewBox="`${item.place.x} ${item.place.y} ${item.place.width} ${item.place.height}`"
        aria-hidden="true"
      >
        <path v-for="(shape, index) in item.shapes" :key="index" v-bind="paint(shape)" />
      </svg>
      <div
        v-for="(text, index) in item.texts"
        :key="index"
        class="stage-item-text"
        :style="at({ ...text.place, x: text.place.x - item.place.x, y: text.place.y - item.place.y })"
      >
        <TextView
          :deck="deck"
          :theme="theme"
          :element="textOfDiagram(element, text, `${item.part}-${index}`)"
          :track="undefined"
          :host="host"
          :prompts="false"
          :scale="scale"
        />
      </div>
      <div
        v-if="item.icon"
        class="stage-item-text"
        :style="at({ ...item.icon.place, x: item.icon.place.x - item.place.x, y: item.icon.place.y - item.place.y })"
      >
        <IconView :icon="item.icon.icon" :color="item.icon.color" />
      </div>
    </div>
    <p v-if="prompts && !drawing.items.length" class="stage-empty">Write its lines in the outline beside the stage</p>
  </div>
</template>
