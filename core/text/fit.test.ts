import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { textOf, type TextDoc } from '../model'
import type { TextSetting } from '../resolved'
import { houseTheme } from '../layouts'
import { balanced, fitText, layoutText, roughMeasurer, spacingOf, fontOf } from './index'

const { fonts } = houseTheme
const style = (more: Partial<TextSetting> = {}): TextSetting => ({
  ...houseTheme.textStyles.body!,
  size: 40,
  leastSize: 30,
  mostSize: 80,
  ...more,
})
const fit = (words: string, box: { width: number; height: number }, more: Partial<TextSetting> = {}) =>
  fitText(textOf([words]), style(more), fonts, box, roughMeasurer)
const linesOf = (layout: { lines: readonly { runs: readonly { text: string }[] }[] }) =>
  layout.lines.map(({ runs }) =>
    runs
      .map(({ text }) => text)
      .join('')
      .trim(),
  )

describe('a text in its box', () => {
  it('grows to its greatest size where it has the room, and no further than its box lets it', () => {
    expect(fit('Quay', { width: 900, height: 400 }).scale).toBe(2)
    const tight = fit('Quay', { width: 900, height: 75 })
    expect(tight.scale).toBeGreaterThan(1.2)
    expect(tight.height).toBeLessThanOrEqual(75.5)
    expect(fit('Quay', { width: 900, height: 400 }, { mostSize: undefined }).scale).toBe(1)
  })

  it('never breaks a word that could be set smaller, not even below its least size', () => {
    const word = 'Fahrgastschifffahrt'
    const narrow = fit(word, { width: 250, height: 300 })
    expect([narrow.broken, narrow.fits, linesOf(narrow)]).toEqual([null, true, [word]])
    expect(narrow.scale * 40).toBeLessThan(30)
    // What is wider than two fifths of the least size lets it be is broken, as large as the lines have room for.
    expect(fit(word.repeat(4), { width: 250, height: 300 }).broken).toBe(word.repeat(4))
  })

  it('is as large as it may be, whatever the box: a little larger it would not hold', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 120, max: 900 }),
        fc.integer({ min: 50, max: 500 }),
        fc.integer({ min: 1, max: 14 }),
        (width, height, count) => {
          const words = Array.from({ length: count }, (_, index) => ['low', 'water', 'at', 'noon'][index % 4]).join(' ')
          const set = fit(words, { width, height })
          if (!set.fits) {
            expect(set.scale).toBeCloseTo(0.75, 2)
            return
          }
          expect(set.height).toBeLessThanOrEqual(height + 0.5)
          if (set.scale >= 1.99) return
          const larger = layoutText(textOf([words]), style(), fonts, width, roughMeasurer, set.scale * 1.02)
          expect(larger.height > height + 0.5 || larger.broken !== null).toBe(true)
        },
      ),
    )
  })

  it('is set in lines of about one length where its style says so: as many as before, none longer', () => {
    const words = 'A boat that leaves on time beats a fast one'
    const room = { width: 640, height: 400 }
    const doc = textOf([words])
    const set = fitText(doc, style({ mostSize: undefined }), fonts, room, roughMeasurer)
    const even = balanced(set, doc, style({ mostSize: undefined }), fonts, room, roughMeasurer)
    expect([even.lines.length, linesOf(even).join(' '), even.height]).toEqual([set.lines.length, words, set.height])
    const spread = (layout: typeof set) =>
      Math.max(...layout.lines.map(({ width }) => width)) - Math.min(...layout.lines.map(({ width }) => width))
    expect(spread(even)).toBeLessThanOrEqual(spread(set))
    expect(Math.max(...even.lines.map(({ width }) => width))).toBeLessThanOrEqual(room.width)
  })
})

describe('a number with its unit', () => {
  const set = (words: string, width = 900) => layoutText(textOf([words]), style({ units: 0.4 }), fonts, width, roughMeasurer)
  const runs = (words: string) =>
    set(words).lines.flatMap(line =>
      line.runs.map(({ text, marks }) => [text, marks.map(mark => (mark.type === 'size' ? mark.attrs.factor : mark.type))]),
    )

  it('has the unit smaller, and its letters as close as their size asks for', () => {
    expect(runs('96.4 %')).toEqual([
      ['96.4', []],
      ['\u202f%', [0.4]],
    ])
    expect(runs('318k')).toEqual([
      ['318', []],
      ['k', [0.4]],
    ])
    expect(runs('−3 °C')).toEqual([
      ['−3', []],
      ['\u202f°C', [0.4]],
    ])
    expect(runs('1,240 riders')).toEqual([
      ['1,240\u00a0', []],
      ['riders', [0.4]],
    ])
    expect(runs('1,900')).toEqual([['1,900', []]])
    const font = fontOf([{ type: 'size', attrs: { factor: 0.4 } }], style(), fonts, 1)
    expect(spacingOf({ letterSpacing: -0.05 }, font)).toBeCloseTo(-0.8)
  })

  it('is never on two lines, and has as many letters as were written', () => {
    const narrow = set('about 96.4 % of them', 190)
    expect(linesOf(narrow).some(line => line.includes('96.4\u202f%'))).toBe(true)
    expect(narrow.counts.letter).toBe('about 96.4 % of them'.length)
  })
})

describe('blanks that bind', () => {
  it('stay in the words that they bind, and no line turns at them', () => {
    const lines = (words: string, width: number) => linesOf(layoutText(textOf([words]), style(), fonts, width, roughMeasurer))
    expect(lines('some 12\u00a0500 boats', 210)).toEqual(['some', '12\u00a0500', 'boats'])
    expect(lines('à 9\u202fh', 900)).toEqual(['à 9\u202fh'])
  })
})

describe('a word in several looks', () => {
  it('is one word: no line turns within it', () => {
    const doc: TextDoc = {
      type: 'doc',
      content: [
        {
          type: 'paragraph',
          content: [
            { type: 'text', text: 'the harb' },
            { type: 'text', text: 'our', marks: [{ type: 'bold' }] },
            { type: 'text', text: ' office' },
          ],
        },
      ],
    }
    expect(linesOf(layoutText(doc, style(), fonts, 190, roughMeasurer))).toEqual(['the', 'harbour', 'office'])
  })
})
