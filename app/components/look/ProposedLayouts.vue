<script setup lang="ts">
import { families } from '#core/families'
import { wantedFamilies } from '#core/layouts'
import { deckTheme } from '#core/model'
import { setFields } from '#core/edits'

/** Which of the layouts are proposed in this deck: all, or those that its team wants. */
const store = useDeck()
const isOpen = ref(false)
const wanted = computed(() => deckTheme(store.current).layouts)
const chosen = ref(new Set<string>())
const asked = ref('')
const shown = computed(() => {
  const words = asked.value.trim().toLocaleLowerCase()
  return families.filter(({ label, finds }) => `${label} ${finds}`.toLocaleLowerCase().includes(words))
})
function begin() {
  chosen.value = new Set(wantedFamilies(wanted.value).map(({ name }) => name))
  asked.value = ''
  isOpen.value = true
}
function turn(name: string, on: boolean) {
  const next = new Set(chosen.value)
  if (on) next.add(name)
  else next.delete(name)
  chosen.value = next
}
/** Those that are seen, so that all that a word finds are taken or left at once. */
const turnShown = (on: boolean) => shown.value.forEach(({ name }) => turn(name, on))
function keep() {
  const isAll = chosen.value.size === families.length
  const layouts = isAll ? undefined : families.filter(({ name }) => chosen.value.has(name)).map(({ name }) => name)
  isOpen.value = false
  if (layouts?.join() === wanted.value?.join()) return
  store.edit('choose which layouts are proposed', setFields(store.current, { table: 'theme', id: 'theme', fields: { layouts } }))
}
</script>

<template>
  <div class="limit">
    <span>
      <b>Proposed layouts</b>
      <span class="quiet">{{ wanted ? `${wantedFamilies(wanted).length} of ${families.length}` : `all ${families.length}` }}</span>
    </span>
    <UButton size="sm" :disabled="!store.canEdit" @click="begin">Choose</UButton>
    <UModal
      v-model:open="isOpen"
      title="Proposed layouts"
      description="Outline and whole decks propose these. Slides keep the layout that they have."
    >
      <template #body>
        <div class="asking">
          <UInput v-model="asked" v-cursor type="search" placeholder="Find a layout" aria-label="Find a layout" />
          <UButton size="sm" @click="turnShown(true)">All</UButton>
          <UButton size="sm" @click="turnShown(false)">None</UButton>
        </div>
        <div class="all">
          <UCheckbox
            v-for="{ name, label } in shown"
            :key="name"
            :model-value="chosen.has(name)"
            :label="label"
            @update:model-value="on => turn(name, on === true)"
          />
          <p v-if="!shown.length" class="quiet">No layout goes by “{{ asked.trim() }}”.</p>
        </div>
      </template>
      <template #footer>
        <span class="quiet note">{{ chosen.size ? `${chosen.size} of ${families.length} are proposed.` : 'Choose one at least.' }}</span>
        <UButton @click="isOpen = false">Cancel</UButton>
        <UButton color="primary" variant="solid" :disabled="!chosen.size" @click="keep">Propose these</UButton>
      </template>
    </UModal>
  </div>
</template>

<style scoped>
.limit {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  padding-top: 12px;
  border-top: 1px solid var(--line);
}
.limit > span {
  display: flex;
  flex-direction: column;
}
.limit .quiet {
  font-size: 13px;
}
.asking {
  display: flex;
  gap: 8px;
  margin-bottom: 14px;
}
.asking > :first-child {
  flex: 1;
}
.all {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: 8px 16px;
  max-height: 46vh;
  overflow-y: auto;
  align-content: start;
}
.note {
  margin-right: auto;
}
</style>
