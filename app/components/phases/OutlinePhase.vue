<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { addSlide, applyChanges, duplicateSlide, moveSlide, removeSlides, setFields, setLayout, slidesOf, type Change, type Deck } from '#core/deck'
import { readOutline } from '#core/formats/outline'
import { insertOutline, isOnlyWords, joinOutline, layoutIdOf, outlineOf, propose, roomLeft, setOutlineSlide, splitOutline, type OutlineSlide } from '#core/layouts'

const store = useDeck()
const stage = useStageHost()
const list = ref<HTMLElement>()

const rows = computed(() => store.slides.map((slide, index) => ({ slide, index, outline: outlineOf(store.deck!, slide), family: store.deck!.layouts[slide.layout]?.name ?? '' })))
const current = computed(() => rows.value.find(row => row.slide.id === store.slideId))
const context = { id: freshId }

/** Long outlines are drawn where they are in sight; each slide's height is reckoned from its lines. */
const { height: sight } = useElementSize(list)
const scrolled = ref(0)
const tops = computed(() => {
  let y = 0
  return rows.value.map(row => {
    const top = y
    y += 44 + Math.max(1, row.outline.lines.length) * 30
    return top
  })
})
const many = computed(() => rows.value.length > 60)
const inSight = computed(() => (many.value ? rows.value.filter((row, index) => tops.value[index]! > scrolled.value - 900 && tops.value[index]! < scrolled.value + sight.value + 900) : rows.value))
const before = computed(() => (many.value && inSight.value[0] ? tops.value[inSight.value[0].index]! : 0))
const after = computed(() => {
  const last = inSight.value.at(-1)
  if (!many.value || !last) return 0
  return tops.value.at(-1)! + 120 - (tops.value[last.index + 1] ?? tops.value.at(-1)! + 120)
})

function focusLine(slide: string, line: number, end = true) {
  void nextTick(() => nextTick(() => {
    const input = list.value?.querySelector<HTMLTextAreaElement>(`textarea[data-at="${slide}:${line}"]`)
    input?.focus()
    if (input) input.selectionStart = input.selectionEnd = end ? input.value.length : 0
  }))
}

const write = (slide: string, outline: OutlineSlide, typing = false) => {
  const changes = setOutlineSlide(store.deck!, { slide, outline }, context)
  if (typing) store.editText('typing in the outline', changes)
  else store.edit('change the outline', changes)
}

function type(row: (typeof rows.value)[number], line: number, value: string) {
  const text = value.replaceAll('\n', ' ')
  const lines = row.outline.lines.map((item, index) => (index === line ? { ...item, text } : item))
  write(row.slide.id, line < 0 ? { ...row.outline, title: text } : { ...row.outline, lines }, true)
}

function addLine(row: (typeof rows.value)[number], at: number, level: number, text = '') {
  const lines = [...row.outline.lines]
  lines.splice(at, 0, { text, level })
  write(row.slide.id, { ...row.outline, lines })
  focusLine(row.slide.id, at)
}

/** A line that is offered but not yet written: it becomes one with its first letter. */
const offered = ref<string | null>(null)
function offerLine(slide: string) {
  offered.value = slide
  void nextTick(() => list.value?.querySelector<HTMLTextAreaElement>('[data-offered]')?.focus())
}

function newSlideAfter(slide: string | null, outline: OutlineSlide = { title: '', lines: [] }) {
  const changes = insertOutline(store.deck!, { after: slide, slides: [outline] }, context)
  store.edit('new slide', changes)
  const put = changes.find((change): change is Change & { do: 'put', table: 'slides' } => change.do === 'put' && change.table === 'slides')
  if (put) {
    store.goToSlide(put.record.id)
    focusLine(put.record.id, -1)
  }
}

function onKey(event: KeyboardEvent, row: (typeof rows.value)[number], line: number) {
  const input = event.target as HTMLTextAreaElement
  const item = row.outline.lines[line]
  if (event.key === 'Enter' && !event.shiftKey) {
    event.preventDefault()
    const [head, tail] = [input.value.slice(0, input.selectionStart), input.value.slice(input.selectionEnd)]
    if (line < 0) {
      if (tail || row.outline.lines.length) {
        write(row.slide.id, { title: head, lines: [{ text: tail, level: 1 }, ...row.outline.lines] })
        focusLine(row.slide.id, 0, false)
      } else newSlideAfter(row.slide.id)
    } else if (!item!.text && line === row.outline.lines.length - 1) {
      write(row.slide.id, { ...row.outline, lines: row.outline.lines.slice(0, -1) })
      newSlideAfter(row.slide.id)
    } else {
      const lines = row.outline.lines.flatMap((entry, index) => (index === line ? [{ ...entry, text: head }, { text: tail, level: entry.level }] : [entry]))
      write(row.slide.id, { ...row.outline, lines })
      focusLine(row.slide.id, line + 1, false)
    }
  } else if (event.key === 'Tab') {
    event.preventDefault()
    if (line < 0 && !event.shiftKey) joinAbove(row)
    else if (line >= 0 && event.shiftKey && item!.level === 1) split(row, line)
    else if (line >= 0) {
      const level = Math.min(9, Math.max(1, item!.level + (event.shiftKey ? -1 : 1)))
      write(row.slide.id, { ...row.outline, lines: row.outline.lines.map((entry, index) => (index === line ? { ...entry, level } : entry)) })
    }
  } else if (event.key === 'Backspace' && input.selectionStart === 0 && input.selectionEnd === 0) {
    if (line >= 0) {
      event.preventDefault()
      const lines = row.outline.lines.filter((_, index) => index !== line)
      if (line === 0) write(row.slide.id, { title: row.outline.title + item!.text, lines })
      else write(row.slide.id, { ...row.outline, lines: lines.map((entry, index) => (index === line - 1 ? { ...entry, text: entry.text + item!.text } : entry)) })
      focusLine(row.slide.id, line - 1)
    } else if (!row.outline.title && !row.outline.lines.length && rows.value.length > 1 && isOnlyWords(store.deck!, row.slide.id)) {
      event.preventDefault()
      const above = rows.value[row.index - 1]
      store.edit('remove a slide', removeSlides(store.deck!, { slides: [row.slide.id] }))
      if (above) focusLine(above.slide.id, above.outline.lines.length - 1)
    }
  } else if ((event.key === 'ArrowUp' || event.key === 'ArrowDown') && event.altKey) {
    event.preventDefault()
    store.edit('move a slide', moveSlide(store.deck!, { slide: row.slide.id, index: Math.max(0, row.index + (event.key === 'ArrowUp' ? -1 : 1)) }))
    focusLine(row.slide.id, line)
  } else if ((event.key === 'ArrowUp' && input.selectionStart === 0) || (event.key === 'ArrowDown' && input.selectionEnd === input.value.length)) {
    const all = rows.value.flatMap(entry => [[entry.slide.id, -1] as const, ...entry.outline.lines.map((_, index) => [entry.slide.id, index] as const)])
    const at = all.findIndex(([slide, index]) => slide === row.slide.id && index === line) + (event.key === 'ArrowUp' ? -1 : 1)
    if (all[at]) {
      event.preventDefault()
      focusLine(all[at][0], all[at][1])
    }
  }
}

function joinAbove(row: (typeof rows.value)[number]) {
  const above = rows.value[row.index - 1]
  const changes = joinOutline(store.deck!, { slide: row.slide.id }, context)
  if (!changes.length) {
    if (above) useToast().add({ title: 'This slide holds more than words, so it stays a slide.', color: 'warning' })
    return
  }
  store.edit('make the slide a line', changes)
  store.goToSlide(above!.slide.id)
  focusLine(above!.slide.id, above!.outline.lines.length)
}

function split(row: (typeof rows.value)[number], line: number) {
  const changes = splitOutline(store.deck!, { slide: row.slide.id, line }, context)
  store.edit('make the line a slide', changes)
  const put = changes.find(change => change.do === 'put' && change.table === 'slides')
  if (put?.do === 'put') {
    store.goToSlide(put.record.id)
    focusLine(put.record.id, -1)
  }
}

/** Several lines at once become slides with their lines; a slide that is still empty gives way to them. */
function paste(event: ClipboardEvent, row: (typeof rows.value)[number], line: number) {
  const text = event.clipboardData?.getData('text/plain') ?? ''
  if (!/\n/.test(text.trim())) return
  event.preventDefault()
  if (line >= 0) {
    const lines = readOutline(text).flatMap(slide => [{ text: slide.title, level: 1 }, ...slide.lines.map(entry => ({ ...entry, level: Math.min(9, entry.level + 1) }))])
    const kept = row.outline.lines
    const at = kept[line]!.text ? line + 1 : line
    write(row.slide.id, { ...row.outline, lines: [...kept.slice(0, at), ...lines, ...kept.slice(kept[line]!.text ? at : at + 1)] })
    return
  }
  takeOutline(text, row)
}

function takeOutline(text: string, row: (typeof rows.value)[number] | undefined) {
  const slides = readOutline(text)
  if (!slides.length) return
  // The slide that a new deck begins with gives way, unless something was made of it.
  const title = store.deck!.info.info!.title
  const replaces = row && isOnlyWords(store.deck!, row.slide.id) && !row.outline.lines.length && (!row.outline.title || (row.outline.title === title && rows.value.length === 1))
  const after = replaces ? (rows.value[row.index - 1]?.slide.id ?? null) : (row?.slide.id ?? rows.value.at(-1)?.slide.id ?? null)
  let deck: Deck = store.deck!
  const removed = replaces ? removeSlides(deck, { slides: [row.slide.id] }) : []
  deck = applyChanges(deck, removed)
  const changes = insertOutline(deck, { after, slides }, context)
  store.edit(`paste ${slides.length} slides`, [...removed, ...changes])
  const put = changes.find(change => change.do === 'put' && change.table === 'slides')
  if (put?.do === 'put') store.goToSlide(put.record.id)
}

const picker = ref<HTMLInputElement>()
async function readFile(file: File | undefined) {
  if (!file) return
  if (file.size > 5_000_000) {
    useToast().add({ title: `“${file.name}” has more than 5 MB. An outline is plain text; paste the part that you need.`, color: 'error' })
    return
  }
  takeOutline(await file.text(), rows.value.at(-1))
  if (picker.value) picker.value.value = ''
}

const proposals = computed(() => {
  const row = current.value
  const deck = store.deck
  if (!row || !deck) return []
  const room = { theme: deck.theme.theme!, size: deck.info.info!.size }
  return propose({ ...row.outline, first: row.index === 0 }).flatMap(proposal => {
    const layout = slideLayout(proposal.family.name)
    if (!layout) return []
    let counted = 0
    const changes = setLayout(deck, { slide: row.slide.id, layout }, { id: () => `shown-${row.slide.id}-${counted++}`.slice(0, 64) })
    const changed = applyChanges(deck, changes)
    const rewritten = setOutlineSlide(changed, { slide: row.slide.id, outline: row.outline }, { id: () => `shown-${row.slide.id}-${counted++}`.slice(0, 64) })
    return [{ ...proposal, layout, shown: applyChanges(changed, rewritten), items: proposal.family.items(room), chosen: row.slide.layout === layout }]
  })
})
const slideLayout = (family: string) => Object.values(store.deck!.layouts).find(layout => layout.id === layoutIdOf(family))?.id ?? Object.values(store.deck!.layouts).find(layout => layout.family === family)?.id
const left = computed(() => (current.value && store.deck ? roomLeft(store.deck, current.value.slide.id, stage.host) : null))

function choose(layout: string, label: string) {
  const row = current.value
  if (!row || !store.deck || row.slide.layout === layout) return
  const changes = setLayout(store.deck, { slide: row.slide.id, layout }, context)
  const changed = applyChanges(store.deck, changes)
  store.edit(`lay out as ${label.toLowerCase()}`, [...changes, ...setOutlineSlide(changed, { slide: row.slide.id, outline: row.outline }, context)])
}

const slideMenu = (row: (typeof rows.value)[number]) => [[
  { label: 'New slide after it', icon: 'i-lucide-plus', onSelect: () => newSlideAfter(row.slide.id) },
  { label: 'Duplicate', icon: 'i-lucide-copy', onSelect: () => store.edit('duplicate a slide', duplicateSlide(store.deck!, { slide: row.slide.id }, context)) },
  { label: row.slide.skipped ? 'Show in play again' : 'Skip in play', icon: 'i-lucide-eye-off', onSelect: () => store.edit('skip a slide', setFields(store.deck!, { table: 'slides', id: row.slide.id, fields: { skipped: row.slide.skipped ? undefined : true } })) },
  { label: 'Remove', icon: 'i-lucide-trash-2', onSelect: () => store.edit('remove a slide', removeSlides(store.deck!, { slides: [row.slide.id] })) },
]]
function firstSlide() {
  const changes = addSlide(store.deck!, { after: null, layout: slidesOf(store.deck!)[0]?.layout ?? Object.keys(store.deck!.layouts)[0]! }, context)
  store.edit('new slide', changes)
}
</script>

<template>
  <div class="outline-phase">
    <section class="say" aria-label="Outline">
      <div class="head">
        <h2>What you will say</h2><span class="quiet hint">one line a slide, indent for what stands on it</span>
        <input ref="picker" type="file" accept=".txt,.md,text/plain,text/markdown" class="hidden-words" tabindex="-1" aria-hidden="true" @change="readFile(($event.target as HTMLInputElement).files?.[0])">
        <button v-if="store.canEdit" class="press small" @click="picker?.click()">Read a text file</button>
      </div>
      <div ref="list" class="list" @scroll="scrolled = list!.scrollTop">
        <div :style="{ height: `${before}px` }" />
        <div
          v-for="row in inSight" :key="row.slide.id" class="slide" :class="{ here: row.slide.id === store.slideId, skipped: row.slide.skipped }" @focusin="store.slideId !== row.slide.id && store.goToSlide(row.slide.id)">
          <span class="number amount">{{ row.index + 1 }}</span>
          <div class="lines">
            <textarea
              rows="1" class="line title" :value="row.outline.title" :data-at="`${row.slide.id}:-1`" :aria-label="`Slide ${row.index + 1}`" placeholder="A line a slide. Paste several at once." :readonly="!store.canEdit"
              @input="type(row, -1, ($event.target as HTMLTextAreaElement).value)" @keydown="onKey($event, row, -1)" @paste="paste($event, row, -1)" />
            <div v-for="(line, index) in row.outline.lines" :key="index" class="under" :style="{ paddingLeft: `${(line.level - 1) * 20}px` }">
              <span class="bullet" aria-hidden="true" />
              <textarea
                rows="1" class="line" :value="line.text" :data-at="`${row.slide.id}:${index}`" :aria-label="`Slide ${row.index + 1}, line ${index + 1}`" :readonly="!store.canEdit"
                @input="type(row, index, ($event.target as HTMLTextAreaElement).value)" @keydown="onKey($event, row, index)" @paste="paste($event, row, index)" />
            </div>
            <div v-if="offered === row.slide.id" class="under">
              <span class="bullet" aria-hidden="true" />
              <textarea
                rows="1" class="line" value="" data-offered :aria-label="`Slide ${row.index + 1}, new line`" @blur="offered = null" @keydown.esc="offered = null" @keydown.enter.prevent
                @input="addLine(row, row.outline.lines.length, row.outline.lines.at(-1)?.level ?? 1, ($event.target as HTMLTextAreaElement).value); offered = null" />
            </div>
            <button v-else-if="store.canEdit && row.slide.id === store.slideId" class="add quiet" @click="offerLine(row.slide.id)">Add a line</button>
          </div>
          <span class="kind quiet">{{ row.slide.skipped ? 'skipped' : row.family.toLowerCase() }}</span>
          <UDropdownMenu v-if="store.canEdit" :items="slideMenu(row)"><button class="more" :aria-label="`What to do with slide ${row.index + 1}`"><UIcon name="i-lucide-ellipsis" /></button></UDropdownMenu>
        </div>
        <div :style="{ height: `${after}px` }" />
        <div v-if="!rows.length" class="none"><p>Nothing here yet. Write what you will say, a line a slide.</p><button class="press acts" @click="firstSlide">Begin</button></div>
        <button v-else-if="store.canEdit" class="press plain new" @click="newSlideAfter(rows.at(-1)!.slide.id)"><UIcon name="i-lucide-plus" />New slide at the end</button>
      </div>
    </section>
    <section v-if="current" class="ways" aria-label="Ways to lay out">
      <h2>Ways to lay out slide {{ current.index + 1 }}</h2>
      <p class="reason">{{ proposals[0]?.reason }}</p>
      <div class="grid">
        <button v-for="way in proposals" :key="way.family.name" class="way" :class="{ chosen: way.chosen }" :aria-pressed="way.chosen" :title="way.reason" :disabled="!store.canEdit" @click="choose(way.layout, way.family.label)">
          <span class="frame"><SlideThumb :deck="way.shown" :slide="current.slide.id" :width="212" prompts :label="`Slide ${current.index + 1} as ${way.family.label}`" /></span>
          <span class="caption"><b>{{ way.family.label }}</b><span class="quiet">room for {{ way.items }}</span></span>
        </button>
      </div>
      <div v-if="left" class="room">
        <b>Room left</b>
        <span v-if="left.overflowing.length" class="wrong">{{ left.overflowing.join(' and ') }}: more than fits, even at the smallest readable size.</span>
        <span v-else-if="left.scale < 1">Text shrank to {{ Math.round(left.scale * 100) }} % of its size to fit.</span>
        <span v-else>All text stands at its own size.</span>
        <span v-if="left.readable === null" class="quiet">{{ left.words }} words to read; the beats hold as long as reading takes, {{ secondsWords(left.seconds) }} in all.</span>
        <span v-else :class="left.words > left.readable ? 'wrong' : 'quiet'">{{ left.words }} of about {{ left.readable }} words readable in {{ secondsWords(left.seconds) }}.</span>
      </div>
    </section>
  </div>
</template>

<style scoped>
.outline-phase { display: grid; grid-template-columns: minmax(380px, 44%) 1fr; height: 100%; }
.say { display: flex; flex-direction: column; min-height: 0; border-right: 1px solid var(--line); }
.head { display: flex; align-items: baseline; gap: 10px; padding: 14px 16px 8px; }
.head h2 { font-size: 18px; white-space: nowrap; }
.hint { font-size: 13px; flex: 1; white-space: nowrap; overflow: hidden; text-overflow: ellipsis; }
.list { flex: 1; overflow-y: auto; padding: 0 16px 24px; min-height: 0; }
.slide { display: grid; grid-template-columns: 34px 1fr auto 26px; gap: 4px; padding: 8px 8px 8px 10px; border: 1.5px solid transparent; border-radius: 9px; margin-bottom: 2px; }
.slide.here { background: var(--panel); border-color: var(--act); }
.slide.skipped { opacity: 0.6; }
.number { color: var(--third); padding-top: 3px; }
.lines { min-width: 0; }
.line { display: block; width: 100%; border: 0; background: none; color: var(--ink); font: 400 15px/1.45 "Hanken Grotesk", sans-serif; resize: none; padding: 2px 0; outline: none; overflow: hidden; field-sizing: content; }
.line.title { font: 600 16px/1.35 "Bricolage Grotesque", sans-serif; }
.line::placeholder { color: var(--third); font-weight: 400; }
.under { display: grid; grid-template-columns: 16px 1fr; align-items: start; }
.bullet { width: 5px; height: 5px; border-radius: 50%; background: var(--second); margin-top: 12px; }
.add { border: 0; background: none; padding: 2px 0 0 16px; font: 400 13px "Hanken Grotesk"; cursor: pointer; }
.add:hover { color: var(--act); }
.kind { font-size: 13px; padding-top: 4px; text-align: right; max-width: 150px; }
.here .kind { color: var(--act); }
.more { border: 0; background: none; color: var(--third); cursor: pointer; padding: 4px; border-radius: 6px; height: 26px; opacity: 0; }
.slide:hover .more, .slide:focus-within .more { opacity: 1; }
.more:hover { background: var(--act-wash); color: var(--ink); }
.new { margin-top: 8px; color: var(--second); }
.none { padding: 30px; text-align: center; }
.ways { background: var(--panel); padding: 14px 20px 24px; overflow-y: auto; min-height: 0; }
.ways h2 { font-size: 18px; }
.reason { color: var(--second); margin: 4px 0 14px; }
.grid { display: grid; grid-template-columns: repeat(auto-fill, minmax(212px, 1fr)); gap: 14px 16px; }
.way { border: 0; background: none; padding: 0; text-align: left; cursor: pointer; font: inherit; color: inherit; width: 216px; }
.frame { display: block; border: 1px solid var(--line); border-radius: 8px; overflow: hidden; padding: 1px; }
.way:hover .frame { border-color: var(--act); }
.way.chosen .frame { border: 2px solid var(--act); padding: 0; }
.caption { display: flex; justify-content: space-between; gap: 8px; padding: 5px 2px 0; font-size: 13.5px; }
.caption .quiet { white-space: nowrap; }
.room { display: flex; flex-direction: column; gap: 2px; margin-top: 20px; border-top: 1px solid var(--line); padding-top: 12px; color: var(--second); }
.wrong { color: var(--wrong); }
</style>
