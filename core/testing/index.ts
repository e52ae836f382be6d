import {
  putRecord,
  applyChanges,
  textOf,
  type Beat,
  type Cue,
  type Deck,
  type EditContext,
  type Element,
  type Slide,
  type Sound,
} from '../model'
import fc from 'fast-check'
import type { DataTable } from '../data'
import { namedFields } from './parts'
import type { Easing } from '../values'
import { newDeck } from '../layouts'
import { roughMeasurer } from '../text'
import { transitions, type TimingContext } from '../timing'

/** Ids that count up, so that a test reads the same each time. */
export function countingContext(prefix = 'id'): EditContext {
  let count = 0
  return { id: () => `${prefix}-${++count}` }
}

export const seasons: DataTable = {
  id: 'seasons',
  name: 'seasons.csv',
  columns: [
    { name: 'season', type: 'text', values: ['2022', '2023', '2024', '2025', '2026'] },
    { name: 'crossings', type: 'number', values: [4100, 4350, 4720, 4600, 5230] },
  ],
}

/** What timing needs, without fonts: half an em a letter, one table, every clip eight seconds long. */
export const timingContext: TimingContext = {
  measurer: roughMeasurer,
  table: id => (id === seasons.id ? seasons : undefined),
  mediaLength: () => 8,
}

/** A deck from the shop, with nothing on it but its title slide. */
export const freshDeck = (purpose: 'talk' | 'film' | 'loop' = 'talk') =>
  newDeck({ title: 'Spring timetable', purpose }, countingContext('new'))

export const linear: Easing = { kind: 'linear' }

export const cue = (fields: Partial<Cue> & Pick<Cue, 'id' | 'beat' | 'element'>): Cue => ({
  order: 'a0',
  what: 'enter',
  effect: 'fade',
  options: {},
  anchor: { to: 'beat' },
  delay: 0,
  duration: 1,
  easing: linear,
  repeat: 1,
  ...fields,
})

export const beat = (fields: Partial<Beat> & Pick<Beat, 'id' | 'slide'>): Beat => ({
  order: 'a0',
  start: 'advance',
  hold: { kind: 'seconds', seconds: 2 },
  ...fields,
})

/** A voice that begins a second after its slide opens, as loud as it is, to the end of the slide. */
export const narration = (slide: string, fields: Partial<Sound> = {}): Sound => ({
  id: 'voice',
  order: 'a0',
  name: 'Voice',
  media: 'f'.repeat(64),
  use: 'narration',
  fromSlide: slide,
  untilSlide: slide,
  delay: 1,
  volume: 1,
  fadeIn: 0,
  fadeOut: 0,
  loop: false,
  ...fields,
})

export const textElement = (id: string, owner: string, lines: string[]): Element => ({
  id,
  owner,
  kind: 'text',
  name: id,
  order: 'a0',
  style: 'body',
  text: textOf(lines),
  box: { x: 100, y: 100, width: 1200, height: 600, angle: 0 },
})

const order = (index: number) => `a${index.toString(36)}`

const easings = fc.oneof(
  fc.constant<Easing>({ kind: 'linear' }),
  fc.record({
    kind: fc.constant('cubic-bezier' as const),
    x1: fc.double({ min: 0, max: 1, noNaN: true }),
    y1: fc.double({ min: -1, max: 2, noNaN: true }),
    x2: fc.double({ min: 0, max: 1, noNaN: true }),
    y2: fc.double({ min: -1, max: 2, noNaN: true }),
  }),
  fc.record({
    kind: fc.constant('steps' as const),
    count: fc.integer({ min: 1, max: 9 }),
    jump: fc.constantFrom('start' as const, 'end' as const, 'none' as const, 'both' as const),
  }),
  fc.record({
    kind: fc.constant('spring' as const),
    stiffness: fc.double({ min: 20, max: 400, noNaN: true }),
    damping: fc.double({ min: 2, max: 40, noNaN: true }),
    mass: fc.double({ min: 0.2, max: 4, noNaN: true }),
  }),
)

const seconds = fc.integer({ min: 0, max: 30 }).map(tenths => tenths / 10)

const parts = fc.option(
  fc.record({
    by: fc.constantFrom('paragraph' as const, 'line' as const, 'word' as const, 'letter' as const),
    stagger: seconds,
    range: fc.option(fc.record({ from: fc.nat(3), to: fc.option(fc.nat(5), { nil: null }) }), { nil: undefined }),
    backwards: fc.boolean(),
  }),
  { nil: undefined },
)

/** Decks of one to three slides with up to four beats and any cues that the model allows, anchors without circles. */
export const anyDeck: fc.Arbitrary<Deck> = fc
  .array(
    fc.record({
      transition: fc.option(
        fc.record({ effect: fc.constantFrom(...transitions.map(kind => kind.name)), duration: seconds, easing: easings }),
        { nil: undefined },
      ),
      beats: fc.array(
        fc.record({
          start: fc.constantFrom('advance' as const, 'self' as const),
          hold: fc.oneof(
            fc.record({ kind: fc.constant('seconds' as const), seconds }),
            fc.constant({ kind: 'reading' as const }),
            fc.constant({ kind: 'media' as const }),
          ),
          cues: fc.array(
            fc.record({
              element: fc.nat(2),
              what: fc.constantFrom('enter' as const, 'exit' as const, 'emphasis' as const, 'move' as const),
              effect: fc.nat(40),
              anchor: fc.nat(8),
              delay: seconds,
              duration: seconds,
              easing: easings,
              repeat: fc.oneof(fc.integer({ min: 1, max: 3 }), fc.constant('forever' as const)),
              parts,
              back: fc.option(fc.boolean(), { nil: undefined }),
            }),
            { maxLength: 5 },
          ),
        }),
        { minLength: 1, maxLength: 4 },
      ),
    }),
    { minLength: 1, maxLength: 3 },
  )
  .map(slides => {
    const base = freshDeck()
    const changes = slides.flatMap((plan, s) => {
      const slideId = `s${s}`
      const slide: Slide = {
        id: slideId,
        order: `b0${s}`,
        layout: 'layout-list',
        notes: '',
        ...(plan.transition ? { transition: plan.transition } : {}),
      }
      const elements = [0, 1, 2].map(e => textElement(`${slideId}e${e}`, slideId, ['First 12 boats', 'Second line here', 'Third']))
      const beats = plan.beats.map((b, i) => beat({ id: `${slideId}b${i}`, slide: slideId, order: order(i), start: b.start, hold: b.hold }))
      const cues = plan.beats.flatMap((b, i) =>
        b.cues.map((c, j) => {
          const names = namedFields[c.what]
          const anchorTo = c.anchor - 4
          return cue({
            id: `${slideId}b${i}c${j}`,
            beat: `${slideId}b${i}`,
            element: `${slideId}e${c.element}`,
            order: order(j),
            what: c.what,
            effect: names[c.effect % names.length]!,
            anchor:
              anchorTo >= 0 && anchorTo < j ? { to: anchorTo % 2 ? 'start' : 'end', cue: `${slideId}b${i}c${anchorTo}` } : { to: 'beat' },
            delay: c.delay,
            duration: c.duration,
            easing: c.easing,
            repeat: c.repeat,
            ...(c.parts ? { parts: c.parts } : {}),
            ...(c.back === undefined ? {} : { back: c.back }),
          })
        }),
      )
      return [
        putRecord('slides', slide),
        ...elements.map(record => putRecord('elements', record)),
        ...beats.map(record => putRecord('beats', record)),
        ...cues.map(record => putRecord('cues', record)),
      ]
    })
    return applyChanges(base, changes)
  })

export * from './tables'
