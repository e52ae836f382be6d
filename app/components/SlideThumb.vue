<script setup lang="ts">
import { infoOf, type Deck } from '#core/model'
import { compileSlide, frameAt, lastMoment, overviewOf } from '#core/timing'
import { SlideView, stageHostKey } from '#stage'

/**
 * A slide at rest after its last beat, drawn by the stage, `width` px wide; with `prompts`, empty places say what belongs there. Says what
 * it is through `label`.
 */
const props = defineProps<{ deck: Deck; slide: string; width: number; label?: string; prompts?: boolean }>()
const stage = useStageHost()
const host = computed(() => ({ ...stage.host, stillsOnly: true }))
provide(stageHostKey, () => host.value)
const size = computed(() => infoOf(props.deck).size)
const scale = computed(() => props.width / size.value.width)
const frame = computed(() => {
  const score = compileSlide(props.deck, props.slide, stage.host)
  const frame = frameAt(score, lastMoment(score))
  // Of a board all is shown, wherever its camera ends.
  return score.board ? { ...frame, camera: overviewOf(score.board.extent, score.size) } : frame
})
</script>

<template>
  <div class="thumb" :style="{ width: `${width}px`, height: `${size.height * scale}px` }" role="img" :aria-label="label ?? 'Slide'">
    <div class="scaled" :style="{ transform: `scale(${scale})` }" aria-hidden="true">
      <SlideView :deck="deck" :slide="slide" :frame="frame" :scale="scale" :prompts="prompts" />
    </div>
  </div>
</template>

<style scoped>
.thumb {
  position: relative;
  overflow: hidden;
  border-radius: inherit;
  contain: strict;
}
.scaled {
  position: absolute;
  inset: 0;
  transform-origin: 0 0;
  pointer-events: none;
}
</style>
