<script setup lang="ts">
import { z } from 'zod'
import type { DropdownMenuItem, FormSubmitEvent } from '@nuxt/ui'
import { loopLength, loopPosition, shares } from '#core/signage'

interface Screen {
  id: string
  name: string
  loop: string | null
  token: string | null
  heard_at: string | null
  playing: { deck: string; version: number; title: string } | null
}
interface Item {
  id: string
  deck: string
  title: string
  version: number | null
  seconds: number | null
}
interface Loop {
  id: string
  name: string
  items: Item[]
}

useHead({ title: 'Screens · Hailbank' })
const { canEdit } = useUserSession()
const { data: answer, refresh: refreshScreens } = await useFetch<{ now: string; screens: Screen[] }>('/api/screens')
const { data: loops, refresh: refreshLoops } = await useFetch<Loop[]>('/api/loops')
const { data: decks } = await useFetch<{ id: string; title: string; version: number | null }[]>('/api/decks/names')
const chosen = ref(loops.value?.[0]?.id ?? '')
const loop = computed(() => loops.value?.find(item => item.id === chosen.value))
const lengths = computed(() => (loop.value?.items ?? []).map(item => ({ length: item.version ? (item.seconds ?? 0) : 0 })))
const length = computed(() => loopLength(lengths.value))
const parts = computed(() => shares(lengths.value))
const tones = ['#1f5f6b', '#12615c', '#5c8f91', '#e6a037', '#7d4a78', '#5c6f86']
const nowPlaying = ref(-1)
let timer: ReturnType<typeof setInterval>
onMounted(() => {
  timer = setInterval(() => {
    void refreshScreens()
    nowPlaying.value = loopPosition(lengths.value, Date.now())?.index ?? -1
  }, 2000)
})
onBeforeUnmount(() => clearInterval(timer))

const since = (screen: Screen) =>
  screen.heard_at && answer.value ? (new Date(answer.value.now).getTime() - new Date(screen.heard_at).getTime()) / 1000 : Infinity
const heard = (screen: Screen) => {
  const seconds = since(screen)
  if (seconds === Infinity) return 'not opened yet'
  if (seconds < 12) return 'heard just now'
  return seconds < 90
    ? `heard ${Math.round(seconds)} s ago`
    : `not heard for ${seconds < 5400 ? `${Math.round(seconds / 60)} min` : `${Math.round(seconds / 3600)} h`}`
}
const alive = computed(() => answer.value?.screens.filter(screen => since(screen) < 60).length ?? 0)
const loopName = (id: string | null) => loops.value?.find(item => item.id === id)?.name ?? 'no loop'

const fresh = reactive({ name: '', place: '' })
const screenSchema = z.object({ name: z.string().trim().min(1, 'A name is missing').max(120), place: z.string().trim().max(120) })
const adds = ref(false)
async function addScreen(event: FormSubmitEvent<z.output<typeof screenSchema>>) {
  const made = await asking(() => $fetch('/api/screens', { method: 'POST', body: event.data }))
  if (!made) return
  Object.assign(fresh, { name: '', place: '' })
  adds.value = false
  await refreshScreens()
  showAddress({ id: made.id, name: made.name, token: made.token })
}
const address = ref<{ link: string; title: string; words: string } | null>(null)
const showAddress = (screen: { id: string; name: string; token: string }) => {
  address.value = {
    link: `/show/${screen.id}#${screen.token}`,
    title: `The address of ${screen.name}`,
    words: 'Open it on the screen itself. Who has it sees what this screen plays, and nothing else.',
  }
}
async function renew(screen: Screen) {
  const made = await asking(() => $fetch(`/api/screens/${screen.id}/token`, { method: 'POST' }))
  await refreshScreens()
  if (made) showAddress({ ...screen, token: made.token })
}
async function revoke(screen: Screen) {
  if (await asking(() => $fetch(`/api/screens/${screen.id}/token`, { method: 'DELETE' })))
    notify(`${screen.name} has no address any more: it plays on from its own copy until it is opened anew.`)
  await refreshScreens()
}
const leaving = ref<Screen | null>(null)
async function removeScreen(screen: Screen) {
  leaving.value = null
  if (await asking(() => $fetch(`/api/screens/${screen.id}`, { method: 'DELETE' }))) notify(`${screen.name} is removed.`)
  await refreshScreens()
}
const menuOf = (screen: Screen): DropdownMenuItem[] => [
  { label: 'Give it a new address', icon: 'i-lucide-key-round', onSelect: () => void renew(screen) },
  { label: 'Withdraw its address', icon: 'i-lucide-ban', disabled: !screen.token, onSelect: () => void revoke(screen) },
  {
    label: 'Remove the screen',
    icon: 'i-lucide-trash-2',
    color: 'error',
    onSelect: () => {
      leaving.value = screen
    },
  },
]

const menuById = (id: string) => {
  const screen = answer.value?.screens.find(one => one.id === id)
  return screen && canEdit.value ? [menuOf(screen)] : []
}

async function setLoop(screen: Screen, id: string) {
  if (await asking(() => $fetch(`/api/screens/${screen.id}/loop`, { method: 'PUT', body: { loop: id || null } })))
    notify(`${screen.name}: ${loopName(id || null)}`)
  await refreshScreens()
}
async function setItems(items: { id?: string; deck: string }[]) {
  await asking(() => $fetch(`/api/loops/${chosen.value}/items`, { method: 'PUT', body: { items } }))
  await refreshLoops()
}
const kept = () => (loop.value?.items ?? []).map(({ id, deck }) => ({ id, deck }))
function move(index: number, by: number) {
  const items = kept()
  const [item] = items.splice(index, 1)
  items.splice(index + by, 0, item!)
  void setItems(items)
}
const adding = ref('')
const add = () => {
  if (adding.value) void setItems([...kept(), { deck: adding.value }])
  adding.value = ''
}
const newLoop = reactive({ name: '' })
const loopSchema = z.object({
  name: z
    .string()
    .trim()
    .min(1, 'A name is missing')
    .max(120)
    .refine(name => !loops.value?.some(item => item.name.toLowerCase() === name.toLowerCase()), 'There is a loop of this name'),
})
async function makeLoop(event: FormSubmitEvent<z.output<typeof loopSchema>>) {
  const made = await asking(() => $fetch('/api/loops', { method: 'POST', body: event.data }))
  if (!made) return
  newLoop.name = ''
  await refreshLoops()
  chosen.value = made.id
}
</script>

<template>
  <div class="page">
    <SiteBar>
      <span class="quiet">{{ alive }} of {{ answer?.screens.length ?? 0 }} screens heard in the last minute</span>
    </SiteBar>
    <main>
      <section aria-label="Screens">
        <div class="head">
          <h1>On the screens now</h1>
          <UButton v-if="canEdit" icon="i-lucide-plus" color="neutral" variant="outline" @click="adds = true">Add a screen</UButton>
        </div>
        <p v-if="!answer?.screens.length" class="quiet">
          No screens yet. A screen is any browser that opens the address which you get here.
        </p>
        <RightMenu :menu-of="menuById">
          <ul class="screens">
            <li v-for="screen in answer?.screens" :key="screen.id" class="screen" :data-screen="screen.id" :data-menu="screen.id">
              <span class="glass" :class="{ off: since(screen) > 60 }">
                <span>{{ screen.playing && since(screen) < 60 ? screen.playing.title : heard(screen) }}</span>
              </span>
              <div class="words">
                <b>{{ screen.name }}</b>
                <span class="quiet">{{ heard(screen) }}</span>
              </div>
              <div class="line">
                <ChoiceField
                  :model-value="screen.loop ?? ''"
                  :items="[{ value: '', label: 'no loop' }, ...(loops ?? []).map(item => ({ value: item.id, label: item.name }))]"
                  :label="`Loop of ${screen.name}`"
                  :disabled="!canEdit"
                  @update:model-value="next => setLoop(screen, next)"
                />
                <UButton
                  v-if="screen.token"
                  size="sm"
                  icon="i-lucide-square-arrow-out-up-right"
                  :to="`/show/${screen.id}#${screen.token}`"
                  external
                  target="_blank"
                  :aria-label="`Open the page of ${screen.name}`"
                  title="Open its page"
                />
                <span v-else-if="canEdit" class="quiet">no address</span>
                <UDropdownMenu v-if="canEdit" :items="menuOf(screen)" :content="{ align: 'end' }">
                  <UButton icon="i-lucide-ellipsis" color="neutral" variant="ghost" :aria-label="`What to do with ${screen.name}`" />
                </UDropdownMenu>
              </div>
            </li>
          </ul>
        </RightMenu>
      </section>
      <section class="loops" aria-label="Loops">
        <div class="head">
          <h1>Loops</h1>
          <ChoiceField v-model="chosen" :items="(loops ?? []).map(item => ({ value: item.id, label: item.name }))" label="Loop shown" />
        </div>
        <template v-if="loop">
          <p class="quiet">
            {{
              length
                ? `Runs ${clockWords(length)}, repeats ${Math.round((3600 / length) * 10) / 10} times an hour`
                : 'Nothing published in it yet'
            }}
          </p>
          <div v-if="length" class="shares" aria-hidden="true">
            <span v-for="(share, index) in parts" :key="index" :style="{ flexGrow: share, background: tones[index % tones.length] }" />
          </div>
          <ol>
            <li v-for="(item, index) in loop.items" :key="item.id" :class="{ now: nowPlaying === index }">
              <i :style="{ background: tones[index % tones.length] }" />
              <NuxtLink :to="`/decks/${item.deck}`" class="title">{{ item.title }}</NuxtLink>
              <span v-if="item.version" class="amount quiet">
                {{ secondsWords(item.seconds ?? 0) }} · {{ Math.round((parts[index] ?? 0) * 100) }}%
              </span>
              <span v-else class="quiet">not published</span>
              <span v-if="canEdit" class="tools">
                <UButton
                  variant="ghost"
                  icon="i-lucide-arrow-up"
                  :disabled="index === 0"
                  :aria-label="`${item.title} earlier`"
                  @click="move(index, -1)"
                />
                <UButton
                  variant="ghost"
                  icon="i-lucide-arrow-down"
                  :disabled="index === loop.items.length - 1"
                  :aria-label="`${item.title} later`"
                  @click="move(index, 1)"
                />
                <UButton
                  variant="ghost"
                  icon="i-lucide-x"
                  :aria-label="`Take ${item.title} out`"
                  @click="setItems(kept().filter((_, at) => at !== index))"
                />
              </span>
            </li>
          </ol>
          <p v-if="!loop.items.length" class="quiet">This loop is empty. Add a deck, or publish one to it under Deliver.</p>
          <form v-if="canEdit" class="add" @submit.prevent="add">
            <ChoiceField
              v-model="adding"
              placeholder="Add a deck"
              :items="[...(decks ?? []).map(deck => ({ value: deck.id, label: `${deck.title}${deck.version ? '' : ' (not published)'}` }))]"
              label="Deck to add"
            />
            <UButton type="submit" :disabled="!adding">Add</UButton>
          </form>
        </template>
        <UForm v-if="canEdit" :schema="loopSchema" :validate-on="[]" :state="newLoop" class="add new" @submit="makeLoop">
          <UFormField name="name">
            <UInput v-model="newLoop.name" maxlength="120" placeholder="Name of a new loop" aria-label="Name of a new loop" />
          </UFormField>
          <UButton type="submit">Make it</UButton>
        </UForm>
      </section>
    </main>
    <LinkToHandOver v-if="address" v-bind="address" @close="address = null" />
    <UModal v-model:open="adds" title="Add a screen" description="A display in the building, whatever browser it has.">
      <template #body>
        <UForm id="new-screen" :schema="screenSchema" :validate-on="[]" :state="fresh" class="fields" @submit="addScreen">
          <UFormField label="Name" name="name">
            <UInput v-model="fresh.name" maxlength="120" placeholder="Hall, above the desk" autofocus class="w-full" />
          </UFormField>
          <UFormField label="Place" name="place" hint="as you like">
            <UInput v-model="fresh.place" maxlength="120" placeholder="Entrance hall, ground floor" class="w-full" />
          </UFormField>
        </UForm>
      </template>
      <template #footer>
        <UButton color="primary" variant="solid" type="submit" form="new-screen">Add it</UButton>
      </template>
    </UModal>
    <UModal
      v-if="leaving"
      :open="true"
      :title="`Remove ${leaving.name}?`"
      description="What it reported goes with it, and its address opens nothing any more. This cannot be undone."
      @update:open="leaving = null"
    >
      <template #footer>
        <UButton color="error" variant="solid" @click="removeScreen(leaving)">Remove {{ leaving.name }}</UButton>
        <UButton color="neutral" variant="ghost" @click="leaving = null">Cancel</UButton>
      </template>
    </UModal>
  </div>
</template>

<style scoped>
.fields {
  display: flex;
  flex-direction: column;
  gap: 14px;
}

.page {
  min-height: 100%;
}
main {
  display: grid;
  grid-template-columns: 1fr 400px;
  gap: 32px;
  padding: 22px 28px;
  align-items: start;
  max-width: 1360px;
  margin: 0 auto;
}
h1 {
  font-size: 20px;
  margin-bottom: 14px;
}
.screens {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(232px, 1fr));
  gap: 20px;
}
.screen {
  display: flex;
  flex-direction: column;
  gap: 6px;
}
.glass {
  aspect-ratio: 16 / 9;
  background: #103a3c;
  border: 5px solid #1d2b2f;
  border-radius: 6px;
  display: grid;
  place-items: center;
  color: #e7efee;
  font: 600 17px 'Bricolage Grotesque';
  text-align: center;
  padding: 0 12px;
  overflow-wrap: anywhere;
}
.glass.off {
  background: #141d20;
  color: #93a5a6;
  font: 400 14px 'Hanken Grotesk';
}
.words {
  display: flex;
  justify-content: space-between;
  gap: 8px;
}
.words .quiet {
  font-size: 13px;
  white-space: nowrap;
}
.line {
  display: flex;
  gap: 6px;
  justify-content: space-between;
}
.line {
  flex-wrap: wrap;
}
.line :deep(.choice-field) {
  flex: 1 1 0;
}
.loops {
  background: var(--panel);
  border: 1px solid var(--line);
  border-radius: 10px;
  padding: 18px;
}
.head {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 10px;
}
.shares {
  display: flex;
  height: 26px;
  border-radius: 7px;
  overflow: hidden;
  margin: 10px 0;
  gap: 1px;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li.now .title {
  font-weight: 600;
}
.loops li {
  display: flex;
  align-items: center;
  gap: 9px;
  padding: 4px 0;
}
.loops i {
  width: 12px;
  height: 12px;
  border-radius: 3px;
  flex: none;
}
.title {
  flex: 1;
  overflow-wrap: anywhere;
}
.title:hover {
  color: var(--act);
}
.tools {
  display: flex;
}
.tools [data-slot='base'] {
  padding: 3px;
}
.add {
  display: flex;
  gap: 8px;
  margin-top: 12px;
}
.add [data-slot='root'] {
  flex: 1;
}
.new {
  border-top: 1px solid var(--line);
  padding-top: 14px;
  margin-top: 16px;
}
</style>
