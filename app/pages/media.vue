<script setup lang="ts">
import { useInfiniteScroll } from '@vueuse/core'
import { readColor } from '#core/color'

/** The team's pictures, films and sounds: found by word, folder, tag and colour, with their rights and where they are shown. */
useHead({ title: 'Media · Hailbank' })
const { canEdit } = useUserSession()
const { filter, items, groups, total, folders, tags, loading, load, more, canLoadMore } = useMediaShelf()
const chosen = ref<string | null>(null)
const entry = computed(() => items.value.find(item => item.hash === chosen.value))
const list = ref<HTMLElement>()
const picker = useTemplateRef('picker')
const busy = ref('')
const color = ref('')
await load()
useInfiniteScroll(list, more, { distance: 300, canLoadMore })
const kinds = [
  ['', 'Everything'],
  ['picture', 'Pictures'],
  ['film', 'Films'],
  ['sound', 'Sounds'],
] as const
const swatches = [
  '#b8412f',
  '#e6a037',
  '#e7d9a8',
  '#77761f',
  '#12615c',
  '#2f7f9a',
  '#26406b',
  '#7d4a78',
  '#8a5a3c',
  '#1c2326',
  '#8f9a9c',
  '#f4f5f2',
]

async function take(files: readonly File[]) {
  let last: string | undefined
  for (const [index, file] of files.entries()) {
    busy.value = files.length > 1 ? `Reading ${file.name}, ${index + 1} of ${files.length}` : `Reading ${file.name}`
    last =
      (isClipFile(file)
        ? await bringClip(
            file,
            file.name,
            words => {
              busy.value = words
            },
            filter.folder,
          )
        : (await uploadMedia(file, filter.folder))?.hash) ?? last
  }
  busy.value = ''
  if (!last) return
  await load()
  chosen.value = last
}
const { over, on } = useFileDrop(
  files => void take(files),
  () => canEdit.value,
)
function byColor(words: string) {
  const read = readColor(words)
  filter.color = !words.trim() ? '' : read.ok ? read.value : filter.color
}
const gone = async () => {
  chosen.value = null
  await load()
}
const isAsked = computed(() => !!(filter.find || filter.kind || filter.folder || filter.tag || filter.color || filter.alike))
function all() {
  Object.assign(filter, { find: '', kind: '', folder: '', tag: '', color: '', alike: false })
  color.value = ''
}
const shown = computed(() =>
  filter.alike
    ? groups.value.map(group => group.map(hash => items.value.find(item => item.hash === hash)!).filter(Boolean))
    : [items.value],
)
</script>

<template>
  <div class="page">
    <SiteBar><UButton v-if="canEdit" color="primary" variant="solid" @click="picker?.open()">Upload</UButton></SiteBar>
    <main class="media" v-on="on">
      <aside class="left" aria-label="What is looked for">
        <h1 class="hidden-words">Media</h1>
        <UInput v-model="filter.find" type="search" placeholder="A word" aria-label="Find in Media" />
        <div class="kinds" role="radiogroup" aria-label="Kind">
          <UButton
            v-for="[kind, label] in kinds"
            :key="kind"
            size="sm"
            :active="filter.kind === kind"
            role="radio"
            :aria-checked="filter.kind === kind"
            @click="filter.kind = kind"
          >
            {{ label }}
          </UButton>
        </div>
        <b class="sub">Folders</b>
        <div class="list">
          <UButton variant="bare" class="row-press" :class="{ here: !filter.folder }" @click="filter.folder = ''"><span>All</span></UButton>
          <UButton
            v-for="folder in folders"
            :key="folder.name"
            variant="bare"
            class="row-press"
            :class="{ here: filter.folder === folder.name }"
            @click="filter.folder = folder.name"
          >
            <span class="name">{{ folder.name }}</span>
            <span class="quiet amount">{{ folder.count }}</span>
          </UButton>
        </div>
        <template v-if="tags.length">
          <b class="sub">Tags</b>
          <div class="tags">
            <UButton
              v-for="tag in tags"
              :key="tag.name"
              size="sm"
              :active="filter.tag === tag.name"
              :aria-pressed="filter.tag === tag.name"
              @click="filter.tag = filter.tag === tag.name ? '' : tag.name"
            >
              {{ tag.name }}
            </UButton>
          </div>
        </template>
        <b class="sub">Colour</b>
        <div class="swatches">
          <UButton
            v-for="swatch in swatches"
            :key="swatch"
            variant="bare"
            class="swatch"
            :class="{ on: filter.color === swatch }"
            :style="{ background: swatch }"
            :aria-label="`Colour ${swatch}`"
            :aria-pressed="filter.color === swatch"
            @click="
              () => {
                filter.color = filter.color === swatch ? '' : swatch
                color = ''
              }
            "
          />
        </div>
        <UInput v-model="color" class="amount" placeholder="#12615c" aria-label="Colour by its value" @change="byColor(color)" />
        <UButton size="sm" :active="filter.alike" :aria-pressed="filter.alike" @click="filter.alike = !filter.alike">
          Those that look alike
        </UButton>
      </aside>
      <section ref="list" class="middle" aria-label="Files">
        <p class="count quiet" role="status">
          {{
            busy ||
            (filter.alike
              ? groups.length
                ? `${groups.length === 1 ? 'One group' : `${groups.length} groups`} of pictures that look alike`
                : 'No two pictures look alike.'
              : `${total === 1 ? 'One file' : `${numberWords(total)} files`}, used last first`)
          }}
          <UButton v-if="isAsked" variant="ghost" size="sm" @click="all">Show all</UButton>
        </p>
        <div
          v-for="(group, index) in shown"
          :key="index"
          class="tiles"
          :class="{ group: filter.alike }"
          @keydown="walkGrid($event, '.tile')"
        >
          <MediaTile v-for="item in group" :key="item.hash" :entry="item" :chosen="chosen === item.hash" @choose="chosen = item.hash" />
        </div>
        <p v-if="!items.length && !loading" class="empty">
          {{ isAsked ? 'Nothing in Media fits that.' : 'Nothing here yet. Drop pictures, films or sounds, or bring files from above.' }}
        </p>
      </section>
      <aside class="right" aria-label="The chosen file">
        <MediaDetails
          v-if="entry"
          :key="entry.hash"
          :entry="entry"
          :can-edit="canEdit"
          :folders="folders.map(folder => folder.name)"
          @changed="load()"
          @gone="gone"
        />
        <p v-else class="quiet">Press a file to see what it is, who has its rights, and where it is shown.</p>
      </aside>
      <div v-if="over" class="over">Let go: the files go into {{ filter.folder || 'Media' }}</div>
      <FilePicker ref="picker" multiple accept="image/*,video/mp4,video/webm,audio/*" data-test="media-files" @files="take" />
    </main>
  </div>
</template>

<style scoped>
.page {
  height: 100vh;
  display: flex;
  flex-direction: column;
  overflow: hidden;
}
.media {
  position: relative;
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: 206px 1fr 300px;
}
.left,
.right {
  background: var(--panel);
  padding: 14px 12px;
  overflow-y: auto;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.left {
  border-right: 1px solid var(--line);
}
.right {
  border-left: 1px solid var(--line);
}
.middle {
  overflow-y: auto;
  padding: 10px 16px 20px;
  min-width: 0;
}
.kinds {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.sub {
  font-size: 13px;
  color: var(--second);
  margin-top: 8px;
}
.list {
  display: flex;
  flex-direction: column;
}
.row-press {
  border: 0;
  border-left: 3px solid transparent;
  background: none;
  color: inherit;
  font: inherit;
  padding: 4px 8px;
  display: flex;
  justify-content: space-between;
  gap: 8px;
  cursor: pointer;
  border-radius: 6px;
  text-align: left;
  min-width: 0;
}
.row-press.here {
  background: var(--act-wash);
  border-left-color: var(--act);
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.tags {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.swatches {
  display: grid;
  grid-template-columns: repeat(6, 1fr);
  gap: 6px;
}
.swatch {
  aspect-ratio: 1;
  border-radius: 50%;
  border: 1px solid var(--line);
  cursor: pointer;
  padding: 0;
}
.swatch.on {
  outline: 2px solid var(--act);
  outline-offset: 1px;
}
.count {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 30px;
  margin: 0 0 4px;
  font-size: 13px;
}
.tiles {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 4px;
}
.tiles.group {
  border-bottom: 1px solid var(--line);
  padding-bottom: 8px;
  margin-bottom: 8px;
}
.empty {
  text-align: center;
  color: var(--second);
  padding: 80px 20px;
}
.over {
  position: absolute;
  inset: 10px;
  border: 3px dashed var(--act);
  border-radius: 12px;
  background: color-mix(in srgb, var(--act-wash) 85%, transparent);
  display: grid;
  place-items: center;
  font-weight: 600;
  font-size: 18px;
  pointer-events: none;
}
@media (max-width: 1150px) {
  .media {
    grid-template-columns: 180px 1fr 270px;
  }
}
</style>
