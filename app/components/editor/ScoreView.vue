<script setup lang="ts">
import { useElementSize, useLocalStorage } from '@vueuse/core'
import { addBeat, removeBeat, setFields, type Beat } from '#core/deck'
import { gestureNamed, poseNamed } from '#core/figures'
import { effectNamed, lanesOf, laterWaits, mergeBeats, moveBeat, nearestMoment, partWords, setLength, shiftsOf, splitBeat, type ScoreCue } from '#core/timing'
import type { ScoreTurn } from './ScorePart.vue'

/** Beats across to true time, parts down, cues as bars whose shape tells what they do. */
const props = defineProps<{ proposed?: readonly number[] }>()
const store = useDeck()
const many = useScore()
const sounds = useSounds()
const soundLanes = ref<{ speech: readonly { from: number, until: number }[] }>()
const stage = useStageHost()
const area = ref<HTMLElement>()
const { width } = useElementSize(area)
const names = 172
const context = { id: freshId }

const score = computed(() => store.score!)
/** The row of a board’s camera, beside those of elements. */
const cameraRow = 'camera'
const board = useBoard()
const rows = computed(() => [...score.value.elements].filter(element => !element.pinned).reverse())
const least = 150
/** px a second: the whole slide in sight where beats stay wide enough to be read. */
const unit = computed(() => {
  const room = Math.max(300, width.value - names - 24)
  return Math.max(8, Math.min(90, room / Math.max(1, score.value.length)))
})
/** A drag under way: the waits of the cues that move, or one cue’s length, or one beat’s hold, seconds. */
const dragged = ref<{ delays?: ReadonlyMap<string, number>, cue?: string, duration?: number, beat?: string, hold?: number } | null>(null)

/** How the beats are laid out, whether what comes later keeps its distance, and which rows are open. */
const evenly = useLocalStorage('score-evenly', false)
const ripples = useLocalStorage('score-ripples', false)
const opened = ref(new Set<string>())
const ways = computed(() => [
  [{ label: 'Beats as wide as they last', type: 'checkbox' as const, checked: !evenly.value, onUpdateChecked: () => { evenly.value = false } }, { label: 'All beats equally wide', type: 'checkbox' as const, checked: evenly.value, onUpdateChecked: () => { evenly.value = true } }],
  [{ label: 'What comes later in a beat moves along', type: 'checkbox' as const, checked: ripples.value, onUpdateChecked: (on: boolean) => { ripples.value = on } }],
])

interface Column { /** px a second in it. */ unit: number, index: number, beat: Beat, x: number, width: number, start: 'open' | 'advance' | 'self', moves: number, hold: number }
const columns = computed<Column[]>(() => {
  let x = 0
  return score.value.beats.map(item => {
    const hold = dragged.value?.beat === item.beat.id && dragged.value.hold !== undefined ? dragged.value.hold : item.hold
    const wide = evenly.value ? Math.max(least, (width.value - names - 24) / score.value.beats.length) : Math.max(least, (item.moves + hold) * unit.value)
    const made = { unit: evenly.value ? wide / Math.max(0.5, item.moves + hold) : unit.value, index: item.index, beat: item.beat, x, width: wide, start: item.start, moves: item.moves, hold }
    x += wide
    return made
  })
})
const total = computed(() => (columns.value.at(-1)?.x ?? 0) + (columns.value.at(-1)?.width ?? 0))

/** How much later a drag under way lets cues come, seconds. */
const shifts = computed(() => {
  const waits = dragged.value?.delays
  return waits ? new Map(score.value.beats.flatMap(beat => [...shiftsOf(beat.cues.map(item => item.cue), waits)])) : null
})
/** How wide the words beside a bar that is too narrow for them are, px, about. */
const besideBar = (label: string) => label.length * 6.4 + 14
/** What moves as one: the cues of an element, or of a board’s camera. */
const cuesOfRow = (row: string) => (row === cameraRow ? (score.value.board?.camera.legs ?? []).map(leg => leg.cue) : score.value.tracks.get(row)?.cues ?? [])
/** The bars of one row, each in the first lane where it lies on no other; a drag under way is shown before it is an edit. */
function barsOf(row: string) {
  const made = cuesOfRow(row).map(item => {
    const live = dragged.value?.cue === item.cue.id ? dragged.value : null
    const start = item.start + (shifts.value?.get(item.cue.id) ?? 0)
    const length = live?.duration !== undefined ? item.end - item.start + live.duration - item.round : item.end - item.start
    const column = columns.value[item.beat]!
    const label = row === cameraRow ? `To ${board.nameOf(item.cue.options.view)}` : labelOf(item)
    const plays = item.cue.what === 'media' && item.effect.name !== 'clip-pause' ? Math.min(playing(item), Math.max(0, column.moves + column.hold - start)) : length
    const [x, wide] = [column.x + start * column.unit, Math.max(16, plays * column.unit)]
    return { item, x, width: wide, label }
  })
  const lanes = lanesOf(made.map(({ x, width, label }) => ({ from: x + 1, to: x + width + (width < thinnest ? besideBar(label) : 0) })))
  return made.map((bar, index) => ({ ...bar, lane: lanes[index]! }))
}
/** How long a clip plays that a cue lets play, seconds; a loop until its slide ends. */
const playing = (item: ScoreCue) => {
  const track = score.value.tracks.get(item.cue.element!)
  return track?.looping ? Infinity : track?.clip?.seconds ?? 0
}
/** Bars under this many px have their words beside them. */
const thinnest = 60
const bars = computed(() => new Map([...(score.value.board ? [cameraRow] : []), ...rows.value.map(element => element.id)].map(row => [row, barsOf(row)])))
/** How high the bars of a row are, and under them the turns of its parts, where it is open. */
const barsHeight = (row: string) => 36 + 28 * Math.max(0, ...bars.value.get(row)!.map(bar => bar.lane))
const heightOf = (row: string) => barsHeight(row) + turnsOf(row).length * turnHeight
const turnHeight = 20
const toggle = (row: string) => { opened.value = new Set(opened.value.has(row) ? [...opened.value].filter(one => one !== row) : [...opened.value, row]) }
const opening = (row: string) => bars.value.get(row)!.some(({ item }) => item.cue.parts && (item.span?.count ?? 0) > 1)
/** Each part that takes its turn in a cue of an open row, one under the other. */
function turnsOf(row: string): ScoreTurn[] {
  const track = opened.value.has(row) ? score.value.tracks.get(row) : undefined
  if (!track) return []
  let top = barsHeight(row) - 2
  return bars.value.get(row)!.flatMap(({ item, x }) => {
    const { span } = item
    if (!item.cue.parts || !span || span.count < 2) return []
    const { unit: px } = columns.value[item.beat]!
    const words = partWords(store.deck!, track, span, stage.host)
    return words.map((text, index): ScoreTurn => {
      const made = { cue: item.cue.id, tone: item.cue.what, index, words: text || `${index + 1}`, x: x + index * span.stagger * px, step: px, width: Math.max(8, item.round * px), top, stagger: span.stagger }
      top += turnHeight
      return made
    })
  })
}
const setStagger = (id: string, stagger: number) => {
  const cue = store.deck!.cues[id]
  if (cue?.parts) store.edit('change the turns of parts', setFields(store.deck!, { table: 'cues', id, fields: { parts: { ...cue.parts, stagger } } }))
}
const labelOf = (item: ScoreCue) => (item.cue.effect === 'gesture' ? gestureNamed(String(item.cue.options.gesture))?.label : item.cue.effect === 'take-pose' ? poseNamed(String(item.cue.options.pose)).label : null) ?? effectNamed(item.cue.effect).label + partsSaid(item)
function partsSaid({ cue, span }: ScoreCue) {
  if (!cue.parts) return ''
  const { from, to } = cue.parts.range ?? { from: 0, to: null }
  const word = { paragraph: 'line', line: 'row', word: 'word', letter: 'letter', mark: 'bar', series: 'series', item: 'item' }[cue.parts.by]
  if (!cue.parts.range) return `, ${word} by ${word}`
  return to === from || span?.count === 1 ? `, ${word} ${from + 1}` : `, from ${word} ${from + 1}`
}

const tenth = (value: number) => Math.max(0, Math.round(value * 20) / 20)

/** Where the slide’s voice begins and ends to speak, seconds into a beat. */
function marksInSound(beat: number): number[] {
  const voice = sounds.plan?.soundings.find(one => one.id === sounds.voice?.id)
  const slide = store.plan?.slides.find(one => one.slide === store.slideId)
  const start = slide?.beats[beat]?.start
  if (!voice || start === undefined) return []
  return (soundLanes.value?.speech ?? []).flatMap(({ from, until }) => [from, until]).map(second => voice.start + (second - voice.span.from) / voice.span.speed - start)
}

/** The moments of a beat that a bar snaps to, seconds into it: edges of other cues, of the beat, of what is spoken, and the playhead. */
function momentsOf(beat: number, without: ReadonlySet<string>): number[] {
  const entry = score.value.beats[beat]!
  const at = store.moment?.slide === store.slideId && store.moment.beat === beat ? [store.moment.seconds] : []
  return [0, entry.length, ...at, ...marksInSound(beat), ...entry.cues.filter(item => !without.has(item.cue.id)).flatMap(item => [item.start, item.end])]
}
const reach = 6
function snapped(event: PointerEvent, beat: number, edges: readonly number[], by: number, without: ReadonlySet<string>): number {
  if (event.altKey) return by
  const moments = momentsOf(beat, without)
  for (const edge of edges) {
    const near = nearestMoment(edge + by, moments, reach / columns.value[beat]!.unit)
    if (near !== null) return near - edge
  }
  return by
}
const hundredth = (value: number) => Math.max(0, Math.round(value * 100) / 100)

function pressCue(event: PointerEvent, item: ScoreCue, part: 'body' | 'edge') {
  if (event.button !== 0) return
  const { cue } = item
  const more = event.shiftKey || event.ctrlKey || event.metaKey
  many.choose(cue.id, more)
  if (cue.element && !more) store.select(cue.element)
  if (!store.canEdit || more) return
  const moving = part === 'body' && many.chosen.includes(cue.id) ? many.chosen.map(id => store.deck!.cues[id]!) : [cue]
  const ids = new Set(moving.map(one => one.id))
  // What follows another of them comes along with it.
  const leading = moving.filter(one => one.anchor.to === 'beat' || !ids.has(one.anchor.cue))
  let far = false
  const free = (next: PointerEvent) => (next.clientX - event.clientX) / columns.value[item.beat]!.unit
  followPointer(event, next => {
    far ||= Math.abs(next.clientX - event.clientX) > 3
    if (!far) return
    if (part === 'edge') {
      const by = snapped(next, item.beat, [item.end], free(next), ids)
      const duration = Math.max(0.05, hundredth(item.round + by / Math.max(1, cue.repeat === 'forever' ? 1 : cue.repeat)))
      const grown = (duration - item.round) * (cue.repeat === 'forever' ? 1 : cue.repeat)
      dragged.value = { cue: cue.id, duration, ...(ripples.value ? { delays: laterWaits(score.value.beats[item.beat]!, ids, item.end, grown) } : {}) }
      return
    }
    const by = Math.max(snapped(next, item.beat, [item.start, item.end], free(next), ids), -Math.min(...leading.map(one => one.delay)))
    const later = ripples.value ? laterWaits(score.value.beats[item.beat]!, ids, Math.min(item.start, ...leading.map(one => startOf(item.beat, one.id))), by) : []
    dragged.value = { delays: new Map([...later, ...leading.map(one => [one.id, hundredth(one.delay + by)] as const)]) }
  }, given => {
    const made = (given && dragged.value) || {}
    dragged.value = null
    if (made.duration !== undefined && made.duration !== item.round) store.edit(`retime ${store.deck!.elements[cue.element ?? '']?.name ?? 'the camera'}`, [...setLength(store.deck!, cue.id, made.duration), ...many.waiting(made.delays ?? new Map())])
    else if (made.delays && made.duration === undefined) many.shift(made.delays)
    // A plain press on one of several chosen ones means that one.
    else if (given && !far) many.only(cue.id)
  })
}

const startOf = (beat: number, cue: string) => score.value.beats[beat]!.cues.find(one => one.cue.id === cue)?.start ?? 0

/** The line at a beat's end: dragging it changes how long the beat holds. */
function pressLine(event: PointerEvent, column: Column) {
  if (event.button !== 0 || !store.canEdit) return
  followPointer(event, next => {
    dragged.value = { beat: column.beat.id, hold: tenth(column.hold + (next.clientX - event.clientX) / column.unit) }
  }, given => {
    const hold = dragged.value?.hold
    dragged.value = null
    if (given && hold !== undefined) store.edit(`hold beat ${column.index + 1}`, setFields(store.deck!, { table: 'beats', id: column.beat.id, fields: { hold: { kind: 'seconds', seconds: hold } } }))
  })
}

const now = computed(() => {
  const moment = store.moment
  if (!moment || moment.slide !== store.slideId) return null
  const column = columns.value[moment.beat]
  return column && moment.seconds >= 0 ? column.x + Math.min(moment.seconds * column.unit, column.width) : 0
})
function scrub(event: PointerEvent) {
  store.stop()
  const box = (event.currentTarget as HTMLElement).closest('.columns')!.getBoundingClientRect()
  const at = (clientX: number) => {
    const x = Math.max(0, clientX - box.left)
    const column = columns.value.findLast(candidate => candidate.x <= x) ?? columns.value[0]
    if (!column) return
    const seconds = Math.min(column.moves + column.hold, (x - column.x) / column.unit)
    store.goTo({ slide: store.slideId!, beat: column.index, seconds })
  }
  at(event.clientX)
  followPointer(event, next => at(next.clientX))
}

const beatIndex = computed(() => (store.moment?.slide === store.slideId ? Math.min(store.moment!.beat, columns.value.length - 1) : 0))
const { menu, cameraMenu } = useMotionMenus(() => score.value.beats[beatIndex.value]!.beat)
function newBeat() {
  const here = columns.value[beatIndex.value]
  // Inside a beat it begins at the playhead, with what comes from there on; at its end it follows.
  if (here && canPart(here) && score.value.beats[here.index]!.cues.some(item => item.start >= store.moment!.seconds)) return part(here)
  const after = score.value.beats[beatIndex.value]?.beat ?? null
  const changes = addBeat(store.deck!, { slide: store.slideId!, after: after?.id ?? null, start: store.purpose === 'talk' ? 'advance' : 'self' }, context)
  store.edit('new beat', changes)
  store.goTo({ slide: store.slideId!, beat: beatIndex.value + 1, seconds: 0 })
}
const setBeat = (beat: Beat, label: string, fields: Partial<Beat>) => store.edit(label, setFields(store.deck!, { table: 'beats', id: beat.id, fields }))
const beatMenu = (column: Column) => [
  [
    ...(column.index > 0 ? [{ label: column.start === 'advance' ? 'Start by itself' : 'Start on advance', onSelect: () => setBeat(column.beat, 'change how a beat starts', { start: column.start === 'advance' ? 'self' : 'advance' }) }] : []),
    { label: 'Hold as long as reading takes', onSelect: () => setBeat(column.beat, `hold beat ${column.index + 1}`, { hold: { kind: 'reading' } }) },
    { label: 'Hold until its clip or voice ends', onSelect: () => setBeat(column.beat, `hold beat ${column.index + 1}`, { hold: { kind: 'media' } }) },
    { label: `Hold ${secondsWords(column.hold)}, fixed`, onSelect: () => setBeat(column.beat, `hold beat ${column.index + 1}`, { hold: { kind: 'seconds', seconds: column.hold } }) },
  ],
  [
    { label: 'Part it at the playhead', disabled: !canPart(column), onSelect: () => part(column) },
    { label: 'Join it with the next', disabled: column.index + 1 >= columns.value.length, onSelect: () => store.edit('join beats', mergeBeats(store.deck!, score.value, { beat: column.beat.id })) },
    { label: 'Earlier by one', disabled: column.index === 0, onSelect: () => store.edit('move a beat', moveBeat(store.deck!, { beat: column.beat.id, by: -1 })) },
    { label: 'Later by one', disabled: column.index + 1 >= columns.value.length, onSelect: () => store.edit('move a beat', moveBeat(store.deck!, { beat: column.beat.id, by: 1 })) },
  ],
  columns.value.length > 1 ? [{ label: 'Remove the beat, keep its cues', onSelect: () => store.edit('remove a beat', removeBeat(store.deck!, { beat: column.beat.id })) }] : [],
].filter(list => list.length)
function part(column: Column) {
  store.edit('part a beat', splitBeat(store.deck!, score.value, { beat: column.beat.id, at: store.moment!.seconds, start: store.purpose === 'talk' ? 'advance' : 'self' }, context))
  store.goTo({ slide: store.slideId!, beat: column.index + 1, seconds: 0 })
}
const canPart = (column: Column) => store.moment?.slide === store.slideId && store.moment.beat === column.index && store.moment.seconds > 0.01 && store.moment.seconds < column.moves + column.hold - 0.01
const startWords = { open: 'as the slide opens', advance: 'on advance', self: 'goes on by itself' }
const holdWords = (column: Column) => (column.beat.hold.kind === 'reading' ? 'as long as reading takes' : column.beat.hold.kind === 'media' ? 'until its clip or voice ends' : `holds ${secondsWords(column.hold)}`)

function onKey(event: KeyboardEvent) {
  if (isTyping(event.target) || event.altKey || !store.canEdit) return
  const key = event.key.toLowerCase()
  const held = event.ctrlKey || event.metaKey
  const doing = held
    ? key === 'c' && many.chosen.length ? () => many.copy() : key === 'v' && many.clipping && store.selection.length ? () => many.paste(store.selection, 'add') : null
    : key === 'b' ? newBeat : (key === 'delete' || key === 'backspace') && many.chosen.length ? () => many.remove() : null
  if (!doing) return
  event.preventDefault()
  doing()
}
onKeys(onKey)
defineExpose({ newBeat })
</script>

<template>
  <div ref="area" class="score">
    <div class="inner" :style="{ width: `${names + total + 24}px` }">
      <div class="head">
        <div class="corner"><b>Score</b><span class="quiet">beats across, parts down</span><UDropdownMenu :items="ways"><button class="press plain small ways" aria-label="How the score is laid out" title="How the score is laid out"><UIcon name="i-lucide-sliders-horizontal" /></button></UDropdownMenu></div>
        <div class="columns" :style="{ width: `${total}px` }" @pointerdown.self="scrub">
          <div v-for="column in columns" :key="column.beat.id" class="column" :class="{ even: column.index % 2 }" :style="{ left: `${column.x}px`, width: `${column.width}px` }" @pointerdown="scrub">
            <UDropdownMenu v-if="store.canEdit" :items="beatMenu(column)"><button class="beat" :aria-label="`Beat ${column.index + 1}`" @pointerdown.stop><b>Beat {{ column.index + 1 }}</b> <span class="amount quiet">{{ secondsWords(column.moves + column.hold) }}</span><UIcon name="i-lucide-chevron-down" /></button></UDropdownMenu>
            <span v-else class="beat"><b>Beat {{ column.index + 1 }}</b></span>
            <span class="how" :class="column.start" :title="`${startWords[column.start]}, ${holdWords(column)}`">{{ startWords[column.start] }}<span class="quiet">, {{ holdWords(column) }}</span></span>
          </div>
        </div>
      </div>
      <div class="body">
        <div class="lanes" :style="{ left: `${names}px`, width: `${total}px` }">
          <div v-for="column in columns" :key="column.beat.id" class="lane" :class="{ even: column.index % 2 }" :style="{ left: `${column.x}px`, width: `${column.width}px` }">
            <span class="held" :style="{ left: `${column.moves * column.unit}px`, width: `${Math.max(0, column.hold * column.unit)}px` }" />
            <span class="line" :class="columns[column.index + 1]?.start ?? 'end'" title="Drag to change how long the beat holds" role="separator" :aria-label="`End of beat ${column.index + 1}`" :style="{ left: `${Math.max(column.width, 0)}px` }" @pointerdown="pressLine($event, column)" />
          </div>
        </div>
        <div v-if="score.board" class="part" :style="{ height: `${heightOf(cameraRow)}px` }">
          <span class="name"><span class="choose"><span>Camera</span><span class="quiet">board</span></span></span>
          <div class="bars" :style="{ width: `${total}px` }">
            <ScoreBars :bars="bars.get(cameraRow)!" name="the camera" :thinnest="thinnest" @press="pressCue" />
            <UDropdownMenu v-if="store.canEdit" :items="cameraMenu" :content="{ align: 'start' }" :ui="{ content: 'max-h-96 overflow-y-auto' }"><button class="plus" aria-label="Let the camera go"><UIcon name="i-lucide-plus" />go to</button></UDropdownMenu>
          </div>
        </div>
        <div v-for="element in rows" :key="element.id" class="part" :style="{ height: `${heightOf(element.id)}px` }" :class="{ here: store.selection.includes(element.id) }">
          <span class="name"><button class="choose" @click="store.select(element.id)"><span>{{ element.name }}</span><span class="quiet">{{ element.kind }}</span></button><button v-if="opening(element.id)" class="press plain small opens" :aria-expanded="opened.has(element.id)" :aria-label="`Parts of ${element.name}`" title="Its parts, each with its turn" @click="toggle(element.id)"><UIcon :name="opened.has(element.id) ? 'i-lucide-chevron-down' : 'i-lucide-chevron-right'" /></button></span>
          <div class="bars" :style="{ width: `${total}px` }">
            <ScoreBars :bars="bars.get(element.id)!" :name="element.name" :thinnest="thinnest" @press="pressCue" />
            <ScorePart v-for="turn in turnsOf(element.id)" :key="`${turn.cue}-${turn.index}`" :turn="turn" @stagger="(cue, stagger) => setStagger(cue, stagger)" />
            <UDropdownMenu v-if="store.canEdit" :items="menu(element)" :content="{ align: 'start' }" :ui="{ content: 'max-h-96 overflow-y-auto' }"><button class="plus" :aria-label="`Motion for ${element.name}`"><UIcon name="i-lucide-plus" />motion</button></UDropdownMenu>
          </div>
        </div>
        <SoundLanes v-if="sounds.here.length" ref="soundLanes" :columns="columns" :total="total" :proposed="props.proposed ?? []" />
        <p v-if="!rows.length" class="quiet none">Nothing stands on this slide yet. Compose puts parts on it; here they get their time.</p>
        <div v-if="now !== null" class="playhead" :style="{ transform: `translateX(${names + now}px)` }" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.score { overflow: auto; background: var(--panel); height: 100%; position: relative; }
.inner { min-height: 100%; position: relative; min-width: 100%; }
.head { display: flex; position: sticky; top: 0; z-index: 6; background: var(--panel); height: 54px; border-bottom: 1px solid var(--line); }
.corner { width: 172px; flex: none; padding: 8px 14px; position: sticky; left: 0; background: var(--panel); z-index: 2; border-right: 1px solid var(--line); display: flex; flex-direction: column; }
.corner .quiet { font-size: 12.5px; white-space: nowrap; }
.columns { position: relative; cursor: col-resize; }
.column { position: absolute; top: 0; bottom: 0; padding: 5px 8px 0; display: flex; flex-direction: column; overflow: hidden; touch-action: none; }
.even { background: color-mix(in srgb, var(--act) 5%, transparent); }
.beat { display: inline-flex; align-items: center; gap: 5px; align-self: flex-start; border: 0; background: none; color: inherit; font: inherit; padding: 1px 4px; margin-left: -4px; border-radius: 5px; cursor: pointer; }
.beat:hover { background: var(--act-wash); }
.how { font-size: 12.5px; white-space: nowrap; overflow: hidden; text-overflow: ellipsis; color: var(--second); }
.how.advance { color: var(--act); }
.body { position: relative; min-height: 120px; }
.lanes { position: absolute; top: 0; bottom: 0; }
.lane { position: absolute; top: 0; bottom: 0; }
.held { position: absolute; top: 0; bottom: 0; background: repeating-linear-gradient(135deg, transparent 0 7px, color-mix(in srgb, var(--line) 55%, transparent) 7px 8px); opacity: 0.55; }
.line { position: absolute; top: 0; bottom: 0; width: 11px; margin-left: -6px; cursor: ew-resize; z-index: 3; touch-action: none; }
.line::before { content: ""; position: absolute; left: 5px; top: 0; bottom: 0; border-left: 2px solid var(--act); }
.line.self::before { border-left-style: dotted; border-color: var(--third); }
.line.end::before { border-left: 4px double var(--third); }
.line:hover::before { border-color: var(--now); }
.part { display: flex; border-bottom: 1px solid color-mix(in srgb, var(--line) 60%, transparent); position: relative; }
.name { width: 172px; flex: none; display: flex; justify-content: space-between; align-items: flex-start; gap: 8px; padding: 0 12px 0 14px; border: 0; border-right: 1px solid var(--line); background: var(--panel); color: inherit; font: inherit; position: sticky; left: 0; z-index: 5; text-align: left; cursor: pointer; }
.choose { display: flex; flex: 1; min-width: 0; justify-content: space-between; align-items: center; gap: 8px; height: 36px; line-height: inherit; border: 0; background: none; padding: 0; color: inherit; font: inherit; text-align: left; cursor: pointer; }
.opens { padding: 2px; margin: 7px -8px 0 0; line-height: 1; }
.ways { position: absolute; right: 4px; top: 6px; padding: 4px 6px; }
.name span:first-child { overflow: hidden; text-overflow: ellipsis; white-space: nowrap; }
.part.here .name { background: var(--act-wash); font-weight: 600; }
.name .quiet { font-size: 12.5px; }
.bars { position: relative; height: 100%; }
.plus { position: absolute; right: 4px; top: 6px; height: 24px; border: 1px solid var(--line); background: var(--panel); color: var(--second); border-radius: 999px; display: inline-flex; align-items: center; gap: 3px; padding: 0 8px 0 5px; font: 500 12px "Hanken Grotesk"; cursor: pointer; opacity: 0; z-index: 4; }
.part:hover .plus, .part.here .plus, .plus:focus-visible, .plus[data-state=open] { opacity: 1; }
.playhead { position: absolute; left: -1px; top: -54px; bottom: 0; width: 2px; background: var(--now); z-index: 7; pointer-events: none; }
.none { padding: 30px; }
</style>
