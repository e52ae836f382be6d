<script setup lang="ts">
import { fieldLimits, infoOf, slidesOf } from '#core/model'
import { pageOf } from '#core/looks'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { addSlide, moveSlide, removeSlides, setFields } from '#core/edits'
import {
  agendaSource,
  isOnlyWords,
  joinOutline,
  outlineKey,
  outlineOf,
  setAgenda,
  setOutlineSlide,
  splitOutline,
  waitingOn,
  type OutlineSlide,
  type OutlineStep,
} from '#core/layouts'

/** The whole deck as text: a line is a slide, indented lines stand on it. */
const emit = defineEmits<{ design: [] }>()
const store = useDeck()
const where = useWhere()
const slides = useSlideMenu()
const check = useCheck()
const { busy, arrived, take: takeOutline, takeLines, takeFile } = useOutlineIntake()
const list = ref<HTMLElement>()
/** Bullets and indents stand at the side that the deck’s lines begin at. */
const linesRun = computed(() => (pageOf(store.current).runsLeft ? 'rtl' : undefined))
const context = { id: freshId }

const rows = computed(() =>
  store.slides.map((slide, index) => ({
    slide,
    index,
    outline: outlineOf(store.current, slide),
    family: store.current.layouts[slide.layout]?.name ?? '',
    waiting: waitingOn(store.current, slide.id),
  })),
)
type Row = (typeof rows.value)[number]
const canWrite = (row: Row) => store.canEdit && !row.slide.agenda
const overfull = computed(() => new Set(check.findings.filter(finding => finding.about === 'room').map(finding => finding.slide)))

const virtual = useVirtualizer(
  computed(() => ({
    count: rows.value.length,
    getScrollElement: () => list.value ?? null,
    estimateSize: (index: number) => 52 + Math.max(1, rows.value[index]?.outline.lines.length ?? 1) * 26,
    getItemKey: (index: number) => rows.value[index]?.slide.id ?? index,
    overscan: 8,
  })),
)
const inSight = computed(() =>
  virtual.value.getVirtualItems().flatMap(item => (rows.value[item.index] ? [{ item, row: rows.value[item.index]! }] : [])),
)
const measure = (node: unknown) => {
  if (node instanceof HTMLElement) virtual.value.measureElement(node)
}

function focusLine(slide: string, line: number, end = true) {
  const at = store.slides.findIndex(other => other.id === slide)
  const find = () => list.value?.querySelector<HTMLTextAreaElement>(`textarea[data-at="${slide}:${line}"]`)
  const put = (tries: number) => {
    const input = find()
    if (!input) {
      if (at >= 0 && tries === 3) virtual.value.scrollToIndex(at)
      if (tries > 0) requestAnimationFrame(() => put(tries - 1))
      return
    }
    input.focus()
    input.selectionStart = input.selectionEnd = end ? input.value.length : 0
  }
  void nextTick(() => nextTick(() => put(6)))
}

const write = (slide: string, outline: OutlineSlide, typing = false) => {
  const changes = setOutlineSlide(store.current, { slide, outline }, context)
  if (typing) store.editText('typing in the outline', changes)
  else store.edit('change the outline', changes)
}

const typed = (event: Event) => typedIn(event, infoOf(store.current).language)
function type(row: Row, line: number, value: string) {
  const text = value.replaceAll('\n', ' ')
  const lines = row.outline.lines.map((item, index) => (index === line ? { ...item, text } : item))
  write(row.slide.id, line < 0 ? { ...row.outline, title: text } : { ...row.outline, lines }, true)
}

function addLine(row: Row, at: number, level: number, text = '') {
  const lines = [...row.outline.lines]
  lines.splice(at, 0, { text, level })
  write(row.slide.id, { ...row.outline, lines })
  focusLine(row.slide.id, at)
}

/** A line that is offered but not yet written: it becomes one with its first letter. */
const offered = ref<string | null>(null)
function addTyped(row: Row, text: string) {
  const { lines } = row.outline
  addLine(row, lines.length, lines.at(-1)?.level ?? 1, text)
  offered.value = null
}
function offerLine(slide: string) {
  offered.value = slide
  void nextTick(() => list.value?.querySelector<HTMLTextAreaElement>('[data-offered]')?.focus())
}

function newSlideAfter(slide: string | null, outline?: OutlineSlide) {
  const put = slides.newAfter(slide, outline)
  if (put) focusLine(put, -1)
}

const moveRow = (row: Row, index: number) =>
  store.edit('move a slide', moveSlide(store.current, { slide: row.slide.id, index: Math.max(0, index) }))

function onKey(event: KeyboardEvent, row: Row, line: number) {
  const input = event.target as HTMLTextAreaElement
  const above = rows.value[row.index - 1]
  const step = outlineKey(
    {
      outline: row.outline,
      line,
      text: input.value,
      from: input.selectionStart,
      to: input.selectionEnd,
      fixed: !canWrite(row),
      above: above?.outline.lines.length ?? null,
      below: row.index + 1 < rows.value.length,
      mayGo: rows.value.length > 1 && isOnlyWords(store.current, row.slide.id),
    },
    { key: event.key, shift: event.shiftKey, alt: event.altKey, control: event.ctrlKey || event.metaKey },
  )
  if (!step) return
  event.preventDefault()
  take(step, row, line)
}

function take(step: OutlineStep, row: Row, line: number) {
  if (step.do === 'write') {
    write(row.slide.id, step.outline)
    if (step.focus) focusLine(row.slide.id, step.focus.line, step.focus.atEnd)
  } else if (step.do === 'new slide') {
    if (step.outline) write(row.slide.id, step.outline)
    newSlideAfter(row.slide.id)
  } else if (step.do === 'join') joinAbove(row)
  else if (step.do === 'split') split(row, step.line)
  else if (step.do === 'remove') {
    const above = rows.value[row.index - 1]
    store.edit('remove a slide', removeSlides(store.current, { slides: [row.slide.id] }))
    if (above) focusLine(above.slide.id, above.outline.lines.length - 1)
  } else if (step.do === 'move') {
    moveRow(row, row.index + step.by)
    focusLine(row.slide.id, line)
  } else if (step.do === 'go') {
    const next = rows.value[row.index + step.slides]
    if (next) focusLine(next.slide.id, step.line)
  }
}

function joinAbove(row: Row) {
  const above = rows.value[row.index - 1]
  const changes = joinOutline(store.current, { slide: row.slide.id }, context)
  if (!changes.length) {
    if (above) useToast().add({ title: 'This slide holds more than words, so it stays a slide.', color: 'warning' })
    return
  }
  store.edit('make the slide a line', changes)
  where.goToSlide(above!.slide.id)
  focusLine(above!.slide.id, above!.outline.lines.length)
}

function split(row: Row, line: number) {
  const changes = splitOutline(store.current, { slide: row.slide.id, line }, context)
  store.edit('make the line a slide', changes)
  const put = putSlide(changes)
  if (put) {
    where.goToSlide(put)
    focusLine(put, -1)
  }
}

/** Several lines at once become slides with their lines; a slide that is still empty gives way to them. */
function paste(event: ClipboardEvent, row: Row, line: number) {
  const text = outlineIn(event.clipboardData)
  if (!/\n/.test(text.trim())) return
  event.preventDefault()
  if (line < 0) void takeOutline(text, row.slide.id)
  else if (canWrite(row)) void takeLines(text, row.slide.id, line)
}

const picker = useTemplateRef('picker')
const setSlide = (row: Row, label: string, fields: object) =>
  store.edit(label, setFields(store.current, { table: 'slides', id: row.slide.id, fields }))
/** Slides whose notes are open for writing although they have none yet. */
const openNotes = ref(new Set<string>())
async function openNotesOf(slide: string) {
  openNotes.value = new Set([...openNotes.value, slide])
  await nextTick()
  list.value?.querySelector<HTMLTextAreaElement>(`[data-notes="${slide}"]`)?.focus()
}
const writeNotes = (row: Row, notes: string) =>
  store.editText('typing notes', setOutlineSlide(store.current, { slide: row.slide.id, outline: { ...row.outline, notes } }, context))
const writeChapter = (row: Row, chapter: string) =>
  store.editText('naming a chapter', setFields(store.current, { table: 'slides', id: row.slide.id, fields: { chapter } }))
function beginChapter(row: Row) {
  setSlide(row, 'begin a chapter', { chapter: row.outline.title.trim() || 'New chapter' })
  void nextTick(() => nextTick(() => list.value?.querySelector<HTMLInputElement>(`[data-chapter="${row.slide.id}"]`)?.select()))
}

const slideMenu = (row: Row) => [
  [
    { label: 'New slide after it', icon: 'i-lucide-plus', onSelect: () => afterMenu(() => newSlideAfter(row.slide.id)) },
    slides.duplicate(row.slide.id),
    ...(row.slide.notes
      ? []
      : [
          {
            label: 'Write notes',
            icon: 'i-lucide-sticky-note',
            onSelect: () => afterMenu(() => openNotesOf(row.slide.id)),
          },
        ]),
    row.slide.chapter === undefined
      ? { label: 'Begin a chapter here', icon: 'i-lucide-bookmark', onSelect: () => afterMenu(() => beginChapter(row)) }
      : {
          label: 'Remove the chapter',
          icon: 'i-lucide-bookmark-minus',
          onSelect: () => setSlide(row, 'remove a chapter', { chapter: undefined }),
        },
    ...(row.slide.agenda
      ? [
          {
            label: 'Write its lines by hand',
            icon: 'i-lucide-pen-line',
            onSelect: () => store.edit('write the agenda by hand', setAgenda(store.current, { slide: row.slide.id, from: null }, context)),
          },
        ]
      : [
          {
            label: 'Make its lines from the slides',
            icon: 'i-lucide-list-tree',
            onSelect: () =>
              store.edit('make an agenda', setAgenda(store.current, { slide: row.slide.id, from: agendaSource(store.current) }, context)),
          },
        ]),
    slides.skip(row.slide.id),
    slides.remove(row.slide.id),
  ],
]
const menuById = (id: string) => {
  const row = rows.value.find(one => one.slide.id === id)
  return row && store.canEdit ? slideMenu(row) : []
}
function firstSlide() {
  const changes = addSlide(
    store.current,
    { after: null, layout: slidesOf(store.current)[0]?.layout ?? Object.keys(store.current.layouts)[0]! },
    context,
  )
  store.edit('new slide', changes)
}

/** Where a dragged slide would come to stand: before the row of this index. */
const dropBefore = ref<number | null>(null)
const dragged = ref<string | null>(null)
function drag(event: PointerEvent, row: Row) {
  if (event.button !== 0 || !store.canEdit) return
  where.goToSlide(row.slide.id)
  const from = event.clientY
  event.preventDefault()
  followPointer(
    event,
    move => {
      if (dragged.value === null && Math.abs(move.clientY - from) < 5) return
      dragged.value = row.slide.id
      const nodes = [...list.value!.querySelectorAll<HTMLElement>('[data-index]')]
      const below = nodes.find(node => {
        const box = node.getBoundingClientRect()
        return move.clientY < box.top + box.height / 2
      })
      dropBefore.value = below ? Number(below.dataset.index) : nodes.length ? Number(nodes.at(-1)!.dataset.index) + 1 : null
      const box = list.value!.getBoundingClientRect()
      if (move.clientY < box.top + 40) list.value!.scrollTop -= 14
      else if (move.clientY > box.bottom - 40) list.value!.scrollTop += 14
    },
    given => {
      const to = dropBefore.value
      if (given && dragged.value && to !== null && to !== row.index && to !== row.index + 1) moveRow(row, to > row.index ? to - 1 : to)
      dropBefore.value = dragged.value = null
    },
  )
}
watch(
  () => where.slideId,
  id => {
    const at = rows.value.findIndex(row => row.slide.id === id)
    if (at >= 0 && !inSight.value.some(({ row }) => row.slide.id === id)) virtual.value.scrollToIndex(at)
  },
)
</script>

<template>
  <section class="say" aria-label="Outline">
    <div class="head">
      <slot name="head" />
      <span class="quiet hint" role="status">{{ busy }}</span>
      <FilePicker
        ref="picker"
        accept=".txt,.md,.markdown,.opml,.csv,.tsv,text/plain,text/markdown,text/csv"
        data-test="outline-file"
        @file="takeFile"
      />
      <UButton v-if="store.canEdit" size="sm" title="Text, Markdown, OPML or CSV" @click="picker?.open()">Read a file</UButton>
    </div>
    <div v-if="arrived && store.canEdit" class="arrived" role="status">
      <UIcon name="i-lucide-layout-dashboard" />
      <span class="told">{{ numberWords(arrived) }} slides from your lines.</span>
      <UButton size="sm" color="primary" variant="solid" @click="emit('design')">Design the whole deck</UButton>
      <UButton size="sm" icon="i-lucide-x" aria-label="Not now" @click="arrived = 0" />
    </div>
    <div ref="list" class="list">
      <RightMenu :menu-of="menuById">
        <div class="rows" :style="{ height: `${virtual.getTotalSize()}px` }">
          <div
            v-for="{ item, row } in inSight"
            :key="row.slide.id"
            :ref="measure"
            :data-index="row.index"
            class="row-place"
            :style="{ transform: `translateY(${item.start}px)` }"
          >
            <div v-if="dropBefore === row.index" class="drop-line" />
            <div v-if="row.slide.chapter !== undefined" class="chapter">
              <UIcon name="i-lucide-bookmark" />
              <input
                class="chapter-name"
                v-bind="fieldLimits('slides', 'chapter')"
                :value="row.slide.chapter"
                :aria-label="`Chapter that begins with slide ${row.index + 1}`"
                :data-chapter="row.slide.id"
                :readonly="!store.canEdit"
                @input="writeChapter(row, ($event.target as HTMLInputElement).value)"
              />
            </div>
            <div
              class="slide"
              :data-menu="row.slide.id"
              :class="{ here: row.slide.id === where.slideId, skipped: row.slide.skipped, dragged: dragged === row.slide.id }"
              @focusin="where.slideId !== row.slide.id && where.goToSlide(row.slide.id)"
            >
              <span class="number amount" title="Drag to move the slide; Alt and arrows do too" @pointerdown="drag($event, row)">
                {{ row.index + 1 }}
              </span>
              <div class="lines">
                <textarea
                  rows="1"
                  class="line title"
                  dir="auto"
                  :value="row.outline.title"
                  :data-at="`${row.slide.id}:-1`"
                  :aria-label="`Slide ${row.index + 1}`"
                  placeholder="A line a slide. Paste several at once."
                  :readonly="!store.canEdit"
                  @input="type(row, -1, typed($event))"
                  @keydown="onKey($event, row, -1)"
                  @paste="paste($event, row, -1)"
                />
                <div
                  v-for="(line, index) in row.outline.lines"
                  :key="index"
                  class="under"
                  :dir="linesRun"
                  :style="{ paddingInlineStart: `${(line.level - 1) * 20}px` }"
                >
                  <span class="bullet" aria-hidden="true" />
                  <textarea
                    rows="1"
                    class="line"
                    dir="auto"
                    :class="{ made: row.slide.agenda }"
                    :value="line.text"
                    :data-at="`${row.slide.id}:${index}`"
                    :aria-label="`Slide ${row.index + 1}, line ${index + 1}`"
                    :readonly="!canWrite(row)"
                    @input="type(row, index, typed($event))"
                    @keydown="onKey($event, row, index)"
                    @paste="paste($event, row, index)"
                  />
                </div>
                <p v-if="row.slide.agenda" class="quiet made-note">
                  {{
                    row.slide.agenda === 'chapters'
                      ? 'Made from the chapters, and always current'
                      : 'Made from the slide names, and always current'
                  }}
                </p>
                <div v-if="offered === row.slide.id" class="under" :dir="linesRun">
                  <span class="bullet" aria-hidden="true" />
                  <textarea
                    rows="1"
                    class="line"
                    value=""
                    data-offered
                    :aria-label="`Slide ${row.index + 1}, new line`"
                    @blur="offered = null"
                    @keydown.esc="offered = null"
                    @keydown.enter.prevent
                    @input="addTyped(row, typed($event))"
                  />
                </div>
                <button v-else-if="canWrite(row) && row.slide.id === where.slideId" class="add quiet" @click="offerLine(row.slide.id)">
                  Add a line
                </button>
                <div v-if="row.slide.notes || openNotes.has(row.slide.id)" class="notes">
                  <span class="quiet">Notes</span>
                  <textarea
                    rows="1"
                    class="line note"
                    :data-notes="row.slide.id"
                    v-bind="fieldLimits('slides', 'notes')"
                    dir="auto"
                    :value="row.slide.notes"
                    :aria-label="`Notes of slide ${row.index + 1}`"
                    placeholder="What to say with it"
                    :readonly="!store.canEdit"
                    @input="writeNotes(row, ($event.target as HTMLTextAreaElement).value)"
                  />
                </div>
                <RoomNote v-if="row.slide.id === where.slideId" />
              </div>
              <span class="kind quiet">
                <UIcon v-if="overfull.has(row.slide.id)" name="i-lucide-triangle-alert" class="warn" title="More than fits" />
                {{ row.slide.skipped ? 'skipped' : row.family.toLowerCase() }}
              </span>
              <WaitingParts v-if="row.waiting.length" :parts="row.waiting" />
              <UDropdownMenu v-if="store.canEdit" :items="slideMenu(row)">
                <button class="more" :aria-label="`What to do with slide ${row.index + 1}`"><UIcon name="i-lucide-ellipsis" /></button>
              </UDropdownMenu>
            </div>
            <div v-if="dropBefore === rows.length && row.index === rows.length - 1" class="drop-line" />
          </div>
        </div>
      </RightMenu>
      <div v-if="!rows.length" class="none">
        <p>Nothing here yet. Write what you will say, a line a slide.</p>
        <UButton color="primary" variant="solid" @click="firstSlide">Begin</UButton>
      </div>
      <UButton v-else-if="store.canEdit" variant="ghost" class="new" icon="i-lucide-plus" @click="newSlideAfter(rows.at(-1)!.slide.id)">
        New slide at the end
      </UButton>
    </div>
  </section>
</template>

<style scoped>
.say {
  display: flex;
  flex-direction: column;
  min-height: 0;
  border-right: 1px solid var(--line);
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 10px;
  padding: 12px 16px 8px;
}
.hint {
  font-size: 13px;
  flex: 1;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.arrived {
  display: flex;
  align-items: center;
  gap: 10px;
  margin: 0 16px 10px;
  padding: 8px 10px;
  border-radius: 8px;
  background: var(--act-wash);
}
.arrived .told {
  flex: 1;
}
.list {
  flex: 1;
  overflow-y: auto;
  padding: 0 16px 24px;
  min-height: 0;
}
.rows {
  position: relative;
}
.row-place {
  position: absolute;
  left: 0;
  right: 0;
  top: 0;
  padding-bottom: 2px;
}
.drop-line {
  height: 3px;
  background: var(--act);
  border-radius: 2px;
  margin: 1px 0;
}
.chapter {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 10px 10px 4px;
  color: var(--second);
}
.chapter-name {
  flex: 1;
  border: 0;
  background: none;
  font: 600 13.5px 'Hanken Grotesk';
  color: var(--second);
  outline: none;
  border-bottom: 1px solid var(--line);
  padding: 2px 0;
}
.chapter-name:focus {
  border-color: var(--act);
}
.slide {
  display: grid;
  grid-template-columns: 34px 1fr auto 26px;
  gap: 0 4px;
  padding: 8px 8px 8px 10px;
  border: 1.5px solid transparent;
  border-radius: 9px;
}
.slide.here {
  background: var(--panel);
  border-color: var(--act);
}
.slide.skipped {
  opacity: 0.6;
}
.slide.dragged {
  opacity: 0.5;
}
.number {
  grid-area: 1 / 1;
  color: var(--third);
  padding-top: 3px;
  cursor: grab;
  touch-action: none;
  user-select: none;
}
/* The title has what the slide is called beside it; the lines have all of the width. */
.lines {
  display: contents;
}
.lines > * {
  grid-column: 2 / -1;
  min-width: 0;
}
.lines > .add {
  justify-self: start;
}
.lines > .title {
  grid-area: 1 / 2;
}
.line {
  display: block;
  width: 100%;
  border: 0;
  background: none;
  color: var(--ink);
  font:
    400 15px/1.45 'Hanken Grotesk',
    sans-serif;
  resize: none;
  padding: 2px 0;
  outline: none;
  overflow: hidden;
  field-sizing: content;
  max-height: 40vh;
  overflow-wrap: anywhere;
}
.line.title {
  font:
    600 16px/1.35 'Bricolage Grotesque',
    sans-serif;
}
.line.made {
  color: var(--second);
}
.made-note {
  margin: 0 0 0 16px;
  font-size: 13px;
}
.line::placeholder {
  color: var(--third);
  font-weight: 400;
}
.under {
  display: grid;
  grid-template-columns: 16px 1fr;
  align-items: start;
}
.bullet {
  width: 5px;
  height: 5px;
  border-radius: 50%;
  background: var(--second);
  margin-top: 12px;
}
.notes {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 10px;
  padding: 4px 0 0 16px;
  font-size: 13px;
  align-items: baseline;
}
.line.note {
  font-size: 13.5px;
  color: var(--second);
}
.add {
  border: 0;
  background: none;
  padding: 2px 0 0 16px;
  font: 400 13px 'Hanken Grotesk';
  cursor: pointer;
}
.add:hover {
  color: var(--act);
}
.kind {
  grid-area: 1 / 3;
  font-size: 13px;
  padding-top: 4px;
  text-align: right;
  max-width: 150px;
}
.here .kind {
  color: var(--act);
}
.warn {
  color: var(--wrong);
  margin-right: 5px;
  vertical-align: -2px;
}
.more {
  grid-area: 1 / 4;
  border: 0;
  background: none;
  color: var(--third);
  cursor: pointer;
  padding: 4px;
  border-radius: 6px;
  height: 26px;
  opacity: 0;
}
.slide:hover .more,
.slide:focus-within .more {
  opacity: 1;
}
.more:hover {
  background: var(--act-wash);
  color: var(--ink);
}
.new {
  margin-top: 8px;
  color: var(--second);
}
.none {
  padding: 30px;
  text-align: center;
}
@media (max-width: 1150px) {
  .hint {
    visibility: hidden;
  }
}
</style>
