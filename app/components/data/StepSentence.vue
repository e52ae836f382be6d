<script setup lang="ts">
import { gridWords } from '#core/data'
import type { StepFault, StepField, StepPart } from '#core/steps'

/** A step as a sentence whose fields can be changed; what is wrong is marked where it is, with a remedy. */
const props = defineProps<{
  parts: readonly StepPart[]
  fault: StepFault | null
  canEdit: boolean
  /** Values of a column that can be chosen. */
  values: (column: string) => readonly string[]
}>()
const emit = defineEmits<{ change: [fields: Readonly<Record<string, unknown>>]; ask: [column: string] }>()
const give = (field: string, value: unknown) => emit('change', { [field]: value })
const columnChoices = (of: readonly { name: string }[]) => of.map(({ name }) => ({ value: name, label: name }))
/** What can be chosen in a field of one of several. */
function choicesIn(field: StepField) {
  if (field.as === 'column') return columnChoices(field.of)
  if (field.as === 'table') return field.of.map(({ id, name }) => ({ value: id, label: name }))
  return field.as === 'choice' ? field.of : null
}
/** Values as they are written in the field, told as a reader sees them. */
function valueChoices({ of }: StepField & { as: 'values' }) {
  const language = navigator.language
  return props.values(of.name).map(value => {
    const kept = of.type === 'number' ? Number(value) : value
    const label = `${gridWords(of, kept, language)}${of.kind === 'percent' ? ' %' : ''}`
    return { value: of.kind === 'percent' ? `${Number((Number(value) * 100).toPrecision(12))}%` : value, label }
  })
}
/** The values of a field with one of them written anew; none of those that are empty. */
const withValue = (field: StepField & { as: 'values' }, place: number, words: string) =>
  Array.from({ length: field.most }, (_, index) => (index === place ? words.trim() : (field.value[index] ?? ''))).filter(Boolean)
const isWrong = (field: StepField) => props.fault?.field === field.field
/** What stands in the formula before, at and after what is wrong with it. */
const formulaParts = computed(() => {
  const field = props.parts.find(part => typeof part !== 'string' && part.as === 'formula') as (StepField & { as: 'formula' }) | undefined
  if (!field || !props.fault?.at) return null
  const [from, to] = props.fault.at
  return { before: field.value.slice(0, from), wrong: field.value.slice(from, to) || ' ', after: field.value.slice(to) }
})
</script>

<template>
  <span class="sentence">
    <template v-for="(part, at) in parts" :key="at">
      <span v-if="typeof part === 'string'" :class="{ close: /^[,:]/.test(part) }">{{ part }}</span>
      <span v-else class="field" :class="{ wrong: isWrong(part) }">
        <ChoiceField
          v-if="choicesIn(part)"
          :model-value="String(part.value)"
          :items="choicesIn(part)!"
          :label="part.label"
          :placeholder="part.as === 'table' ? 'a table that is gone' : String(part.value)"
          :disabled="!canEdit"
          @update:model-value="value => give(part.field, value)"
        />
        <ManyField
          v-else-if="part.as === 'columns'"
          :model-value="part.value"
          :items="columnChoices(part.of)"
          :label="part.label"
          :none="part.none"
          :disabled="!canEdit"
          @update:model-value="value => give(part.field, value)"
        />
        <NumberField
          v-else-if="part.as === 'number'"
          :model-value="part.value"
          :label="part.label"
          :min="part.min"
          :max="part.max"
          :disabled="!canEdit"
          @update:model-value="value => give(part.field, value)"
        />
        <ManyField
          v-else-if="part.as === 'values' && part.most > 2"
          :model-value="part.value"
          :items="valueChoices(part)"
          :label="part.label"
          none="which?"
          creates
          :disabled="!canEdit"
          @click.capture="emit('ask', part.of.name)"
          @focusin="emit('ask', part.of.name)"
          @update:model-value="value => give(part.field, value)"
        />
        <template v-else-if="part.as === 'values'">
          <template v-for="place in part.most" :key="place">
            <span v-if="place > 1" class="and">and</span>
            <WordsField
              :model-value="part.value[place - 1] ?? ''"
              class="value"
              maxlength="300"
              :aria-label="part.most > 1 ? `${part.label}, ${place}` : part.label"
              :disabled="!canEdit"
              @update:model-value="words => give(part.field, withValue(part, place - 1, words))"
            />
          </template>
        </template>
        <WordsField
          v-else
          :model-value="part.value"
          :class="part.as === 'formula' ? 'formula' : 'value'"
          :maxlength="part.as === 'formula' ? 2000 : 200"
          :aria-label="part.label"
          :aria-invalid="isWrong(part) || undefined"
          :disabled="!canEdit"
          @update:model-value="words => words.trim() && give(part.field, words.trim())"
        />
      </span>
    </template>
  </span>
  <p v-if="fault" class="fault" role="alert">
    <code v-if="formulaParts" aria-hidden="true">
      <span v-text="formulaParts.before" />
      <u v-text="formulaParts.wrong" />
      <span v-text="formulaParts.after" />
    </code>
    {{ fault.message }}
    <UButton v-if="fault.remedy && canEdit" variant="bare" class="remedy" @click="emit('change', fault.remedy.change)">
      {{ fault.remedy.label }}
    </UButton>
  </p>
</template>

<style scoped>
.sentence {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 7px;
  font-size: 15px;
  line-height: 1.5;
  --number-width: 72px;
}
.close {
  margin-left: -5px;
}
.field {
  display: inline-flex;
  align-items: center;
  gap: 7px;
  min-width: 0;
  max-width: 100%;
  border-radius: 8px;
  font-weight: 600;
  color: var(--act);
}
.field :deep(button),
.field :deep(input) {
  color: var(--act);
  font-weight: 600;
}
.and {
  color: var(--ink);
  font-weight: 400;
}
.value,
.formula {
  max-width: 100%;
}
.value :deep(input),
.formula :deep(input) {
  field-sizing: content;
  min-width: 64px;
  max-width: 100%;
}
.formula :deep(input) {
  font-family: var(--font-mono);
  font-size: 13px;
}
.wrong :deep(button),
.wrong :deep(input) {
  box-shadow: 0 0 0 2px var(--wrong);
}
.fault {
  margin: 6px 0 0;
  font-size: 14px;
  color: var(--wrong);
}
code {
  display: block;
  font-family: var(--font-mono);
  font-size: 13px;
  white-space: pre-wrap;
}
u {
  text-decoration: underline wavy var(--wrong);
  text-underline-offset: 3px;
}
.remedy {
  display: inline;
  color: var(--act);
  font-weight: 600;
  text-decoration: underline;
}
</style>
