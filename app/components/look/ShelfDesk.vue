<script setup lang="ts">
import { deckTheme, applyChanges, type Deck } from '#core/model'
import { putTheme } from '#core/themes'

/** Themes of the team: kept from this deck, brought and taken away as files, looked at on this deck's own slides and put on it. */
const emit = defineEmits<{ preview: [deck: Deck | null] }>()
const store = useDeck()
const stage = useStageHost()
const context = { id: freshId }
interface Kept {
  id: string
  name: string
  content: Deck
  changed_at: string
}
const { data: themes, refresh } = useFetch<Kept[]>('/api/themes', { deep: false, lazy: true, server: false })
const name = ref('')
const trying = ref<string | null>(null)
const tried = computed(() => themes.value?.find(theme => theme.id === trying.value))

/** The very changes that were looked at are the ones that are made. */
const changes = computed(() => (tried.value && store.deck ? putTheme(store.deck, { from: tried.value.content }, context) : null))
watch(changes, made => {
  if (!made || !store.deck) return emit('preview', null)
  const next = applyChanges(store.deck, made)
  void stage.need(next)
  emit('preview', next)
})
onBeforeUnmount(() => emit('preview', null))

async function keep(replaces?: string) {
  const called = name.value.trim() || deckTheme(store.current).name
  const kept = await asking(() =>
    $fetch('/api/themes', {
      method: 'POST',
      body: {
        deck: store.id,
        name: replaces ? themes.value!.find(theme => theme.id === replaces)!.name : called,
        ...(replaces ? { replaces } : {}),
      },
    }),
  )
  if (!kept) return
  notify(replaces ? 'The theme in the library is now this deck’s' : `“${called}” is in the library for the whole team`)
  name.value = ''
  await refresh()
}
function putOn() {
  if (!changes.value || !tried.value) return
  store.edit(`put on the theme ${tried.value.name}`, changes.value)
  trying.value = null
}
async function remove(theme: Kept) {
  if (!(await asking(() => $fetch(`/api/themes/${theme.id}`, { method: 'DELETE' })))) return
  if (trying.value === theme.id) trying.value = null
  await refresh()
}
const picker = useTemplateRef('picker')
async function bring(file: File) {
  const brought = await asking(() =>
    $fetch<{ id: string; name: string }>('/api/themes/file', {
      method: 'POST',
      body: file,
      headers: { 'content-type': 'application/octet-stream' },
    }),
  )
  if (!brought) return
  notify(`“${brought.name}” is in the library`)
  await refresh()
}
</script>

<template>
  <div class="desk">
    <section>
      <h3>The team’s library</h3>
      <p v-if="themes && !themes.length" class="quiet">Nothing yet. Save this deck’s look below, and any deck can use it.</p>
      <div v-for="theme in themes" :key="theme.id" class="theme" :class="{ on: trying === theme.id }">
        <UButton variant="bare" class="look" :aria-pressed="trying === theme.id" @click="trying = trying === theme.id ? null : theme.id">
          <PaletteStrip :palette="deckTheme(theme.content).palette" />
          <span>{{ theme.name }}</span>
        </UButton>
        <div v-if="trying === theme.id" class="acts">
          <UButton color="primary" variant="solid" size="sm" :disabled="!store.canEdit" @click="putOn">Use it in this deck</UButton>
          <UButton v-if="store.canEdit" size="sm" @click="keep(theme.id)">Replace it by this deck’s look</UButton>
          <UButton size="sm" :to="`/api/themes/${theme.id}/file`" external download>Export as a file</UButton>
          <UButton v-if="store.canEdit" size="sm" @click="remove(theme)">Remove</UButton>
        </div>
      </div>
    </section>
    <section v-if="store.canEdit">
      <h3>Save this deck’s look</h3>
      <form class="keep" @submit.prevent="keep()">
        <UInput v-model="name" maxlength="120" :placeholder="deckTheme(store.current).name" aria-label="Name of the theme" />
        <UButton type="submit" size="sm">Save to the library</UButton>
      </form>
      <p class="quiet">Colours, fonts, text styles, background, logo, footer, masters and layouts.</p>
      <FilePicker ref="picker" accept=".zip" data-test="theme-file" @file="bring" />
      <UButton size="sm" class="bring" @click="picker?.open()">Import a theme or deck file</UButton>
    </section>
  </div>
</template>

<style scoped>
.theme {
  border: 1px solid var(--line);
  border-radius: 9px;
  overflow: hidden;
}
.theme.on {
  border-color: var(--act);
}
.look {
  width: 100%;
  border: 0;
  background: none;
  color: var(--ink);
  padding: 0;
  cursor: pointer;
  text-align: left;
  font: inherit;
}
.look span:last-child {
  display: block;
  padding: 5px 9px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  padding: 4px 9px 9px;
}
.keep {
  display: flex;
  gap: 6px;
}
.keep [data-slot='root'] {
  flex: 1;
}
.bring {
  align-self: flex-start;
}
p {
  margin: 0;
  font-size: 13px;
}
</style>
