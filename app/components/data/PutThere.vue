<script setup lang="ts">
import type { StorySlide } from '#core/stories'

/** Puts slides that were chosen under Data after the last of a deck, or into a new one of a title. */
const props = defineProps<{ slides: readonly StorySlide[]; title: string; label: string }>()
const decks = ref<{ value: string | null; label: string }[]>([{ value: null, label: 'a new deck' }])
const deck = ref<string | null>(null)
onMounted(async () => {
  type Page = { total: number; items: { id: string; title: string }[] }
  const count = 100
  for (let from = 0, total = 1; from < total; from += count) {
    const found = await asking(() => $fetch<Page>('/api/decks', { query: { from, count } }))
    if (!found) return
    total = found.total
    decks.value.push(...found.items.map(({ id, title }) => ({ value: id as string | null, label: title })))
  }
})
const busy = ref(false)
const toPut = useStoryToPut()
async function put() {
  if (!props.slides.length || busy.value) return
  busy.value = true
  const id = deck.value ?? (await makeDeck({ title: props.title, purpose: 'talk' }))
  busy.value = false
  if (!id) return
  toPut.value = { deck: id, slides: props.slides }
  await navigateTo(`/decks/${id}?phase=compose`)
}
</script>

<template>
  <div class="foot">
    <p class="quiet"><slot /></p>
    <label>
      {{ label }}
      <ChoiceField v-model="deck" :items="decks" label="Deck" />
    </label>
    <UButton class="put" color="primary" variant="solid" :disabled="busy" @click="put">Put it there</UButton>
  </div>
</template>

<style scoped>
.foot {
  position: sticky;
  bottom: 0;
  margin-top: auto;
  display: flex;
  flex-direction: column;
  gap: 8px;
  padding: 10px 0 12px;
  background: var(--ground);
}
p {
  margin: 0;
}
label {
  display: flex;
  align-items: center;
  gap: 8px;
  font-size: 13px;
  white-space: nowrap;
}
.put {
  align-self: flex-start;
}
</style>
