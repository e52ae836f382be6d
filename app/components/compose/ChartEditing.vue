<script setup lang="ts">
import {
  amountWay,
  atStep,
  boundsOfMark,
  cellOf,
  naming,
  shapeOf,
  shiftOf,
  subjectOf,
  type ChartLabel,
  type ChartMark,
  type MarkSubject,
  type TableCell,
} from '#core/charts'
import { columnNamed, gatheredFor, oneAmount } from '#core/data'
import { infoOf, type ChartElement } from '#core/model'
import { centerOf, turn } from '#core/place'
import type { ShownElement } from '#core/resolved'
import type { Grip } from '~/composables/pulling'

/**
 * Inside a chart on the stage: its words are moved and written, its marks highlighted by a press, and where its table is typed here, their
 * amounts pulled.
 */
const props = defineProps<{ element: ChartElement & ShownElement }>()
const emit = defineEmits<{ done: [] }>()
const store = useDeck()
const stage = useStage()
const { spec, table, drawing, set, lines, isWritten, write } = useChartInHand(() => props.element)
const place = useTemplateRef('place')

const language = computed(() => infoOf(store.current).language)
/** More handles than that cannot be told apart. */
const most = 300

const way = computed(() => (drawing.value ? amountWay(drawing.value) : null))
const subjects = computed(() => {
  const made = new Map<string, MarkSubject>()
  if (!table.value || !drawing.value) return made
  for (const mark of drawing.value.marks.slice(0, most * 4)) {
    const subject = made.has(mark.key) ? null : subjectOf(spec.value, table.value, mark, language.value)
    if (subject) made.set(mark.key, subject)
  }
  return made
})
const nameOf = ({ category, series }: MarkSubject) => [category?.label, series?.label].filter(Boolean).join(', ')
/** The ends of marks whose amounts can be pulled. */
const grips = computed((): Grip[] => {
  if (!isWritten.value || !way.value || !table.value) return []
  const made: Grip[] = []
  for (const mark of drawing.value!.marks) {
    if (made.length === most) break
    const subject = (mark.shape === 'bar' || mark.shape === 'point') && mark.value !== null ? subjects.value.get(mark.key) : undefined
    const cell = subject && cellOf(spec.value, table.value, subject, language.value)
    if (subject && typeof cell === 'object') made.push({ mark, cell, ...shapeOf(mark).anchor(mark), label: nameOf(subject) })
  }
  return made
})
const words = computed(() => (drawing.value?.labels ?? []).filter(({ key, angle }) => key !== undefined && !angle).slice(0, most))
const saidBy = ({ lines }: ChartLabel) => lines.join(' ')

/** A place on the stage in px from the chart’s top left. */
function inChart(event: PointerEvent | MouseEvent) {
  const { box } = props.element
  const at = turn(stage.point(event), centerOf(box), -box.angle)
  return { x: at.x - box.x, y: at.y - box.y }
}

/** A label on its way. */
const moving = ref<{ key: string; x: number; y: number } | null>(null)

function moveTo(label: ChartLabel, to: { x: number; y: number }) {
  const shift = shiftOf(label, drawing.value!, to)
  set({ moved: { ...spec.value.moved, [label.key!]: shift } }, 'move a label of')
}
function putBack({ key }: ChartLabel) {
  const { [key!]: _, ...others } = spec.value.moved ?? {}
  set({ moved: Object.keys(others).length ? others : undefined }, 'put back a label of')
}
function pressWords(event: PointerEvent, label: ChartLabel) {
  if (event.button !== 0) return
  const from = inChart(event)
  let to: { x: number; y: number } | null = null
  followPointer(
    event,
    move => {
      const at = inChart(move)
      if (!to && Math.hypot(at.x - from.x, at.y - from.y) * stage.scale < 3) return
      to = { x: label.x + at.x - from.x, y: label.y + at.y - from.y }
      moving.value = { key: label.key!, ...to }
    },
    given => {
      moving.value = null
      if (given && to) moveTo(label, to)
    },
  )
}
const arrows: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}
function keyOnWords(event: KeyboardEvent, label: ChartLabel) {
  const arrow = arrows[event.key]
  const step = event.altKey ? 1 : event.shiftKey ? 40 : 8
  if (arrow) moveTo(label, { x: label.x + arrow[0] * step, y: label.y + arrow[1] * step })
  else if (event.key === 'Delete' || event.key === 'Backspace') putBack(label)
  else if (event.key === 'Enter') begin(label)
  else return
  event.preventDefault()
}

const { pulling, pulledWords, change, pressGrip, pullOn, pulledTo } = usePulling({ table, drawing, way, write, inChart })
function keyOnGrip(event: KeyboardEvent, grip: Grip) {
  const more = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1, PageUp: 10, PageDown: -10 }[event.key]
  if (more) pullOn(grip, more)
  else if (event.key === 'Enter') beginAmount(grip)
  else return
  event.preventDefault()
}
/** On which side of its end a grip lies: within its bar, so that it covers no words; on a dot. */
function sideOf({ mark }: Grip) {
  if (mark.shape !== 'bar') return 'translate(-50%,-50%)'
  const inwards = mark.negative ? '0' : '-100%'
  return mark.lying ? `translate(${inwards},-50%)` : `translate(-50%,${mark.negative ? '-100%' : '0'})`
}

/** Highlights what is pressed, or no more. */
function press(event: PointerEvent) {
  if (event.button !== 0 || writing.value) return
  event.preventDefault()
  place.value?.focus({ preventScroll: true })
  const at = inChart(event)
  const under = [...(drawing.value?.marks ?? [])].reverse().filter(mark => {
    const box = boundsOfMark(mark)
    const slack = 6 / stage.scale
    return at.x >= box.x - slack && at.x <= box.x + box.width + slack && at.y >= box.y - slack && at.y <= box.y + box.height + slack
  })
  const area = (mark: ChartMark) => boundsOfMark(mark).width * boundsOfMark(mark).height
  const [mark] = under.sort((a, b) => area(a) - area(b))
  const subject = mark && table.value && subjectOf(spec.value, table.value, mark, language.value)
  if (!subject) return
  const entry =
    gatheredFor(spec.value, table.value!, language.value).series.length > 1 ? (subject.series ?? subject.category) : subject.category
  if (!entry) return
  const { highlighted } = spec.value
  const next = highlighted.includes(entry.key) ? highlighted.filter(key => key !== entry.key) : [...highlighted, entry.key]
  set({ highlighted: next }, 'highlight in')
}

/** What is being written: an amount, or the name of a category. */
const writing = ref<{
  label: { x: number; y: number; width: number; size: number }
  words: string
  of: string
  done: (words: string) => void
} | null>(null)
/** The mark of a label, by what the two are called. */
const subjectBy = ({ key = '' }: ChartLabel) => subjects.value.get(key.slice(key.indexOf(' ') + 1))
function begin(label: ChartLabel) {
  const subject = subjectBy(label)
  if (!subject || !table.value) return notifyProblem(`“${saidBy(label)}” is computed. Change what it is made of.`)
  if (label.kind === 'value') {
    const cell = cellOf(spec.value, table.value, subject, language.value)
    return typeof cell === 'string' ? notifyProblem(cell) : writeAmount(label, cell, nameOf(subject))
  }
  const named = naming(spec.value, table.value, subject)
  const entry = subject.category ?? subject.series
  if (!named || !entry) return notifyProblem(`“${saidBy(label)}” is a moment: change it ${lines.value ? 'in its line' : 'in the grid'}.`)
  if (!isWritten.value) return notifyProblem(fromFile())
  writing.value = {
    label,
    words: entry.label,
    of: `Name of ${entry.label}`,
    done: next => {
      if (!next.trim() || next.trim() === entry.label) return
      const cells = named.rows.map(row => ({ row, column: named.column, value: next.trim() }))
      void write(cells, `${entry.label} is called ${next.trim()} now.`)
    },
  }
}
const fromFile = () => `These rows come from “${table.value?.name}”. Change them there; it becomes the next version.`
function beginAmount(grip: Grip) {
  const width = 120
  writeAmount({ x: grip.x, y: grip.y, width, size: 28 }, grip.cell, grip.label)
}
/** Writes an amount with what stands before and behind it; those are the chart’s, the number is the table’s. */
function writeAmount(label: { x: number; y: number; width: number; size: number }, cell: TableCell, name: string) {
  const { format } = spec.value
  const column = columnNamed(table.value!, cell.column)
  const plain = cell.value === null ? '' : column?.kind === 'percent' ? `${atStep(cell.value * 100, 1e-6)} %` : String(cell.value)
  const text = `${format.prefix}${plain}${format.suffix}`
  writing.value = {
    label,
    words: text,
    of: `Amount of ${name}`,
    done: next => {
      if (next === text) return
      const read = oneAmount(next, language.value)
      if (!read) return notifyProblem(`“${next}” holds no number.`)
      const { value, before, after } = read
      if (before !== format.prefix || after !== format.suffix)
        set({ format: { ...format, prefix: before.slice(0, 20), suffix: after.slice(0, 40) } }, 'write the numbers of')
      if (value === cell.value) return
      if (isWritten.value) void change({ cell, label: name }, value)
      else notifyProblem(fromFile())
    },
  }
}
function keyInField(event: KeyboardEvent) {
  if (event.key !== 'Enter' && event.key !== 'Escape') return
  event.preventDefault()
  event.stopPropagation()
  end(event.key === 'Enter')
}
/** Ends writing; the chart has the keys again. */
function end(keep: boolean) {
  const ended = writing.value
  if (!ended) return
  writing.value = null
  if (keep) ended.done(ended.words)
  void nextTick(() => place.value?.focus({ preventScroll: true }))
}

/** It is left by Escape, wherever the focus is, unless that closes something else. */
onKeys(event => {
  if (event.key === 'Escape' && !isTyping(event.target) && !writing.value) emit('done')
})
onMounted(() => place.value?.focus({ preventScroll: true }))
const box = computed(() => {
  const { x, y, width, height, angle } = props.element.box
  return { left: `${x}px`, top: `${y}px`, width: `${width}px`, height: `${height}px`, transform: angle ? `rotate(${angle}deg)` : undefined }
})
const around = ({ x, y, width, height }: Pick<ChartLabel, 'x' | 'y' | 'width' | 'height'>, by = 4) => ({
  left: `${x - width / 2 - by}px`,
  top: `${y - height / 2}px`,
  width: `${width + 2 * by}px`,
  height: `${height}px`,
})
/** Words are written no smaller than they can be read. */
const writingStyle = computed(() => {
  const { label } = writing.value!
  const size = Math.max(label.size, 16 / stage.scale)
  const width = Math.max(label.width, size * 8)
  return { ...around({ ...label, width, height: size * 1.7 }, size * 0.5), fontSize: `${size}px`, '--thick': `${2 / stage.scale}px` }
})
const still = (label: ChartLabel) => (moving.value?.key === label.key ? { ...label, ...moving.value } : label)
</script>

<template>
  <div
    ref="place"
    class="charting"
    :style="box"
    tabindex="-1"
    role="group"
    :aria-label="`Inside ${element.name}`"
    data-test="charting"
    @pointerdown.stop="press"
    @dblclick.stop
  >
    <span class="edge" :style="{ outlineWidth: `${2 / stage.scale}px` }" />
    <span
      v-for="grip in grips"
      :key="grip.mark.key"
      class="grip"
      :class="{ along: way!.along === 'x', pulled: pulling?.key === grip.mark.key }"
      :style="{
        left: `${pulledTo(grip).x}px`,
        top: `${pulledTo(grip).y}px`,
        transform: `scale(${1 / stage.scale}) ${sideOf(grip)}`,
      }"
      role="slider"
      tabindex="0"
      :data-grip="grip.mark.key"
      :aria-label="grip.label"
      :aria-valuenow="pulling?.key === grip.mark.key ? pulling.value : grip.cell.value!"
      :aria-valuetext="(drawing?.write ?? String)(pulling?.key === grip.mark.key ? pulling.value : grip.cell.value!)"
      @pointerdown.stop="pressGrip($event, grip)"
      @dblclick.stop="beginAmount(grip)"
      @keydown="keyOnGrip($event, grip)"
    >
      <span v-if="pulling?.key === grip.mark.key" class="pulled-words">{{ pulledWords }}</span>
    </span>
    <span
      v-for="label in words"
      :key="label.key"
      class="words"
      :class="{ moved: spec.moved?.[label.key!], moving: moving?.key === label.key }"
      :style="{ ...around(still(label)), outlineWidth: `${1.5 / stage.scale}px` }"
      role="button"
      tabindex="0"
      :data-words="label.key"
      :aria-label="`${saidBy(label)}: arrow keys move it, Enter writes it${spec.moved?.[label.key!] ? ', Delete puts it back' : ''}`"
      @pointerdown.stop="pressWords($event, label)"
      @dblclick.stop="begin(label)"
      @keydown="keyOnWords($event, label)"
    />
    <span v-if="writing" class="writing" :style="writingStyle" @pointerdown.stop>
      <CellField v-model="writing.words" :label="writing.of" :most="200" @key="keyInField" @leave="end(true)" />
    </span>
  </div>
</template>

<style scoped>
.charting {
  position: absolute;
  outline: none;
  cursor: default;
  touch-action: none;
}
.edge {
  position: absolute;
  inset: 0;
  outline: 2px dashed var(--act);
  pointer-events: none;
}
.words {
  position: absolute;
  border-radius: 4px;
  cursor: move;
  touch-action: none;
  outline: 0 solid transparent;
}
.words:hover,
.words:focus-visible,
.words.moving {
  outline-style: solid;
  outline-color: var(--act);
  background: color-mix(in srgb, var(--act) 10%, transparent);
}
.words.moved {
  outline-style: dotted;
  outline-color: #b4761a;
}
.grip {
  position: absolute;
  width: 22px;
  height: 8px;
  border: 1.5px solid #7a4f0d;
  border-radius: 4px;
  transform-origin: 0 0;
  background: #e6a037;
  cursor: ns-resize;
  touch-action: none;
}
.grip::after {
  content: '';
  position: absolute;
  inset: -5px;
}
.grip.along {
  width: 8px;
  height: 22px;
  cursor: ew-resize;
}
.grip:focus-visible {
  outline: 3px solid var(--act);
  outline-offset: 2px;
}
.pulled-words {
  position: absolute;
  left: 50%;
  bottom: calc(100% + 8px);
  transform: translateX(-50%);
  padding: 2px 10px;
  border-radius: 6px;
  background: var(--ink);
  color: var(--panel);
  font-size: 14px;
  font-weight: 600;
  white-space: nowrap;
  pointer-events: none;
}
.grip.along .pulled-words {
  left: calc(100% + 8px);
  bottom: 50%;
  transform: translateY(50%);
}
.writing {
  position: absolute;
  z-index: 3;
}
.writing :deep(input) {
  box-shadow: 0 0 0 var(--thick) var(--act);
  padding: 0 0.4em;
}
</style>
