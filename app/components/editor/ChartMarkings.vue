<script setup lang="ts">
import { gatheredFor, type DataTable } from '#core/data'
import type { ChartNote, ChartSpec, Reference } from '#core/model'

/** Levels that amounts of a chart are compared with, and words about some of them. */
const props = defineProps<{ spec: ChartSpec; table: DataTable }>()
const emit = defineEmits<{ set: [fields: { references?: Reference[] | undefined; notes?: ChartNote[] | undefined }] }>()
const levels = computed(() => props.spec.references ?? [])
const notes = computed(() => props.spec.notes ?? [])
const data = computed(() => gatheredFor(props.spec, props.table))
const several = computed(() => data.value.series.length > 1)
const mostLevels = 12
const mostNotes = 40
const kinds = { mean: 'the mean', median: 'the median', most: 'the greatest', least: 'the least', number: 'a number' } as const
const kindOf = ({ at }: Reference) => (typeof at === 'number' ? 'number' : at)
/** A number to begin with: what the amounts come to in the middle. */
const middle = computed(() => {
  const values = data.value.values.flat().filter(value => value !== null)
  return values.length ? Number((values.reduce((sum, value) => sum + value, 0) / values.length).toPrecision(2)) : 0
})
const setLevels = (list: Reference[]) => emit('set', { references: list.length ? list : undefined })
const setLevel = (at: number, fields: { [K in keyof Reference]?: Reference[K] | undefined }) =>
  setLevels(
    levels.value.map((level, index) =>
      index === at
        ? (Object.fromEntries(Object.entries({ ...level, ...fields }).filter(([, value]) => value !== undefined)) as Reference)
        : level,
    ),
  )
const setNotes = (list: ChartNote[]) => emit('set', { notes: list.length ? list : undefined })
const setNote = (at: number, fields: Partial<ChartNote>) =>
  setNotes(notes.value.map((note, index) => (index === at ? { ...note, ...fields } : note)))
/** A note begins at what is highlighted, else at the last. */
function addNote() {
  const lit = props.spec.highlighted[0]
  const category = data.value.categories.find(({ key }) => key === lit) ?? data.value.categories.at(-1)
  if (!category) return
  const series = several.value ? (data.value.series.find(({ key }) => key === lit) ?? data.value.series[0]) : undefined
  setNotes([...notes.value, { key: category.key, ...(series ? { series: series.key } : {}), words: 'What happened here' }])
}
</script>

<template>
  <section aria-label="Reference lines and notes">
    <div v-for="(level, at) in levels" :key="at" class="one">
      <div class="row">
        <span class="label">{{ level.until === undefined ? 'Line' : 'Band' }}</span>
        <span class="pair">
          <ChoiceField
            :model-value="kindOf(level)"
            :items="choicesOf(kinds)"
            :label="`Line ${at + 1} at`"
            @update:model-value="next => setLevel(at, { at: next === 'number' ? middle : next })"
          />
          <UButton
            variant="ghost"
            size="sm"
            icon="i-lucide-x"
            :aria-label="`Remove line ${at + 1}`"
            @click="setLevels(levels.filter((_, index) => index !== at))"
          />
        </span>
      </div>
      <div v-if="typeof level.at === 'number'" class="row">
        <span class="label">At</span>
        <NumberField
          :model-value="level.at"
          :label="`Line ${at + 1}, number`"
          unit=""
          :min="-1e12"
          :max="1e12"
          :step="1"
          :decimals="6"
          @update:model-value="next => setLevel(at, { at: next })"
        />
      </div>
      <div class="row">
        <span class="label">
          <UCheckbox
            :model-value="level.until !== undefined"
            :label="'as a band, to'"
            @update:model-value="
              on => setLevel(at, { until: on === true ? (typeof level.at === 'number' ? level.at : middle) * 1.2 : undefined })
            "
          />
        </span>
        <NumberField
          v-if="level.until !== undefined"
          :model-value="level.until"
          :label="`Line ${at + 1}, until`"
          unit=""
          :min="-1e12"
          :max="1e12"
          :step="1"
          :decimals="6"
          @update:model-value="next => setLevel(at, { until: next })"
        />
      </div>
      <div class="row">
        <span class="label">Its words</span>
        <WordsField
          :model-value="level.words"
          :aria-label="`Line ${at + 1}, words`"
          placeholder="what it is, and its amount"
          maxlength="120"
          @update:model-value="words => setLevel(at, { words })"
        />
      </div>
    </div>
    <div v-for="(note, at) in notes" :key="`note ${at}`" class="one">
      <div class="row">
        <span class="label">Note at</span>
        <span class="pair">
          <ChoiceField
            :model-value="note.key"
            :items="data.categories.map(({ key, label }) => ({ value: key, label }))"
            :label="`Note ${at + 1} at`"
            placeholder="no such row now"
            @update:model-value="key => setNote(at, { key })"
          />
          <UButton
            variant="ghost"
            size="sm"
            icon="i-lucide-x"
            :aria-label="`Remove note ${at + 1}`"
            @click="setNotes(notes.filter((_, index) => index !== at))"
          />
        </span>
      </div>
      <div v-if="several" class="row">
        <span class="label">of</span>
        <ChoiceField
          :model-value="note.series ?? null"
          :items="data.series.map(({ key, label }) => ({ value: key as string | null, label }))"
          :label="`Note ${at + 1} of`"
          placeholder="no such one now"
          @update:model-value="series => series !== null && setNote(at, { series })"
        />
      </div>
      <WordsField
        class="words"
        :model-value="note.words"
        rows="2"
        :aria-label="`Note ${at + 1}, words`"
        maxlength="300"
        @update:model-value="words => setNote(at, { words })"
      />
    </div>
    <div class="row adds">
      <UButton size="sm" :disabled="levels.length >= mostLevels" @click="setLevels([...levels, { at: 'mean', words: '' }])">
        Add a line
      </UButton>
      <UButton size="sm" :disabled="notes.length >= mostNotes || !data.categories.length" @click="addNote">Add a note</UButton>
    </div>
  </section>
</template>

<style scoped>
.one {
  padding: 4px 0 6px;
  border-bottom: 1px solid var(--line);
}
.words {
  width: 100%;
}
.pair {
  display: flex;
  gap: 4px;
  align-items: center;
}
.adds {
  justify-content: flex-start;
  gap: 6px;
  margin: 6px 0;
}
</style>
