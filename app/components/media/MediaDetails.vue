<script setup lang="ts">
import type { MediaEntry } from '~/composables/media-shelf'

/** What is known of one file: its name, place, tags, rights, where it is shown, and another one in its place. */
const props = defineProps<{ entry: MediaEntry; canEdit: boolean; folders: readonly string[] }>()
const emit = defineEmits<{ changed: []; gone: [] }>()
interface Use {
  deck: string
  title: string
  places: number
  slides: number[]
  refused?: string
}
const uses = shallowRef<Use[] | null>(null)
const replacing = ref(false)
const choosing = ref(false)
const by = shallowRef<MediaEntry | null>(null)
const chosen = ref<string[]>([])
watch(
  () => props.entry.hash,
  async hash => {
    uses.value = null
    by.value = null
    replacing.value = false
    uses.value = (await asking(() => $fetch<Use[]>(`/api/media/${hash}/uses`))) ?? []
  },
  { immediate: true },
)
async function set(fields: Partial<MediaEntry>) {
  if (await asking(() => $fetch(`/api/media/${props.entry.hash}`, { method: 'PATCH', body: fields }))) emit('changed')
}
const newTag = ref('')
function addTag() {
  const tag = newTag.value.trim()
  newTag.value = ''
  if (tag && !props.entry.tags.includes(tag)) void set({ tags: [...props.entry.tags, tag] })
}
async function drop() {
  if (await asking(() => $fetch(`/api/media/${props.entry.hash}`, { method: 'DELETE' }))) {
    notify(`“${props.entry.name}” is out of Media`)
    emit('gone')
  }
}
function begin(entry: MediaEntry) {
  by.value = entry
  chosen.value = (uses.value ?? []).map(use => use.deck)
  replacing.value = true
}
async function replace() {
  const made = await asking(() =>
    $fetch<Use[]>(`/api/media/${props.entry.hash}/replace`, { method: 'POST', body: { by: by.value!.hash, decks: chosen.value } }),
  )
  if (!made) return
  const done = made.filter(use => !use.refused)
  if (done.length)
    notify(`Put in its place in ${done.length === 1 ? `“${done[0]!.title}”` : `${done.length} decks`}. Undo in each deck takes it back.`)
  for (const use of made) if (use.refused) notifyProblem(`Not in “${use.title}”: ${use.refused}`)
  replacing.value = false
  uses.value = (await asking(() => $fetch<Use[]>(`/api/media/${props.entry.hash}/uses`))) ?? []
}
const kind = computed(() => mediaKind(props.entry))
const size = computed(() =>
  [
    props.entry.width && props.entry.height ? `${props.entry.width} × ${props.entry.height} px` : '',
    props.entry.seconds ? `${secondsWords(props.entry.seconds)}` : '',
    bytesWords(props.entry.bytes),
    props.entry.type.split('/')[1]!.replace('svg+xml', 'SVG').replace('jpeg', 'JPEG'),
  ]
    .filter(Boolean)
    .join(', '),
)
const slidesWords = (use: Use) =>
  use.slides.length
    ? `slide ${use.slides.slice(0, 6).join(', ')}${use.slides.length > 6 ? ` and ${use.slides.length - 6} more` : ''}`
    : 'its theme'
</script>

<template>
  <div class="details">
    <div class="shown">
      <img v-if="kind === 'picture'" :src="`/api/media/${entry.hash}?width=640`" :alt="entry.name" />
      <video
        v-else-if="kind === 'film'"
        :key="entry.hash"
        :src="`/api/media/${entry.hash}`"
        :poster="`/api/media/${entry.hash}?width=640`"
        controls
        preload="metadata"
      />
      <audio v-else :key="`s${entry.hash}`" :src="`/api/media/${entry.hash}`" controls preload="metadata" />
    </div>
    <WordsField
      :model-value="entry.name"
      class="title"
      aria-label="Name"
      maxlength="200"
      :readonly="!canEdit"
      @update:model-value="words => words.trim() && set({ name: words })"
    />
    <p class="quiet small">
      {{ entry.by ? `${size}, from ${entry.by}` : size }}
    </p>
    <div v-if="entry.colors.length" class="colors" aria-label="Its colours">
      <i
        v-for="color in entry.colors"
        :key="color.hex"
        :style="{ background: color.hex, flexGrow: color.share }"
        :title="`${color.hex}, ${Math.round(color.share * 100)} %`"
      />
    </div>
    <label class="line">
      Folder
      <WordsField
        :model-value="entry.folder"
        list="folders"
        placeholder="none"
        maxlength="120"
        :readonly="!canEdit"
        @update:model-value="words => set({ folder: words })"
      />
    </label>
    <datalist id="folders"><option v-for="folder in folders" :key="folder" :value="folder" /></datalist>
    <div class="line top">
      Tags
      <span class="tags">
        <span v-for="tag in entry.tags" :key="tag" class="tag">
          {{ tag }}
          <UButton
            v-if="canEdit"
            variant="bare"
            :aria-label="`Without ${tag}`"
            @click="set({ tags: entry.tags.filter(known => known !== tag) })"
          >
            <UIcon name="i-lucide-x" />
          </UButton>
        </span>
        <form v-if="canEdit" @submit.prevent="addTag">
          <UInput v-model="newTag" class="short" placeholder="another" aria-label="Another tag" maxlength="60" @blur="addTag" />
        </form>
      </span>
    </div>
    <label class="line">
      Credit line
      <WordsField
        :model-value="entry.credit"
        placeholder="Photograph: name"
        maxlength="300"
        :readonly="!canEdit"
        @update:model-value="words => set({ credit: words })"
      />
    </label>
    <label class="stack">
      Rights
      <WordsField
        :model-value="entry.rights"
        rows="2"
        placeholder="Who has them, and what they allow"
        maxlength="1000"
        :readonly="!canEdit"
        @update:model-value="words => set({ rights: words })"
      />
    </label>
    <section>
      <b class="sub">Shown in</b>
      <p v-if="!uses" class="quiet small">Looking through the decks</p>
      <p v-else-if="!uses.length" class="quiet small">No deck shows it.</p>
      <ul v-else>
        <li v-for="use in uses" :key="use.deck">
          <NuxtLink :to="`/decks/${use.deck}?phase=compose`" class="link">{{ use.title }}</NuxtLink>
          <span class="quiet">{{ slidesWords(use) }}</span>
        </li>
      </ul>
    </section>
    <div v-if="canEdit" class="foot">
      <UButton size="sm" :disabled="!uses?.length" data-test="replace-media" @click="choosing = true">Replace</UButton>
      <UButton size="sm" :disabled="!uses || !!uses.length" :title="uses?.length ? 'Decks show it' : undefined" @click="drop">
        Remove from Media
      </UButton>
    </div>
    <MediaFinder
      v-if="kind === 'picture'"
      v-model="choosing"
      @choose="begin"
      @file="notify('Bring the file into Media first, then choose it here.')"
    />
    <UModal v-model:open="replacing" title="Replace" description="What will change, deck by deck">
      <template #body>
        <div v-if="by" class="swap">
          <div class="pair">
            <figure>
              <img :src="`/api/media/${entry.hash}?width=320`" alt="" />
              <figcaption>{{ entry.name }}</figcaption>
            </figure>
            <UIcon name="i-lucide-arrow-right" />
            <figure>
              <img :src="`/api/media/${by.hash}?width=320`" alt="" />
              <figcaption>{{ by.name }}</figcaption>
            </figure>
          </div>
          <label v-for="use in uses ?? []" :key="use.deck" class="deck">
            <UCheckbox
              :model-value="chosen.includes(use.deck)"
              @update:model-value="on => (chosen = on === true ? [...chosen, use.deck] : chosen.filter(deck => deck !== use.deck))"
            />
            <span>{{ use.title }}</span>
            <span class="quiet">{{ use.places === 1 ? 'one place' : `${use.places} places` }}, {{ slidesWords(use) }}</span>
          </label>
          <p class="quiet small">Frames, looks and places stay. What is published already is not touched.</p>
          <UButton
            color="primary"
            variant="solid"
            :disabled="!chosen.length || by.hash === entry.hash"
            data-test="replace-now"
            @click="replace"
          >
            Put it in {{ chosen.length === 1 ? 'this deck' : `${chosen.length} decks` }}
          </UButton>
        </div>
      </template>
    </UModal>
  </div>
</template>

<style scoped>
.details {
  display: flex;
  flex-direction: column;
  gap: 9px;
}
.shown {
  background: var(--well);
  border-radius: 8px;
  display: grid;
  place-items: center;
  min-height: 90px;
  overflow: hidden;
}
.shown img,
.shown video {
  max-width: 100%;
  max-height: 220px;
  display: block;
}
.shown audio {
  width: 96%;
}
.title {
  font-weight: 600;
}
.small {
  font-size: 13px;
  margin: 0;
}
.colors {
  display: flex;
  height: 12px;
  border-radius: 6px;
  overflow: hidden;
}
.line {
  display: grid;
  grid-template-columns: 78px 1fr;
  align-items: center;
  gap: 8px;
  color: var(--second);
  font-size: 13px;
}
.line.top {
  align-items: start;
}
.stack {
  display: flex;
  flex-direction: column;
  gap: 3px;
  color: var(--second);
  font-size: 13px;
}
.tags {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.tag {
  background: var(--act-wash);
  color: var(--ink);
  border-radius: 999px;
  padding: 2px 8px;
  display: inline-flex;
  align-items: center;
  gap: 4px;
}
.tag button {
  border: 0;
  background: none;
  color: inherit;
  cursor: pointer;
  padding: 0;
  display: grid;
}
.short {
  width: 84px;
  padding: 2px 6px;
}
.sub {
  font-size: 13px;
  color: var(--second);
}
ul {
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  padding: 3px 0;
  font-size: 13px;
}
.link {
  color: var(--act);
  text-decoration: underline;
}
.foot {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
}
.swap {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.pair {
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 16px;
}
figure {
  margin: 0;
  text-align: center;
  font-size: 12.5px;
  max-width: 180px;
}
figure img {
  max-width: 180px;
  max-height: 120px;
  border-radius: 6px;
}
.deck {
  display: grid;
  grid-template-columns: auto 1fr auto;
  gap: 8px;
  align-items: center;
}
</style>
