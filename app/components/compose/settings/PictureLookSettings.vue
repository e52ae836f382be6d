<script setup lang="ts">
import { deckTheme, type PictureElement, type Theme, type Treatment } from '#core/model'
import { setFields } from '#core/edits'
import type { ShownElement } from '#core/resolved'

/** How a picture looks, and one look for all pictures of the deck. */
const props = defineProps<{ element: PictureElement & ShownElement; theme: Theme }>()
const store = useDeck()
const arranging = useArranging()
const forAll = ref(false)
const set = (label: string, fields: Partial<PictureElement>) => arranging.set(label, fields)
const ofDeck = computed(() => deckTheme(store.current))
const setAll = (pictures: Treatment | undefined) =>
  store.edit('change the look of all pictures', setFields(store.current, { table: 'theme', id: 'theme', fields: { pictures } }))
const count = computed(
  () => Object.values(store.current.elements).filter(element => element.kind === 'picture' && element.media && !element.logo).length,
)
/** What this picture has becomes the look of all; it then says nothing of its own. */
function giveToAll() {
  store.edit('give this look to all pictures', [
    ...setFields(store.current, {
      table: 'theme',
      id: 'theme',
      fields: { pictures: { ...ofDeck.value.pictures, ...props.element.treatment } },
    }),
    ...setFields(store.current, { table: 'elements', id: props.element.id, fields: { treatment: undefined } }),
  ])
  forAll.value = true
}
</script>

<template>
  <section>
    <ViewSwitch
      label="Look of"
      :views="[
        { value: 'one', label: 'This one' },
        { value: 'all', label: 'All pictures of the deck' },
      ]"
      :value="forAll ? 'all' : 'one'"
      @show="next => (forAll = next === 'all')"
    />
    <template v-if="forAll">
      <p class="quiet small">
        One look for {{ count === 1 ? 'the one picture' : `all ${count} pictures` }}, so that they belong together. A picture’s own look
        stands over it.
      </p>
      <TreatmentFields :model-value="ofDeck.pictures" :theme="theme" @update:model-value="setAll" />
    </template>
    <template v-else>
      <p v-if="ofDeck.pictures && !element.treatment" class="quiet small">It has the look of all pictures.</p>
      <TreatmentFields
        :model-value="element.treatment"
        :theme="theme"
        @update:model-value="treatment => set('change the look of', { treatment })"
      />
      <div v-if="element.treatment" class="pair">
        <UButton size="sm" @click="set('take the look from', { treatment: undefined })">As it was</UButton>
        <UButton size="sm" @click="giveToAll">Apply to all pictures</UButton>
      </div>
      <StrokeField
        :model-value="element.border ?? null"
        :theme="theme"
        label="Border"
        @update:model-value="border => set('put a border on', { border })"
      />
      <ShadowField :model-value="element.shadow" :theme="theme" @update:model-value="shadow => set('set the shadow of', { shadow })" />
    </template>
  </section>
</template>

<style scoped>
.pair {
  display: flex;
  gap: 5px;
  flex-wrap: wrap;
  padding: 4px 0;
}
.small {
  font-size: 13px;
  margin: 4px 0;
}
</style>
