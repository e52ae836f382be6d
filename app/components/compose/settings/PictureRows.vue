<script setup lang="ts">
import { rowKey, rowName, rowsFor } from '#core/amounts'
import { nameWithoutEnding } from '#core/data'
import { setFields } from '#core/edits'
import { infoOf, type PictureElement } from '#core/model'
import type { ShownElement } from '#core/resolved'
import { plainLetters } from '#core/values'
import type { MediaEntry } from '~/composables/media-shelf'

/** On a slide that is there for rows: the picture that each of them has, chosen one by one or found in Media by name. */
const props = defineProps<{ element: PictureElement & ShownElement }>()
const store = useDeck()
const tables = useTables()
const rows = computed(() => store.current.slides[props.element.owner]?.rows)
const table = computed(() => (rows.value ? tables.table(rows.value.table) : undefined))
/** The rows by their keys; those that are called alike have one picture. */
const list = computed(() => {
  if (!table.value || !rows.value) return []
  const { language } = infoOf(store.current)
  return [...new Map(rowsFor(rows.value, table.value).map(row => [rowKey(table.value!, row), rowName(table.value!, row, language)]))].map(
    ([key, name]) => ({ key, name, picture: props.element.ofRows?.[key] }),
  )
})
const lacking = computed(() => list.value.filter(({ picture }) => !picture))
const few = 60
const all = ref(false)
const shown = computed(() => (all.value ? list.value : list.value.slice(0, few)))

type Pictures = NonNullable<PictureElement['ofRows']>
function set(label: string, ofRows: Pictures) {
  const fields = { ofRows: Object.keys(ofRows).length ? ofRows : undefined }
  store.edit(label, setFields(store.current, { table: 'elements', id: props.element.id, fields }))
}
const taken = ({ hash, width, height }: MediaEntry) => ({ media: hash, ...(width && height ? { natural: { width, height } } : {}) })
/** The row whose picture is being chosen. */
const choosing = ref<{ key: string; name: string } | null>(null)
const open = computed({
  get: () => choosing.value !== null,
  set: on => {
    if (!on) choosing.value = null
  },
})
function choose(entry: MediaEntry) {
  const { key, name } = choosing.value!
  set(`choose the picture of ${name}`, { ...props.element.ofRows, [key]: taken(entry) })
  choosing.value = null
}
const picker = useTemplateRef('picker')
/** The row that a file is being brought for, while the window for choosing one is open. */
let asked: { key: string; name: string } | null = null
function bringFor() {
  asked = choosing.value
  choosing.value = null
  picker.value?.open()
}
async function bring(file: File) {
  const media = await uploadPicture(file)
  if (!media || !asked) return
  const { key, name } = asked
  const natural = media.width && media.height ? { natural: { width: media.width, height: media.height } } : {}
  set(`choose the picture of ${name}`, { ...props.element.ofRows, [key]: { media: media.hash, ...natural } })
}
function drop({ key, name }: { key: string; name: string }) {
  const { [key]: _, ...others } = props.element.ofRows ?? {}
  set(`take the picture of ${name} away`, others)
}

const finding = ref(false)
/** So many of Media are asked for at once. */
const page = 300
const plain = (words: string) =>
  plainLetters(nameWithoutEnding(words))
    .replace(/[\s_-]+/g, ' ')
    .trim()
/** Looks in Media for pictures that are called as the rows are that have none. */
async function find() {
  finding.value = true
  const wanted = new Map(lacking.value.map(({ key, name }) => [plain(name), key]))
  const found: Pictures = {}
  for (let from = 0, total = 1; from < total; from += page) {
    const answer = await asking(() =>
      $fetch<{ items: MediaEntry[]; total: number }>('/api/media', { query: { kind: 'picture', from, count: page } }),
    )
    // What is not looked through is not said to hold nothing.
    if (!answer) return void (finding.value = false)
    total = answer.total
    for (const entry of answer.items) {
      const key = wanted.get(plain(entry.name))
      if (key !== undefined) found[key] ??= taken(entry)
    }
  }
  finding.value = false
  const count = Object.keys(found).length
  if (count) set('find the pictures of the rows', { ...props.element.ofRows, ...found })
  if (count) notify(count === 1 ? 'One picture was found.' : `${numberWords(count)} pictures were found.`)
  else notifyProblem('No picture in Media is called as one of these rows is.')
}
</script>

<template>
  <section v-if="list.length" class="rows" aria-label="Pictures of the rows">
    <p>
      A picture for each row
      <span class="quiet">
        {{ lacking.length ? `${numberWords(lacking.length)} of ${numberWords(list.length)} show the usual one` : 'each has its own' }}
      </span>
    </p>
    <UButton v-if="store.canEdit && lacking.length" size="sm" :disabled="finding" @click="find">
      {{ finding ? 'Looking…' : 'Find them in Media by name' }}
    </UButton>
    <ul>
      <li v-for="one in shown" :key="one.key">
        <img v-if="one.picture" :src="`/api/media/${one.picture.media}`" alt="" loading="lazy" />
        <span v-else class="none" aria-hidden="true" />
        <span class="name" :title="one.name">{{ one.name }}</span>
        <template v-if="store.canEdit">
          <UButton size="sm" :aria-label="`Choose the picture of ${one.name}`" @click="choosing = one">
            {{ one.picture ? 'Other' : 'Choose' }}
          </UButton>
          <UButton
            v-if="one.picture"
            size="sm"
            variant="ghost"
            icon="i-lucide-x"
            :aria-label="`Take the picture of ${one.name} away`"
            @click="drop(one)"
          />
        </template>
      </li>
    </ul>
    <UButton v-if="list.length > few && !all" size="sm" variant="ghost" @click="all = true">{{ list.length - few }} more</UButton>
    <MediaFinder v-model="open" @choose="choose" @file="bringFor" />
    <FilePicker ref="picker" accept="image/*" @file="bring" />
  </section>
</template>

<style scoped>
.rows {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 8px;
  margin-bottom: 12px;
}
p {
  margin: 0;
}
p .quiet {
  display: block;
}
ul {
  display: flex;
  flex-direction: column;
  gap: 4px;
  width: 100%;
  max-height: 300px;
  margin: 0;
  padding: 0;
  overflow-y: auto;
  list-style: none;
}
li {
  display: flex;
  align-items: center;
  gap: 8px;
}
img,
.none {
  flex: none;
  width: 36px;
  height: 36px;
  border-radius: 4px;
  object-fit: cover;
  background: var(--well);
}
.none {
  border: 1px dashed var(--line);
}
.name {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
