<script setup lang="ts">
import type { Reach } from '../../stores/score'

/** Squeezes and stretches what is shown, in proportion, and says who turns the beats on. */
const store = useDeck()
const where = useWhere()
const score = useScore()
const reach = ref<Reach>('slide')
const choices = computed(() => [
  ...(score.chosen.length ? [['cues', score.chosen.length > 1 ? `${score.chosen.length} chosen cues` : 'the chosen cue'] as const] : []),
  ['beat', `beat ${(score.beatAt?.index ?? 0) + 1}`] as const,
  ['slide', 'this slide'] as const,
  ['deck', 'the whole deck'] as const,
])
watch(choices, now => {
  if (!now.some(([known]) => known === reach.value)) reach.value = 'slide'
})
const factors = [
  [0.5, '½'],
  [0.75, '¾'],
  [1.25, '1¼'],
  [2, '2'],
] as const

/** The beats of what is meant, and how long it lasts; null where that is not asked. */
const span = computed(() => {
  if (!where.score || reach.value === 'cues') return null
  const planned = store.plan?.slides ?? []
  const beats =
    reach.value === 'deck'
      ? planned.flatMap(slide => slide.score.beats)
      : reach.value === 'slide'
        ? where.score.beats
        : score.beatAt
          ? [score.beatAt]
          : []
  const transition =
    reach.value === 'deck'
      ? planned.reduce((sum, slide) => sum + slide.transition, 0)
      : reach.value === 'slide'
        ? (planned.find(slide => slide.slide === where.slideId)?.transition ?? 0)
        : 0
  return { beats, length: transition + beats.reduce((sum, beat) => sum + beat.length, 0) }
})
function run(seconds: number) {
  if (span.value && reach.value !== 'cues') score.setLasting(reach.value, { ...span.value, wanted: seconds })
}
</script>

<template>
  <fieldset class="tempo" :disabled="!store.canEdit">
    <legend>Tempo</legend>
    <ChoiceField
      v-model="reach"
      :items="choices.map(([key, words]) => ({ value: key, label: words }))"
      label="What is squeezed or stretched"
    />
    <div class="factors">
      <UButton
        v-for="[factor, words] in factors"
        :key="factor"
        size="sm"
        :aria-label="`${words} times as long`"
        @click="score.setTempo(reach, factor)"
      >
        × {{ words }}
      </UButton>
    </div>
    <div v-if="span" class="row">
      <span class="label">Runs</span>
      <NumberField
        :model-value="span.length"
        label="Let it run"
        unit="s"
        :decimals="1"
        :step="0.5"
        :min="0.1"
        :max="36000"
        @update:model-value="run"
      />
    </div>
    <div v-if="reach === 'beat' && score.beatAt" class="row">
      <span class="label">Holds</span>
      <NumberField
        :model-value="score.beatAt.hold"
        label="Hold of the beat"
        unit="s"
        :decimals="1"
        :step="0.5"
        :min="0"
        :max="3600"
        @update:model-value="score.setHold"
      />
    </div>
    <template v-if="reach === 'slide' || reach === 'deck'">
      <span class="quiet">Its beats go on</span>
      <div class="factors">
        <UButton size="sm" @click="score.setStarts(reach, 'advance')">on advance</UButton>
        <UButton size="sm" @click="score.setStarts(reach, 'self')">by themselves</UButton>
      </div>
    </template>
  </fieldset>
</template>

<style scoped>
.tempo {
  border: 0;
  border-top: 1px solid var(--line);
  margin: 4px 0 0;
  padding: 8px 0 0;
  display: flex;
  flex-direction: column;
  gap: 6px;
  min-width: 0;
}
legend {
  float: left;
  font-weight: 600;
  padding: 0;
}
.factors {
  display: flex;
  gap: 4px;
  flex-wrap: wrap;
}
</style>
