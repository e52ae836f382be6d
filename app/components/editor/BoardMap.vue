<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { frameAt, lastMoment, restingCamera } from '#core/timing'
import { SlideView } from '#stage'

/** A board from afar, in Time: its views in order, the way of the camera, and what is seen now. A press lets the camera go there. */
const store = useDeck()
const where = useWhere()
const board = useBoard()
const root = ref<HTMLElement>()
const { width } = useElementSize(root)
/** As wide as its column lets it, px. */
const wide = computed(() => Math.min(210, width.value || 160))
const score = computed(() => (where.score?.board ? where.score : null))
const extent = computed(() => score.value?.board?.extent ?? { width: 1, height: 1 })
const scale = computed(() => Math.min(wide.value / extent.value.width, 128 / extent.value.height))
const atEnd = computed(() => frameAt(score.value!, lastMoment(score.value!)))
const middle = (id: unknown) => {
  const box = board.views.find(view => view.id === id)?.box
  return box ? { x: box.x + box.width / 2, y: box.y + box.height / 2 } : { x: extent.value.width / 2, y: extent.value.height / 2 }
}
/** The way of the camera through all beats, from what the board opens with. */
const way = computed(() => [
  middle(board.slide?.opens),
  ...(score.value?.board?.camera.legs ?? []).map(leg => middle(leg.cue.cue.options.view)),
])
const seen = computed(() => {
  const { size } = score.value!
  const moment = where.moment?.slide === where.slideId && where.moment ? where.moment : { beat: 0, seconds: 0 }
  const camera = frameAt(score.value!, moment).camera ?? restingCamera(size)
  const [width, height] = [size.width / camera.scale, size.height / camera.scale]
  return { x: camera.x - width / 2, y: camera.y - height / 2, width, height, angle: camera.angle, cx: camera.x, cy: camera.y }
})
const beat = computed(
  () => score.value?.beats[Math.min(where.moment?.slide === where.slideId ? where.moment!.beat : 0, score.value.beats.length - 1)],
)
const go = (id: string) => beat.value && board.goTo(id, beat.value.beat.id)
const letters = computed(() => extent.value.width / 15)
</script>

<template>
  <div v-if="score" ref="root" class="map">
    <div class="paper" :style="{ width: `${extent.width * scale}px`, height: `${extent.height * scale}px` }">
      <div class="thumb" :style="{ transform: `scale(${scale})` }">
        <SlideView :deck="store.current" :slide="score.slide" :frame="atEnd" :scale="scale" whole />
      </div>
      <svg :viewBox="`0 0 ${extent.width} ${extent.height}`" aria-hidden="true">
        <polyline
          v-if="way.length > 1"
          class="way"
          :points="way.map(point => `${point.x},${point.y}`).join(' ')"
          :stroke-width="extent.width / 130"
        />
        <g
          v-for="(view, index) in board.views"
          :key="view.id"
          :transform="`rotate(${view.box.angle} ${view.box.x + view.box.width / 2} ${view.box.y + view.box.height / 2})`"
        >
          <rect
            class="view"
            :x="view.box.x"
            :y="view.box.y"
            :width="view.box.width"
            :height="view.box.height"
            :stroke-width="extent.width / 150"
          />
          <text :x="view.box.x + letters * 0.3" :y="view.box.y + letters" :font-size="letters">{{ index + 1 }}</text>
        </g>
        <rect
          class="seen"
          :x="seen.x"
          :y="seen.y"
          :width="seen.width"
          :height="seen.height"
          :stroke-width="extent.width / 80"
          :transform="`rotate(${seen.angle} ${seen.cx} ${seen.cy})`"
        />
      </svg>
    </div>
    <div v-if="store.canEdit" class="going">
      <span class="quiet">In beat {{ (beat?.index ?? 0) + 1 }}, go to</span>
      <UButton
        v-for="(view, index) in board.views"
        :key="view.id"
        size="sm"
        :title="view.name"
        :aria-label="`Go to ${view.name}`"
        @click="go(view.id)"
      >
        {{ index + 1 }}
      </UButton>
      <UButton size="sm" @click="go('all')">all of it</UButton>
    </div>
    <div v-if="store.canEdit && board.views.length > 1" class="going">
      <UButton size="sm" @click="board.tour(false)">Tour the views</UButton>
      <UButton size="sm" @click="board.tour(true)">and back to all</UButton>
    </div>
    <p v-if="!board.views.length" class="quiet">No views yet. Compose frames them.</p>
  </div>
</template>

<style scoped>
.map {
  margin: 4px 0 12px;
}
.paper {
  position: relative;
  border-radius: 6px;
  overflow: hidden;
  border: 1px solid var(--line);
  background: var(--panel);
}
.thumb {
  position: absolute;
  left: 0;
  top: 0;
  transform-origin: 0 0;
  opacity: 0.75;
  pointer-events: none;
}
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
.view {
  fill: none;
  stroke: var(--act);
}
text {
  fill: var(--act-deep);
  font-weight: 700;
  paint-order: stroke;
  stroke: var(--panel);
  stroke-width: 20px;
}
.way {
  fill: none;
  stroke: var(--moves);
  stroke-dasharray: 90 60;
}
.seen {
  fill: color-mix(in srgb, var(--now) 18%, transparent);
  stroke: var(--now);
}
.going {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px;
  margin-top: 6px;
  font-size: 13px;
}
</style>
