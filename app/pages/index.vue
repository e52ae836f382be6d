<script setup lang="ts">
import { fieldLimits, slidesOf, type Deck } from '#core/model'
import { starterNamed, starters } from '#core/layouts'

interface Shelf {
  id: string
  title: string
  purpose: 'talk' | 'film' | 'loop'
  changed_at: string
  version: number | null
  slides: number
  cover: Deck
}

useHead({ title: 'Decks · Hailbank' })
const { canEdit } = useUserSession()
const { data: decks, refresh, status } = await useFetch<Shelf[]>('/api/decks', { deep: false, lazy: true })
const stage = useStageHost()
await stage.ready
watch(
  decks,
  list => {
    for (const deck of list ?? []) void stage.need(deck.cover)
  },
  { immediate: true },
)

const making = ref(false)
const title = ref('')
const purpose = ref<'talk' | 'film' | 'loop'>('talk')
const starter = ref('')
const takePurpose = () => {
  purpose.value = starterNamed(starter.value)?.purpose ?? purpose.value
}
const purposes = [
  { value: 'talk', label: 'Talk', words: 'waits for its speaker' },
  { value: 'film', label: 'Film', words: 'runs by itself, to an exact length' },
  { value: 'loop', label: 'Loop', words: 'repeats on screens' },
] as const
const wordOf = { talk: 'Talk', film: 'Film', loop: 'Loop' }
const changed = (deck: Shelf) =>
  new Date(deck.changed_at).toLocaleString(undefined, { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })

async function make() {
  const made = await asking(() =>
    $fetch('/api/decks', {
      method: 'POST',
      body: {
        title: title.value.trim() || 'Untitled deck',
        purpose: purpose.value,
        language: navigator.language || 'en',
        ...(starter.value ? { starter: starter.value } : {}),
      },
    }),
  )
  if (made) await navigateTo(`/decks/${made.id}`)
}

const picker = useTemplateRef('picker')
const bringing = ref(false)
async function bring(file: File) {
  bringing.value = true
  const brought = await asking(() =>
    $fetch('/api/decks/file', { method: 'POST', body: file, headers: { 'content-type': 'application/octet-stream' } }),
  )
  bringing.value = false
  if (!brought) return
  await refresh()
  tell(brought.notes.length ? `Brought in, with ${brought.notes.join(', ')}` : 'Brought in')
}

async function remove(deck: Shelf) {
  if (!(await asking(() => $fetch(`/api/decks/${deck.id}`, { method: 'DELETE' })))) return
  await refresh()
  useToast().add({
    title: `“${deck.title}” is removed`,
    duration: 12_000,
    actions: [
      {
        label: 'Put it back',
        onClick: async () => {
          await asking(() => $fetch(`/api/decks/${deck.id}/restore`, { method: 'POST' }))
          await refresh()
        },
      },
    ],
  })
}
</script>

<template>
  <div class="page">
    <SiteBar />
    <main>
      <div class="head">
        <h1>Decks</h1>
        <div v-if="canEdit" class="acts-row">
          <FilePicker ref="picker" accept=".zip" data-test="deck-file" @file="bring" />
          <UButton icon="i-lucide-folder-input" :disabled="bringing" @click="picker?.open()">
            {{ bringing ? 'Reading the file' : 'Import a deck file' }}
          </UButton>
          <UButton color="primary" variant="solid" icon="i-lucide-plus" @click="making = true">New deck</UButton>
        </div>
      </div>
      <p v-if="status === 'pending' && !decks" class="quiet">Fetching the decks</p>
      <p v-else-if="!decks?.length" class="empty">
        No decks yet. {{ canEdit ? 'A new deck starts with what you want to say.' : 'An editor of your team can make one.' }}
      </p>
      <ul v-else class="shelf">
        <li v-for="deck in decks" :key="deck.id" class="deck">
          <NuxtLink :to="`/decks/${deck.id}`" class="open" :aria-label="`Open ${deck.title}`">
            <SlideThumb
              v-if="slidesOf(deck.cover)[0]"
              :deck="deck.cover"
              :slide="slidesOf(deck.cover)[0]!.id"
              :width="268"
              :label="`First slide of ${deck.title}`"
            />
            <span v-else class="blank quiet">No slides yet</span>
          </NuxtLink>
          <div class="words">
            <NuxtLink :to="`/decks/${deck.id}`" class="title">{{ deck.title }}</NuxtLink>
            <span class="quiet">{{ wordOf[deck.purpose] }}, {{ deck.slides }} {{ deck.slides === 1 ? 'slide' : 'slides' }}</span>
            <span class="quiet">Changed {{ changed(deck) }}</span>
          </div>
          <UButton
            v-if="canEdit"
            variant="ghost"
            class="off"
            icon="i-lucide-trash-2"
            :aria-label="`Remove ${deck.title}`"
            title="Remove"
            @click="remove(deck)"
          />
        </li>
      </ul>
    </main>
    <UModal
      v-model:open="making"
      title="New deck"
      description="What is it for? Its purpose decides how its time runs, and can be changed later."
    >
      <template #body>
        <form class="new" @submit.prevent="make">
          <label>
            Title
            <UInput v-model="title" v-cursor v-bind="fieldLimits('info', 'title')" placeholder="What it is about" />
          </label>
          <URadioGroup
            v-model="purpose"
            legend="Purpose"
            variant="card"
            :ui="{ legend: 'sr-only' }"
            :items="purposes.map(choice => ({ value: choice.value, label: choice.label, description: choice.words }))"
          />
          <label>
            Start from
            <ChoiceField
              v-model="starter"
              :items="[
                { value: '', label: 'My own points, on an empty deck' },
                ...starters.map(one => ({ value: one.name, label: `${one.label}: ${one.when}` })),
              ]"
              @update:model-value="takePurpose"
            />
          </label>
          <div class="acts-row">
            <UButton color="primary" variant="solid" type="submit">Make the deck</UButton>
            <UButton @click="making = false">Cancel</UButton>
          </div>
        </form>
      </template>
    </UModal>
  </div>
</template>

<style scoped>
.page {
  min-height: 100%;
}
main {
  padding: 24px 28px 60px;
  max-width: 1280px;
  margin: 0 auto;
}
.head {
  display: flex;
  align-items: center;
  justify-content: space-between;
  margin-bottom: 20px;
}
.head h1 {
  font-size: 26px;
}
.acts-row {
  display: flex;
  gap: 10px;
}
.empty {
  background: var(--panel);
  border: 1px dashed var(--line);
  border-radius: 10px;
  padding: 40px;
  text-align: center;
  color: var(--second);
}
.shelf {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, 270px);
  gap: 28px 24px;
}
.deck {
  position: relative;
}
.open {
  display: block;
  border: 1px solid var(--line);
  border-radius: 8px;
  overflow: hidden;
  background: var(--panel);
}
.open:hover {
  border-color: var(--act);
}
.blank {
  display: grid;
  place-items: center;
  height: 151px;
}
.words {
  display: flex;
  flex-direction: column;
  padding: 8px 34px 0 2px;
}
.title {
  font-weight: 600;
  color: var(--ink);
  font-size: 15px;
  overflow-wrap: anywhere;
}
.words .quiet {
  font-size: 13px;
}
.off {
  position: absolute;
  right: -4px;
  bottom: 10px;
  padding: 6px;
  color: var(--third);
}
.new {
  display: flex;
  flex-direction: column;
  gap: 16px;
}
.new > label {
  display: flex;
  flex-direction: column;
  gap: 4px;
}
</style>
