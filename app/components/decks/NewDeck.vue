<script setup lang="ts">
import { fieldLimits } from '#core/model'
import { starterNamed, starters } from '#core/layouts'

/** A new deck by its title, its purpose and a starter. */
const open = defineModel<boolean>({ required: true })
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
const busy = ref(false)
async function make() {
  busy.value = true
  const id = await makeDeck({ title: title.value, purpose: purpose.value, ...(starter.value ? { starter: starter.value } : {}) })
  busy.value = false
  if (id) await navigateTo(`/decks/${id}`)
}
</script>

<template>
  <UModal
    v-model:open="open"
    title="New deck"
    description="What is it for? Its purpose decides how its time runs, and can be changed later."
  >
    <template #body>
      <form class="new" @submit.prevent="make">
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
        <div class="acts">
          <UButton type="submit" color="primary" variant="solid" :disabled="busy">Make the deck</UButton>
          <UButton @click="open = false">Cancel</UButton>
        </div>
      </form>
    </template>
  </UModal>
</template>

<style scoped>
.new {
  display: flex;
  flex-direction: column;
  gap: 16px;
}
label {
  display: flex;
  flex-direction: column;
  gap: 4px;
}
.acts {
  display: flex;
  gap: 10px;
}
</style>
