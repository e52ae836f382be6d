<script setup lang="ts">
import { infoOf, languageSchema, type Info } from '#core/model'
import { setFields } from '#core/edits'
import { setLanguage } from '#core/layouts'

/** What the deck is for, who reads it, and in what language: what its time is reckoned from. */
const store = useDeck()
const info = computed(() => infoOf(store.current))
const set = (label: string, fields: Partial<Info>) => store.edit(label, setFields(store.current, { table: 'info', id: 'info', fields }))
const purposes = { talk: 'Talk, waits for its speaker', film: 'Film, runs by itself', loop: 'Loop, repeats on screens' }
const audiences = { children: 'Children', public: 'The public, passing or in a hall', colleagues: 'Colleagues, at a table' }
/** How far away it is read, in heights of the picture. */
const distances = [
  [4, 'A table, four picture heights away'],
  [8, 'A room, eight heights away'],
  [12, 'A hall, twelve heights away'],
  [18, 'A concourse, eighteen heights away'],
] as const
const names = new Intl.DisplayNames(['en'], { type: 'language' })
/** Offered for a start; any language tag is taken. */
const offered = ['en', 'de', 'fr', 'es', 'it', 'nl', 'pt', 'pl', 'sv', 'fi', 'sl', 'tr', 'ru', 'ar', 'he', 'ja', 'zh']
function writeIn(words: string) {
  const read = languageSchema.safeParse(words.trim())
  if (read.success) store.edit('change the language', setLanguage(store.current, read.data))
  else
    useToast().add({
      title: `“${words}” is no language tag, such as en or pt-BR. The language stays ${names.of(info.value.language)}.`,
      color: 'error',
    })
}
</script>

<template>
  <div class="settings">
    <label>
      Purpose
      <ChoiceField
        :model-value="info.purpose"
        :items="choicesOf(purposes)"
        :disabled="!store.canEdit"
        @update:model-value="next => set('change the purpose', { purpose: next })"
      />
    </label>
    <label>
      Who reads
      <ChoiceField
        :model-value="info.audience"
        :items="choicesOf(audiences)"
        :disabled="!store.canEdit"
        @update:model-value="next => set('change the audience', { audience: next })"
      />
    </label>
    <label>
      Read from
      <ChoiceField
        :model-value="info.distance ?? 8"
        :items="distances.map(([heights, words]) => ({ value: heights, label: words }))"
        :disabled="!store.canEdit"
        @update:model-value="next => set('change the distance', { distance: Number(next) })"
      />
    </label>
    <label>
      Language, {{ names.of(info.language) }}
      <WordsField :model-value="info.language" list="languages" :disabled="!store.canEdit" @update:model-value="writeIn" />
    </label>
    <datalist id="languages">
      <option v-for="code in offered" :key="code" :value="code">{{ names.of(code) }}</option>
    </datalist>
    <p class="quiet">Reading times, the least size of letters, and how many items a layout has room for follow from these.</p>
  </div>
</template>

<style scoped>
.settings {
  padding: 14px;
  width: 280px;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
label {
  display: flex;
  flex-direction: column;
  gap: 3px;
  color: var(--second);
}
p {
  margin: 0;
  font-size: 13px;
}
</style>
