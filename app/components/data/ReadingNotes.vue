<script setup lang="ts">
import { readingChoicesSchema, type ReadingChoices, type ReadingReport } from '#core/data'

/** What was done to the whole table, a sentence each with its way back; four at first, all where that is asked for. */
const props = defineProps<{
  notes: ReadingReport['notes']
  canEdit: boolean
  /** Of a workbook: the cells that are read of its sheet, “” for all; absent for other files. */
  range?: string | undefined
}>()
const emit = defineEmits<{ decide: [label: string, choices: ReadingChoices] }>()
const fault = ref('')
/** Reads some cells of the sheet alone, or all of them. */
function takeRange(words: string) {
  const range = words.replace(/[\s$]/g, '').toUpperCase()
  fault.value = range && !readingChoicesSchema.shape.range.safeParse(range).success ? `“${words}” are no cells. Write them as B3:F40.` : ''
  if (!fault.value && range !== props.range) emit('decide', range ? `only the cells ${range}` : 'all cells', { range: range || undefined })
}
const few = 4
const all = ref(false)
const shown = computed(() => (all.value ? props.notes : props.notes.slice(0, few)))
</script>

<template>
  <ul v-if="notes.length || range !== undefined" class="notes" aria-label="What was done to the whole table">
    <li v-for="note in shown" :key="note.words" :title="note.lines?.join('\n')">
      <template v-for="(part, at) in partsOf(note.words)" :key="at">
        <b v-if="part.changeable">{{ part.text }}</b>
        <template v-else>{{ part.text }}</template>
      </template>
      <UButton v-if="note.back && canEdit" variant="bare" class="back" @click="emit('decide', note.back.label, note.back.choices)">
        {{ note.back.label }}
      </UButton>
    </li>
    <li v-if="range !== undefined && canEdit" class="cells">
      <label>
        Only its cells
        <WordsField
          :model-value="range"
          class="range"
          aria-label="Cells of the sheet that are read"
          placeholder="all, or B3:F40"
          maxlength="21"
          @update:model-value="takeRange"
        />
      </label>
      <span v-if="fault" role="alert" class="fault">{{ fault }}</span>
    </li>
    <li v-if="notes.length > few && !all" class="more">
      <UButton variant="bare" class="back" @click="all = true">{{ notes.length - few }} more</UButton>
    </li>
  </ul>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.notes {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
  border: 1px solid var(--line);
  border-width: 1px 0;
  flex: none;
  max-height: 190px;
  overflow-y: auto;
}
.notes li {
  padding: 9px 14px;
  font-size: 13.5px;
  line-height: 1.4;
  border-left: 1px solid var(--line);
  overflow-wrap: anywhere;
}
.notes li:first-child {
  border-left: 0;
  padding-left: 0;
}
.cells label {
  display: flex;
  align-items: center;
  gap: 8px;
}
.range {
  width: 120px;
}
.fault {
  color: var(--warn-ink, var(--ink));
}
.back {
  display: inline;
  color: var(--act);
  font-weight: 600;
  text-decoration: underline;
  text-underline-offset: 3px;
  margin-left: 5px;
}
</style>
