<script setup lang="ts">
import { deckTheme, infoOf, type FontFaceFile, type Theme } from '#core/model'
import { fontFamilies, fontKinds, fontPairs, scriptsOf, familyOfFont, type FontFamily } from '#core/fonts'
import { setFields } from '#core/edits'
import { fontsInUse, missingGlyphs, replaceFont } from '#core/themes'

/** The three families of the theme, pairs that go together, all that ship shown in themselves, and the team's own files. */
const store = useDeck()
const stage = useStageHost()
const { data: team, refresh } = useFetch<TeamFont[]>('/api/fonts', { lazy: true, server: false })
const tables = useTables()
const theme = computed(() => deckTheme(store.current))
const places = { display: 'Titles', body: 'Text', mono: 'Numbers' } as const
type Place = keyof typeof places
const place = ref<Place>('display')
const kind = ref<FontFamily['kind'] | 'all' | 'team'>('all')
const families = computed(() => fontFamilies.filter(family => kind.value === 'all' || family.kind === kind.value))
const own = computed(() => [...new Set((team.value ?? []).map(font => font.family))])
onMounted(
  () =>
    void stage.bring(
      fontFamilies.map(family => family.family),
      'Aaß',
    ),
)
watch(team, fonts => {
  if (fonts?.length) void stage.need({ ...store.current, theme: { theme: { ...theme.value, faces: fonts.map(faceOfTeam) } } })
})

/** Faces of the team's families that a theme names, so that the deck carries them. */
function facesFor(fonts: Theme['fonts']): FontFaceFile[] {
  const named = new Set([...Object.values(fonts), ...fontsInUse(store.current).map(use => use.family)])
  return (team.value ?? []).filter(font => named.has(font.family)).map(faceOfTeam)
}
const setFonts = (label: string, fonts: Theme['fonts']) =>
  store.edit(label, setFields(store.current, { table: 'theme', id: 'theme', fields: { fonts, faces: facesFor(fonts) } }))
const choose = (family: string) =>
  setFonts(`set ${places[place.value].toLowerCase()} in ${family}`, { ...theme.value.fonts, [place.value]: family })

const uses = computed(() => fontsInUse(store.current))
const replacing = ref<{ from: string; to: string } | null>(null)
function replace() {
  if (!replacing.value) return
  const changes = replaceFont(store.current, replacing.value)
  store.edit(`replace ${replacing.value.from} by ${replacing.value.to}`, [
    ...changes,
    ...setFields(store.current, {
      table: 'theme',
      id: 'theme',
      fields: {
        faces: [...(theme.value.faces ?? []), ...(team.value ?? []).filter(font => font.family === replacing.value!.to).map(faceOfTeam)],
      },
    }),
  ])
  replacing.value = null
}
const missing = computed(() => {
  const made = new Map<string, Set<string>>()
  for (const slide of store.slides)
    for (const one of missingGlyphs(store.current, slide.id, id => tables.table(id)))
      made.set(one.family, new Set([...(made.get(one.family) ?? []), ...one.stoodIn, ...one.boxes]))
  return [...made]
})

const picker = useTemplateRef('picker')
async function upload(files: readonly File[]) {
  for (const file of files) {
    const kept = await asking(() =>
      $fetch<TeamFont & { letters: number }>('/api/fonts', {
        method: 'POST',
        query: { name: file.name },
        body: file,
        headers: { 'content-type': 'application/octet-stream' },
      }),
    )
    if (kept) notify(`${kept.family}, weight ${kept.weight}${kept.italic ? ', italic' : ''}, is here for the whole team`)
  }
  await refresh()
}
</script>

<template>
  <div class="desk">
    <section>
      <h3>In this theme</h3>
      <div role="radiogroup" aria-label="What to set" class="places">
        <UButton
          v-for="(words, name) in places"
          :key="name"
          variant="bare"
          class="place"
          role="radio"
          :aria-checked="place === name"
          :class="{ on: place === name }"
          @click="place = name"
        >
          <span class="quiet">{{ words }}</span>
          <b :style="{ fontFamily: `'${theme.fonts[name]}'` }">{{ theme.fonts[name] }}</b>
        </UButton>
      </div>
      <p v-for="[family, letters] in missing" :key="family" class="wrong">
        {{ family }} has no {{ [...letters].slice(0, 8).join(' ') }}. Check names where, and a family that has them.
      </p>
    </section>
    <section>
      <h3>Pairs that go together</h3>
      <div class="pairs">
        <UButton
          v-for="pair in fontPairs"
          :key="pair.label"
          variant="bare"
          class="pair"
          :disabled="!store.canEdit"
          @click="setFonts(`take the fonts ${pair.label.toLowerCase()}`, { display: pair.display, body: pair.body, mono: pair.mono })"
        >
          <b :style="{ fontFamily: `'${pair.display}'` }">{{ infoOf(store.current).title }}</b>
          <span :style="{ fontFamily: `'${pair.body}'` }">The text that it reads, 24,680</span>
          <small class="quiet">{{ pair.label }}</small>
        </UButton>
      </div>
    </section>
    <section>
      <div class="row">
        <h3>{{ places[place] }} in</h3>
        <ChoiceField
          v-model="kind"
          :items="[
            { value: 'all', label: `all ${fontFamilies.length}` },
            ...choicesOf(fontKinds),
            { value: 'team', label: 'the team’s own' },
          ]"
          label="Kind of font"
        />
      </div>
      <div class="families">
        <template v-if="kind !== 'team'">
          <UButton
            v-for="family in families"
            :key="family.family"
            variant="bare"
            class="family"
            :class="{ on: theme.fonts[place] === family.family }"
            :disabled="!store.canEdit"
            @click="choose(family.family)"
          >
            <span class="sample" :style="{ fontFamily: `'${family.family}'` }">{{ family.family }}</span>
            <small class="quiet">{{ listWords(scriptsOf(family)) }}</small>
          </UButton>
        </template>
        <UButton
          v-for="family in kind === 'all' || kind === 'team' ? own : []"
          :key="family"
          variant="bare"
          class="family"
          :class="{ on: theme.fonts[place] === family }"
          :disabled="!store.canEdit"
          @click="choose(family)"
        >
          <span class="sample" :style="{ fontFamily: `'${family}'` }">{{ family }}</span>
          <small class="quiet">the team’s own</small>
        </UButton>
        <p v-if="kind === 'team' && !own.length" class="quiet">The team has brought no font yet.</p>
      </div>
      <FilePicker ref="picker" multiple accept=".woff2,.ttf,.otf" data-test="font-file" @files="upload" />
      <UButton v-if="store.canEdit" size="sm" class="bring" @click="picker?.open()">Upload a font file (WOFF2, TTF, OTF)</UButton>
    </section>
    <section>
      <h3>Replace a font throughout</h3>
      <div v-for="use in uses" :key="use.family" class="use">
        <span class="row">
          <b :style="{ fontFamily: `'${use.family}'` }">{{ use.family }}</b>
          <span class="quiet amount">{{ use.count }} {{ use.count === 1 ? 'place' : 'places' }}</span>
        </span>
        <span v-if="replacing?.from === use.family" class="by">
          by
          <ChoiceField v-model="replacing.to" :items="asTheyAre([...own, ...fontFamilies.map(one => one.family)])" label="Replace by" />
          <UButton color="primary" variant="solid" size="sm" @click="replace">Replace in {{ use.count }}</UButton>
          <UButton size="sm" @click="replacing = null">Cancel</UButton>
        </span>
        <UButton
          v-else-if="store.canEdit"
          size="sm"
          @click="
            replacing = {
              from: use.family,
              to: fontFamilies.find(one => one.kind === familyOfFont(use.family)?.kind && one.family !== use.family)?.family ?? 'Inter',
            }
          "
        >
          Replace
        </UButton>
      </div>
    </section>
  </div>
</template>

<style scoped>
.places {
  display: flex;
  flex-direction: column;
  gap: 4px;
}
.place {
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  gap: 10px;
  border: 1px solid var(--line);
  background: none;
  color: var(--ink);
  border-radius: 8px;
  padding: 7px 10px;
  cursor: pointer;
  font: inherit;
}
.place b {
  font-size: 18px;
  font-weight: 600;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.place.on {
  border-color: var(--act);
  background: var(--act-wash);
}
.pairs {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 7px;
}
.pair,
.family {
  display: flex;
  flex-direction: column;
  text-align: left;
  border: 1px solid var(--line);
  background: none;
  color: var(--ink);
  border-radius: 8px;
  padding: 7px 10px;
  cursor: pointer;
  font: inherit;
  overflow: hidden;
}
.pair b {
  font-size: 17px;
  line-height: 1.2;
}
.pair:hover:not(:disabled),
.family:hover:not(:disabled) {
  border-color: var(--act);
}
.families {
  display: flex;
  flex-direction: column;
  gap: 5px;
  max-height: 380px;
  overflow-y: auto;
  padding-right: 2px;
}
.family {
  flex: none;
}
.family.on {
  border-color: var(--act);
  background: var(--act-wash);
}
.sample {
  font-size: 20px;
  line-height: 1.3;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.bring {
  align-self: flex-start;
}
.use {
  display: flex;
  flex-direction: column;
  gap: 5px;
  border-top: 1px solid var(--line);
  padding-top: 6px;
  align-items: flex-start;
}
.use .row {
  width: 100%;
}
.by {
  display: flex;
  gap: 6px;
  align-items: center;
  flex-wrap: wrap;
}
.wrong {
  color: var(--wrong);
  margin: 0;
  font-size: 13px;
}
</style>
