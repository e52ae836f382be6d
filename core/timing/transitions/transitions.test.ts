import { dropRecord, putRecord, applyChanges, slidesOf, type Deck, type Element } from '../../model'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Options } from '../../values'
import { roughMeasurer } from '../../text'
import { freshDeck, seasons, textElement, timingContext } from '../../testing'
import {
  carriedFrames,
  compileSlide,
  frameAt,
  lastMoment,
  restingPart,
  shared,
  transitions,
  type Frame,
  type SlideAt,
  type SlideFrame,
  type TransitionKind,
} from '../index'
import { gone, still } from './transition'

const share = fc.double({ min: 0, max: 1, noNaN: true })
const anyOptions = (kind: TransitionKind): fc.Arbitrary<Options> =>
  fc.record(
    Object.fromEntries(
      kind.options.map(option => [
        option.name,
        fc.oneof(
          option.kind === 'number'
            ? fc.double({ min: option.min, max: option.max, noNaN: true })
            : option.kind === 'choice'
              ? fc.constantFrom(...option.values.map(known => known.value))
              : fc.constantFrom('accent1', '#203040'),
          fc.constant('no such value'),
        ),
      ]),
    ),
    { requiredKeys: [] },
  ) as fc.Arbitrary<Options>

const numbersOf = ({ cut, mask, opacity, originX: _, originY: __, ...plain }: SlideFrame): Record<string, number> => ({
  ...(opacity === 0 ? {} : plain),
  opacity,
  cut: cut ? cut.left + cut.right + cut.top + cut.bottom : 0,
  mask: mask ? mask.reduce((sum, [x, y]) => sum + x + y, 0) : 0,
})

it('there are at least twelve, each with a name of its own', () => {
  expect(transitions.length).toBeGreaterThanOrEqual(12)
  expect(new Set(transitions.map(kind => kind.name)).size).toBe(transitions.length)
  expect(new Set(transitions.map(kind => kind.label)).size).toBe(transitions.length)
})

describe.each(transitions.map(kind => [kind.name, kind] as const))('%s', (_, kind) => {
  it('shows only the slide before at 0 and only the next at 1, exactly at rest', () => {
    fc.assert(
      fc.property(anyOptions(kind), options => {
        const [start, end] = [kind.apply(0, options), kind.apply(1, options)]
        expect(start.from).toEqual(still())
        expect(start.to.opacity).toBe(0)
        expect(end).toEqual({ from: gone(), to: still() })
      }),
    )
  })

  it('depends on nothing but how far it is, and is finite all the way', () => {
    fc.assert(
      fc.property(anyOptions(kind), share, (options, progress) => {
        const frame = kind.apply(progress, options)
        expect(kind.apply(progress, options)).toEqual(frame)
        for (const slide of [frame.from, frame.to])
          for (const value of Object.values(numbersOf(slide))) expect(Number.isFinite(value)).toBe(true)
        if (frame.veil) expect(frame.veil.opacity).toBeGreaterThanOrEqual(0)
      }),
    )
  })

  if (kind.name !== 'cut') {
    it('begins and ends near rest: its first and last hundredth show hardly more than rest does', () => {
      const [start, end] = [kind.apply(0.01, {}), kind.apply(0.99, {})]
      const stands = (slide: SlideFrame) =>
        Math.abs(slide.x) < 0.03 &&
        Math.abs(slide.y) < 0.03 &&
        Math.abs(slide.turnX) < 3 &&
        Math.abs(slide.turnY) < 3 &&
        Math.abs(slide.scale - 1) < 0.02 &&
        slide.blur < 3
      expect(stands(start.from) && start.from.opacity > 0.95).toBe(true)
      expect(stands(end.to) && end.to.opacity > 0.95).toBe(true)
    })
  }
})

const box = (x: number, y: number, width = 400, height = 200) => ({ x, y, width, height, angle: 0 })
const square = (id: string, owner: string, fields: object): Element =>
  ({ id, owner, kind: 'shape', name: id, order: 'a5', shape: 'rectangle', fill: { role: 'accent1' }, box: box(0, 0), ...fields }) as Element

/** Two slides, each with its own elements; the title of the first is taken away. */
function two(from: (owner: string) => Element[], to: (owner: string) => Element[]) {
  const base = freshDeck()
  const first = slidesOf(base)[0]!
  const deck: Deck = applyChanges(base, [
    ...Object.values(base.elements)
      .filter(element => element.owner === first.id)
      .map(element => dropRecord('elements', element.id)),
    putRecord('slides', { id: 'next', order: 'z', layout: first.layout, notes: '' }),
    ...[...from(first.id), ...to('next')].map(record => putRecord('elements', record)),
  ])
  const at = (id: string, frameOf: (score: ReturnType<typeof compileSlide>) => Frame): SlideAt => {
    const score = compileSlide(deck, id, timingContext)
    return { score, frame: frameOf(score) }
  }
  const [before, after] = [
    at(first.id, score => frameAt(score, lastMoment(score))),
    at('next', score => frameAt(score, { beat: 0, seconds: -0.5 })),
  ]
  return { deck, before, after, carried: (progress: number) => carriedFrames(deck, before, after, progress, roughMeasurer) }
}

describe('carrying over', () => {
  const ferry =
    (id: string, fields: object = {}) =>
    (owner: string) => [square(id, owner, { name: 'Ferry', ...fields })]

  it('lets what both slides share travel straight from its old box to its new', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -400, max: 1500 }),
        fc.integer({ min: -200, max: 900 }),
        fc.integer({ min: 20, max: 900 }),
        share,
        (x, y, width, progress) => {
          const { carried } = two(
            ferry('a', { box: box(x, y, width, 100) }),
            ferry('b', { box: box(900, 500, 300, 300), fill: { role: 'accent2' } }),
          )
          const part = carried(progress).to.elements.get('b')!.whole
          const between = (a: number, b: number) => a + (b - a) * progress
          expect(300 * part.scaleX).toBeCloseTo(between(width, 300), 6)
          expect(300 * part.scaleY).toBeCloseTo(between(100, 300), 6)
          expect(900 + 150 + part.x).toBeCloseTo(between(x + width / 2, 1050), 6)
          expect(500 + 150 + part.y).toBeCloseTo(between(y + 50, 650), 6)
        },
      ),
    )
  })

  it('both slides’ pictures of a part lie on one another all the way', () => {
    fc.assert(
      fc.property(share, progress => {
        const { carried } = two(ferry('a', { box: box(100, 100, 200, 400) }), ferry('b', { box: box(900, 500, 300, 150), opacity: 0.5 }))
        const { from, to } = carried(progress)
        const [a, b] = [from.elements.get('a')!.whole, to.elements.get('b')!.whole]
        expect(200 * a.scaleX).toBeCloseTo(300 * b.scaleX, 6)
        expect(100 + 100 + a.x).toBeCloseTo(900 + 150 + b.x, 6)
        expect(100 + 200 + a.y).toBeCloseTo(500 + 75 + b.y, 6)
      }),
    )
  })

  it('draws what looks the same only once, and keeps it in full sight', () => {
    const words = (id: string, at: object) => (owner: string) => [
      { ...textElement(id, owner, ['Night boat']), name: id, box: at } as Element,
    ]
    const { before, after, carried } = two(words('a', box(100, 100, 800, 100)), words('b', box(700, 800, 800, 100)))
    expect(shared(before, after)).toMatchObject([{ from: { id: 'a' }, to: { id: 'b' }, same: true }])
    const { from, to } = carried(0.3)
    expect(from.elements.get('a')!.whole.visible).toBe(false)
    expect(to.elements.get('b')!.whole.opacity).toBe(1)
  })

  it('draws the same words once, however each slide sets them, in their old colour at first', () => {
    const words = (id: string, at: object, fields: object) => (owner: string) => [
      { ...textElement(id, owner, ['Night boat to the island']), name: id, box: at, ...fields } as Element,
    ]
    const { carried } = two(
      words('a', box(100, 100, 300, 400), { style: 'title', align: 'middle', color: { role: 'accent1' } }),
      words('b', box(700, 800, 1000, 100), { style: 'body', color: { role: 'ink' } }),
    )
    for (const progress of [0.2, 0.5, 0.8]) {
      const { from, to } = carried(progress)
      expect(from.elements.get('a')!.whole.visible).toBe(false)
      expect(to.elements.get('b')!.whole).toMatchObject({ opacity: 1, tint: { color: { role: 'accent1' } } })
      expect(to.elements.get('b')!.whole.tint!.amount).toBeCloseTo(1 - progress, 9)
    }
  })

  it('never shows two texts at once where one takes the place of the other', () => {
    const words = (id: string, line: string) => (owner: string) => [{ ...textElement(id, owner, [line]), name: 'Title' } as Element]
    const { carried } = two(words('a', 'Every hour'), words('b', 'Every two hours'))
    const seen = (progress: number) => {
      const { from, to } = carried(progress)
      return [from.elements.get('a')!.whole.opacity, to.elements.get('b')!.whole.opacity]
    }
    expect([seen(0), seen(1)]).toEqual([
      [1, 0],
      [0, 1],
    ])
    for (const progress of [0.1, 0.3, 0.5, 0.7, 0.9]) expect(Math.min(...seen(progress))).toBe(0)
  })

  it('turns one thing from its old colour to its new, drawn once', () => {
    const { carried } = two(ferry('a', { fill: { role: 'accent1' } }), ferry('b', { fill: { role: 'accent2' } }))
    const { from, to } = carried(0.25)
    expect(from.elements.get('a')!.whole.visible).toBe(false)
    expect(to.elements.get('b')!.whole).toMatchObject({ opacity: 1, tint: { color: { role: 'accent1' }, amount: 0.75 } })
    expect(carried(1).to.elements.get('b')!.whole.tint).toBeNull()
  })

  it('lets a shape go over into another outline, whole at every moment', () => {
    const { carried } = two(ferry('a', { shape: 'rectangle' }), ferry('b', { shape: 'ellipse' }))
    const outline = (progress: number) => carried(progress).to.elements.get('b')!.outline
    expect(carried(0.5).from.elements.get('a')!.whole.visible).toBe(false)
    expect(outline(1)).toBeUndefined()
    const size = (d: string) => {
      const points = d
        .slice(1, -1)
        .split('L')
        .map(pair => pair.split(' ').map(Number) as [number, number])
      return Math.abs(
        points.reduce(
          (sum, [x, y], index) => sum + x * points[(index + 1) % points.length]![1] - points[(index + 1) % points.length]![0] * y,
          0,
        ) / 2,
      )
    }
    // From the whole of the box to the ellipse in it, without ever turning inside out.
    const areas = [0.02, 0.25, 0.5, 0.75, 0.98].map(progress => size(outline(progress)!))
    expect([...areas].sort((a, b) => b - a)).toEqual(areas)
    expect(areas.at(-1)! / areas[0]!).toBeCloseTo(Math.PI / 4, 1)
  })

  it('takes a chart on from the data that it showed to those that it shows', () => {
    const chart =
      (id: string, across: string | null) =>
      (owner: string): Element[] => [
        {
          id,
          owner,
          name: 'Crossings',
          order: 'a0',
          kind: 'chart',
          box: box(100, 100, 600, 400),
          chart: {
            kind: 'bar',
            table: seasons.id,
            across,
            height: null,
            aggregate: 'sum',
            order: 'data',
            highlighted: [],
            color: { role: 'accent1' },
            highlightColor: { role: 'accent2' },
            format: { decimals: 0, scale: 'none', prefix: '', suffix: '' },
            labels: 'all',
            total: false,
          },
        },
      ]
    const { carried } = two(chart('a', 'season'), chart('b', null))
    const { from, to } = carried(0.4)
    expect(from.elements.get('a')!.whole.visible).toBe(false)
    expect(to.elements.get('b')!.chart).toMatchObject({ progress: 0.4, from: null, to: null, of: { id: 'a' } })
    expect(to.elements.get('b')!.whole.opacity).toBe(1)
  })

  it('is found once for both slides, and anew when one of them shows something else', () => {
    const { before, after } = two(ferry('a'), ferry('b'))
    const pairs = shared(before, after)
    expect(shared(before, after)).toBe(pairs)
    const unseen = {
      ...after,
      frame: {
        ...after.frame,
        elements: new Map([['b', { whole: { ...restingPart(), visible: false }, parts: null, partsBy: null, chart: null, media: null }]]),
      },
    }
    expect(shared(before, unseen)).toEqual([])
  })

  it('finds by what is shown before it finds by name, and each only once', () => {
    const { before, after } = two(
      owner => [
        { ...textElement('a1', owner, ['Astrel']), name: 'One' } as Element,
        { ...textElement('a2', owner, ['Quill']), name: 'Two' } as Element,
        square('a3', owner, { name: 'Bar' }),
        square('a4', owner, { name: 'Bar' }),
      ],
      owner => [{ ...textElement('b1', owner, ['Quill']), name: 'One' } as Element, square('b3', owner, { name: 'Bar' })],
    )
    expect(shared(before, after).map(pair => `${pair.from.id} ${pair.to.id}`)).toEqual(['a2 b1', 'a3 b3'])
  })

  it('fades what only one of them has: first the old, then the new, and turns the short way round', () => {
    const { carried } = two(
      owner => [square('old', owner, { name: 'Old' }), square('t', owner, { name: 'Turned', box: { ...box(0, 0), angle: 350 } })],
      owner => [square('new', owner, { name: 'New' }), square('u', owner, { name: 'Turned', box: { ...box(0, 0), angle: 10 } })],
    )
    const seen = (progress: number) => {
      const { from, to } = carried(progress)
      return [from.elements.get('old')!.whole.opacity, to.elements.get('new')!.whole.opacity]
    }
    expect(seen(0)).toEqual([1, 0])
    expect(seen(0.5)).toEqual([0, 0])
    expect(seen(1)).toEqual([0, 1])
    expect(carried(0).to.elements.get('u')!.whole.rotate).toBeCloseTo(-20, 6)
  })
})
