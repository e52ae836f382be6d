<script setup lang="ts">
import { variantsOf } from '#core/model'
import { momentAt } from '#core/timing'

const emit = defineEmits<{ play: [] }>()
const store = useDeck()
const where = useWhere()
const router = useRouter()
const work = useStage()
const variants = computed(() => variantsOf(store.current))
const asVariant = computed(() => (work.variant ? { variant: work.variant } : {}))
const loops = ref<{ id: string; name: string; items: { id: string; deck: string; title: string }[] }[]>([])
const loop = ref('')
const busy = ref('')
const loadLoops = async () => {
  loops.value = (await asking(() => $fetch('/api/loops'))) ?? []
  loop.value ||= loops.value[0]?.id ?? ''
}
onMounted(loadLoops)

const length = computed(() => clockWords(store.played?.length ?? 0, true))
const begin = () => {
  const first = store.plan && momentAt(store.plan, 0)
  if (first) where.goTo({ ...first, seconds: 0 })
  emit('play')
}
const film = () => router.push({ path: `/present/${store.id}`, query: { as: 'film', ...asVariant.value } })

async function takeAway(kind: 'file' | 'offline') {
  busy.value = 'Packing the file'
  const answer = await asking(() => $fetch.raw<Blob>(`/api/decks/${store.id}/${kind}`, { responseType: 'blob', query: asVariant.value }))
  busy.value = ''
  if (!answer?._data) return
  saveFile(
    answer._data,
    decodeURIComponent(/filename\*=UTF-8''([^;]+)/.exec(answer.headers.get('content-disposition') ?? '')?.[1] ?? 'deck.hailbank.zip'),
  )
}

async function hang() {
  const target = loops.value.find(item => item.id === loop.value)
  if (!target) return
  busy.value = 'Publishing'
  const published = await asking(() => $fetch(`/api/decks/${store.id}/publish`, { method: 'POST', query: asVariant.value }))
  if (published) {
    const there = target.items.some(item => item.deck === store.id)
    const items = [...target.items.map(({ id, deck }) => ({ id, deck })), ...(there ? [] : [{ deck: store.id! }])]
    if (await asking(() => $fetch(`/api/loops/${target.id}/items`, { method: 'PUT', body: { items } })))
      notify(`Version ${published.number} plays in “${target.name}”`)
    await loadLoops()
  }
  busy.value = ''
}
</script>

<template>
  <div class="deliver">
    <div class="top">
      <h2>Deliver</h2>
      <label v-if="variants.length" class="variant">
        As
        <ChoiceField
          :model-value="work.variant ?? ''"
          :items="[{ value: '', label: 'it is in general' }, ...variants.map(variant => ({ value: variant.id, label: variant.name }))]"
          label="Variant"
          @update:model-value="next => (work.variant = next || null)"
        />
      </label>
    </div>
    <div class="ways">
      <section>
        <h3>Present</h3>
        <p>Full screen, at your pace. Space, arrows or a press go on; Escape leaves.</p>
        <div class="foot">
          <UButton color="primary" variant="solid" :disabled="!store.plan?.slides.length" @click="begin">Present from the start</UButton>
        </div>
      </section>
      <section>
        <h3>Play as a film</h3>
        <p>
          By itself from beginning to end, with nothing to touch:
          <b class="amount">{{ length }}</b>
        </p>
        <div class="foot"><UButton :disabled="!store.plan?.slides.length" @click="film">Play as a film</UButton></div>
      </section>
      <FilmDesk />
      <section>
        <h3>Export as a file</h3>
        <p>
          One open file: the deck as JSON by its published schema, its tables and pictures, zipped. Import it again anywhere, identical.
        </p>
        <div class="foot"><UButton @click="takeAway('file')">Export as a file</UButton></div>
      </section>
      <section>
        <h3>One page that plays anywhere</h3>
        <p>One HTML file with the player, the pictures and the fonts inside. It opens in any current browser, without a network.</p>
        <div class="foot">
          <UButton :disabled="!store.plan?.slides.length" @click="takeAway('offline')">Export as a page</UButton>
        </div>
      </section>
      <section>
        <h3>Put on the screens</h3>
        <p>Publishes the deck as it is now. The screens of the loop show this version until you publish another.</p>
        <div v-if="store.canEdit" class="foot">
          <ChoiceField v-model="loop" :items="loops.map(item => ({ value: item.id, label: item.name }))" label="Loop" />
          <UButton :disabled="!loop || !!busy" @click="hang">Publish to this loop</UButton>
        </div>
        <p v-if="!loops.length" class="quiet">
          There is no loop yet.
          <NuxtLink to="/screens" class="link">Make one under Screens</NuxtLink>
        </p>
      </section>
    </div>
    <p class="quiet" role="status">{{ busy }}</p>
  </div>
</template>

<style scoped>
.deliver {
  height: 100%;
  overflow-y: auto;
  padding: 18px 28px;
  max-width: 1080px;
  margin: 0 auto;
}
h2 {
  font-size: 20px;
}
.top {
  display: flex;
  align-items: center;
  gap: 18px;
  margin-bottom: 14px;
}
.variant {
  display: flex;
  align-items: center;
  gap: 8px;
  color: var(--second);
}
.ways {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 16px;
}
section {
  background: var(--panel);
  border: 1px solid var(--line);
  border-radius: 10px;
  padding: 16px 18px;
  display: flex;
  flex-direction: column;
}
h3 {
  font-size: 17px;
}
p {
  color: var(--second);
  margin: 6px 0 14px;
}
.foot {
  margin-top: auto;
  display: flex;
  gap: 8px;
}
.link {
  color: var(--act);
  text-decoration: underline;
}
</style>
