import {
  dropRecord,
  putRecord,
  setRecord,
  applyChanges,
  slidesOf,
  textOf,
  type Change,
  type Deck,
  type Element,
  type TextElement,
} from '../model'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { newChart } from '../charts'
import { checkDeck } from '../checks'
import { contrast as wcag, type Raster } from '../color'
import { setFields } from '../edits'
import { shownElements, type ShownElement } from '../resolved'
import { freshDeck, textElement, timingContext } from '../testing'
import { rundown } from '../timing'
import { contrastOf, contrastRemedies, type ContrastInput, type Pixels } from './index'

const photo = 'a'.repeat(64)
const film = 'b'.repeat(64)
const plain = (value: number): Raster => ({
  width: 2,
  height: 2,
  data: new Uint8ClampedArray(Array.from({ length: 4 }, () => [value, value, value, 255]).flat()),
})
const chequered: Raster = {
  width: 64,
  height: 64,
  data: new Uint8ClampedArray(
    Array.from({ length: 64 * 64 }, (_, at) => (((at >> 3) + (at >> 9)) % 2 ? [250, 250, 250, 255] : [8, 8, 8, 255])).flat(),
  ),
}

/** A slide with a text on whatever else is put beneath it. */
function slideWith(
  text: Partial<TextElement>,
  under: readonly Partial<Element>[] = [],
  slideFields: object = {},
): { deck: Deck; input: (pixels?: Pixels) => ContrastInput } {
  const base = freshDeck()
  const slide = slidesOf(base)[0]!.id
  const put = (record: object): Change => putRecord('elements', record as Element)
  const box = { x: 0, y: 0, width: 1920, height: 1080, angle: 0 }
  const deck = applyChanges(base, [
    ...Object.values(base.elements)
      .filter(element => element.owner === slide)
      .map((element): Change => dropRecord('elements', element.id)),
    setRecord('slides', slide, { ...slideFields }),
    ...under.map((fields, index) => put({ id: `under${index}`, owner: slide, name: `Under ${index}`, order: `a${index}`, box, ...fields })),
    put({ ...textElement('words', slide, ['Boats leave on time']), order: 'b00', ...text }),
  ])
  return {
    deck,
    input: (pixels = () => null) => {
      const elements = shownElements(deck, slide)
      return {
        deck,
        slide: deck.slides[slide]!,
        elements,
        element: elements.find(element => element.id === 'words') as TextElement & ShownElement,
        size: { width: 1920, height: 1080 },
        measurer: timingContext.measurer,
        pixels,
      }
    },
  }
}
const ratioOf = (text: Partial<TextElement>, under: readonly Partial<Element>[] = [], pixels?: Pixels, slideFields = {}) =>
  contrastOf(slideWith(text, under, slideFields).input(pixels))!
const picture: Partial<Element> = { kind: 'picture', media: photo, natural: { width: 640, height: 360 } } as Partial<Element>
const shape = (fill: object, more: object = {}): Partial<Element> =>
  ({ kind: 'shape', shape: 'rectangle', fill, ...more }) as Partial<Element>
const grey = (value: number) => `#${value.toString(16).padStart(2, '0').repeat(3)}`
const byte = fc.integer({ min: 0, max: 255 })

describe('the contrast of words', () => {
  it('on one colour is the very one that WCAG reckons, whatever carries that colour', () => {
    fc.assert(
      fc.property(byte, byte, fc.constantFrom('shape', 'panel', 'marking', 'picture', 'gradient'), (ground, words, way) => {
        const hex = grey(ground)
        const text: Partial<TextElement> = {
          color: { hex: grey(words) } as never,
          ...(way === 'panel' ? { panel: { padding: 10, radius: 0, fill: { hex } } } : {}),
        }
        if (way === 'marking')
          text.text = {
            type: 'doc',
            content: [
              { type: 'paragraph', content: [{ type: 'text', text: 'Boats', marks: [{ type: 'highlight', attrs: { color: { hex } } }] }] },
            ],
          }
        const stops = [
          { color: { hex }, at: 0 },
          { color: { hex }, at: 1 },
        ]
        const under =
          way === 'shape'
            ? [shape({ hex })]
            : way === 'picture'
              ? [picture]
              : way === 'gradient'
                ? [shape({ kind: 'linear', angle: 40, stops })]
                : []
        const found = ratioOf(text, under, () => [plain(ground)])
        expect(found.ratio).toBeCloseTo(wcag(hex, grey(words)), 4)
        expect(found.below).toBe(found.ratio < found.needed ? 1 : 0)
      }),
      { numRuns: 60 },
    )
  })

  it('is that of what is seen through transparency: a panel of 10 %, words of 30 %, a picture of 10 %', () => {
    const white = { hex: '#ffffff' }
    // White words on a white picture under a dark panel of 10 %: hardly any.
    expect(
      ratioOf({ color: white as never, panel: { padding: 10, radius: 0, fill: { hex: '#000000', alpha: 0.1 } } }, [picture], () => [
        plain(255),
      ]).ratio,
    ).toBeCloseTo(wcag('#ffffff', '#e6e6e6'), 1)
    // Black words at 30 % on white are light grey.
    expect(ratioOf({ color: { hex: '#000000' } as never, opacity: 0.3 }, [shape(white)]).ratio).toBeCloseTo(wcag('#b3b3b3', '#ffffff'), 1)
    // A black picture at 10 % hardly darkens a white ground.
    expect(ratioOf({ color: white as never }, [shape(white), { ...picture, opacity: 0.1 }], () => [plain(0)]).ratio).toBeCloseTo(
      wcag('#ffffff', '#e6e6e6'),
      1,
    )
  })

  it('is that of the worst stretch: a word in the colour of its panel, in words that can be read', () => {
    const text = {
      type: 'doc' as const,
      content: [
        {
          type: 'paragraph' as const,
          content: [
            { type: 'text' as const, text: 'Boats leave ' },
            { type: 'text' as const, text: 'early', marks: [{ type: 'color' as const, attrs: { color: { hex: '#0b4643' } } }] },
          ],
        },
      ],
    }
    const found = ratioOf({ text, color: { hex: '#ffffff' } as never, panel: { padding: 10, radius: 0, fill: { hex: '#0b4643' } } })
    expect(found).toMatchObject({ words: 'early' })
    expect(found.ratio).toBeCloseTo(1, 3)
  })

  it('is that of the worst moment of a film, and unknown while its pixels are on their way', () => {
    const clip = { kind: 'film', media: film, natural: { width: 640, height: 360 } } as Partial<Element>
    expect(ratioOf({ color: { hex: '#ffffff' } as never }, [clip], () => [plain(0), plain(250), plain(10)]).ratio).toBeLessThan(1.2)
    expect(contrastOf(slideWith({}, [clip]).input(() => undefined))).toBeUndefined()
    // What has no pixels is said to be not looked at.
    expect(ratioOf({}, [clip], () => null).unseen).toEqual(['a picture that is not at hand'])
  })

  it('follows turned boxes, round shapes, overlays and the slide’s own ground', () => {
    const white = { hex: '#ffffff' }
    const small = { x: 860, y: 490, width: 200, height: 100, angle: 0 }
    const corner = { x: 0, y: 0, width: 220, height: 90, angle: 0 }
    // A corner of an ellipse shows what lies beneath the ellipse.
    const ellipse = (box: object) =>
      ratioOf({ color: white as never, box: box as never, text: textOf(['Hi']) }, [
        shape({ hex: '#000000' }),
        shape(white, { shape: 'ellipse' }),
      ]).ratio
    expect(ellipse(small)).toBeCloseTo(1, 2)
    expect(ellipse(corner)).toBeGreaterThan(15)
    const overlaid = ratioOf(
      { color: white as never },
      [{ ...picture, treatment: { tint: { color: { hex: '#000000' }, strength: 0.8 } } } as Partial<Element>],
      () => [plain(255)],
    )
    expect(overlaid.ratio).toBeCloseTo(wcag('#ffffff', '#333333'), 1)
    const backdrop = {
      backdrop: { fill: { kind: 'picture', media: photo, natural: { width: 16, height: 9 }, veil: { hex: '#000000', alpha: 0.5 } } },
    }
    expect(ratioOf({ color: white as never }, [], () => [plain(255)], backdrop).ratio).toBeCloseTo(wcag('#ffffff', '#808080'), 1)
  })
})

describe('a remedy', () => {
  const cases: [string, Partial<TextElement>, readonly Partial<Element>[], Raster][] = [
    ['white words on a white picture', { color: { hex: '#ffffff' } as never }, [picture], plain(255)],
    ['words on a busy picture', { color: { hex: '#ffffff' } as never }, [picture], chequered],
    ['grey words on grey', { color: { hex: '#7a7a7a' } as never }, [shape({ hex: '#808080' })], plain(0)],
    ['words that are nearly transparent', { color: { hex: '#000000' } as never, opacity: 0.15 }, [shape({ hex: '#ffffff' })], plain(0)],
  ]
  it.each(cases)('makes them readable as it says, measured as it will be seen: %s', (_, text, under, raster) => {
    const { deck, input } = slideWith(text, under)
    const pixels: Pixels = () => [raster]
    const remedies = contrastRemedies(input(pixels))
    expect(remedies.length).toBeGreaterThan(0)
    const slide = slidesOf(deck)[0]!.id
    for (const remedy of remedies) {
      const changes = Object.entries(remedy.fields).flatMap(([id, fields]) =>
        setFields(deck, { table: 'elements', id, fields: fields as never }),
      )
      const done = applyChanges(deck, changes)
      const elements = shownElements(done, slide)
      const after = contrastOf({
        ...input(pixels),
        deck: done,
        elements,
        element: elements.find(element => element.id === 'words') as TextElement & ShownElement,
      })!
      expect([remedy.name, after.ratio >= after.needed]).toEqual([remedy.name, true])
      expect(after.ratio).toBeCloseTo(remedy.after.ratio, 6)
    }
  })

  it('puts a panel behind words without making them smaller or moving them', () => {
    const { input } = slideWith({ color: { hex: '#ffffff' } as never }, [picture])
    const panel = contrastRemedies(input(() => [plain(255)])).find(remedy => remedy.name === 'panel')!
    const { box } = input().element
    expect((panel.fields.words as TextElement).box).toEqual({
      ...box,
      x: box.x - 20,
      y: box.y - 20,
      width: box.width + 40,
      height: box.height + 40,
    })
  })

  it('measures what is seen of words that reach over the edge, and nothing beyond it', () => {
    const dark = { fill: undefined, ground: { hex: '#101418' } }
    const half = contrastOf(
      slideWith({ color: { hex: '#ffffff' } as never, box: { x: -150, y: 400, width: 900, height: 100, angle: 0 } }, [], dark).input(),
    )!
    expect(half.ratio).toBeGreaterThan(15)
    expect(
      contrastOf(
        slideWith({ color: { hex: '#ffffff' } as never, box: { x: -2000, y: 400, width: 900, height: 100, angle: 0 } }, [], dark).input(),
      ),
    ).toBeNull()
  })

  it('is not offered where nothing is wrong', () => {
    expect(contrastRemedies(slideWith({ color: { hex: '#000000' } as never }, [shape({ hex: '#ffffff' })]).input())).toEqual([])
  })
})

describe('Check', () => {
  it('says the very same ratio of words on a picture, and its remedy ends the finding', () => {
    const { deck, input } = slideWith({ color: { hex: '#ffffff' } as never }, [picture])
    const pixels: Pixels = () => [plain(215)]
    const context = { ...timingContext, pixels }
    const [finding] = checkDeck(deck, context).filter(one => one.rule === 'contrast')
    const measured = contrastOf(input(pixels))!
    expect(finding!.message).toContain(`by ${(Math.floor(measured.ratio * 10) / 10).toFixed(1)} to 1`)
    expect(finding!.message).toContain('the picture beneath it')
    const mended = applyChanges(deck, finding!.remedy!.changes(deck, { id: () => 'x' }))
    expect(checkDeck(mended, context).filter(one => one.rule === 'contrast')).toEqual([])
    // Before the pixels are here nothing is said, and afterwards it is looked at anew.
    const same = rundown(deck, 'talk', timingContext)
    expect(same.slides).toHaveLength(1)
    expect(checkDeck(deck, { ...timingContext, pixels: () => undefined }).filter(one => one.rule === 'contrast')).toEqual([])
    expect(checkDeck(deck, context).filter(one => one.rule === 'contrast')).toHaveLength(1)
  })

  it('names what it could not look at, apart from what is wrong: words over a chart, letters filled with a gradient', () => {
    const chart = { kind: 'chart', name: 'Crossings', chart: { ...newChart('none') } } as unknown as Partial<Element>
    const over = slideWith({ color: { hex: '#ffffff' } as never }, [chart])
    const notes = (deck: Deck) =>
      checkDeck(deck, timingContext)
        .filter(one => one.rule === 'contrast')
        .map(one => [one.unmeasured, one.message])
    expect(notes(over.deck)).toEqual([
      [
        true,
        expect.stringMatching(/^Look yourself whether “.*” can be read: it lies over “Crossings”, and was measured on what is beneath\.$/),
      ],
    ])
    const stops = [
      { color: { hex: '#ffffff' }, at: 0 },
      { color: { hex: '#dddddd' }, at: 1 },
    ]
    expect(notes(slideWith({ paint: { kind: 'linear', angle: 0, stops } as never }).deck)).toEqual([
      [true, expect.stringContaining('more than one colour')],
    ])
    const aside = { ...chart, box: { x: 0, y: 900, width: 100, height: 100, angle: 0 } } as Partial<Element>
    expect(notes(slideWith({ color: { hex: '#ffffff' } as never }, [aside]).deck)).toEqual([])
  })
})
