import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { textOf, type TextStyle } from '../model'
import { houseTheme } from '../layouts'
import { countedText, countReading, fitText, layoutText, readingSeconds, roughMeasurer } from './index'

const style: TextStyle = houseTheme.textStyles.body!
const lay = (lines: (string | { text: string; level: number })[], width: number) =>
  layoutText(textOf(lines), style, houseTheme.fonts, width, roughMeasurer)
const words = fc.array(
  fc.string({ unit: 'grapheme', minLength: 1, maxLength: 14 }).filter(word => !/\s/.test(word)),
  { minLength: 1, maxLength: 40 },
)

describe('breaking lines', () => {
  it('loses no letter, keeps their order, and no line is wider than its box', () => {
    fc.assert(
      fc.property(words, fc.integer({ min: 60, max: 1200 }), (list, width) => {
        const layout = lay([list.join(' ')], width)
        expect(
          layout.lines
            .flatMap(line => line.runs.map(run => run.text))
            .join('')
            .replace(/\s/g, ''),
        ).toBe(list.join('').replace(/\s/g, ''))
        const widest = Math.max(
          ...list.flatMap(word =>
            [...new Intl.Segmenter().segment(word)].map(part =>
              roughMeasurer.width(part.segment, { family: '', size: style.size, weight: 400, italic: false }),
            ),
          ),
        )
        for (const line of layout.lines) expect(line.width).toBeLessThanOrEqual(Math.max(width, widest) + 0.01)
      }),
    )
  })

  it('breaks at blanks and after hyphens, and between letters only where a word is wider than the line', () => {
    const em = style.size / 2
    expect(
      lay(['harbour office'], em * 8).lines.map(line =>
        line.runs
          .map(run => run.text)
          .join('')
          .trim(),
      ),
    ).toEqual(['harbour', 'office'])
    expect(lay(['half-hourly'], em * 7).lines.map(line => line.runs.map(run => run.text).join(''))).toEqual(['half-', 'hourly'])
    expect(lay(['Abcdefgh'], em * 3).lines.map(line => line.runs.map(run => run.text).join(''))).toEqual(['Abc', 'def', 'gh'])
  })

  it('counts paragraphs that hold words, lines, words and letters', () => {
    expect(lay(['Two words', '', { text: 'Third', level: 1 }], 5000).counts).toEqual({ paragraph: 2, line: 3, word: 3, letter: 14 })
  })

  it('indents lists and gives their first line a bullet', () => {
    const layout = lay([{ text: 'a '.repeat(40), level: 2 }], 600)
    expect(layout.lines[0]!.bullet?.words).toBe('•')
    expect(layout.lines.slice(1).every(line => !line.first && line.indent === layout.lines[0]!.indent)).toBe(true)
  })
})

describe('fitting', () => {
  it('never shrinks below the least size, and what fits is inside its box', () => {
    fc.assert(
      fc.property(words, fc.integer({ min: 40, max: 800 }), (list, height) => {
        const fitted = fitText(textOf([list.join(' ')]), style, houseTheme.fonts, { width: 500, height }, roughMeasurer)
        expect(fitted.scale).toBeGreaterThanOrEqual(style.leastSize / style.size - 1e-9)
        expect(fitted.height <= height + 0.5).toBe(fitted.fits)
      }),
    )
  })
})

describe('reading time', () => {
  it('counts words by the language’s own boundaries, numbers apart', () => {
    expect(countReading('Astrel sails 12 times, from 06:10', 'en')).toEqual({ words: 4, numbers: 3, marks: 0 })
    expect(countReading('船は毎時出ます', 'ja').words).toBeGreaterThan(2)
  })

  it('is longer for children than for colleagues, grows with every word, and nothing takes no time', () => {
    const read = (count: number, audience: 'children' | 'public' | 'colleagues') =>
      readingSeconds({ words: count, numbers: 0, marks: 0 }, 'en', audience)
    expect(read(20, 'children')).toBeGreaterThan(read(20, 'public'))
    expect(read(20, 'public')).toBeGreaterThan(read(20, 'colleagues'))
    expect(read(21, 'public')).toBeGreaterThan(read(20, 'public'))
    expect(read(0, 'public')).toBe(0)
    // 228 words a minute at three quarters of the pace: 20 words in 7.0 s, and 0.4 s to find them.
    expect(read(20, 'public')).toBeCloseTo(0.4 + (20 * 60) / (228 * 0.75), 6)
  })
})

describe('numbers that count up', () => {
  it.each([
    ['318.4k riders', 0.5, '159.2k riders'],
    ['1,240 boats', 0.5, '620 boats'],
    ['1.234,50 €', 1 / 3, '411,50 €'],
    ['2031', 0, '0'],
    ['no number', 0.2, 'no number'],
    ['12 345', 0.9, '11 111'],
  ])('%s at %d', (text, share, expected) => expect(countedText(text, share)).toBe(expected))

  it('ends on the text itself', () => {
    fc.assert(fc.property(fc.string(), text => countedText(text, 1) === text))
  })
})

describe('text from right to left', () => {
  const style = { ...houseTheme.textStyles.body! }
  it('stands at the right where its style stands at the left, line by line', () => {
    const { lines } = layoutText(textOf(['القارب الأول', 'The first boat']), style, houseTheme.fonts, 800, roughMeasurer)
    expect(lines.map(line => [line.rightToLeft, line.align])).toEqual([
      [true, 'right'],
      [false, 'left'],
    ])
  })
})
