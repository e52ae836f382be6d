import { putRecord, setRecord, applyChanges, slidesOf, type ChartElement, type Element, type TextElement } from '../model'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { drawingOfElement, newChart, tonesOf } from '../charts'
import type { DataTable } from '../data'
import { measurePath, stretchesOf } from '../shapes'
import { shownElements, themeSeen, type ShownElement } from '../resolved'
import { beat, cue, freshDeck, seasons, textElement, timingContext } from '../testing'
import { compileSlide, frameAt, leastLength, setLength, stretch, type Score } from '../timing'
import {
  handAt,
  handDrawing,
  handDrawingOf,
  inHandOrder,
  inkOf,
  nibs,
  recordedInk,
  roughPath,
  thinned,
  tracePicture,
  type Ink,
  type Pixels,
} from './index'

/** Every letter is a square of half an em that is drawn in one go. */
const ink: Ink = {
  word: text => ({ glyphs: Array.from(text, (_, index) => `M${index * 500} 0h400v-400h-400z`), ascent: 800, descent: 200 }),
  traced: hash => (hash.startsWith('a') ? { width: 100, height: 50, paths: ['M10 10L90 10', 'M90 40L10 40'] } : undefined),
}
const context = { ...timingContext, ink }

/** A slide with one element that is drawn. */
function drawnSlide(element: Element, options: Record<string, string | number> = {}, duration = 3) {
  const base = freshDeck()
  const slide = slidesOf(base)[0]!.id
  const deck = applyChanges(base, [
    putRecord('elements', { ...element, owner: slide }),
    putRecord('beats', beat({ id: 'b', slide, order: 'a0' })),
    putRecord('cues', cue({ id: 'c', beat: 'b', element: element.id, effect: 'draw', options, duration, easing: { kind: 'linear' } })),
  ])
  return { deck, slide, score: compileSlide(deck, slide, context) }
}
const drawnAt = (score: Score, seconds: number) =>
  frameAt(score, { beat: score.beats.findIndex(one => one.beat.id === 'b'), seconds }).elements
const words = textElement('words', 'none', ['Quay and boats']) as TextElement

const line = fc
  .tuple(
    fc.integer({ min: 0, max: 900 }),
    fc.integer({ min: 0, max: 900 }),
    fc.integer({ min: 1, max: 900 }),
    fc.integer({ min: 1, max: 900 }),
  )
  .map(([x, y, dx, dy]) => ({ d: `M${x} ${y}l${dx} ${dy}`, color: '#000000', width: 2 }))

describe('the way of a hand', () => {
  it('goes through all strokes in turn without a leap, as long as they are and the ways between them', () => {
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 12 }), strokes => {
        const drawing = handDrawing(strokes)
        const drawn = strokes.reduce((sum, stroke) => sum + measurePath(stroke.d).length, 0)
        expect(drawing.length).toBeGreaterThanOrEqual(drawn - 1e-6)
        expect(drawing.length).toBeLessThanOrEqual(drawn + 200 * strokes.length)
        const start = measurePath(strokes[0]!.d).at(0)
        const end = measurePath(strokes.at(-1)!.d).at(1)
        expect(handAt(drawing, 0)).toMatchObject({ x: start.x, y: start.y })
        expect(handAt(drawing, drawing.length).x).toBeCloseTo(end.x, 6)
        // On paper it goes as far as it says; above it a few times as fast, from one place to the next.
        drawing.begins.forEach((begin, index) => {
          const [a, b] = [handAt(drawing, begin - 1e-7), handAt(drawing, begin + 1e-7)]
          if (index) expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeLessThan(0.01)
        })
      }),
    )
  })

  it('parts a path where the pen is lifted, and draws nothing of what cannot be read', () => {
    expect(stretchesOf('M0 0h10v10z M20 20l5 5')).toHaveLength(2)
    expect(stretchesOf('M0 0h10zl5 5')).toHaveLength(2)
    expect(stretchesOf('M4 4')).toEqual([])
    expect(stretchesOf('no path')).toEqual([])
    expect(handAt(handDrawing([]), 10)).toEqual({ x: 0, y: 0, angle: 0 })
  })
})

describe('drawing an element', () => {
  it('takes as long as its lines at the speed that is chosen, and is never cut off', () => {
    const { score } = drawnSlide(words, { speed: 800 })
    const entry = score.beats.find(one => one.beat.id === 'b')!
    const { drawing } = score.tracks.get('words')!
    expect(entry.cues[0]!.round).toBeCloseTo(drawing!.length / 800 + 0.7, 6)
    expect(entry.moves).toBeCloseTo(entry.cues[0]!.end, 6)
    expect(drawnAt(score, entry.moves).get('words')).toBeUndefined()
    // Twice as fast, half as long but for the colour.
    expect(drawnSlide(words, { speed: 1600 }).score.beats.find(one => one.beat.id === 'b')!.moves - 0.7).toBeCloseTo(
      (entry.moves - 0.7) / 2,
      6,
    )
  })

  it('draws lines first and colour after, with the nib where the last line ends', () => {
    const { score } = drawnSlide(words, { nib: 'pencil' })
    const entry = score.beats.find(one => one.beat.id === 'b')!
    let come = -1
    let filled = -1
    for (let step = 0; step < 60; step++) {
      const drawn = drawnAt(score, (entry.moves * step) / 60).get('words')!.whole.drawn!
      expect(drawn.come).toBeGreaterThanOrEqual(come)
      expect(drawn.filled).toBeGreaterThanOrEqual(filled)
      if (drawn.filled > 0) expect(drawn.come).toBeCloseTo(drawn.drawing.length, 6)
      if (drawn.nib) {
        const hand = handAt(drawn.drawing, drawn.come)
        expect(drawn.nib).toEqual({ name: 'pencil', x: hand.x, y: hand.y })
      }
      ;[come, filled] = [drawn.come, drawn.filled]
    }
    expect(nibs.every(nib => nib.name === 'none' || nib.parts.length > 0)).toBe(true)
  })

  it('writes words in reading order, each line from its beginning', () => {
    const { score } = drawnSlide({
      ...words,
      text: {
        type: 'doc',
        content: ['One two', 'Three'].map(text => ({ type: 'paragraph' as const, content: [{ type: 'text' as const, text }] })),
      },
    } as TextElement)
    const starts = score.tracks.get('words')!.drawing!.strokes.map(stroke => measurePath(stroke.d).at(0))
    expect(starts).toHaveLength(11)
    expect(starts.slice(1).every((point, index) => point.y > starts[index]!.y + 1 || point.x > starts[index]!.x)).toBe(true)
  })

  it('draws in the colours that are seen, also on a deep ground where roles change places', () => {
    const { deck, slide } = drawnSlide(words)
    const colorOn = (hex: string) => {
      const grounded = applyChanges(deck, [setRecord('slides', slide, { ground: { hex } })])
      const shape = {
        id: 'icon',
        owner: slide,
        kind: 'icon',
        name: 'Icon',
        order: 'a5',
        icon: { view: [24, 24], paths: [{ d: 'M2 2L20 20', width: 2 }] },
        box: { x: 0, y: 0, width: 100, height: 100, angle: 0 },
      } as unknown as Element
      const seen = applyChanges(grounded, [putRecord('elements', shape)])
      const elements = shownElements(seen, slide)
      return ['words', 'icon']
        .map(id => [
          ...new Set(
            handDrawingOf(
              seen,
              elements.find(element => element.id === id)!,
              context,
            )!.strokes.map(stroke => stroke.color),
          ),
        ])
        .concat([[themeSeen(seen, slide).palette.ink]])
    }
    for (const hex of ['#ffffff', '#0c1416']) {
      const [ofWords, ofIcon, ink] = colorOn(hex)
      expect([ofWords, ofIcon]).toEqual([ink, ink])
    }
    expect(colorOn('#ffffff')).not.toEqual(colorOn('#0c1416'))
  })

  it('draws in ink what would not be seen on the ground, as words that stand on a panel of their own later', () => {
    const colorsOf = (fields: object, ground: string) => {
      const { deck, slide } = drawnSlide({ ...words, ...fields } as TextElement)
      const seen = applyChanges(deck, [setRecord('slides', slide, { ground: { hex: ground } })])
      const element = shownElements(seen, slide).find(one => one.id === 'words')!
      return {
        used: new Set(handDrawingOf(seen, element, context)!.strokes.map(stroke => stroke.color)),
        ink: themeSeen(seen, slide).palette.ink,
      }
    }
    const dark = colorsOf({ color: { hex: '#10201f' } }, '#0c1416')
    expect([...dark.used]).toEqual([dark.ink])
    const plain = colorsOf({ color: { hex: '#c34d3b' } }, '#0c1416')
    expect([...plain.used]).toEqual(['#c34d3b'])
  })

  it('draws the shape that words stand in before the words', () => {
    const strokesOf = (panel?: object) =>
      drawnSlide({ ...words, ...(panel ? { panel } : {}) } as TextElement).score.tracks.get('words')!.drawing!.strokes
    const shaped = strokesOf({ fill: { hex: '#c34d3b' }, padding: 0, radius: 0, shape: 'ellipse' })
    expect(shaped.length).toBeGreaterThan(strokesOf().length)
    expect(shaped[0]!.color).toBe('#c34d3b')
  })

  it('draws shapes, charts and traced pictures, within their frame', () => {
    const strokes = (element: Element) => drawnSlide(element).score.tracks.get(element.id)?.drawing
    const box = { x: 0, y: 0, width: 400, height: 200, angle: 0 }
    const base = { owner: 'none', name: 'Quay', order: 'a0', box }
    expect(strokes({ ...base, id: 's', kind: 'shape', shape: 'rectangle', fill: { role: 'accent1' } })!.strokes).toHaveLength(1)
    const chart = {
      kind: 'bar',
      table: seasons.id,
      across: null,
      height: null,
      aggregate: 'sum',
      order: 'data',
      highlighted: [],
      color: { role: 'accent1' },
      highlightColor: { role: 'accent2' },
      format: { decimals: 0, scale: 'none', prefix: '', suffix: '' },
      labels: 'all',
      total: false,
    } as const
    const drawn = drawingOfElement(
      freshDeck(),
      { ...base, id: 'c', kind: 'chart', pinned: false, chart: { ...chart, highlighted: [] } },
      null,
      timingContext.table,
      timingContext.measurer,
    )!
    expect(drawn.marks.length).toBeGreaterThan(1)
    expect(strokes({ ...base, id: 'c', kind: 'chart', chart: { ...chart, highlighted: [] } })!.strokes.length).toBeGreaterThanOrEqual(
      drawn.rules.length + drawn.marks.length + drawn.labels.length,
    )
    const picture = strokes({
      id: 'p',
      owner: 'none',
      name: 'Quay',
      order: 'a0',
      kind: 'picture',
      media: 'a'.repeat(64),
      natural: { width: 1000, height: 500 },
      box,
    })
    expect(picture!.strokes.map(stroke => stroke.d)).toEqual(['M40 40L360 40', 'M360 160L40 160'])
    expect(picture!.within).toBeDefined()
    // One that nobody has traced yet has none, and comes all the same.
    const { score } = drawnSlide({ id: 'p', owner: 'none', name: 'Quay', order: 'a0', kind: 'picture', media: 'b'.repeat(64), box })
    expect(score.tracks.get('p')!.drawing).toBeNull()
    expect(drawnAt(score, 1.5).get('p')!.whole.opacity).toBeCloseTo(0.5, 6)
  })

  it.each([
    ['stacked', { series: 'route' }, [10, 20, 30, 12, 18, 27]],
    ['ring', {}, [480, 3, 2, 4, 3, 2]],
  ])('draws by hand what explains a chart as well: %s', (kind, more, values) => {
    const table: DataTable = {
      ...seasons,
      columns: [
        { name: 'month', type: 'text', values: kind === 'ring' ? ['1', '2', '3', '4', '5', '6'] : ['1', '2', '3', '1', '2', '3'] },
        { name: 'route', type: 'text', values: ['North', 'North', 'North', 'South', 'South', 'South'] },
        { name: 'boats', type: 'number', values },
      ],
    }
    const box = { x: 0, y: 0, width: 700, height: 420, angle: 0 }
    const chart = { ...newChart(table.id), kind, ...more }
    const { deck, slide } = drawnSlide({ id: 'c', owner: 'none', name: 'Quay', order: 'a0', box, kind: 'chart', chart })
    const own = { ...context, table: () => table }
    const element = shownElements(deck, slide).find(one => one.id === 'c')!
    const drawn = drawingOfElement(deck, element as ChartElement & ShownElement, null, own.table, own.measurer)!
    const tones = tonesOf(chart, themeSeen(deck, element.owner).palette)
    const { strokes } = handDrawingOf(deck, element, own)!
    const fields = strokes.filter(({ d }) => /^M[-\d.]+ [-\d.]+h([\d.]+)v\1h-\1Z$/.test(d))
    expect(fields.map(({ color }) => color)).toEqual(drawn.labels.flatMap(({ swatch }) => (swatch ? [tones.of(swatch)] : [])))
    const leaders = strokes.filter(({ width, color }) => width === 2 && color === tones.of({ name: 'line' }))
    const led = drawn.labels.filter(({ leader }) => leader)
    expect(leaders).toHaveLength(led.length)
    expect(fields.length + leaders.length).toBeGreaterThan(1)
  })

  it('keeps a length that is chosen, goes slower when stretched, and says when a hand would be too fast', () => {
    const { deck, slide } = drawnSlide(words, { speed: 800 })
    const moves = (changed: typeof deck) => compileSlide(changed, slide, context).beats.find(one => one.beat.id === 'b')!.moves
    expect(moves(applyChanges(deck, setLength(deck, 'c', 9)))).toBe(9)
    const slower = applyChanges(deck, stretch(deck, { cues: ['c'] }, 2))
    expect((moves(slower) - 0.7) / (moves(deck) - 0.7)).toBeCloseTo(2, 3)
    const fixed = applyChanges(deck, setLength(deck, 'c', 0.05))
    const track = compileSlide(fixed, slide, context).tracks.get('words')!
    expect(leastLength(fixed, fixed.cues.c!, track.element, track.drawing)!.seconds).toBeGreaterThan(0.05)
    expect(leastLength(deck, deck.cues.c!, track.element, track.drawing)).toBeNull()
  })

  it('asks only for the words that it writes, and a book of them answers the same', () => {
    const { ink: recording, book } = recordedInk(ink)
    const { deck, slide } = drawnSlide(words)
    const first = compileSlide(deck, slide, { ...context, ink: recording }).tracks.get('words')!.drawing
    expect(
      Object.values(book.words)
        .flatMap(known => Object.keys(known))
        .sort(),
    ).toEqual(['Quay', 'and', 'boats'])
    expect(compileSlide(deck, slide, { ...context, ink: inkOf(JSON.parse(JSON.stringify(book))) }).tracks.get('words')!.drawing).toEqual(
      first,
    )
  })
})

describe('drawn without a ruler', () => {
  it('is the same for the same thing, another for another, and stays near the line', () => {
    const path = 'M0 0L400 0L400 200'
    expect(roughPath(path, 0, 'a')).toBe(path)
    expect(roughPath(path, 0.5, 'a')).toBe(roughPath(path, 0.5, 'a'))
    expect(roughPath(path, 0.5, 'a')).not.toBe(roughPath(path, 0.5, 'b'))
    for (const stretch of stretchesOf(roughPath(path, 1, 'a'))) {
      for (let at = 0; at <= 1; at += 0.1) {
        const point = measurePath(stretch).at(at)
        expect(Math.min(Math.abs(point.y), Math.abs(point.x - 400))).toBeLessThan(25)
      }
    }
  })
})

describe('the lines of a picture', () => {
  const painted = (width: number, height: number, dark: (x: number, y: number) => boolean): Pixels => ({
    width,
    height,
    data: Array.from({ length: width * height }, (_, index) =>
      dark(index % width, Math.floor(index / width)) ? [30, 40, 50, 255] : [240, 240, 240, 255],
    ).flat(),
  })

  it('lie along its edges, a few long ones', () => {
    const traced = tracePicture(painted(120, 80, (x, y) => x >= 30 && x < 90 && y >= 20 && y < 60))
    expect(traced.paths.length).toBeGreaterThan(0)
    expect(traced.paths.length).toBeLessThan(12)
    for (const path of traced.paths) {
      for (let at = 0; at <= 1; at += 0.1) {
        const { x, y } = measurePath(path).at(at)
        const off = Math.min(
          ...[
            [30, x],
            [90, x],
            [20, y],
            [60, y],
          ].map(([edge, value]) => Math.abs(edge! - value!)),
        )
        expect(off).toBeLessThan(3.5)
      }
    }
    const length = traced.paths.reduce((sum, path) => sum + measurePath(path).length, 0)
    expect(length).toBeGreaterThan(2 * (60 + 40) * 0.7)
  })

  it('are none in what is one colour or seen through', () => {
    expect(tracePicture(painted(60, 40, () => false)).paths).toEqual([])
    expect(tracePicture({ width: 20, height: 20, data: new Uint8Array(1600) }).paths).toEqual([])
  })

  it('are one pixel wide once thinned, and hang together as before', () => {
    const [width, height] = [40, 20]
    const bar = Uint8Array.from({ length: width * height }, (_, index) =>
      Number(index % width > 4 && index % width < 35 && Math.floor(index / width) > 6 && Math.floor(index / width) < 13),
    )
    const thin = thinned(bar, width, height)
    const perColumn = Array.from({ length: width }, (_, x) =>
      Array.from({ length: height }, (_, y) => thin[y * width + x]!).reduce((sum, one) => sum + one, 0),
    )
    expect(Math.max(...perColumn)).toBe(1)
    expect(perColumn.slice(10, 30).every(count => count === 1)).toBe(true)
  })

  it('are drawn from where the hand is to the nearest, none left out', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.integer({ min: 0, max: 99 }),
            fc.integer({ min: 0, max: 99 }),
            fc.integer({ min: 0, max: 99 }),
            fc.integer({ min: 0, max: 99 }),
          ),
          { maxLength: 20 },
        ),
        raw => {
          const lines = raw.map(
            ([a, b, c, d]) =>
              [
                [a, b],
                [c, d],
              ] as [number, number][],
          )
          const made = inHandOrder(lines)
          const key = (one: readonly (readonly number[])[]) => one.map(String).sort().join('|')
          expect(made.map(key).sort()).toEqual(lines.map(key).sort())
          made.slice(1).forEach((line, index) => {
            const hand = made[index]!.at(-1)!
            const way = (point: readonly number[]) => Math.hypot(point[0]! - hand[0], point[1]! - hand[1])
            for (const later of made.slice(index + 1))
              expect(way(line[0]!)).toBeLessThanOrEqual(Math.min(way(later[0]!), way(later.at(-1)!)) + 1e-9)
          })
        },
      ),
    )
  })
})
