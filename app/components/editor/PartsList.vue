<script setup lang="ts">
import { restack, setFields, shownElements, type ShownElement } from '#core/deck'
import { departureOf } from '#core/themes'

/** What stands on the slide, front at top. */
const store = useDeck()
const own = computed(() => (store.deck && store.stageId ? shownElements(store.deck, store.stageId, true).filter(element => !element.pinned).reverse() : []))
const pinned = computed(() => (store.deck && store.stageId ? shownElements(store.deck, store.stageId, true).filter(element => element.pinned).reverse() : []))
const naming = ref<string | null>(null)

function rename(element: ShownElement, name: string) {
  naming.value = null
  if (name.trim() && name !== element.name) store.edit(`rename ${element.name}`, setFields(store.deck!, { table: 'elements', id: element.id, fields: { name: name.trim() } }))
}
const hide = (element: ShownElement) => store.edit(element.hidden ? `show ${element.name}` : `hide ${element.name}`, setFields(store.deck!, { table: 'elements', id: element.id, fields: { hidden: element.hidden ? undefined : true } }))
const lock = (element: ShownElement) => store.edit(element.locked ? `unlock ${element.name}` : `lock ${element.name}`, setFields(store.deck!, { table: 'elements', id: element.id, fields: { locked: element.locked ? undefined : true } }))
function shift(element: ShownElement, by: number) {
  const index = own.value.length - 1 - own.value.indexOf(element)
  store.edit(by > 0 ? `bring ${element.name} forward` : `send ${element.name} back`, restack(store.deck!, { element: element.id, index: Math.max(0, Math.min(own.value.length - 1, index + by)) }))
}
const menu = (element: ShownElement) => [[
  { label: 'Rename', icon: 'i-lucide-pencil', onSelect: () => { naming.value = element.id } },
  { label: 'Forward', icon: 'i-lucide-arrow-up', onSelect: () => shift(element, 1) },
  { label: 'Back', icon: 'i-lucide-arrow-down', onSelect: () => shift(element, -1) },
  { label: element.hidden ? 'Show' : 'Hide', icon: element.hidden ? 'i-lucide-eye' : 'i-lucide-eye-off', onSelect: () => hide(element) },
  { label: element.locked ? 'Unlock' : 'Lock', icon: element.locked ? 'i-lucide-lock-open' : 'i-lucide-lock', onSelect: () => lock(element) },
]]
</script>

<template>
  <div class="parts">
    <div class="head"><b>{{ store.lookOwner ? (store.deck!.layouts[store.lookOwner] ? 'On this layout' : 'On this master') : 'On this slide' }}</b><span class="quiet">front at top</span></div>
    <ul>
      <li v-for="element in own" :key="element.id" :class="{ here: store.selection.includes(element.id), faint: element.hidden }">
        <input v-if="naming === element.id" class="field" :value="element.name" :aria-label="`Name of ${element.name}`" autofocus @change="rename(element, ($event.target as HTMLInputElement).value)" @blur="naming = null">
        <button v-else class="part" @click="store.select(element.id)"><span class="name">{{ element.name }}</span><span v-if="departureOf(store.deck!, element.id)" class="differs" title="Differs from its text style" aria-label="differs from its style" /><span class="quiet">{{ element.hidden ? 'hidden' : element.locked ? 'locked' : element.kind }}</span></button>
        <UDropdownMenu v-if="store.canEdit" :items="menu(element)"><button class="more" :aria-label="`What to do with ${element.name}`"><UIcon name="i-lucide-ellipsis-vertical" /></button></UDropdownMenu>
      </li>
    </ul>
    <p v-if="!own.length" class="quiet">Nothing yet. Add something above the stage, or drop a file on it.</p>
    <template v-if="pinned.length">
      <b class="sub">From the master</b>
      <ul><li v-for="element in pinned" :key="element.id" class="pinned quiet"><span>{{ element.name }}</span><span>pinned</span></li></ul>
    </template>
  </div>
</template>

<style scoped>
.differs { width: 7px; height: 7px; border-radius: 50%; background: var(--now); flex: none; align-self: center; }
.head { display: flex; justify-content: space-between; gap: 8px; font-size: 13px; padding: 0 6px 4px; }
.head b, .sub { color: var(--second); font-weight: 600; font-size: 13px; }
.sub { display: block; padding: 14px 6px 4px; }
ul { list-style: none; margin: 0; padding: 0; }
li { display: flex; align-items: center; border-radius: 7px; border-left: 3px solid transparent; }
li.here { background: var(--act-wash); border-left-color: var(--act); }
li.faint { opacity: 0.6; }
.part { flex: 1; min-width: 0; display: flex; justify-content: space-between; gap: 8px; border: 0; background: none; color: inherit; font: inherit; padding: 5px 4px 5px 6px; text-align: left; cursor: pointer; }
.name { overflow: hidden; text-overflow: ellipsis; white-space: nowrap; }
.part .quiet { font-size: 12.5px; flex: none; }
.more { border: 0; background: none; color: var(--third); cursor: pointer; padding: 4px 2px; }
.pinned { justify-content: space-between; padding: 4px 9px; font-size: 13px; }
p { padding: 4px 6px; }
</style>
