<script setup lang="ts">
import { loopLength, loopPosition, shares } from '#core/signage'

interface Screen { id: string, name: string, loop: string | null, token: string | null, heard_at: string | null, playing: { deck: string, version: number, title: string } | null }
interface Item { id: string, deck: string, title: string, version: number | null, seconds: number | null }
interface Loop { id: string, name: string, items: Item[] }

useHead({ title: 'Screens · Hailbank' })
const { user } = useUserSession()
const canEdit = computed(() => (user.value as { role?: string } | null)?.role === 'editor')
const { data: answer, refresh: refreshScreens } = await useFetch<{ now: string, screens: Screen[] }>('/api/screens')
const { data: loops, refresh: refreshLoops } = await useFetch<Loop[]>('/api/loops')
const { data: decks } = await useFetch<{ id: string, title: string, version: number | null }[]>('/api/decks')
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

const since = (screen: Screen) => (screen.heard_at && answer.value ? (new Date(answer.value.now).getTime() - new Date(screen.heard_at).getTime()) / 1000 : Infinity)
const heard = (screen: Screen) => {
  const seconds = since(screen)
  if (seconds === Infinity) return 'not opened yet'
  if (seconds < 12) return 'heard just now'
  return seconds < 90 ? `heard ${Math.round(seconds)} s ago` : `not heard for ${seconds < 5400 ? `${Math.round(seconds / 60)} min` : `${Math.round(seconds / 3600)} h`}`
}
const alive = computed(() => answer.value?.screens.filter(screen => since(screen) < 60).length ?? 0)
const loopName = (id: string | null) => loops.value?.find(item => item.id === id)?.name ?? 'no loop'

async function setLoop(screen: Screen, id: string) {
  if (await asking(() => $fetch(`/api/screens/${screen.id}/loop`, { method: 'PUT', body: { loop: id || null } }))) tell(`${screen.name}: ${loopName(id || null)}`)
  await refreshScreens()
}
async function setItems(items: { id?: string, deck: string }[]) {
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
const naming = ref('')
async function newLoop() {
  const made = naming.value.trim() && (await asking(() => $fetch('/api/loops', { method: 'POST', body: { name: naming.value } })))
  naming.value = ''
  await refreshLoops()
  if (made) chosen.value = made.id
}
</script>

<template>
  <div class="page">
    <SiteBar><span class="quiet">{{ alive }} of {{ answer?.screens.length ?? 0 }} screens heard in the last minute</span></SiteBar>
    <main>
      <section aria-label="Screens">
        <h1>On the screens now</h1>
        <p v-if="!answer?.screens.length" class="quiet">No screens yet.</p>
        <ul class="screens">
          <li v-for="screen in answer?.screens" :key="screen.id" class="screen" :data-screen="screen.id">
            <span class="glass" :class="{ off: since(screen) > 60 }"><span>{{ screen.playing && since(screen) < 60 ? screen.playing.title : heard(screen) }}</span></span>
            <div class="words"><b>{{ screen.name }}</b><span class="quiet">{{ heard(screen) }}</span></div>
            <div class="line">
              <select class="field" :value="screen.loop ?? ''" :disabled="!canEdit" :aria-label="`Loop of ${screen.name}`" @change="setLoop(screen, ($event.target as HTMLSelectElement).value)"><option value="">no loop</option><option v-for="item in loops" :key="item.id" :value="item.id">{{ item.name }}</option></select>
              <a v-if="screen.token" class="press small" :href="`/show/${screen.id}#${screen.token}`" target="_blank" rel="noopener">Open its page</a>
            </div>
          </li>
        </ul>
      </section>
      <section class="loops" aria-label="Loops">
        <div class="head"><h1>Loops</h1><select v-model="chosen" class="field" aria-label="Loop shown"><option v-for="item in loops" :key="item.id" :value="item.id">{{ item.name }}</option></select></div>
        <template v-if="loop">
          <p class="quiet">{{ length ? `Runs ${clockWords(length)}, repeats ${Math.round((3600 / length) * 10) / 10} times an hour` : 'Nothing published in it yet' }}</p>
          <div v-if="length" class="shares" aria-hidden="true"><span v-for="(share, index) in parts" :key="index" :style="{ flexGrow: share, background: tones[index % tones.length] }" /></div>
          <ol>
            <li v-for="(item, index) in loop.items" :key="item.id" :class="{ now: nowPlaying === index }">
              <i :style="{ background: tones[index % tones.length] }" /><NuxtLink :to="`/decks/${item.deck}`" class="title">{{ item.title }}</NuxtLink>
              <span v-if="item.version" class="amount quiet">{{ secondsWords(item.seconds ?? 0) }} · {{ Math.round((parts[index] ?? 0) * 100) }}%</span><span v-else class="quiet">not published</span>
              <span v-if="canEdit" class="tools"><button class="press plain" :disabled="index === 0" :aria-label="`${item.title} earlier`" @click="move(index, -1)"><UIcon name="i-lucide-arrow-up" /></button><button class="press plain" :disabled="index === loop.items.length - 1" :aria-label="`${item.title} later`" @click="move(index, 1)"><UIcon name="i-lucide-arrow-down" /></button><button class="press plain" :aria-label="`Take ${item.title} out`" @click="setItems(kept().filter((_, at) => at !== index))"><UIcon name="i-lucide-x" /></button></span>
            </li>
          </ol>
          <p v-if="!loop.items.length" class="quiet">This loop is empty. Add a deck, or publish one to it under Deliver.</p>
          <form v-if="canEdit" class="add" @submit.prevent="add"><select v-model="adding" class="field" aria-label="Deck to add"><option value="" disabled>Add a deck</option><option v-for="deck in decks" :key="deck.id" :value="deck.id">{{ deck.title }}{{ deck.version ? '' : ' (not published)' }}</option></select><button class="press" :disabled="!adding">Add</button></form>
        </template>
        <form v-if="canEdit" class="add new" @submit.prevent="newLoop"><input v-model="naming" class="field" maxlength="120" placeholder="Name of a new loop" aria-label="Name of a new loop"><button class="press" :disabled="!naming.trim()">Make it</button></form>
      </section>
    </main>
  </div>
</template>

<style scoped>
.page { min-height: 100%; }
main { display: grid; grid-template-columns: 1fr 400px; gap: 32px; padding: 22px 28px; align-items: start; max-width: 1360px; margin: 0 auto; }
h1 { font-size: 20px; margin-bottom: 14px; }
.screens { list-style: none; margin: 0; padding: 0; display: grid; grid-template-columns: repeat(auto-fill, minmax(232px, 1fr)); gap: 20px; }
.screen { display: flex; flex-direction: column; gap: 6px; }
.glass { aspect-ratio: 16 / 9; background: #103a3c; border: 5px solid #1d2b2f; border-radius: 6px; display: grid; place-items: center; color: #e7efee; font: 600 17px "Bricolage Grotesque"; text-align: center; padding: 0 12px; overflow-wrap: anywhere; }
.glass.off { background: #141d20; color: #93a5a6; font: 400 14px "Hanken Grotesk"; }
.words { display: flex; justify-content: space-between; gap: 8px; }
.words .quiet { font-size: 13px; white-space: nowrap; }
.line { display: flex; gap: 6px; justify-content: space-between; }
.line .field { flex: 1; }
.loops { background: var(--panel); border: 1px solid var(--line); border-radius: 10px; padding: 18px; }
.head { display: flex; justify-content: space-between; align-items: baseline; gap: 10px; }
.shares { display: flex; height: 26px; border-radius: 7px; overflow: hidden; margin: 10px 0; gap: 1px; }
ol { list-style: none; margin: 0; padding: 0; }
li.now .title { font-weight: 600; }
.loops li { display: flex; align-items: center; gap: 9px; padding: 4px 0; }
.loops i { width: 12px; height: 12px; border-radius: 3px; flex: none; }
.title { flex: 1; overflow-wrap: anywhere; }
.title:hover { color: var(--act); }
.tools { display: flex; }
.tools .press { padding: 3px; }
.add { display: flex; gap: 8px; margin-top: 12px; }
.add .field { flex: 1; }
.new { border-top: 1px solid var(--line); padding-top: 14px; margin-top: 16px; }
</style>
