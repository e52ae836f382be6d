import { deckTheme, setRecord, applyChanges, slidesOf, textOf, type Deck } from '../core/model'
import { contrastOf } from '../core/contrast'
import { createTimeline, cubicBezier } from 'animejs'
import * as Y from 'yjs'
import Papa from 'papaparse'
import { readCsv } from '../core/data'
import { previewElements, shownElements } from '../core/resolved'
import { designing, insertOutline, newDeck, propose, putLook, roomFor, threeLooks, wishFor } from '../core/layouts'
import { applyToDocument, fillDocument, mirrorOf } from '../core/live'
import { boundsOf, movedBy, snapMove } from '../core/place'
import { layoutOfElement, rememberingMeasurer } from '../core/text'
import { compileSlide, frameAt } from '../core/timing'
import { context, deckOf } from './decks'
import { labelled, missedBy } from '../scripts/testing/labelled/read'
import { finish, frame, median, report } from './report'

const busy = deckOf(1, 40, 40, 2)
const slide = slidesOf(busy)[1]!.id
const score = compileSlide(busy, slide, context)
const at = median(2000, index => frameAt(score, { beat: 0, seconds: (index % 300) / 60 }))
report('frameAt, 40 elements and 80 cues', (100 * at) / frame, 1, '% of a frame')

/** The same motion for a general-purpose timeline: what each of 40 things rises and fades by, and then pulses by, in plain objects. */
const things = Array.from({ length: 40 }, () => ({ opacity: 0, y: 40, scale: 1 }))
const timeline = createTimeline({ autoplay: false })
things.forEach((thing, index) => {
  timeline.add(thing, { opacity: [0, 1], y: [40, 0], duration: 1000, ease: cubicBezier(0.22, 0.8, 0.3, 1) }, index * 50)
  timeline.add(thing, { scale: [1, 1.08, 1], duration: 1000, ease: cubicBezier(0.22, 0.8, 0.3, 1) }, index * 50 + 1)
})
const sought = median(2000, index => timeline.seek(((index % 300) / 60) * 1000))
report('frameAt beside a general-purpose timeline (animejs) that seeks the same motion', at / sought, 1.5, 'times its time')

const compile = median(40, () => compileSlide(structuredCloneOf(), slide, context))
function structuredCloneOf() {
  // A fresh slide record, so that nothing that was kept answers.
  return applyChanges(busy, [setRecord('slides', slide, { notes: '' })])
}
report('compileSlide, same slide', (100 * compile) / frame, 50, '% of a frame')

const many = deckOf(300, 30, 4, 2)
const document = new Y.Doc()
fillDocument(document, many)
const mirror = mirrorOf(document)
const edited = slidesOf(mirror.deck())[150]!.id
for (const each of slidesOf(mirror.deck())) compileSlide(mirror.deck(), each.id, context)
const cue = Object.values(mirror.deck().cues).find(candidate => mirror.deck().beats[candidate.beat]!.slide === edited)!.id
const one = median(20, index => {
  applyToDocument(document, [setRecord('cues', cue, { delay: (index % 10) / 10 })])
  compileSlide(mirror.deck(), edited, context)
})
report('one cue edited in 300 slides × 30 elements, to its new score', (100 * one) / frame, 50, '% of a frame')

const element = Object.values(mirror.deck().elements).find(candidate => candidate.kind === 'text' && candidate.owner === edited)!.id
let bytes = 0
document.on('update', update => (bytes = update.length))
applyToDocument(document, [setRecord('elements', element, { text: textOf(['Boat 0 of slide 1500']) })])
report('bytes sent for one typed letter, 300 slides', bytes, 1024, 'bytes')

const asked = {
  title: 'How the quay grew',
  lines: ['2022 second berth opens', '2025 night boat begins', '2028 shore power', '2031 covered hall'].map(text => ({ text, level: 1 })),
  first: false,
}
const measurer = rememberingMeasurer((words, font) => [...words].length * font.size * 0.5)
const proposing = median(20, index => {
  // A title of its own each time, so that nothing that was kept answers.
  const ranked = propose({ ...asked, title: `${asked.title} ${index}` })
  const lines = asked.lines.map(({ text }) => ({ content: [{ type: 'text' as const, text: `${text} ${index}` }], level: 1 }))
  for (const { family } of ranked.slice(0, 9)) roomFor(family, lines, { deck: busy, measurer })
})
report('proposing layouts for a slide, with the room of the nine in sight, of 100 ms', proposing, 100, '% of 100 ms')

/** Slides of five kinds in turn, as a pasted outline has them. */
const kinds = [
  ['Three things change', 'Astrel sails every hour', 'Quill gains a late boat', 'Low Sands waits for the bus'],
  ['How it comes about', 'Count the riders', 'Draft two timetables', 'Ask crews and schools', 'Try one week'],
  ['The year in figures', '318 k riders', '96.4 % on time', '4 routes', '11 min longest wait'],
  ['Four years', '2024 second berth', '2027 night boat', '2029 shore power', '2031 covered hall'],
  ['What the crews asked for', 'Lights at the ramp', 'A roof over the stands', 'Boards for the bridge', 'One channel', 'Tea'],
] as const
let ids = 0
const counting = { id: () => `made-${++ids}` }
const pasted = Array.from({ length: 40 }, (_, index) => {
  const [title, ...lines] = kinds[index % kinds.length]!
  return { title: `${title} ${index}`, lines: lines.map(text => ({ text: `${text} ${index}`, level: 1 })) }
})
const begun = newDeck({ title: 'Spring', purpose: 'talk' }, counting)
const written = applyChanges(begun, insertOutline(begun, { after: null, slides: pasted }, counting))
const started = performance.now()
for (const { look } of threeLooks(written)) {
  const work = designing(written, { ...wishFor(written, look.name, 4711), look: look.name }, counting, measurer)
  while (!work.next().done);
}
report('three whole decks designed for 40 slides, of 2 s', (performance.now() - started) / 20, 100, '% of 2 s')

/** A slide whose rows are layers of water, each of many points, with words on all of them. */
const watery = applyChanges(written, putLook(written, { look: 'soundings', seed: 4711, ground: 'light' }, counting))
const wet = slidesOf(watery)[1]!
const wetParts = shownElements(watery, wet.id)
const readable = median(3, () => {
  for (const element of wetParts)
    if (element.kind === 'text')
      contrastOf({
        deck: watery,
        slide: wet,
        elements: wetParts,
        element,
        size: { width: 1920, height: 1080 },
        measurer,
        pixels: () => null,
      })
})
report('contrast of all words on a slide of layers with many points', readable / frame, 3, 'frames')

for (const part of ['known', 'unseen'] as const) {
  const outlines = labelled(part)
  const share = (missed: number) => (100 * missed) / outlines.length
  const [first, three] = [missedBy(outlines, 1), missedBy(outlines, 3)].map(({ length }) => share(length))
  report(`first proposals that miss what ${outlines.length} ${part} outlines are`, first!, 8, '%')
  report('none of the first three fits, the same', three!, 2, '%')
}

const crowded = deckOf(1, 300, 0, 0)
const crowd = slidesOf(crowded)[1]!.id
const parts = shownElements(crowded, crowd).filter(shown => !shown.pinned)
const others = parts.slice(1).map(shown => boundsOf(shown.box))
const dragged = parts[0]!
const dragging = median(200, index => {
  const box = movedBy(dragged.box, { x: (index * 7) % 900, y: (index * 5) % 500 })
  const { shift } = snapMove([box], { others, size: { width: 1920, height: 1080 }, margin: 90, reach: 12 })
  previewElements(crowded, crowd, { [dragged.id]: { box: movedBy(box, shift) } })
})
report('one of 300 elements moved: snapped, and the slide as it then is', (100 * dragging) / frame, 12, '% of a frame')

const outlined = applyChanges(
  busy,
  insertOutline(
    busy,
    { after: null, slides: Array.from({ length: 300 }, (_, index) => ({ ...asked, title: `Slide ${index}` })) },
    {
      id: (
        count => () =>
          `o-${++count}`
      )(0),
    },
  ),
)
const shownOf = (deck: Deck) => slidesOf(deck).map(one => layoutsOfSlide(deck, one.id))
const layoutsOfSlide = (deck: Deck, id: string) =>
  shownElements(deck, id).map(element => (element.kind === 'text' ? layoutOfElement(deck, element, context.measurer) : element))
shownOf(outlined)
const recolored = median(
  1,
  index =>
    shownOf(
      applyChanges(outlined, [
        setRecord('theme', 'theme', { palette: { ...deckTheme(outlined).palette, accent2: `#e6a0${(30 + index).toString(16)}` } }),
      ]),
    ),
  5,
)
const restyled = median(1, index => shownOf(applyChanges(outlined, [setRecord('theme', 'theme', { margin: 110 + index })])), 5)
report(
  'a colour of the theme changed, all of 300 slides arranged and set anew, a slide',
  (100 * recolored) / 300 / frame,
  25,
  '% of a frame',
)
report('the margin of the theme changed, the same', (100 * restyled) / 300 / frame, 25, '% of a frame')

const rows = 1_000_000
const text = [
  'season;month;route;riders',
  ...Array.from({ length: rows }, (_, index) => `20${22 + (index % 10)};${index % 12};Route ${index % 4};${index % 1000},5`),
].join('\n')
const encoded = new TextEncoder().encode(text)
const bare = median(1, () => Papa.parse(text, { skipEmptyLines: 'greedy' }), 3)
const whole = median(1, () => readCsv(encoded, 'bench.csv', 'bench'), 3)
report(`reading a CSV of ${rows} rows, typed, against the bare parse`, whole / bare, 1.5, 'times')

finish()
