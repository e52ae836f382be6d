<script setup lang="ts">
import { infoOf, putRecord, textOf, type DrawnIcon } from '#core/model'
import { bestChart, newChart, redrawn } from '#core/charts'
import { setFields } from '#core/edits'
import { shownElement } from '#core/resolved'
import { diagramFamily } from '#core/diagrams'
import { shapeNamed } from '#core/shapes'
import { putClip } from '#core/timing'

import type { MediaEntry } from '~/composables/media-shelf'

const store = useDeck()
const where = useWhere()
const selected = useSelected()
const route = useRoute()
const looking = computed(() => typeof route.query.look === 'string')
const tables = useTables()
const canvas = ref<{ startEditing(id: string): void }>()
const stage = useStage()
const states = useStates()
const addLine = ref<HTMLElement>()
const tablePicker = useTemplateRef('tablePicker')
const picturePicker = useTemplateRef('picturePicker')
/** The element that the next chosen file goes to; null makes a new one. */
const target = ref<string | null>(null)
const busy = ref('')

const size = computed(() => infoOf(store.current).size)
const { boxAt: middle, put } = usePutting()
const { follow } = usePieces()
onMounted(() => void follow())

async function addText() {
  const id = put('add text', { kind: 'text', name: 'Text', style: 'body', text: textOf(['Text']), box: middle(800, 120) })
  await nextTick()
  if (id) canvas.value?.startEditing(id)
}
function addShape(name: string) {
  const shape = shapeNamed(name)
  const wide = shape.covers && shape.group === 'plain'
  put('add a shape', {
    kind: 'shape',
    name: shape.label,
    shape: name,
    box: wide ? middle(420, 300) : middle(320, 320),
    fill: { role: 'accent1' },
  })
}
const addIcon = (icon: DrawnIcon) =>
  put('add an icon', {
    kind: 'icon',
    name: icon.name.replace(/-/g, ' ').replace(/^./, letter => letter.toUpperCase()),
    icon,
    color: { role: 'accent1' },
    box: middle(200, (200 * icon.view[1]) / icon.view[0]),
  })
const addDiagram = (family: string) =>
  put('add a diagram', {
    kind: 'diagram',
    name: diagramFamily(family).label,
    family,
    text: textOf([1, 2, 3].map(number => ({ text: `Item ${number}`, level: 1 }))),
    box: middle(1200, 640),
  })
const addFigure = (pose: string) => put('add a figure', { kind: 'figure', name: 'Figure', pose, box: middle(420, 620) })
async function addTable() {
  const id = put('add a table', {
    kind: 'table',
    name: 'Table',
    table: null,
    columns: [],
    cells: [
      ['Name', 'Amount', 'Share'],
      ['', '', ''],
      ['', '', ''],
      ['', '', ''],
    ],
    box: middle(1200, 420),
  })
  await nextTick()
  if (id) canvas.value?.startEditing(id)
}
const addChart = () => put('add a chart', { kind: 'chart', name: 'Chart', chart: newChart(null), box: middle(1200, 640) })

async function takeTable(file: File, element: string | null, at?: { x: number; y: number }) {
  busy.value = `Reading ${file.name}`
  const table = await uploadTable(file)
  busy.value = ''
  if (!table || !store.deck) return
  tables.keep(table)
  const chart = element ? store.deck.elements[element] : undefined
  // The chart's look stays; which columns it reads is found anew.
  const anything = chart?.kind === 'picture' && shownElement(store.deck, chart.id)
  if (anything && anything.kind === 'picture' && anything.anything) {
    const { id, owner, name, order, placeholder, box } = chart
    store.edit(`draw ${table.name}`, [
      putRecord('elements', {
        id,
        owner,
        name,
        order,
        kind: 'chart',
        chart: bestChart(table),
        ...(placeholder ? { placeholder } : {}),
        ...(box ? { box } : {}),
      }),
    ])
  } else if (chart?.kind === 'chart')
    store.edit(
      `draw ${table.name}`,
      setFields(store.deck, {
        table: 'elements',
        id: chart.id,
        fields: { chart: redrawn(chart.chart, table) },
      }),
    )
  else if (chart?.kind === 'table')
    store.edit(
      `fill ${chart.name} from ${table.name}`,
      setFields(store.deck, { table: 'elements', id: chart.id, fields: { table: table.id, columns: [], looks: undefined } }),
    )
  else
    put(`draw ${table.name}`, {
      kind: 'chart',
      name: table.name.replace(/\.\w+$/, ''),
      chart: bestChart(table),
      box: middle(1200, 640, at),
    })
}

async function takePicture(file: File, element: string | null, at?: { x: number; y: number }) {
  busy.value = `Reading ${file.name}`
  const media = await uploadPicture(file)
  busy.value = ''
  if (media) showPicture(file.name, media, element, at)
}
/** Puts a picture of Media on the slide, or in the place of another whose frame, look and motion stay. */
function showPicture(
  name: string,
  media: { hash: string; width: number | null; height: number | null },
  element: string | null,
  at?: { x: number; y: number },
) {
  if (!store.deck) return
  const natural = { width: media.width ?? 800, height: media.height ?? 600 }
  const picture = element ? store.deck.elements[element] : undefined
  if (picture?.kind === 'picture')
    return store.edit(
      `put ${name} in its place`,
      setFields(store.deck, {
        table: 'elements',
        id: picture.id,
        fields: { media: media.hash, natural, focus: undefined, proposed: undefined },
      }),
    )
  const factor = Math.min(1, (size.value.width * 0.5) / natural.width, (size.value.height * 0.6) / natural.height)
  put(`add ${name}`, {
    kind: 'picture',
    name: name.replace(/\.\w+$/, ''),
    media: media.hash,
    natural,
    box: middle(Math.round(natural.width * factor), Math.round(natural.height * factor), at),
  })
}

const clipPicker = useTemplateRef('clipPicker')
const clipKind = ref<'film' | 'sound'>('film')
const choosingClip = ref(false)
const filming = ref(false)
/** Puts a film or sound of Media on the slide, or in the place of another whose frame and motion stay. */
async function showClip(name: string, hash: string, element: string | null, at?: { x: number; y: number }) {
  const facts = await asking(() =>
    $fetch<{ type: string; width: number | null; height: number | null; peaks: boolean }>(`/api/media/${hash}/about`),
  )
  if (!facts || !store.deck || !where.stageId) return
  const before = element ? store.deck.elements[element] : undefined
  const film = facts.type.startsWith('video/')
  const natural = film && facts.width && facts.height ? { width: facts.width, height: facts.height } : undefined
  if (before && before.kind === (film ? 'film' : 'sound'))
    return store.edit(
      `put ${name} in its place`,
      setFields(store.deck, {
        table: 'elements',
        id: before.id,
        fields: { media: hash, natural, from: undefined, until: undefined, captions: undefined },
      }),
    )
  const factor = natural ? Math.min((size.value.width * 0.6) / natural.width, (size.value.height * 0.6) / natural.height) : 1
  const id = freshId()
  const box = natural ? middle(Math.round(natural.width * factor), Math.round(natural.height * factor), at) : middle(120, 120, at)
  const shared = { id, owner: where.stageId, name: name.replace(/\.\w+$/, ''), media: hash, box, ...(facts.peaks ? {} : { volume: 0 }) }
  store.edit(
    `add ${name}`,
    putClip(
      store.deck,
      { clip: film ? { ...shared, kind: 'film', ...(natural ? { natural } : {}) } : { ...shared, kind: 'sound' } },
      { id: freshId },
    ),
  )
  selected.select(id)
}
async function takeClip(file: Blob, name: string, element: string | null, at?: { x: number; y: number }) {
  const hash = await bringClip(file, name, words => {
    busy.value = words
  })
  if (hash) await showClip(name, hash, element, at)
}
function chooseClip(kind: 'film' | 'sound', element: string | null) {
  target.value = element
  clipKind.value = kind
  choosingClip.value = true
}
function takeClipEntry(entry: MediaEntry) {
  void showClip(entry.name, entry.hash, target.value)
  void asking(() => $fetch(`/api/media/${entry.hash}/used`, { method: 'POST' }))
}
function keepFilming(film: Blob) {
  filming.value = false
  void takeClip(film, 'Recorded film', null)
}
const clipMenu = computed(() => [
  [
    { label: 'A film', icon: 'i-lucide-film', onSelect: () => chooseClip('film', null) },
    { label: 'A sound', icon: 'i-lucide-audio-lines', onSelect: () => chooseClip('sound', null) },
    {
      label: 'Record by camera',
      icon: 'i-lucide-video',
      onSelect: () => {
        filming.value = true
      },
    },
  ],
])

const choosing = ref(false)
function choosePicture(element: string | null) {
  target.value = element
  choosing.value = true
}
function takeMedia(entry: MediaEntry) {
  showPicture(entry.name, { hash: entry.hash, width: entry.width, height: entry.height }, target.value)
  void asking(() => $fetch(`/api/media/${entry.hash}/used`, { method: 'POST' }))
}

async function takeFiles(files: File[], at: { x: number; y: number }, element: string | null) {
  if (!store.canEdit) return
  for (const [index, file] of files.entries()) {
    const kind = element && store.current.elements[element]?.kind
    const shifted = { x: at.x + index * 40, y: at.y + index * 40 }
    if (isTableFile(file)) await takeTable(file, (kind === 'chart' || kind === 'picture') && index === 0 ? element : null, shifted)
    else if (isClipFile(file))
      await takeClip(file, file.name, (kind === 'film' || kind === 'sound') && index === 0 ? element : null, shifted)
    else await takePicture(file, kind === 'picture' && index === 0 ? element : null, shifted)
  }
}
/** Asks for a table, for the element that shows it or for a new one. */
function pickTable(element: string | null) {
  target.value = element
  tablePicker.value?.open()
}
async function takeGround(file: File) {
  const slide = where.stageId ? store.current.slides[where.stageId] : undefined
  if (!slide || !store.canEdit) return
  busy.value = `Reading ${file.name}`
  const media = await uploadPicture(file)
  busy.value = ''
  if (media)
    store.edit(
      `make ${file.name} the background`,
      setFields(store.current, {
        table: 'slides',
        id: slide.id,
        fields: {
          backdrop: {
            ...slide.backdrop,
            fill: { kind: 'picture', media: media.hash, natural: { width: media.width ?? 1600, height: media.height ?? 900 } },
          },
        },
      }),
    )
}
const { question } = useStageClipboard(files => void takeFiles(files, { x: size.value.width / 2, y: size.value.height / 2 }, null))
const zooms = computed(() => [
  [
    { label: 'Fit the slide', kbds: ['0'], onSelect: stage.fit },
    { label: 'Zoom in', kbds: ['+'], onSelect: () => stage.zoomTo(stage.zoom * 1.25) },
    { label: 'Zoom out', kbds: ['-'], onSelect: () => stage.zoomTo(stage.zoom / 1.25) },
    { label: 'True size, 100 %', onSelect: () => stage.zoomTo(stage.zoom / stage.scale) },
    ...(stage.single
      ? [{ label: `On ${stage.single.name}`, onSelect: () => stage.single && stage.zoomOn(stage.outlineOf(stage.single)) }]
      : []),
  ],
])
const single = computed(() => (selected.elements.length === 1 ? selected.elements[0]! : null))

function onKey(event: KeyboardEvent) {
  if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey || event.key.toLowerCase() !== 'a') return
  event.preventDefault()
  addLine.value?.querySelector<HTMLElement>('button')?.focus()
}
onKeys(onKey)
</script>

<template>
  <LookDesk v-if="looking" />
  <div v-else class="compose">
    <aside class="left" aria-label="Elements of the slide"><PartsList /></aside>
    <section class="middle" aria-label="Stage">
      <div ref="addLine" class="add" role="toolbar" aria-label="Add">
        <ComposeViews />
        <div v-if="!looking" id="text-tools" />
        <span v-if="!stage.editing" class="quiet adding">Add</span>
        <template v-if="stage.editing" />
        <span v-else-if="where.isForm" class="quiet">is closed: this deck is a form, fill its places</span>
        <template v-else-if="store.canEdit">
          <UButton size="sm" @click="addText">Text</UButton>
          <UButton size="sm" @click="choosePicture(null)">Picture</UButton>
          <UDropdownMenu :items="clipMenu"><UButton size="sm">Clip</UButton></UDropdownMenu>
          <ShapeFinder label="Add a shape or line" lines @choose="addShape" @tool="tool => (stage.tool = tool)" />
          <IconFinder label="Add an icon" @choose="addIcon"><UButton size="sm">Icon</UButton></IconFinder>
          <UButton size="sm" @click="addChart">Chart</UButton>
          <FamilyFinder @choose="addDiagram" />
          <UButton size="sm" @click="addTable">Table</UButton>
          <FigureFinder @choose="addFigure" />
          <PieceFinder />
        </template>
        <span v-else class="quiet">is for editors; your role is viewer</span>
        <span class="quiet busy" role="status">{{ busy }}</span>
        <UDropdownMenu :items="zooms">
          <UButton variant="bare" class="amount quiet zoom" aria-label="How large the slide is shown">
            {{ Math.round(stage.scale * 100) }}%
          </UButton>
        </UDropdownMenu>
      </div>
      <div class="stage-place"><StageCanvas ref="canvas" @files="takeFiles" @ground="takeGround" /></div>
      <StatesDesk v-if="states.isOpen" />
      <div v-else class="foot quiet">
        <span>
          Nudge with arrows, fine with
          <span class="amount">Alt</span>
        </span>
        <span>
          Hold
          <span class="amount">Alt</span>
          to drag without snapping
        </span>
        <span>Press again to reach what lies under</span>
      </div>
      <FilePicker ref="tablePicker" :accept="tableFiles" data-test="table-file" @file="file => takeTable(file, target)" />
      <FilePicker ref="picturePicker" accept="image/*" data-test="picture-file" @file="file => takePicture(file, target)" />
      <FilePicker
        ref="clipPicker"
        accept="video/*,audio/*,.mkv,.avi,.mov,.flac,.ogg"
        data-test="clip-file"
        @file="file => takeClip(file, file.name, target)"
      />
    </section>
    <MediaFinder v-model="choosing" @choose="takeMedia" @file="picturePicker?.open()" />
    <MediaFinder
      v-if="choosingClip"
      :key="clipKind"
      v-model="choosingClip"
      :kind="clipKind"
      @choose="takeClipEntry"
      @file="clipPicker?.open()"
    />
    <RecordCamera v-if="filming" @kept="keepFilming" @close="filming = false" />
    <PasteAsk v-model="question" />
    <aside class="right" aria-label="Settings">
      <ElementSettings
        @table="pickTable(single)"
        @picture="choosePicture(single)"
        @clip="kind => chooseClip(kind, single)"
        @edit="id => canvas?.startEditing(id)"
        @file="file => takeFiles([file], { x: size.width / 2, y: size.height / 2 }, null)"
      />
    </aside>
  </div>
</template>

<style scoped>
.compose {
  display: grid;
  grid-template-columns: 206px 1fr 270px;
  height: 100%;
}
.left,
.right {
  background: var(--panel);
  padding: 12px;
  overflow-y: auto;
  min-height: 0;
}
.left {
  border-right: 1px solid var(--line);
  padding: 12px 6px;
}
.right {
  border-left: 1px solid var(--line);
}
.middle {
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
}
.add {
  display: flex;
  align-items: center;
  gap: 4px;
  padding: 8px 14px 4px;
  flex-wrap: wrap;
}
.add :deep([data-slot='base']) {
  padding-inline: 7px;
}
#text-tools:not(:empty) {
  flex: 1;
  min-width: 0;
}
.busy {
  margin-left: 8px;
}
.adding {
  margin-left: 6px;
}
.zoom {
  margin-left: auto;
  font-size: 13px;
  border: 0;
  background: none;
  cursor: pointer;
}
.stage-place {
  position: relative;
  flex: 1;
  min-height: 0;
}
.foot {
  display: flex;
  gap: 20px;
  padding: 2px 18px 8px;
  font-size: 13px;
  white-space: nowrap;
  overflow: hidden;
}
@media (max-width: 1150px) {
  .compose {
    grid-template-columns: 168px 1fr 250px;
  }
  .foot > span:last-child {
    display: none;
  }
}
</style>
