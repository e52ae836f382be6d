<script setup lang="ts">
/** Copies slides of this deck to the end of another one. */
const props = defineProps<{ slides: string[] }>()
const emit = defineEmits<{ close: [] }>()
const store = useDeck()
const { data: shelf } = useFetch<{ id: string; title: string; slides: number }[]>('/api/decks/names', {
  deep: false,
  lazy: true,
  server: false,
})
const others = computed(() => (shelf.value ?? []).filter(deck => deck.id !== store.id))
const to = ref<string | null>(null)
const look = ref<'ours' | 'theirs'>('ours')
const busy = ref(false)
watch(others, list => {
  to.value ??= list[0]?.id ?? null
})

async function copy() {
  if (!to.value) return
  busy.value = true
  const done = await asking(() =>
    $fetch(`/api/decks/${to.value}/slides`, { method: 'POST', body: { from: store.id, slides: props.slides, look: look.value } }),
  )
  busy.value = false
  if (!done) return
  notify(
    `${props.slides.length === 1 ? 'The slide stands' : `${props.slides.length} slides stand`} at the end of ` +
      `“${others.value.find(deck => deck.id === to.value)?.title}”`,
  )
  emit('close')
}
</script>

<template>
  <UModal
    :open="true"
    title="Copy to another deck"
    :description="slides.length === 1 ? 'One slide, with its score' : `${slides.length} slides, with their scores`"
    @update:open="value => !value && emit('close')"
  >
    <template #body>
      <div class="copy">
        <label>
          Deck
          <ChoiceField v-model="to" :items="others.map(deck => ({ value: deck.id, label: deck.title }))" label="Deck" />
        </label>
        <p v-if="shelf && !others.length" class="quiet">There is no other deck yet.</p>
        <URadioGroup
          v-model="look"
          legend="Look"
          :ui="{ legend: 'sr-only' }"
          :items="[
            { value: 'ours', label: 'In that deck’s theme' },
            { value: 'theirs', label: 'In the look they have here' },
          ]"
        />
      </div>
    </template>
    <template #footer>
      <UButton @click="emit('close')">Cancel</UButton>
      <UButton color="primary" variant="solid" :disabled="!to || busy" @click="copy">Copy</UButton>
    </template>
  </UModal>
</template>

<style scoped>
.copy {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.copy label:first-child {
  display: flex;
  flex-direction: column;
  gap: 4px;
  color: var(--second);
}
</style>
