<script setup lang="ts">
import { setFields } from '#core/edits'
import { beatsOf, cuesOf, type Cue, type Parts } from '#core/model'
import {
  cameraSpeed,
  cueSentence,
  effectNamed,
  effectsFor,
  fastestOf,
  leastLength,
  moveToBeat,
  paceFor,
  partName,
  partsHaveAmounts,
  partWays,
  setLength,
  statesTold,
} from '#core/timing'

/** How one cue happens, in words that can be edited. */
const store = useDeck()
const where = useWhere()
const selected = useSelected()
const many = useScore()
/** As shown: with what is under the hand in the score. */
const cue = computed(() => (selected.cueId ? store.shown!.cues[selected.cueId] : undefined))
const board = useBoard()
const isCamera = computed(() => cue.value?.what === 'camera')
const name = computed(() => (isCamera.value ? 'The camera' : (element.value?.name ?? 'An element')))
const element = computed(() => (cue.value?.element ? store.current.elements[cue.value.element] : undefined))
const effect = computed(() => effectNamed(cue.value?.effect ?? 'fade', cue.value?.what ?? 'enter'))
const choices = computed(() => (cue.value && element.value ? effectsFor(cue.value.what, element.value.kind) : []))
const beats = computed(() => (cue.value ? beatsOf(store.current, where.slideId!) : []))
const others = computed(() => (cue.value ? cuesOf(store.current, cue.value.beat).filter(other => other.id !== cue.value!.id) : []))
const set = (fields: Partial<Cue>) =>
  cue.value && store.edit(`change the motion of ${nameHere()}`, setFields(store.current, { table: 'cues', id: cue.value.id, fields }))
const whatWords: Record<Cue['what'], string> = {
  enter: 'entrance',
  emphasis: 'emphasis',
  move: 'moves',
  data: 'goes to a state',
  media: 'plays',
  pose: 'poses',
  exit: 'exit',
  camera: 'goes to a view',
}
const anchorValue = computed(() => (cue.value?.anchor.to === 'beat' ? 'beat' : `${cue.value?.anchor.to}:${cue.value?.anchor.cue}`))
function setAnchor(text: string) {
  const [to, id] = text.split(':')
  set({ anchor: to === 'beat' ? { to: 'beat' } : { to: to as 'start' | 'end', cue: id! } })
}
const nameOf = (other: Cue) =>
  other.what === 'camera'
    ? `the camera goes to ${board.nameOf(other.options.view)}`
    : `${store.current.elements[other.element!]?.name ?? 'an element'} ${whatWords[other.what]}`
const nameHere = () => (isCamera.value ? 'the camera' : (element.value?.name ?? 'an element'))
/** The leg of the camera that this cue is. */
const leg = computed(() => where.score?.board?.camera.legs.find(one => one.cue.cue.id === cue.value?.id) ?? null)
/** How fast the picture goes where it is fastest, of what nobody should have to bear. */
const rush = computed(() => (leg.value ? fastestOf(leg.value.way, leg.value.cue.cue, leg.value.cue.round) / cameraSpeed.most : 0))
const rushWords = computed(() => (rush.value < 0.55 ? 'calm' : rush.value < 0.85 ? 'brisk' : 'as fast as is pleasant'))
/** All of it in a sentence; what stands below changes its words. */
const sentence = computed(() =>
  item.value
    ? cueSentence(
        store.shown!,
        item.value,
        nameOf,
        cue.value!.what === 'data' ? stateName.value : board.nameOf(item.value.cue.options.view),
      )
    : '',
)
/** The states that a chart can go to, as they are counted where it is composed. */
const states = computed(() => (cue.value?.what === 'data' && cue.value.element ? statesTold(store.current, cue.value.element) : []))
const stateItems = computed(() => [
  { value: '', label: '1, as composed' },
  ...states.value.map(({ state }, at) => ({ value: state.id, label: state.name ? `${at + 2}, ${state.name}` : `state ${at + 2}` })),
])
const stateName = computed(() => stateItems.value.find(({ value }) => value === (cue.value?.options.state ?? ''))?.label ?? 'a state')
const goesBack = computed(() => cue.value?.what === 'emphasis' || cue.value?.what === 'move')
const repeats = computed(() => goesBack.value || effect.value.figure?.keeps === false)
const withoutState = ({ state: _state, ...options }: Cue['options']) => options
const choose = (name: string) =>
  set({
    effect: name,
    options: {},
    easing: paceFor(name, cue.value!.what),
    ...(effectNamed(name, cue.value!.what).whole ? { parts: undefined } : {}),
  })
/** What its length should not fall below, where it does. */
const least = computed(() => {
  const shown = where.score?.elements.find(one => one.id === cue.value?.element)
  const known = cue.value && shown ? leastLength(store.current, cue.value, shown, where.score!.tracks.get(shown.id)?.drawing) : null
  return known && !held.value && cue.value!.duration < known.seconds - 0.02
    ? { ...known, seconds: Math.ceil(known.seconds * 10) / 10 }
    : null
})
/** The chosen cue in the score. */
const item = computed(() => where.score?.beats.flatMap(beat => beat.cues).find(one => one.cue.id === cue.value?.id))
/** Whether its length follows from what it does, as from the lines of what is drawn, or the way of the camera. */
const follows = computed(() => effect.value.follows?.(cue.value?.options ?? {}) === true)
const drawing = computed(() => (effect.value.byHand ? (where.score?.tracks.get(cue.value?.element ?? '')?.drawing ?? null) : null))
const take = (seconds: number) =>
  cue.value && store.edit(`change the motion of ${nameHere()}`, setLength(store.current, cue.value.id, seconds))
/** A round that is held longer than asked, so that it does not flash more than three times a second. */
const held = computed(() => {
  const round = item.value?.round ?? 0
  return cue.value && !isCamera.value && !follows.value && round > cue.value.duration + 0.001 ? round : null
})
function putInBeat(beat: string) {
  if (!cue.value) return
  store.edit('move a cue to another beat', moveToBeat(store.current, where.keptScore!, { beat, starts: new Map([[cue.value.id, 0]]) }))
}
const byWords = (by: Parts['by']) => {
  if (by === 'paragraph') return 'by line of the list'
  const name = partName(element.value, by)
  return element.value?.kind === 'text' ? `by ${name}` : `${name} by ${name}`
}
/** In which order its parts come. */
const turns = computed(() => [
  { value: 'stands', label: 'as they stand' },
  { value: 'backwards', label: 'the last first' },
  ...(partsHaveAmounts(element.value)
    ? [
        { value: 'rising', label: 'the least first' },
        { value: 'falling', label: 'the greatest first' },
      ]
    : []),
])
const turn = computed(() => {
  const { order, backwards } = cue.value?.parts ?? {}
  if (!order) return backwards ? 'backwards' : 'stands'
  return (order === 'falling') === !backwards ? 'falling' : 'rising'
})
function setTurn(next: string) {
  const { order: _, backwards: __, ...parts } = cue.value!.parts!
  const chosen =
    next === 'backwards' ? { backwards: true } : next === 'rising' || next === 'falling' ? { order: next as 'rising' | 'falling' } : {}
  set({ parts: { ...parts, ...chosen } })
}
const partChoices = computed(() => partWays(element.value))
const setParts = (by: Parts['by'] | 'whole') =>
  set({ parts: by === 'whole' ? undefined : { by, stagger: cue.value?.parts?.stagger ?? (by === 'letter' ? 0.03 : 0.15) } })
</script>

<template>
  <div v-if="cue && (element || isCamera)" class="settings">
    <div class="head">
      <h3>{{ name }} {{ whatWords[cue.what] }}</h3>
      <UButton
        v-if="store.canEdit"
        variant="ghost"
        size="sm"
        icon="i-lucide-trash-2"
        aria-label="Remove this cue"
        title="Remove this cue"
        @click="many.remove()"
      />
    </div>
    <p v-if="sentence" class="quiet sentence">{{ sentence }}</p>
    <p v-if="many.chosen.length > 1" class="quiet">
      {{ many.chosen.length }} cues are chosen. They move, go and change their tempo together; below is the first.
    </p>
    <template v-if="isCamera">
      <div class="row">
        <span class="label">To</span>
        <ChoiceField
          :model-value="board.views.find(view => view.id === cue!.options.view)?.id ?? 'all'"
          :items="[
            ...board.views.map((view, index) => ({ value: view.id, label: `${index + 1} ${view.name}` })),
            { value: 'all', label: 'all of the board' },
          ]"
          label="View"
          @update:model-value="next => set({ options: { ...cue!.options, view: next } })"
        />
      </div>
      <div
        v-if="leg"
        class="speed"
        role="meter"
        aria-label="How fast the picture goes"
        :aria-valuenow="Math.round(rush * 100)"
        aria-valuemin="0"
        aria-valuemax="100"
        :aria-valuetext="rushWords"
      >
        <span class="label">Fastest</span>
        <i><b :style="{ width: `${Math.min(100, rush * 100)}%` }" /></i>
        <span>{{ rushWords }}</span>
      </div>
      <p v-if="leg && !follows && leg.cue.round > cue.duration + 0.02" class="quiet">
        It takes {{ secondsWords(leg.cue.round) }}, so that the picture does not rush by.
      </p>
    </template>
    <div v-else class="row">
      <span class="label">By</span>
      <ChoiceField
        :model-value="cue.effect"
        :items="choices.map(choice => ({ value: choice.name, label: choice.label }))"
        label="Effect"
        @update:model-value="choose"
      />
    </div>
    <div v-if="cue.what === 'data'" class="row">
      <span class="label">To</span>
      <ChoiceField
        :model-value="typeof cue.options.state === 'string' ? cue.options.state : ''"
        :items="stateItems"
        label="State"
        @update:model-value="next => set({ options: next ? { ...cue!.options, state: next } : withoutState(cue!.options) })"
      />
    </div>
    <OptionFields :of="effect" :options="cue.options" @set="options => set({ options })" />
    <div class="row">
      <span class="label">In beat</span>
      <ChoiceField
        :model-value="cue.beat"
        :items="beats.map((beat, index) => ({ value: beat.id, label: index + 1 }))"
        label="Beat"
        @update:model-value="putInBeat"
      />
    </div>
    <div class="row">
      <span class="label">Starts</span>
      <ChoiceField
        :model-value="anchorValue"
        :items="[
          { value: 'beat', label: 'with the beat' },
          ...others.flatMap(other => [
            { value: `start:${other.id}`, label: `as ${nameOf(other)}` },
            { value: `end:${other.id}`, label: `after ${nameOf(other)}` },
          ]),
        ]"
        label="Starts with"
        @update:model-value="setAnchor"
      />
    </div>
    <div class="row">
      <span class="label">after</span>
      <NumberField
        :model-value="cue.delay"
        label="Delay"
        unit="s"
        :decimals="2"
        :step="0.1"
        :min="0"
        :max="3600"
        @update:model-value="delay => set({ delay })"
      />
    </div>
    <div v-if="cue.what !== 'media'" class="row">
      <span class="label">Duration</span>
      <NumberField
        :model-value="follows && item ? item.round : cue.duration"
        label="Duration"
        unit="s"
        :decimals="2"
        :step="0.1"
        :min="0"
        :max="3600"
        @update:model-value="take"
      />
    </div>
    <p v-if="follows && drawing" class="quiet">
      As long as its lines, {{ numberWords(drawing.length) }} px of them. Another number makes it that long.
    </p>
    <div v-if="least" class="least">
      <p>It needs {{ secondsWords(least.seconds) }} {{ least.why }}.</p>
      <UButton v-if="store.canEdit" size="sm" @click="take(least.seconds)">Give it that time</UButton>
    </div>
    <p v-if="held" class="quiet">It takes {{ secondsWords(held) }}, so that it flashes no more than three times a second.</p>
    <div v-if="partChoices.length && !effect.whole && (cue.what === 'enter' || cue.what === 'exit' || cue.what === 'emphasis')" class="row">
      <span class="label">Parts</span>
      <ChoiceField
        :model-value="cue.parts?.by ?? 'whole'"
        :items="[{ value: 'whole', label: 'as a whole' }, ...partChoices.map(by => ({ value: by, label: byWords(by) }))]"
        label="Parts"
        @update:model-value="next => setParts(partChoices.find(by => by === next) ?? 'whole')"
      />
    </div>
    <div v-if="cue.parts" class="row">
      <span class="label">one every</span>
      <NumberField
        :model-value="cue.parts.stagger"
        label="Stagger"
        unit="s"
        :decimals="2"
        :step="0.05"
        :min="0"
        :max="60"
        @update:model-value="stagger => set({ parts: { ...cue!.parts!, stagger } })"
      />
    </div>
    <div v-if="cue.parts" class="row">
      <span class="label">In order</span>
      <ChoiceField :model-value="turn" :items="turns" label="Order of its parts" @update:model-value="setTurn" />
    </div>
    <div v-if="repeats" class="row">
      <span class="label">Times</span>
      <span class="times">
        <NumberField
          v-if="cue.repeat !== 'forever'"
          :model-value="cue.repeat"
          label="Times"
          :min="1"
          :max="10000"
          @update:model-value="repeat => set({ repeat: Math.round(repeat) })"
        />
        <UButton
          size="sm"
          :active="cue.repeat === 'forever'"
          :aria-pressed="cue.repeat === 'forever'"
          @click="set({ repeat: cue.repeat === 'forever' ? 1 : 'forever' })"
        >
          until the slide ends
        </UButton>
      </span>
    </div>
    <div v-if="goesBack && cue.repeat !== 1" class="row">
      <span class="label" />
      <label class="yes">
        <UCheckbox :model-value="cue.back ?? false" @update:model-value="on => set({ back: on === true || undefined })" />
        every second time back
      </label>
    </div>
    <UsualBox v-if="cue.what === 'enter' || cue.what === 'exit'" :cue="cue.id" :what="cue.what" :kind="element!.kind" />
    <PaceEditor
      v-if="cue.what !== 'media'"
      :model-value="cue.easing"
      :disabled="!store.canEdit"
      @update:model-value="easing => set({ easing })"
    />
  </div>
  <div v-else class="settings">
    <h3>This slide</h3>
    <SlideSettings />
    <p class="quiet">Choose a cue in the score to change how it happens.</p>
  </div>
</template>

<style scoped>
.settings {
  display: flex;
  flex-direction: column;
  gap: 2px;
}
.head {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  align-items: flex-start;
  margin-bottom: 4px;
}
h3 {
  font-size: 17px;
  overflow-wrap: anywhere;
}
.times {
  display: flex;
  gap: 6px;
}
.least {
  display: flex;
  gap: 8px;
  align-items: center;
  justify-content: space-between;
  color: var(--wrong);
  font-size: 13.5px;
}
.least p {
  margin: 0;
}
.speed {
  display: grid;
  grid-template-columns: auto 1fr auto;
  gap: 10px;
  align-items: center;
  min-height: 28px;
  font-size: 13.5px;
}
.speed i {
  height: 6px;
  border-radius: 3px;
  background: var(--line);
  overflow: hidden;
}
.speed b {
  display: block;
  height: 100%;
  background: var(--act);
}
.sentence {
  margin: -2px 0 4px;
  font-size: 13.5px;
  line-height: 1.35;
}
.yes {
  display: inline-flex;
  gap: 7px;
  align-items: center;
}
</style>
