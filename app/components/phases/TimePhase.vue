<script setup lang="ts">
import { infoOf, type Cue } from '#core/model'
import { useElementSize, useLocalStorage } from '@vueuse/core'
import { voiceAt } from '#core/sound'
import { effectNamed, type Moment } from '#core/timing'
import { StageView, stageHostKey } from '#stage'

const store = useDeck()
const where = useWhere()
const selected = useSelected()
const check = useCheck()
const stage = useStageHost()
const sounds = useSounds()
const clips = useClips()
const host = computed(() => ({
  ...stage.host,
  voice: (moment: Moment) => (store.plan && sounds.plan ? voiceAt(store.plan, sounds.plan, clips.peaks, moment) : null),
}))
provide(stageHostKey, () => host.value)
const { toggle, playBeat, step, speed } = usePlayback()
const tapping = useTapping()
const motions = useMotions()
const recording = ref<{ onto: { media: string; at: number } | null } | null>(null)
/** Where a voice proposes that beats begin, seconds after the slide’s opening. */
const proposed = ref<number[]>([])
watch(
  () => where.slideId,
  () => {
    proposed.value = []
    tapping.stop()
  },
)
const place = ref<HTMLElement>()
const view = ref<InstanceType<typeof StageView>>()
const scoreView = ref<{ newBeat(): void }>()
const { width, height } = useElementSize(place)
const size = computed(() => infoOf(store.current).size)
const wide = computed(() => Math.max(40, Math.min(width.value - 24, ((height.value - 20) * size.value.width) / size.value.height)))

const plan = computed(() => store.plan)
const planned = computed(() => plan.value?.slides.find(slide => slide.slide === where.slideId))
const index = computed(() => store.slides.findIndex(slide => slide.id === where.slideId))
const score = computed(() => where.score)
const beat = computed(() => Math.min(where.moment?.beat ?? 0, (score.value?.beats.length ?? 1) - 1))
const moves = computed(() => score.value?.beats.reduce((sum, item) => sum + item.moves, 0) ?? 0)
const holds = computed(() => score.value?.beats.reduce((sum, item) => sum + item.hold, 0) ?? 0)
const needs = computed(() => score.value?.beats.reduce((sum, item) => sum + item.reading.seconds, 0) ?? 0)
const findings = computed(() => check.findings.filter(finding => finding.slide === where.slideId && finding.about === 'timing'))

watch(
  [() => where.moment, plan, view, wide],
  () => {
    if (where.moment && where.moment.slide === where.slideId) void view.value?.show(where.moment)
  },
  { flush: 'post', immediate: true },
)
const hasWay = (cue: Cue) => !!effectNamed(cue.effect, cue.what).path
/** The ways of all other moves on this slide, as ghosts. */
const others = computed(() =>
  (where.score?.beats.flatMap(entry => entry.cues.map(item => item.cue)) ?? []).filter(
    cue => hasWay(cue) && cue.id !== moved.value?.id && !where.score?.board,
  ),
)
/** The chosen cue, where it moves its part along a way. */
const moved = computed(() => {
  const cue = selected.cueId ? store.current.cues[selected.cueId] : undefined
  return cue && hasWay(cue) ? cue : null
})
function record(from: number | null) {
  recording.value = { onto: from !== null && sounds.chosen ? { media: sounds.chosen.media, at: from } : null }
}
function kept(media: string) {
  recording.value = null
  sounds.narrate(media)
}
function takeProposed() {
  tapping.apply(proposed.value, where.score?.clips.find(fit => fit.sound === sounds.voice?.id)?.seconds)
  proposed.value = []
}
function onKey(event: KeyboardEvent) {
  if (!tapping.on.value || (event.key !== ' ' && event.key !== 'Escape')) return
  event.preventDefault()
  if (event.key === ' ') tapping.tap()
  else tapping.stop()
}
// While beats are tapped, Space does nothing else.
onKeys(onKey, { first: true })
/** How much of the height the score has, %. */
const scoreHeight = useLocalStorage('score-height', 48)
const all = useTemplateRef('all')
function divide(event: PointerEvent) {
  event.preventDefault()
  const box = all.value!.getBoundingClientRect()
  followPointer(event, move => {
    scoreHeight.value = Math.round(Math.min(75, Math.max(20, (100 * (box.bottom - move.clientY)) / box.height)))
  })
}
const loopWords = computed(() => {
  const { from, to } = where.loop ?? { from: beat.value, to: beat.value }
  return from === to ? `Loop beat ${from + 1}` : `Loop beats ${from + 1} to ${to + 1}`
})
const marks = [
  ['comes', 'entrance'],
  ['eye', 'emphasis'],
  ['moves', 'moves'],
  ['data', 'goes to a state'],
  ['goes', 'exit'],
] as const
</script>

<template>
  <div v-if="where.slideId && score" ref="all" class="time" :style="{ '--score-height': `${scoreHeight}%` }">
    <section class="facts" aria-label="Times of this slide">
      <h2>Slide {{ index + 1 }}</h2>
      <BoardMap />
      <p v-if="!planned" class="quiet">It is skipped in play.</p>
      <dl>
        <dt>Moves for</dt>
        <dd class="amount">{{ secondsWords(moves) }}</dd>
        <dt>Holds for</dt>
        <dd class="amount">{{ secondsWords(holds) }}</dd>
        <dt>Slide runs</dt>
        <dd class="amount" data-test="slide-runs">{{ secondsWords(planned?.length ?? score.length) }}</dd>
        <dt>Reading needs</dt>
        <dd class="amount" :class="{ wrong: needs > holds + 0.25 }">{{ secondsWords(needs) }}</dd>
      </dl>
      <div v-for="finding in findings" :key="`${finding.rule}${finding.beat}`" class="notice">
        <p>{{ finding.message }}</p>
        <UButton
          v-if="finding.remedy && store.canEdit"
          size="sm"
          @click="store.edit(finding.remedy!.label.toLowerCase(), finding.remedy!.changes(store.current, { id: freshId }))"
        >
          {{ finding.remedy.label }}
        </UButton>
      </div>
      <ClipAnswers />
      <TempoBox />
    </section>
    <section ref="place" class="stage-place" aria-label="Stage">
      <div v-if="plan && planned" class="lit" data-test="time-stage">
        <StageView ref="view" :deck="store.shown!" :plan="plan" :width="wide" />
        <template v-if="!where.playing">
          <MotionPath v-for="cue in others" :key="cue.id" :cue="cue" :scale="wide / size.width" ghost />
        </template>
        <MotionPath v-if="moved && !where.playing" :key="moved.id" :cue="moved" :scale="wide / size.width" />
      </div>
    </section>
    <aside class="cue" :aria-label="sounds.chosen ? 'Settings of the sound' : 'Settings of the cue'">
      <SoundSettings
        v-if="sounds.chosen"
        @record="record"
        @propose="
          starts => {
            proposed = starts
          }
        "
      />
      <CueSettings v-else />
    </aside>
    <section class="score-place" aria-label="Score">
      <div
        class="divider"
        role="separator"
        tabindex="0"
        aria-orientation="horizontal"
        aria-label="Height of the score"
        title="Drag for a higher score"
        :aria-valuenow="scoreHeight"
        aria-valuemin="20"
        aria-valuemax="75"
        @pointerdown="divide"
        @keydown.up.prevent="scoreHeight = Math.min(75, scoreHeight + 5)"
        @keydown.down.prevent="scoreHeight = Math.max(20, scoreHeight - 5)"
      />
      <ScoreView ref="scoreView" :proposed="proposed" />
    </section>
    <div class="transport">
      <UButton color="primary" variant="solid" title="From the playhead" data-keys="Space" @click="toggle">
        {{ where.playing ? 'Stop' : 'Play' }}
      </UButton>
      <UButton @click="playBeat(beat)">Play beat {{ beat + 1 }}</UButton>
      <UButton
        variant="ghost"
        :active="!!where.loop"
        :aria-pressed="!!where.loop"
        title="Several beats go round by the menu of a beat"
        @click="where.loop = where.loop ? null : { from: beat, to: beat }"
      >
        {{ loopWords }}
      </UButton>
      <UButton v-if="store.canEdit" variant="ghost" title="At the playhead" data-keys="B" @click="scoreView?.newBeat()">New beat</UButton>
      <SoundMenu @record="record(null)" />
      <UButton v-if="store.canEdit" variant="ghost" :disabled="tapping.on.value" @click="tapping.begin()">Tap the beats</UButton>
      <ChoiceField
        v-model="speed"
        class="pace"
        :items="[
          { value: 1, label: '1 ×' },
          { value: 0.5, label: '½ ×' },
          { value: 0.25, label: '¼ ×' },
          { value: 0.1, label: '0.1 ×' },
        ]"
        label="How fast it plays here"
        title="How fast it plays here; the deck stays as it is"
      />
      <span class="steps">
        <UButton
          variant="ghost"
          icon="i-lucide-step-back"
          aria-label="One frame back"
          title="One frame back"
          data-keys=","
          @click="step(-1)"
        />
        <UButton
          variant="ghost"
          icon="i-lucide-step-forward"
          aria-label="One frame on"
          title="One frame on"
          data-keys="."
          @click="step(1)"
        />
      </span>
      <span class="amount quiet at">beat {{ beat + 1 }}, {{ secondsWords(Math.max(0, where.moment?.seconds ?? 0)) }}</span>
      <span class="marks">
        <span v-for="[tone, words] in marks" :key="tone">
          <i :style="{ background: `var(--${tone})` }" />
          {{ words }}
        </span>
      </span>
    </div>
    <div v-if="tapping.on.value" class="over" role="status">
      <p>
        Press
        <b>Space</b>
        or the button each time the next beat should begin.
      </p>
      <p class="amount clock">
        {{ secondsWords(tapping.seconds.value) }}
        <span class="quiet">{{ tapping.taps.value.length === 1 ? 'one beat tapped' : `${tapping.taps.value.length} beats tapped` }}</span>
      </p>
      <span class="presses">
        <UButton color="primary" variant="solid" @click="tapping.tap()">Next beat</UButton>
        <UButton @click="tapping.finish()">Done</UButton>
        <UButton variant="ghost" @click="tapping.stop()">Cancel</UButton>
      </span>
    </div>
    <div v-else-if="proposed.length" class="over" role="status">
      <p>
        By the pauses of the voice, a sentence each,
        {{ proposed.length === 1 ? 'a beat would begin' : `${proposed.length} beats would begin` }} at
        <span class="amount">{{ listWords(proposed.map(second => numberWords(second, 1))) }} s</span>
      </p>
      <span class="presses">
        <UButton color="primary" variant="solid" @click="takeProposed">Start them there</UButton>
        <UButton variant="ghost" @click="proposed = []">Cancel</UButton>
      </span>
    </div>
    <div v-else-if="motions.asked" class="over">
      <ApplyMotion />
    </div>
    <RecordVoice v-if="recording" :slide="where.slideId" :onto="recording.onto" @kept="kept" @close="recording = null" />
  </div>
  <p v-else class="empty quiet">No slide yet. The outline makes the first one.</p>
</template>

<style scoped>
.time {
  position: relative;
  display: grid;
  grid-template-columns: 250px 1fr 300px;
  grid-template-rows: minmax(120px, 1fr) minmax(120px, var(--score-height, 48%)) auto;
  height: 100%;
}
.facts {
  padding: 12px 16px;
  overflow-y: auto;
  background: var(--well);
  min-height: 0;
}
.facts h2 {
  font-size: 17px;
  margin-bottom: 8px;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 3px 16px;
  margin: 0 0 12px;
}
dt {
  color: var(--second);
}
dd {
  margin: 0;
  font-weight: 600;
}
dd.wrong {
  color: var(--wrong);
}
.notice {
  margin-bottom: 8px;
  font-size: 13.5px;
}
.notice p {
  margin: 0 0 6px;
}
.stage-place {
  background: var(--well);
  display: grid;
  place-items: center;
  min-height: 0;
  min-width: 0;
  overflow: hidden;
}
.lit {
  position: relative;
  box-shadow: var(--shadow);
  border-radius: 3px;
}
.cue {
  background: var(--panel);
  border-left: 1px solid var(--line);
  padding: 12px 14px;
  overflow-y: auto;
  min-height: 0;
}
.score-place {
  grid-column: 1 / -1;
  min-height: 0;
  border-top: 1px solid var(--line);
  position: relative;
}
.divider {
  position: absolute;
  top: -4px;
  left: 0;
  right: 0;
  height: 8px;
  cursor: row-resize;
  z-index: 8;
}
.divider:hover,
.divider:focus-visible {
  background: color-mix(in srgb, var(--act) 25%, transparent);
}
.transport {
  grid-column: 1 / -1;
  display: flex;
  align-items: center;
  gap: 6px;
  padding: 6px 14px;
  border-top: 1px solid var(--line);
  background: var(--panel);
}
.transport [data-slot='base'] {
  padding: 4px 11px;
}
.at {
  font-size: 13px;
  white-space: nowrap;
}
.marks {
  margin-left: auto;
  display: flex;
  gap: 4px 11px;
  color: var(--second);
  font-size: 12.5px;
  white-space: nowrap;
  flex-wrap: wrap;
  justify-content: flex-end;
  max-height: 40px;
  overflow: hidden;
}
.marks i {
  display: inline-block;
  width: 13px;
  height: 10px;
  border-radius: 2px;
  margin-right: 6px;
}
.steps {
  display: inline-flex;
}
.steps [data-slot='base'] {
  padding: 4px 6px;
}
.pace {
  flex: none;
  min-width: 76px;
}
.over {
  position: absolute;
  left: 50%;
  bottom: 56px;
  transform: translateX(-50%);
  z-index: 20;
  background: var(--panel);
  border: 1px solid var(--line);
  border-radius: 12px;
  box-shadow: var(--shadow);
  padding: 12px 18px;
  max-width: 620px;
}
.over p {
  margin: 0 0 8px;
}
.clock {
  font-size: 18px;
}
.presses {
  display: flex;
  gap: 8px;
}
.empty {
  padding: 40px;
  text-align: center;
}
@media (max-width: 1150px) {
  .time {
    grid-template-columns: 200px 1fr 280px;
  }
  .marks {
    gap: 8px;
    font-size: 12px;
  }
}
</style>
