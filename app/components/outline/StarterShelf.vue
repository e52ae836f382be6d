<script setup lang="ts">
import { slidesOf, type Deck } from '#core/model'
import { deckOfStarter, fillStarter, insertStarter, outlineOfDeck, starters, startersFor, type Starter } from '#core/layouts'

/** The shelf of whole decks: taken slide by slide, or filled with this deck's outline. */
const emit = defineEmits<{ close: [] }>()
const store = useDeck()
const where = useWhere()
const stage = useStageHost()
const furnish = useFurnishing()
const context = { id: freshId }
const chosen = ref<Starter>(starters[0]!)
const purpose = ref('')
const found = computed(() => startersFor(purpose.value))
watch(found, list => {
  if (list.length && !list.includes(chosen.value)) chosen.value = list[0]!
})

const made = new Map<string, Deck>()
function deckOf(starter: Starter): Deck {
  let deck = made.get(starter.name)
  if (!deck) {
    let count = 0
    deck = deckOfStarter(starter, { title: starter.label }, { id: () => `s${count++}` })
    made.set(starter.name, deck)
  }
  return deck
}
const slides = computed(() => slidesOf(deckOf(chosen.value)))
const words = computed(() => outlineOfDeck(store.current))
const kinds = { talk: 'talk', film: 'film', loop: 'loop' }

function append() {
  const after = store.slides.at(-1)?.id ?? null
  store.edit(
    `add the slides of ${chosen.value.label.toLowerCase()}`,
    insertStarter(store.current, { starter: chosen.value, after }, context),
  )
  void furnish(store.slides.slice(store.slides.findIndex(({ id }) => id === after) + 1).map(({ id }) => id))
  emit('close')
}
function fill() {
  const changes = fillStarter(store.current, { starter: chosen.value, outline: words.value }, context, { measurer: stage.host.measurer })
  store.edit(`fill ${chosen.value.label.toLowerCase()} with the outline`, changes)
  void furnish(store.slides.map(({ id }) => id))
  where.goToSlide(store.slides[0]?.id ?? null)
  emit('close')
}
</script>

<template>
  <UModal
    :open="true"
    title="Starters"
    description="Whole decks for what an office needs, with their beats"
    :ui="{ content: 'max-w-5xl' }"
    @update:open="value => !value && emit('close')"
  >
    <template #body>
      <div class="shelf">
        <div class="side">
          <UInput v-model="purpose" v-cursor type="search" placeholder="What it is for" aria-label="What the deck is for" />
          <div class="list" role="listbox" aria-label="Starters" @keydown="walkGrid($event, '.starter')">
            <p v-if="!found.length" class="quiet">None goes by “{{ purpose.trim() }}”. Try a plainer word, such as people or numbers.</p>
            <UButton
              v-for="starter in found"
              :key="starter.name"
              variant="bare"
              class="starter"
              role="option"
              :aria-selected="chosen === starter"
              :class="{ on: chosen === starter }"
              @click="chosen = starter"
            >
              <b>{{ starter.label }}</b>
              <span class="quiet">{{ kinds[starter.purpose] }}, {{ starter.slides.length }} slides</span>
            </UButton>
          </div>
        </div>
        <div class="shown">
          <p>{{ chosen.when }}</p>
          <div class="slides">
            <span v-for="slide in slides" :key="slide.id" class="frame">
              <NearThumb :deck="deckOf(chosen)" :slide="slide.id" :width="204" :ratio="9 / 16" />
            </span>
          </div>
        </div>
      </div>
    </template>
    <template #footer>
      <span class="quiet note">Both can be undone in one step.</span>
      <UButton @click="append">Add its slides at the end</UButton>
      <UButton color="primary" variant="solid" :disabled="!words.length" @click="fill">Fill it with my outline</UButton>
    </template>
  </UModal>
</template>

<style scoped>
.shelf {
  display: grid;
  grid-template-columns: 220px 1fr;
  gap: 18px;
  height: min(58vh, 540px);
}
.side {
  display: flex;
  flex-direction: column;
  gap: 10px;
  min-height: 0;
}
.list {
  flex: 1;
  overflow-y: auto;
  display: flex;
  flex-direction: column;
  gap: 2px;
}
.starter {
  display: flex;
  flex-direction: column;
  text-align: left;
  border: 0;
  background: none;
  color: var(--ink);
  padding: 7px 9px;
  border-radius: 7px;
  cursor: pointer;
  font: inherit;
}
.starter b {
  font-weight: 600;
}
.starter .quiet {
  font-size: 13px;
}
.starter:hover,
.starter.on {
  background: var(--act-wash);
}
.shown {
  overflow-y: auto;
}
.shown p {
  margin: 0 0 12px;
  color: var(--second);
}
.slides {
  display: grid;
  grid-template-columns: repeat(auto-fill, 206px);
  gap: 12px;
}
.frame {
  border: 1px solid var(--line);
  border-radius: 7px;
  overflow: hidden;
  width: fit-content;
}
.note {
  flex: 1;
}
</style>
