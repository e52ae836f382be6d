<script setup lang="ts">
import type { DropdownMenuItem } from '@nuxt/ui'
import { useInfiniteScroll } from '@vueuse/core'

useHead({ title: 'Decks · Hailbank' })
const { canEdit } = useUserSession()
const { filter, items, counts, total, loading, load, again, more, canLoadMore } = useDeckShelf()
const stage = useStageHost()
await Promise.all([stage.ready, load()])
const page = useTemplateRef('page')
useInfiniteScroll(page, more, { distance: 400, canLoadMore })
watch(
  items,
  list => {
    for (const deck of list) void stage.need(deck.cover)
  },
  { immediate: true },
)
const deeds = useDeckDeeds(again)

const whose = computed({ get: () => (filter.mine ? 'mine' : 'all'), set: next => (filter.mine = next === 'mine') })
const go = (to: { folder?: string; purpose?: DeckEntry['purpose'] | ''; removed?: boolean }) =>
  Object.assign(filter, { folder: '', purpose: '', removed: false, ...to })
const isAsked = computed(() => Boolean(filter.find.trim() || filter.folder || filter.purpose || filter.mine))

const making = ref(false)
const picker = useTemplateRef('picker')
const bringing = ref(false)
async function bring(file: File) {
  bringing.value = true
  const brought = await asking(() =>
    $fetch('/api/decks/file', { method: 'POST', body: file, headers: { 'content-type': 'application/octet-stream' } }),
  )
  bringing.value = false
  if (!brought) return
  await again()
  notify(brought.notes.length ? `Imported, with ${listWords(brought.notes)}` : 'Imported')
}

const naming = ref<string | null>(null)
/** The deck that goes to a folder that has no name yet. */
const foldering = ref<DeckEntry | null>(null)
const folder = ref('')
async function toNewFolder() {
  const deck = foldering.value
  if (!deck || !folder.value.trim()) return
  foldering.value = null
  await deeds.move(deck, folder.value.trim())
  folder.value = ''
}
const deleting = ref<DeckEntry | null>(null)

const foldersFor = (deck: DeckEntry): DropdownMenuItem[] => [
  ...(counts.value?.folders ?? [])
    .filter(one => one.name !== deck.folder)
    .map(one => ({ label: one.name, icon: 'i-lucide-folder', onSelect: () => void deeds.move(deck, one.name) })),
  ...(deck.folder ? [{ label: 'No folder', icon: 'i-lucide-folder-minus', onSelect: () => void deeds.move(deck, '') }] : []),
  {
    label: 'New folder',
    icon: 'i-lucide-folder-plus',
    onSelect: () =>
      afterMenu(() => {
        foldering.value = deck
      }),
  },
]
function menuOf(deck: DeckEntry): DropdownMenuItem[][] {
  if (deck.removed_at)
    return canEdit.value
      ? [
          [
            { label: 'Restore', icon: 'i-lucide-undo-2', onSelect: () => void deeds.restore(deck) },
            {
              label: 'Delete for good',
              icon: 'i-lucide-trash-2',
              onSelect: () =>
                afterMenu(() => {
                  deleting.value = deck
                }),
            },
          ],
        ]
      : []
  const open = [{ label: 'Open', icon: 'i-lucide-square-arrow-out-up-right', to: `/decks/${deck.id}` }]
  const file = [{ label: 'Export as a file', icon: 'i-lucide-download', to: `/api/decks/${deck.id}/file`, external: true, download: '' }]
  if (!canEdit.value) return [open, file]
  return [
    open,
    [
      {
        label: 'Rename',
        icon: 'i-lucide-pencil',
        kbds: ['F2'],
        onSelect: () =>
          afterMenu(() => {
            naming.value = deck.id
          }),
      },
      { label: 'Move to folder', icon: 'i-lucide-folder-input', children: [foldersFor(deck)] },
      { label: 'Duplicate', icon: 'i-lucide-copy', kbds: ['Ctrl', 'D'], onSelect: () => void deeds.duplicate(deck) },
      ...file,
    ],
    [{ label: 'Move to trash', icon: 'i-lucide-trash-2', kbds: ['Delete'], onSelect: () => void deeds.remove(deck) }],
  ]
}
const menuById = (id: string) => {
  const deck = items.value.find(one => one.id === id)
  return deck ? menuOf(deck) : []
}
function dropOn(id: string, into: string) {
  const deck = items.value.find(one => one.id === id)
  if (deck && deck.folder !== into) void deeds.move(deck, into)
}

onKeys(event => {
  if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return
  if (event.key === '/') document.querySelector<HTMLInputElement>('#find-deck')?.focus()
  else if (event.key === 'n' && canEdit.value) making.value = true
  else return
  event.preventDefault()
})
</script>

<template>
  <div ref="page" class="page">
    <SiteBar>
      <UInput
        id="find-deck"
        v-model="filter.find"
        class="find"
        type="search"
        maxlength="200"
        icon="i-lucide-search"
        placeholder="Find a deck, or words on any slide"
        aria-label="Find a deck, or words on any slide"
      >
        <template #trailing><UKbd>/</UKbd></template>
      </UInput>
    </SiteBar>
    <div v-if="!isAsked && !filter.removed" class="top">
      <LastPlace class="last" :deck="items[0]?.id" />
      <BeginDeck v-if="canEdit" class="begin" />
    </div>
    <main>
      <aside>
        <h1>Decks</h1>
        <DecksSide v-if="counts" :counts="counts" :filter="filter" :can-edit="canEdit" @go="go" @drop="dropOn" />
      </aside>
      <section class="list" aria-label="Decks">
        <div class="head">
          <ChoiceField v-model="whose" :items="choicesOf({ all: 'everyone’s', mine: 'mine' })" label="Whose decks" />
          <ChoiceField
            v-model="filter.by"
            :items="choicesOf({ changed: 'changed last', title: 'by name', slides: 'most slides', length: 'longest' })"
            label="Order of decks"
          />
          <span class="quiet count" role="status">{{ total === 1 ? 'One deck' : `${numberWords(total)} decks` }}</span>
          <template v-if="canEdit">
            <FilePicker ref="picker" accept=".zip" data-test="deck-file" @file="bring" />
            <UButton icon="i-lucide-upload" :disabled="bringing" @click="picker?.open()">
              {{ bringing ? 'Reading the file' : 'Import a deck file' }}
            </UButton>
            <UButton
              color="primary"
              variant="solid"
              icon="i-lucide-plus"
              title="Begin with a title, or a starter"
              data-keys="N"
              @click="making = true"
            >
              New deck
            </UButton>
          </template>
        </div>
        <p v-if="filter.removed && counts?.trashDays && items.length" class="quiet">
          What lies here is deleted for good {{ counts.trashDays }} days after it was removed.
        </p>
        <p v-if="!items.length && !loading" class="empty">
          {{
            filter.removed
              ? 'The trash is empty.'
              : isAsked
                ? filter.find.trim()
                  ? `No deck says “${filter.find.trim()}” here.`
                  : 'No deck is here.'
                : canEdit
                  ? 'No decks yet. A new deck starts with what you want to say.'
                  : 'No decks yet. An editor of your team can make one.'
          }}
        </p>
        <RightMenu v-else :menu-of="menuById">
          <ul class="shelf" @keydown="walkGrid($event, 'a.open')">
            <li v-for="deck in items" :key="deck.id" :data-menu="deck.id">
              <DeckCard
                :deck="deck"
                :menu="menuOf(deck)"
                :can-edit="canEdit"
                :naming="naming === deck.id"
                @update:naming="on => (naming = on ? deck.id : null)"
                @rename="title => deeds.rename(deck, title)"
                @remove="deeds.remove(deck)"
                @duplicate="deeds.duplicate(deck)"
              />
            </li>
          </ul>
        </RightMenu>
        <p v-if="loading && items.length" class="quiet" role="status">Fetching more</p>
      </section>
    </main>
    <NewDeck v-model="making" />
    <UModal
      :open="foldering !== null"
      title="New folder"
      :description="`“${foldering?.title}” is the first deck in it.`"
      @update:open="open => open || (foldering = null)"
    >
      <template #body>
        <form class="foldering" @submit.prevent="toNewFolder">
          <UInput v-model="folder" v-cursor maxlength="120" placeholder="What belongs together" aria-label="Name of the folder" />
          <UButton type="submit" color="primary" variant="solid" :disabled="!folder.trim()">Make it</UButton>
        </form>
      </template>
    </UModal>
    <UModal
      :open="deleting !== null"
      :title="`Delete “${deleting?.title}” for good?`"
      description="Its slides and all that was ever written in it are gone then. Nobody can bring them back."
      @update:open="open => open || (deleting = null)"
    >
      <template #footer>
        <UButton color="error" variant="solid" @click="deleting && deeds.deleteForGood(deleting).then(() => (deleting = null))">
          Delete it for good
        </UButton>
        <UButton variant="ghost" @click="deleting = null">Cancel</UButton>
      </template>
    </UModal>
  </div>
</template>

<style scoped>
.page {
  height: 100%;
  overflow-y: auto;
}
.find {
  width: min(380px, 34vw);
}
.top {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(280px, 380px);
  gap: 40px;
  padding: 20px 28px 24px;
  background: var(--panel);
  border-bottom: 1px solid var(--line);
}
.begin:only-child {
  grid-column: 1 / -1;
}
main {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  gap: 28px;
  padding: 22px 28px 60px 18px;
}
h1 {
  font-size: 20px;
  padding: 4px 10px 10px;
}
.head {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 34px;
  margin-bottom: 14px;
}
.count {
  flex: 1;
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
  grid-template-columns: repeat(auto-fill, 232px);
  gap: 24px 22px;
}
.foldering {
  display: flex;
  gap: 10px;
}
.foldering > :first-child {
  flex: 1;
}
</style>
