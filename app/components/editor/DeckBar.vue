<script setup lang="ts">
import { hasRows } from '#core/charts'
import { initialsOf } from '#core/values'
import { setFields } from '#core/edits'
import { fieldLimits, isEmptyText } from '#core/model'

const props = defineProps<{ phase: string; phases: readonly { name: string; label: string; description: string }[] }>()
const emit = defineEmits<{ go: [phase: string]; play: [] }>()
const store = useDeck()
const route = useRoute()
/** The desk that is in hand: a phase, or in Compose a desk of the look. */
const about = computed<HelpName>(() => {
  const desk = props.phase === 'compose' ? lookDesks.find(({ name }) => name === route.query.look)?.name : undefined
  return desk ?? phases.find(({ name }) => name === props.phase)?.name ?? 'outline'
})
const check = useCheck()

const title = computed(() => store.deck?.info.info?.title ?? '')
const naming = ref(false)
const draft = ref('')
function beginNaming() {
  draft.value = title.value
  naming.value = true
}
function rename() {
  naming.value = false
  const next = draft.value.trim()
  if (store.deck && next && next !== title.value)
    store.edit('rename the deck', setFields(store.deck, { table: 'info', id: 'info', fields: { title: next } }))
}
const time = (date: Date) => date.toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' })
/** What can be said of what was written: only what has been acknowledged is saved. */
const saved = computed(() => {
  const { ready, online, silent, kept, keptAt, local, signedOut } = store.status
  const away = signedOut ? 'Signed out' : silent ? 'The server does not answer' : 'Offline'
  if (!ready) return silent ? away : 'Opening'
  if (!kept && !online) return local ? `${away}: saved in this browser` : `${away}: not saved yet`
  if (!kept) return 'Saving'
  if (!online) return away
  return keptAt ? `Saved ${time(keptAt)}` : 'Saved'
})
const savedTitle = computed(() =>
  !store.status.kept && !store.status.online
    ? 'It is sent by itself as soon as the server can be reached, also when this page was closed meanwhile'
    : undefined,
)
/** Places of a form that are still to be filled. */
const empty = computed(() => {
  const deck = store.deck
  if (!deck?.info.info?.form) return 0
  return Object.values(deck.elements).filter(
    element =>
      element.placeholder &&
      deck.slides[element.owner] &&
      ((element.kind === 'text' && !element.field && isEmptyText(element.text)) ||
        (element.kind === 'picture' && !element.media) ||
        (element.kind === 'chart' && !hasRows(element))),
  ).length
})
</script>

<template>
  <header class="bar">
    <NuxtLink to="/" class="mark" aria-label="All decks" title="All decks"><img src="/mark.svg" alt="" width="22" height="22" /></NuxtLink>
    <div class="deck">
      <UInput
        v-if="naming"
        v-model="draft"
        v-cursor
        v-bind="fieldLimits('info', 'title')"
        aria-label="Title of the deck"
        @blur="rename"
        @keydown.enter="rename"
        @keydown.esc="naming = false"
      />
      <UButton v-else variant="bare" class="title" :title="title" :disabled="!store.canEdit" @click="beginNaming">{{ title }}</UButton>
      <DeckSettings />
      <span v-if="store.deck?.info.info?.form" class="form-note" title="Only what fills places can be changed on slides">
        {{ empty ? `Form, ${empty} ${empty === 1 ? 'place' : 'places'} empty` : 'Form, all places filled' }}
      </span>
      <span
        class="quiet kept"
        :class="{ away: store.status.ready && !store.status.online }"
        role="status"
        data-test="saved"
        :title="savedTitle ?? saved"
      >
        {{ saved }}
      </span>
    </div>
    <nav class="phases" aria-label="Phases">
      <template v-for="(item, index) in phases" :key="item.name">
        <span v-if="index" class="dash" aria-hidden="true" />
        <UButton
          variant="bare"
          class="phase"
          :class="{ here: item.name === props.phase }"
          :aria-current="item.name === props.phase ? 'step' : undefined"
          :title="item.description"
          :data-keys="`Alt ${index + 1}`"
          @click="emit('go', item.name)"
        >
          <span class="amount">{{ index + 1 }}</span>
          {{ item.label }}
          <span
            v-if="item.name === 'check' && check.findings.length"
            class="count amount"
            :aria-label="`${check.findings.length} findings`"
          >
            {{ check.findings.length }}
          </span>
        </UButton>
      </template>
    </nav>
    <div class="right">
      <span
        v-for="peer in store.peers"
        :key="peer.client"
        class="peer"
        :style="{ background: peer.color }"
        :title="`${peer.name} is here too`"
      >
        {{ initialsOf(peer.name ?? '') || '?' }}
      </span>
      <UButton
        variant="ghost"
        icon="i-lucide-undo-2"
        :disabled="!store.undoLabel"
        :title="store.undoLabel ? `Undo: ${store.undoLabel}` : 'Nothing to undo'"
        data-keys="Ctrl Z"
        aria-label="Undo"
        @click="store.undo()"
      />
      <UButton
        variant="ghost"
        icon="i-lucide-redo-2"
        :disabled="!store.redoLabel"
        :title="store.redoLabel ? `Redo: ${store.redoLabel}` : 'Nothing to redo'"
        data-keys="Ctrl Shift Z"
        aria-label="Redo"
        @click="store.redo()"
      />
      <HelpButton :about="about" />
      <UButton color="primary" variant="solid" @click="emit('play')">Play from here</UButton>
    </div>
  </header>
</template>

<style scoped>
.form-note {
  background: var(--now-wash);
  color: var(--now-ink);
  border-radius: 999px;
  padding: 1px 9px;
  font-size: 13px;
  white-space: nowrap;
}
.bar {
  display: grid;
  grid-template-columns: auto minmax(120px, 1fr) auto minmax(200px, 1fr);
  align-items: center;
  gap: 12px;
  height: 50px;
  padding: 0 14px;
  background: var(--panel);
  border-bottom: 1px solid var(--line);
  flex: none;
}
.deck {
  display: flex;
  align-items: baseline;
  gap: 10px;
  min-width: 0;
}
.title {
  font:
    600 15px 'Bricolage Grotesque',
    sans-serif;
  color: var(--ink);
  background: none;
  border: 0;
  padding: 4px 0;
  cursor: text;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  min-width: 60px;
}
.kept {
  font-size: 13px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  min-width: 62px;
  flex: none;
  max-width: 60%;
}
.kept.away {
  color: var(--now-ink);
}
.phases {
  display: flex;
  align-items: center;
}
.phase {
  display: flex;
  align-items: center;
  gap: 8px;
  border: 0;
  background: none;
  color: var(--second);
  font: 500 14px 'Hanken Grotesk';
  padding: 6px 10px;
  border-radius: 999px;
  cursor: pointer;
}
.phase .amount {
  font-size: 12px;
  color: var(--third);
}
.phase:hover {
  background: var(--act-wash);
}
.phase.here {
  background: var(--act);
  color: var(--on-act);
  font-weight: 600;
  padding: 6px 14px;
}
.phase.here .amount {
  color: inherit;
}
.count {
  background: var(--now-wash);
  color: var(--now-ink) !important;
  border-radius: 999px;
  padding: 0 7px;
}
.dash {
  width: 10px;
  height: 1px;
  background: var(--line);
}
.right {
  display: flex;
  align-items: center;
  justify-content: flex-end;
  gap: 6px;
}
.right .plain {
  padding: 6px 8px;
  font-size: 17px;
}
.peer {
  width: 26px;
  height: 26px;
  border-radius: 50%;
  color: #fff;
  display: grid;
  place-items: center;
  font: 600 11px 'Hanken Grotesk';
  border: 2px solid var(--panel);
  margin-left: -6px;
  flex: none;
}
@media (max-width: 1150px) {
  .dash {
    display: none;
  }
  .phase {
    padding: 6px 8px;
  }
  .phase .amount:first-child {
    display: none;
  }
}
</style>
