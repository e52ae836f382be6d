import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { textOf, type Numbering, type TextDoc } from '../model'
import type { TextSetting } from '../resolved'
import { houseTheme } from '../layouts'
import {
  indentOf,
  layoutText,
  leastReadable,
  lettersAlong,
  numberSign,
  pathAlong,
  rememberingMeasurer,
  roughMeasurer,
  setText,
  type Font,
} from './index'

const { fonts } = houseTheme
const body: TextSetting = houseTheme.textStyles.body!
const lay = (doc: TextDoc, setting: Partial<TextSetting> = {}, width = 5000) =>
  layoutText(doc, { ...body, ...setting }, fonts, width, roughMeasurer)
const marked = (text: string, ...marks: object[]) =>
  ({
    type: 'doc',
    content: [
      {
        type: 'paragraph',
        content: [
          { type: 'text', text: 'a ' },
          { type: 'text', text, marks },
        ],
      },
    ],
  }) as TextDoc
const words = (doc: TextDoc, setting: Partial<TextSetting> = {}) =>
  lay(doc, setting).lines.map(line => line.runs.map(run => run.text).join(''))

describe('numbering', () => {
  it.each<[Numbering, number, string]>([
    ['decimal', 12, '12'],
    ['padded', 7, '07'],
    ['lower-letter', 1, 'a'],
    ['lower-letter', 26, 'z'],
    ['lower-letter', 27, 'aa'],
    ['upper-letter', 703, 'AAA'],
    ['lower-roman', 1994, 'mcmxciv'],
    ['upper-roman', 49, 'XLIX'],
    ['greek', 24, 'ω'],
    ['greek', 25, 'αα'],
    ['circled', 1, '①'],
    ['circled', 20, '⑳'],
    ['circled', 21, '㉑'],
    ['circled', 36, '㊱'],
    ['circled', 50, '㊿'],
    // What a system cannot say is said in digits.
    ['circled', 51, '51'],
    ['upper-roman', 5000, '5000'],
    ['lower-letter', 0, '0'],
  ])('%s says %d as %s', (system, value, sign) => expect(numberSign(value, system)).toBe(sign))

  it('gives every number its own sign in every system', () => {
    for (const system of [
      'decimal',
      'padded',
      'lower-letter',
      'upper-letter',
      'greek',
      'lower-roman',
      'upper-roman',
      'circled',
    ] as Numbering[]) {
      const signs = Array.from({ length: 800 }, (_, index) => numberSign(index + 1, system))
      expect(new Set(signs).size, system).toBe(800)
    }
  })

  it('goes on down a list, begins anew below each line above, and starts where it is told to', () => {
    const numbered = (text: string, level: number, start?: number) => ({
      type: 'paragraph',
      attrs: { level, bullet: { number: { system: 'decimal' } }, ...(start ? { start } : {}) },
      content: [{ type: 'text', text }],
    })
    const doc = {
      type: 'doc',
      content: [
        numbered('one', 1),
        numbered('inner', 2),
        numbered('inner', 2),
        numbered('two', 1),
        numbered('inner', 2),
        numbered('seven', 1, 7),
        numbered('eight', 1),
      ],
    } as TextDoc
    expect(lay(doc).lines.map(line => line.bullet!.words)).toEqual(['1.', '1.', '2.', '2.', '1.', '7.', '8.'])
  })
})

describe('the size of words', () => {
  it('grows with marks of size and accent, and the line with the largest word in it', () => {
    const plain = lay(textOf(['a boat'])).lines[0]!
    const large = lay(marked('boat', { type: 'size', attrs: { factor: 2 } })).lines[0]!
    expect(large.height).toBeCloseTo(plain.height * 2, 6)
    expect(large.width).toBeCloseTo(
      plain.width + roughMeasurer.width('boat', { family: '', size: body.size, weight: 400, italic: false }),
      6,
    )
    const accented = lay(marked('boat', { type: 'accent', attrs: { name: 'loud' } }), { accents: { loud: { size: 1.5 } } as never })
      .lines[0]!
    expect(accented.height).toBeCloseTo(plain.height * 1.5, 6)
  })

  it('takes the letters of its case, and spaces them', () => {
    expect(words(textOf(['Quay Two']), { case: 'upper' })).toEqual(['QUAY TWO'])
    const [tight, wide] = [0, 0.1].map(letterSpacing => lay(textOf(['quay']), { letterSpacing }).width)
    expect(wide! - tight!).toBeCloseTo(4 * 0.1 * body.size, 6)
  })

  it('is never less than can be read from the back, however far that is', () => {
    const size = { width: 1920, height: 1080 }
    expect(leastReadable({ size })).toBeCloseTo(0.02 * 1080, 6)
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 40, noNaN: true }),
        distance => leastReadable({ size, distance: distance + 1 }) > leastReadable({ size, distance }),
      ),
    )
  })
})

describe('breaks that are forced', () => {
  it('open a line within the paragraph and leave its bullet with the first', () => {
    const doc = {
      type: 'doc',
      content: [
        {
          type: 'paragraph',
          attrs: { level: 1 },
          content: [{ type: 'text', text: 'first' }, { type: 'break' }, { type: 'text', text: 'second' }],
        },
      ],
    } as TextDoc
    const { lines, counts } = lay(doc)
    expect(lines.map(line => [line.runs.map(run => run.text).join(''), line.first, line.paragraph])).toEqual([
      ['first', true, 0],
      ['second', false, 0],
    ])
    expect(counts.paragraph).toBe(1)
    expect(lines[1]!.indent).toBe(lines[0]!.indent)
  })
})

describe('columns', () => {
  const many = textOf(Array.from({ length: 9 }, (_, index) => `Boat ${index + 1}`))
  it('keep every line in order, near one height, apart by the gap', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 4 }), fc.integer({ min: 0, max: 80 }), (count, gap) => {
        const layout = setText(many, body, fonts, { width: 1600, height: 900, columns: { count, gap } }, roughMeasurer)
        const one = setText(many, body, fonts, { width: 1600, height: 900 }, roughMeasurer)
        expect(layout.lines.map(line => line.runs[0]!.text)).toEqual(one.lines.map(line => line.runs[0]!.text))
        const places = [...new Set(layout.lines.map(line => line.column))]
        expect(places.length).toBeLessThanOrEqual(count)
        const room = (1600 - gap * (count - 1)) / count
        places.forEach((place, index) => expect(place).toBeCloseTo(index * (room + gap), 6))
        // Less the spacing before the lines that open a column.
        expect(layout.height).toBeGreaterThanOrEqual(one.lines.reduce((sum, line) => sum + line.height, 0) / count - 1)
        expect(layout.height).toBeLessThan(one.height)
        for (const place of places) expect(layout.lines.find(line => line.column === place)!.top).toBe(0)
      }),
    )
  })
})

describe('words on a path', () => {
  const size = { width: 800, height: 400 }
  it('begin at one end of it and leave at the other, whatever the path', () => {
    for (const path of ['arc', 'wave'] as const)
      for (const bend of [-0.8, -0.2, 0, 0.3, 1]) {
        const { length, at } = pathAlong({ path, bend }, size)
        expect(length).toBeGreaterThanOrEqual(size.width - 0.01)
        expect(at(0).x).toBeCloseTo(0, 0)
        expect(at(length).x).toBeCloseTo(size.width, 0)
      }
  })

  it('stand upright on straight lines, lean outwards on arcs, and keep their distances along it', () => {
    const layout = lay(textOf(['Harbour']), {})
    const set = (bend: number) => lettersAlong(layout, { path: 'arc', bend }, size, { style: body, fonts, align: 'center' }, roughMeasurer)
    expect(set(0).every(letter => letter.angle === 0)).toBe(true)
    const arc = set(0.6)
    expect(arc.map(letter => letter.text).join('')).toBe('Harbour')
    expect(arc[0]!.angle).toBeCloseTo(-arc.at(-1)!.angle, 6)
    expect(arc[0]!.angle).toBeLessThan(0)
    const steps = arc.slice(1).map((letter, index) => Math.hypot(letter.x - arc[index]!.x, letter.y - arc[index]!.y))
    for (const step of steps) expect(Math.abs(step - steps[0]!)).toBeLessThan(steps[0]! * 0.01)
  })

  it('go once round a circle, the middle of the words at the top', () => {
    const layout = lay(textOf(['abc']), {})
    const letters = lettersAlong(layout, { path: 'circle', bend: 1 }, size, { style: body, fonts, align: 'center' }, roughMeasurer)
    const middle = letters[1]!
    expect(middle.x).toBeCloseTo(size.width / 2, 0)
    expect(middle.y).toBeCloseTo(0, 0)
    for (const { x, y } of letters) expect(Math.hypot(x - 400, y - 200)).toBeCloseTo(200, 3)
  })
})

describe('indents', () => {
  it('of a level stand in by the distances of the bullets above it', () => {
    const setting: TextSetting = {
      ...body,
      bullets: [
        { ...body.bullet, distance: 1 },
        { ...body.bullet, distance: 2 },
      ],
    }
    expect([0, 1, 2].map(level => indentOf(setting, level))).toEqual([0, 1, 3])
    expect(indentOf(setting, 2, { ...body.bullet, distance: 0.5 })).toBe(1.5)
  })
})

describe('a measurer that remembers', () => {
  it('asks once for the same run in the same font, at any size, and forgets when told to or when full', () => {
    const asked: string[] = []
    const measurer = rememberingMeasurer((text, font) => (asked.push(text), text.length * font.size), 3)
    const font: Font = { family: 'Hanken Grotesk', size: 20, weight: 400, italic: false }
    expect(measurer.width('boat', font)).toBe(80)
    expect(measurer.width('boat', { ...font, size: 40 })).toBe(160)
    expect(asked).toEqual(['boat'])
    measurer.width('boat', { ...font, weight: 700 })
    measurer.width('boat', { ...font, italic: true })
    expect(asked).toHaveLength(3)
    measurer.width('quay', font)
    measurer.width('boat', font)
    expect(asked).toHaveLength(5)
    measurer.forget()
    measurer.width('boat', font)
    expect(asked).toHaveLength(6)
  })
})
