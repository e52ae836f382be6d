<script setup lang="ts">
import { computed } from 'vue'
import { cssColor } from '#core/color'
import type { Deck, Theme } from '#core/model'
import type { ShownElement } from '#core/resolved'
import type { Box } from '#core/values'
import type { Score } from '#core/timing'
import ChartView from './elements/ChartView.vue'
import DiagramView from './elements/DiagramView.vue'
import FigureView from './elements/FigureView.vue'
import FilmView from './elements/FilmView.vue'
import IconView from './elements/IconView.vue'
import PictureView from './elements/PictureView.vue'
import ShapeView from './elements/ShapeView.vue'
import SoundView from './elements/SoundView.vue'
import TableView from './elements/TableView.vue'
import TextView from './elements/TextView.vue'
import type { StageHost } from './host'
import { shadowOf } from './paint'

/** One element where it stands, and in a group what stands in it. `within` is the box of the group around it. */
const props = defineProps<{
  deck: Deck
  theme: Theme
  element: ShownElement
  members: ReadonlyMap<string, readonly ShownElement[]>
  within?: Box
  score: Score
  host: StageHost
  prompts: boolean
  editing: string | null
  scale: number
}>()

const style = computed(() => {
  const { box, flip, opacity, shadow } = props.element
  const filter = shadowOf(shadow, props.theme.palette)
  const turn = [box.angle ? `rotate(${box.angle}deg)` : '', flip ? `scale(${flip.across ? -1 : 1}, ${flip.down ? -1 : 1})` : '']
    .filter(Boolean)
    .join(' ')
  return {
    left: `${box.x - (props.within?.x ?? 0)}px`,
    top: `${box.y - (props.within?.y ?? 0)}px`,
    width: `${box.width}px`,
    height: `${box.height}px`,
    ...(turn ? { transform: turn } : {}),
    ...(opacity !== undefined && opacity !== 1 ? { opacity: String(opacity) } : {}),
    ...(filter ? { filter } : {}),
  }
})
</script>

<template>
  <div class="stage-element" :style="style">
    <div v-show="editing !== element.id" class="stage-moving" :data-element="element.id">
      <TextView
        v-if="element.kind === 'text'"
        :deck="deck"
        :theme="theme"
        :element="element"
        :track="score.tracks.get(element.id)"
        :host="host"
        :prompts="prompts"
        :scale="scale"
      />
      <ChartView
        v-else-if="element.kind === 'chart'"
        :deck="deck"
        :theme="theme"
        :element="element"
        :parts-by="score.tracks.get(element.id)?.partsBy ?? null"
        :host="host"
        :prompts="prompts"
      />
      <PictureView
        v-else-if="element.kind === 'picture'"
        :element="element"
        :theme="theme"
        :host="host"
        :prompts="prompts"
        :scale="scale"
      />
      <ShapeView v-else-if="element.kind === 'shape'" :palette="theme.palette" :element="element" :host="host" :scale="scale" />
      <IconView
        v-else-if="element.kind === 'icon'"
        :icon="element.icon"
        :color="cssColor(element.color ?? { role: 'ink' }, theme.palette)"
        :weight="element.weight"
        :alt="element.alt"
      />
      <DiagramView
        v-else-if="element.kind === 'diagram'"
        :deck="deck"
        :theme="theme"
        :element="element"
        :host="host"
        :scale="scale"
        :prompts="prompts"
      />
      <TableView v-else-if="element.kind === 'table'" :deck="deck" :theme="theme" :element="element" :host="host" :prompts="prompts" />
      <FigureView v-else-if="element.kind === 'figure'" :theme="theme" :element="element" />
      <FilmView v-else-if="element.kind === 'film'" :element="element" :host="host" :prompts="prompts" :scale="scale" />
      <SoundView v-else-if="element.kind === 'sound'" :element="element" :prompts="prompts" />
      <template v-else-if="element.kind === 'group'">
        <ElementView
          v-for="member in members.get(element.id) ?? []"
          :key="member.id"
          :deck="deck"
          :theme="theme"
          :element="member"
          :members="members"
          :within="element.box"
          :score="score"
          :host="host"
          :prompts="prompts"
          :editing="editing"
          :scale="scale"
        />
      </template>
      <p v-else-if="prompts && element.placeholder === 'items'" class="stage-empty">The items stand here, as many as there are</p>
      <p v-else-if="prompts" class="stage-empty">{{ element.name }}: a {{ element.kind }}, kept but not drawn</p>
    </div>
  </div>
</template>
