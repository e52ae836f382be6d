<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { StageView, stageHostKey } from '#stage'

const store = useDeck()
const stage = useStageHost()
provide(stageHostKey, () => stage.host)
const { toggle, playBeat } = usePlayback()
const place = ref<HTMLElement>()
const view = ref<InstanceType<typeof StageView>>()
const scoreView = ref<{ newBeat(): void }>()
const { width, height } = useElementSize(place)
const size = computed(() => store.deck!.info.info!.size)
const wide = computed(() => Math.max(40, Math.min(width.value - 24, ((height.value - 20) * size.value.width) / size.value.height)))

const plan = computed(() => store.plan)
const planned = computed(() => plan.value?.slides.find(slide => slide.slide === store.slideId))
const index = computed(() => store.slides.findIndex(slide => slide.id === store.slideId))
const score = computed(() => store.score)
const beat = computed(() => Math.min(store.moment?.beat ?? 0, (score.value?.beats.length ?? 1) - 1))
const moves = computed(() => score.value?.beats.reduce((sum, item) => sum + item.moves, 0) ?? 0)
const holds = computed(() => score.value?.beats.reduce((sum, item) => sum + item.hold, 0) ?? 0)
const needs = computed(() => score.value?.beats.reduce((sum, item) => sum + item.reading.seconds, 0) ?? 0)
const findings = computed(() => store.findings.filter(finding => finding.slide === store.slideId && (finding.rule === 'hold' || finding.rule === 'circles')))

watch([() => store.moment, plan, view, wide], () => {
  if (store.moment && store.moment.slide === store.slideId) void view.value?.show(store.moment)
}, { flush: 'post', immediate: true })
/** The chosen cue, where it moves its part along a way. */
const moved = computed(() => {
  const cue = store.cueId ? store.deck!.cues[store.cueId] : undefined
  return cue?.what === 'move' && cue.effect.startsWith('move-') ? cue : null
})
const marks = [['comes', 'comes in'], ['eye', 'draws the eye'], ['moves', 'moves'], ['data', 'changes data'], ['goes', 'goes out']] as const
</script>

<template>
  <div v-if="store.slideId && score" class="time">
    <section class="facts" aria-label="Times of this slide">
      <h2>Slide {{ index + 1 }}</h2>
      <p v-if="!planned" class="quiet">It is skipped in play.</p>
      <dl>
        <dt>Moves for</dt><dd class="amount">{{ secondsWords(moves) }}</dd>
        <dt>Holds for</dt><dd class="amount">{{ secondsWords(holds) }}</dd>
        <dt>Slide runs</dt><dd class="amount" data-test="slide-runs">{{ secondsWords(planned?.length ?? score.length) }}</dd>
        <dt>Reading needs</dt><dd class="amount" :class="{ wrong: needs > holds + 0.25 }">{{ secondsWords(needs) }}</dd>
      </dl>
      <div v-for="finding in findings" :key="`${finding.rule}${finding.beat}`" class="notice">
        <p>{{ finding.message }}</p>
        <button v-if="finding.remedy && store.canEdit" class="press small" @click="store.edit(finding.remedy!.label.toLowerCase(), finding.remedy!.changes(store.deck!, { id: freshId }))">{{ finding.remedy.label }}</button>
      </div>
      <TempoBox />
    </section>
    <section ref="place" class="stage-place" aria-label="Stage"><div v-if="plan && planned" class="lit" data-test="time-stage"><StageView ref="view" :deck="store.deck!" :plan="plan" :width="wide" /><MotionPath v-if="moved && !store.playing" :key="moved.id" :cue="moved" :scale="wide / size.width" /></div></section>
    <aside class="cue" aria-label="Settings of the cue"><CueSettings /></aside>
    <section class="score-place" aria-label="Score"><ScoreView ref="scoreView" /></section>
    <div class="transport">
      <button class="press acts" @click="toggle">{{ store.playing ? 'Stop' : 'Play' }}</button>
      <button class="press" @click="playBeat(beat)">Play beat {{ beat + 1 }}</button>
      <button class="press plain" :class="{ on: store.loopBeat }" :aria-pressed="store.loopBeat" @click="store.loopBeat = !store.loopBeat">Loop this beat</button>
      <button v-if="store.canEdit" class="press plain" @click="scoreView?.newBeat()">New beat</button>
      <span class="amount quiet at">beat {{ beat + 1 }}, {{ secondsWords(Math.max(0, store.moment?.seconds ?? 0)) }}</span>
      <span class="marks"><span v-for="[tone, words] in marks" :key="tone"><i :style="{ background: `var(--${tone})` }" />{{ words }}</span></span>
    </div>
  </div>
  <p v-else class="empty quiet">No slide yet. The outline makes the first one.</p>
</template>

<style scoped>
.time { display: grid; grid-template-columns: 250px 1fr 300px; grid-template-rows: minmax(200px, 48%) 1fr auto; height: 100%; }
.facts { padding: 12px 16px; overflow-y: auto; background: var(--well); min-height: 0; }
.facts h2 { font-size: 17px; margin-bottom: 8px; }
dl { display: grid; grid-template-columns: auto 1fr; gap: 3px 16px; margin: 0 0 12px; }
dt { color: var(--second); }
dd { margin: 0; font-weight: 600; }
dd.wrong { color: var(--wrong); }
.notice { margin-bottom: 8px; font-size: 13.5px; }
.notice p { margin: 0 0 6px; }
.stage-place { background: var(--well); display: grid; place-items: center; min-height: 0; min-width: 0; overflow: hidden; }
.lit { position: relative; box-shadow: var(--shadow); border-radius: 3px; }
.cue { background: var(--panel); border-left: 1px solid var(--line); padding: 12px 14px; overflow-y: auto; min-height: 0; }
.score-place { grid-column: 1 / -1; min-height: 0; border-top: 1px solid var(--line); }
.transport { grid-column: 1 / -1; display: flex; align-items: center; gap: 8px; padding: 6px 14px; border-top: 1px solid var(--line); background: var(--panel); }
.transport .press { padding: 4px 11px; }
.at { font-size: 13px; }
.marks { margin-left: auto; display: flex; gap: 14px; color: var(--second); font-size: 13px; white-space: nowrap; }
.marks i { display: inline-block; width: 13px; height: 10px; border-radius: 2px; margin-right: 6px; }
.empty { padding: 40px; text-align: center; }
@media (max-width: 1150px) { .time { grid-template-columns: 200px 1fr 280px; } .marks { gap: 8px; font-size: 12px; } }
</style>
