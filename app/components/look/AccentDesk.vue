<script setup lang="ts">
import { deckTheme, writtenIn, type Accent } from '#core/model'
import { setFields } from '#core/edits'

/** Ways to mark the words that matter: changed here, they change wherever they mark words. */
const store = useDeck()
const theme = computed(() => deckTheme(store.current))
const accents = computed(() => theme.value.accents ?? {})
const put = (next: Record<string, Accent>, label: string) =>
  store.edit(
    label,
    setFields(store.current, { table: 'theme', id: 'theme', fields: { accents: Object.keys(next).length ? next : undefined } }),
  )
const set = (name: string, fields: Partial<Accent>) =>
  put(
    {
      ...accents.value,
      [name]: Object.fromEntries(
        Object.entries({ ...accents.value[name]!, ...fields }).filter(
          ([, value]) => value !== undefined && value !== null && value !== false,
        ),
      ) as Accent,
    },
    `change ${accents.value[name]!.name.toLowerCase()}`,
  )
function add() {
  let count = 1
  while (accents.value[`accent-${count}`]) count++
  put(
    {
      ...accents.value,
      [`accent-${count}`]: { name: count === 1 ? 'Key words' : `Key words ${count}`, color: { role: 'accent1' }, weight: 700 },
    },
    'add a way to mark words',
  )
}
const uses = computed(() => {
  const counts = new Map<string, number>()
  for (const element of Object.values(store.current.elements))
    if (writtenIn(element))
      for (const [, name] of JSON.stringify(writtenIn(element)).matchAll(/"type":"accent","attrs":\{"name":"([^"]+)"/g))
        counts.set(name!, (counts.get(name!) ?? 0) + 1)
  return counts
})
</script>

<template>
  <section class="accents">
    <b class="sub">Words that matter</b>
    <p class="quiet small">A named way to mark them. Changed here, it changes in the whole deck.</p>
    <div v-for="(accent, name) in accents" :key="name" class="accent">
      <div class="row">
        <WordsField
          :model-value="accent.name"
          maxlength="60"
          :aria-label="`Name of ${accent.name}`"
          @update:model-value="words => words.trim() && set(String(name), { name: words.trim() })"
        />
        <span class="quiet small">{{ uses.get(String(name)) ? `${uses.get(String(name))} times` : 'not used yet' }}</span>
      </div>
      <div class="row">
        <span class="label">Colour</span>
        <ColorField
          none
          :model-value="accent.color ?? null"
          :theme="theme"
          :label="`Colour of ${accent.name}`"
          @update:model-value="color => set(String(name), { color: color ?? undefined })"
        />
      </div>
      <div class="row">
        <span class="label">Behind it</span>
        <ColorField
          none
          :model-value="accent.highlight ?? null"
          :theme="theme"
          :label="`Behind ${accent.name}`"
          @update:model-value="highlight => set(String(name), { highlight: highlight ?? undefined })"
        />
      </div>
      <div class="row">
        <span class="label">Weight</span>
        <ChoiceField
          :model-value="accent.weight ?? ''"
          :items="[{ value: '', label: 'as the text' }, ...asTheyAre([400, 500, 600, 700, 800, 900])]"
          :label="`Weight of ${accent.name}`"
          @update:model-value="next => set(String(name), { weight: next ? Number(next) : undefined })"
        />
      </div>
      <div class="row checks">
        <label>
          <UCheckbox :model-value="!!accent.italic" @update:model-value="on => set(String(name), { italic: on === true || undefined })" />
          italic
        </label>
        <label>
          <UCheckbox
            :model-value="!!accent.underline"
            @update:model-value="on => set(String(name), { underline: on === true || undefined })"
          />
          underlined
        </label>
        <label>
          size
          <NumberField
            :model-value="(accent.size ?? 1) * 100"
            :label="`Size of ${accent.name}`"
            unit="%"
            :min="50"
            :max="300"
            :step="5"
            @update:model-value="size => set(String(name), { size: size === 100 ? undefined : size / 100 })"
          />
        </label>
      </div>
    </div>
    <UButton v-if="store.canEdit" size="sm" @click="add">A new way to mark words</UButton>
  </section>
</template>

<style scoped>
.accents {
  display: flex;
  flex-direction: column;
  gap: 6px;
  border-top: 1px solid var(--line);
  padding-top: 10px;
  align-items: stretch;
}
.accents > [data-slot='base'] {
  align-self: flex-start;
}
.accent {
  border-left: 2px solid var(--line);
  padding-left: 8px;
}
.sub {
  font-size: 13px;
  color: var(--second);
}
.small {
  font-size: 12.5px;
  margin: 0;
}
.checks {
  font-size: 13px;
  color: var(--second);
  flex-wrap: wrap;
}
.checks label {
  display: inline-flex;
  gap: 5px;
  align-items: center;
}
</style>
