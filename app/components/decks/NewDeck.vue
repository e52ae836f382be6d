<script setup lang="ts">
import { fieldLimits } from '#core/model'
import { starterNamed, starters } from '#core/layouts'

/** Begins a deck: with words that are pasted or written at once, or with a title, a purpose and a starter. */
const making = defineModel<boolean>('making', { default: false })
const words = ref('')
const title = ref('')
const purpose = ref<DeckEntry['purpose']>('talk')
const starter = ref('')
const takePurpose = () => {
  purpose.value = starterNamed(starter.value)?.purpose ?? purpose.value
}
const purposes = [
  { value: 'talk', label: 'Talk', description: 'waits for its speaker' },
  { value: 'film', label: 'Film', description: 'runs by itself, to an exact length' },
  { value: 'loop', label: 'Loop', description: 'repeats on screens' },
] as const
const begun = useBegun()
const busy = ref(false)

async function make(asked: { title: string; purpose: DeckEntry['purpose']; starter?: string }, outline: string | null = null) {
  busy.value = true
  const made = await asking(() =>
    $fetch('/api/decks', {
      method: 'POST',
      body: { ...asked, title: asked.title.trim() || 'Untitled deck', language: navigator.language || 'en' },
    }),
  )
  busy.value = false
  if (!made) return
  begun.value = outline
  await navigateTo(`/decks/${made.id}`)
}
const makeNew = () => make({ title: title.value, purpose: purpose.value, ...(starter.value ? { starter: starter.value } : {}) })
/** The deck is called what its first line says. */
function begin() {
  const first = words.value.split('\n').find(line => line.trim())
  if (first) void make({ title: first.replace(/^[#\s*-]+/, '').slice(0, 300), purpose: 'talk' }, words.value)
}
</script>

<template>
  <section class="begin" aria-label="Begin a deck">
    <h2>Begin a deck</h2>
    <form @submit.prevent="begin">
      <UTextarea
        v-model="words"
        class="words"
        :rows="4"
        aria-label="Paste your words, a line a slide"
        placeholder="Paste your words, a line a slide, or just start writing"
        @keydown.ctrl.enter="begin"
      />
      <div class="row-of">
        <UButton type="submit" color="primary" variant="solid" :disabled="!words.trim() || busy">Make slides of it</UButton>
        <slot />
      </div>
    </form>
    <UModal
      v-model:open="making"
      title="New deck"
      description="What is it for? Its purpose decides how its time runs, and can be changed later."
    >
      <template #body>
        <form class="new" @submit.prevent="makeNew">
          <label>
            Title
            <UInput v-model="title" v-cursor v-bind="fieldLimits('info', 'title')" placeholder="What it is about" />
          </label>
          <URadioGroup v-model="purpose" legend="Purpose" variant="card" :ui="{ legend: 'sr-only' }" :items="[...purposes]" />
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
          <div class="row-of">
            <UButton type="submit" color="primary" variant="solid" :disabled="busy">Make the deck</UButton>
            <UButton @click="making = false">Cancel</UButton>
          </div>
        </form>
      </template>
    </UModal>
  </section>
</template>

<style scoped>
h2 {
  font-size: 18px;
  margin-bottom: 10px;
}
.words {
  width: 100%;
}
.begin form {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.row-of {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
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
