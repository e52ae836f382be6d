<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { takeSlides } from '#core/edits'
import { onlySlides, slidesOf, type Deck } from '#core/model'
import { titleOf } from '#core/layouts'

/** Slides of other decks: browsed, found by their words, taken over in this deck's look or in their own. */
const emit = defineEmits<{ close: [] }>()
const store = useDeck()
const where = useWhere()
const stage = useStageHost()
const tables = useTables()
const context = { id: freshId }

interface Shelf {
  id: string
  title: string
  slides: number
}
interface Found {
  deck: string
  title: string
  slide: string
  name: string
  words: string
}
const { data: shelf } = useFetch<Shelf[]>('/api/decks/names', { deep: false, lazy: true, server: false })
const words = ref('')
const asked = refDebounced(words, 250)
const found = shallowRef<Found[]>([])
const looking = ref(false)
const from = ref<string | null>(null)
const decks = shallowReactive(new Map<string, Deck>())
const chosen = ref(new Map<string, string>())
const look = ref<'ours' | 'theirs'>('ours')

const fetching = new Map<string, Promise<Deck | undefined>>()
async function fetchDeck(id: string): Promise<Deck | undefined> {
  let asking1 = fetching.get(id)
  if (!asking1) fetching.set(id, (asking1 = asking(() => $fetch<Deck>(`/api/decks/${id}`))))
  const deck = await asking1
  if (deck && !decks.has(id)) {
    decks.set(id, deck)
    void stage.need(deck)
  }
  return deck
}
watch(from, id => {
  if (id) void fetchDeck(id)
})
watch(asked, async text => {
  if (text.trim().length < 2) {
    found.value = []
    return
  }
  looking.value = true
  const answer = await asking(() => $fetch<Found[]>('/api/slides', { query: { words: text.trim() } }))
  if (asked.value !== text) return
  looking.value = false
  found.value = answer ?? []
  for (const id of new Set(found.value.map(one => one.deck))) void fetchDeck(id)
})
const searching = computed(() => asked.value.trim().length >= 2)
const others = computed(() => (shelf.value ?? []).filter(deck => deck.id !== store.id))
watch(others, list => {
  from.value ??= list[0]?.id ?? null
})
const shown = computed(() => {
  if (searching.value)
    return found.value
      .filter(one => one.deck !== store.id)
      .map(one => ({ deck: one.deck, slide: one.slide, name: one.name, where: one.title }))
  const deck = from.value ? decks.get(from.value) : undefined
  return deck
    ? slidesOf(deck).map((slide, index) => ({
        deck: from.value!,
        slide: slide.id,
        name: titleOf(deck, slide.id) || 'Untitled',
        where: `slide ${index + 1}`,
      }))
    : []
})
const ratioOf = (id: string) => {
  const size = decks.get(id)?.info.info?.size
  return size ? size.height / size.width : 9 / 16
}
function pick(deck: string, slide: string) {
  const next = new Map(chosen.value)
  if (next.has(slide)) next.delete(slide)
  else next.set(slide, deck)
  chosen.value = next
}

function take() {
  let after = where.slideId
  const changes = [...new Set(chosen.value.values())].flatMap(id => {
    const deck = decks.get(id)
    if (!deck) return []
    const wanted = [...chosen.value].filter(([, owner]) => owner === id).map(([slide]) => slide)
    const made = takeSlides(store.current, { from: onlySlides(deck, wanted), after, look: look.value }, context)
    after =
      made.findLast(change => change.do === 'put' && change.table === 'slides')?.do === 'put'
        ? (made.findLast(change => change.do === 'put' && change.table === 'slides') as { record: { id: string } }).record.id
        : after
    return made
  })
  const count = chosen.value.size
  store.edit(`take ${count === 1 ? 'a slide' : `${count} slides`} over`, changes)
  for (const change of changes)
    if (change.do === 'put' && change.table === 'elements' && change.record.kind === 'chart' && change.record.chart?.table)
      tables.table(change.record.chart.table)
  emit('close')
}
</script>

<template>
  <UModal
    :open="true"
    title="From another deck"
    description="Choose slides; they come in after the one in hand."
    :ui="{ content: 'max-w-5xl' }"
    @update:open="value => !value && emit('close')"
  >
    <template #body>
      <div class="other">
        <div class="side">
          <UInput v-model="words" type="search" placeholder="Find slides by their words" aria-label="Find slides by their words" />
          <div v-if="!searching" class="decks" role="listbox" aria-label="Decks" @keydown="walkGrid($event, '.deck')">
            <UButton
              v-for="deck in others"
              :key="deck.id"
              variant="bare"
              class="deck"
              role="option"
              :aria-selected="from === deck.id"
              :class="{ on: from === deck.id }"
              @click="from = deck.id"
            >
              <span>{{ deck.title }}</span>
              <span class="quiet amount">{{ deck.slides }}</span>
            </UButton>
            <p v-if="shelf && !others.length" class="quiet">There is no other deck yet.</p>
          </div>
          <p v-else class="quiet">{{ looking ? 'Looking' : `${shown.length} slide${shown.length === 1 ? '' : 's'} with these words` }}</p>
        </div>
        <div class="slides">
          <UButton
            v-for="one in shown"
            :key="one.slide"
            variant="bare"
            class="one"
            :class="{ on: chosen.has(one.slide) }"
            :aria-pressed="chosen.has(one.slide)"
            @click="pick(one.deck, one.slide)"
          >
            <span class="frame">
              <NearThumb :deck="decks.get(one.deck) ?? null" :slide="one.slide" :width="196" :ratio="ratioOf(one.deck)" />
            </span>
            <span class="name">{{ one.name }}</span>
            <span class="quiet where">{{ one.where }}</span>
          </UButton>
          <p v-if="!shown.length && !looking" class="quiet none">
            {{ searching ? 'No slide of another deck has these words.' : 'Choose a deck on the left.' }}
          </p>
        </div>
      </div>
    </template>
    <template #footer>
      <URadioGroup
        v-model="look"
        class="looks"
        legend="Look"
        :ui="{ legend: 'sr-only' }"
        orientation="horizontal"
        :items="[
          { value: 'ours', label: 'In this deck’s theme' },
          { value: 'theirs', label: 'In their own' },
        ]"
      />
      <UButton @click="emit('close')">Cancel</UButton>
      <UButton color="primary" variant="solid" :disabled="!chosen.size || !store.canEdit" @click="take">
        {{ chosen.size > 1 ? `Take ${chosen.size} slides over` : 'Take the slide over' }}
      </UButton>
    </template>
  </UModal>
</template>

<style scoped>
.other {
  display: grid;
  grid-template-columns: 220px 1fr;
  gap: 18px;
  height: min(56vh, 520px);
}
.side {
  display: flex;
  flex-direction: column;
  gap: 10px;
  min-height: 0;
}
.decks {
  overflow-y: auto;
  display: flex;
  flex-direction: column;
  gap: 2px;
}
.deck {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  text-align: left;
  border: 0;
  background: none;
  color: var(--ink);
  padding: 7px 9px;
  border-radius: 7px;
  cursor: pointer;
  font: inherit;
}
.deck:hover,
.deck.on {
  background: var(--act-wash);
}
.slides {
  overflow-y: auto;
  display: grid;
  grid-template-columns: repeat(auto-fill, 204px);
  gap: 12px;
  align-content: start;
  padding: 2px;
}
.one {
  border: 1.5px solid transparent;
  background: none;
  color: var(--ink);
  border-radius: 9px;
  padding: 3px;
  text-align: left;
  cursor: pointer;
  font: inherit;
  font-size: 13px;
  width: 204px;
}
.one:hover {
  border-color: var(--line);
}
.one.on {
  border-color: var(--act);
  background: var(--act-wash);
}
.frame {
  display: block;
  border: 1px solid var(--line);
  border-radius: 7px;
  overflow: hidden;
  width: fit-content;
}
.name,
.where {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  padding: 0 2px;
}
.looks {
  display: flex;
  gap: 18px;
  flex: 1;
}
.looks label {
  display: flex;
  gap: 6px;
  align-items: center;
  accent-color: var(--act);
}
.none {
  grid-column: 1 / -1;
}
</style>
