<script setup lang="ts">
import { passageSentence } from '#core/charts'
import { setFields } from '#core/edits'
import { effectNamed, setLength } from '#core/timing'

/** The way to the state in hand: what of it goes when, and how long it takes. */
const store = useDeck()
const states = useStates()
const passage = computed(() => states.current?.passage ?? null)
const cue = computed(() => states.cueOf(states.chosen))
const effect = computed(() => effectNamed(cue.value?.effect ?? '', 'data'))
const follows = computed(() => effect.value.follows?.(cue.value?.options ?? {}) === true)
const seconds = computed(() => states.current?.seconds ?? 0)
const tracks = computed(() => {
  const own = passage.value
  if (!own) return []
  const bar = (stretch: typeof own.axes) =>
    stretch && { left: `${(stretch.begins / own.seconds) * 100}%`, width: `${((stretch.ends - stretch.begins) / own.seconds) * 100}%` }
  return [
    { name: 'axes', bar: bar(own.axes), words: 'stand' },
    { name: 'marks', bar: bar(own.marks), words: 'stand' },
    { name: 'labels', bar: bar(own.labels), words: 'ride on their marks' },
  ]
})
function takes(way: string) {
  if (!cue.value) return
  const { takes: _takes, ...options } = cue.value.options
  const changes =
    way === 'way'
      ? setFields(store.current, { table: 'cues', id: cue.value.id, fields: { options } })
      : setLength(store.current, cue.value.id, Number(seconds.value.toFixed(1)))
  store.edit('change a way between states', changes)
}
</script>

<template>
  <div v-if="passage" class="passage">
    <h4>From state {{ states.at }} to here</h4>
    <p class="quiet">{{ passageSentence(passage).replace(/^./, letter => letter.toUpperCase()) }}.</p>
    <div v-for="track in tracks" :key="track.name" class="track">
      <span>{{ track.name }}</span>
      <span class="lane">
        <i v-if="track.bar" :style="track.bar" />
        <small v-else class="quiet">{{ track.words }}</small>
      </span>
    </div>
    <div class="ends amount">
      <span>0.0</span>
      <span>{{ secondsWords(seconds) }}</span>
    </div>
    <template v-if="cue && store.canEdit">
      <div class="row">
        <span class="label">Takes</span>
        <ChoiceField
          :model-value="follows ? 'way' : 'fixed'"
          :items="[
            { value: 'way', label: passage.runs ? 'by its steps' : 'by how far they go' },
            { value: 'fixed', label: 'so many seconds' },
          ]"
          label="How long the way takes"
          @update:model-value="takes"
        />
      </div>
      <div v-if="!follows" class="row">
        <span class="label">Seconds</span>
        <NumberField
          :model-value="Number(cue.duration.toFixed(2))"
          label="Seconds of the way"
          :min="0"
          :max="600"
          :step="0.1"
          @update:model-value="next => store.edit('change a way between states', setLength(store.current, cue!.id, Math.max(0, next)))"
        />
      </div>
    </template>
    <p v-else-if="!cue" class="quiet">No beat leads to this state.</p>
  </div>
</template>

<style scoped>
.passage {
  border-top: 1px solid var(--line);
  margin-top: 10px;
  padding-top: 10px;
}
h4 {
  margin: 0 0 4px;
  font-size: 14px;
}
p {
  margin: 0 0 8px;
}
.track {
  display: grid;
  grid-template-columns: 52px 1fr;
  align-items: center;
  height: 24px;
  font-size: 13px;
}
.lane {
  position: relative;
  height: 16px;
  border-bottom: 1px solid var(--line);
}
.lane i {
  position: absolute;
  top: 0;
  bottom: 0;
  min-width: 3px;
  background: var(--act);
  border-radius: 2px;
}
.lane small {
  font-size: 12px;
}
.ends {
  display: flex;
  justify-content: space-between;
  margin: 2px 0 8px 52px;
  font-size: 12px;
  color: var(--second);
}
</style>
