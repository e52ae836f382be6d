import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { textOf, type Numbering, type Paragraph, type TextElement } from '../model'
import { styleNamed } from '../resolved'
import { houseTheme } from '../layouts'
import {
  bulletOf,
  bulletOfParagraph,
  bulletWords,
  fitText,
  indentOf,
  lettersAlong,
  lineCounter,
  linePlaces,
  numberSign,
  roughMeasurer,
  setText,
  usualDistance,
} from './index'

const body = styleNamed(houseTheme, 'body')
const line = (level: number, attrs: Paragraph['attrs'] = {}): Paragraph => ({
  type: 'paragraph',
  attrs: { level, ...attrs },
  content: [{ type: 'text', text: 'x' }],
})
const systems: readonly Numbering[] = [
  'decimal',
  'padded',
  'lower-letter',
  'upper-letter',
  'lower-roman',
  'upper-roman',
  'circled',
  'greek',
]

describe('number signs', () => {
  it('are those of their systems', () => {
    expect(systems.map(system => numberSign(4, system))).toEqual(['4', '04', 'd', 'D', 'iv', 'IV', '④', 'δ'])
    expect(numberSign(1994, 'upper-roman')).toBe('MCMXCIV')
    expect(numberSign(27, 'lower-letter')).toBe('aa')
  })
  it('tell all numbers apart, far beyond where a system has signs of its own', () => {
    for (const system of systems) expect(new Set(Array.from({ length: 300 }, (_, index) => numberSign(index + 1, system))).size).toBe(300)
  })
})

describe('counting lines', () => {
  const numbered = { ...bulletOf(body, 1), number: { system: 'decimal' as const, after: ')' } }
  const signs = (lines: readonly Paragraph[]) => {
    const count = lineCounter()
    return lines.map(paragraph => {
      const bullet = (paragraph.attrs?.level ?? 0) > 0 ? numbered : null
      return bullet ? bulletWords(bullet, count(paragraph, bullet)) : (count(paragraph, null), '')
    })
  }
  it('begins deeper ones anew under each line above, starts where it is told, and goes on after what is deeper', () => {
    expect(signs([line(1), line(2), line(2), line(1), line(2), line(1, { start: 9 }), line(1)])).toEqual([
      '1)',
      '1)',
      '2)',
      '2)',
      '1)',
      '9)',
      '10)',
    ])
  })
  it('begins anew after a line in no list', () => {
    expect(signs([line(1), line(1), line(0), line(1)])).toEqual(['1)', '2)', '', '1)'])
  })
})

describe('bullets', () => {
  it('are the style’s, over it the list’s of their level, over that the line’s own', () => {
    const setting = { ...body, bullets: [{ symbol: '★' }, { color: { hex: '#aa0000' } }] }
    expect(bulletOf(setting, 1).symbol).toBe('★')
    expect(bulletOf(setting, 2)).toMatchObject({ color: { hex: '#aa0000' } })
    expect(bulletOfParagraph(setting, line(1, { bullet: { size: 2 } }))).toMatchObject({ symbol: '★', size: 2 })
    expect(bulletOfParagraph(setting, line(1, { bullet: '→' }))).toMatchObject({ symbol: '→', number: null })
    expect(bulletOfParagraph(setting, line(0))).toBeNull()
  })
  it('push their words in by their distances, level upon level', () => {
    expect(indentOf(body, 2)).toBeCloseTo(2 * usualDistance, 6)
    expect(indentOf({ ...body, bullets: [{ distance: 3 }] }, 2)).toBeCloseTo(3 + usualDistance, 6)
  })
})

describe('columns', () => {
  it('hold every line once, in order, side by side and never wider than their room', () => {
    fc.assert(
      fc.property(
        fc.array(fc.stringMatching(/^[a-z]{1,12}( [a-z]{1,12}){0,6}$/), { minLength: 1, maxLength: 14 }),
        fc.integer({ min: 2, max: 4 }),
        fc.integer({ min: 0, max: 60 }),
        (lines, count, gap) => {
          const alone = setText(
            textOf(lines),
            body,
            houseTheme.fonts,
            { width: (1200 - gap * (count - 1)) / count, height: 900 },
            roughMeasurer,
          )
          const flowed = setText(
            textOf(lines),
            body,
            houseTheme.fonts,
            { width: 1200, height: 900, columns: { count, gap } },
            roughMeasurer,
          )
          const words = (layout: typeof alone) => layout.lines.map(one => one.runs.map(run => run.text).join(''))
          expect(words(flowed)).toEqual(words(alone))
          expect(flowed.height).toBeLessThanOrEqual(alone.height + 0.01)
          for (const one of flowed.lines) expect(one.column + one.width).toBeLessThanOrEqual(1200 + 0.5)
          expect(flowed.lines.map(one => one.column)).toEqual([...flowed.lines.map(one => one.column)].sort((a, b) => a - b))
        },
      ),
      { numRuns: 60 },
    )
  })
})

describe('words along a line', () => {
  it('stand in order and upright on an arc, and go around a circle once', () => {
    const layout = setText(textOf(['Low Sands ferry']), body, houseTheme.fonts, { width: 1e6, height: 1e6 }, roughMeasurer)
    const letters = lettersAlong(
      layout,
      { path: 'arc', bend: 0.5 },
      { width: 900, height: 300 },
      { style: body, fonts: houseTheme.fonts, align: 'center' },
      roughMeasurer,
    )
    expect(
      letters
        .map(letter => letter.text)
        .join('')
        .replaceAll(' ', ''),
    ).toBe('LowSandsferry')
    expect(letters.every((letter, index) => index === 0 || letter.x > letters[index - 1]!.x)).toBe(true)
    expect(letters.every(letter => Math.abs(letter.angle) < 90)).toBe(true)
    const round = lettersAlong(
      layout,
      { path: 'circle', bend: 0 },
      { width: 400, height: 400 },
      { style: body, fonts: houseTheme.fonts, align: 'left' },
      roughMeasurer,
    )
    for (const letter of round) expect(Math.hypot(letter.x - 200, letter.y - 200)).toBeGreaterThan(100)
  })
})

describe('where lines stand', () => {
  it('is inside the box as long as they fit, whatever the alignment and panel', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('left' as const, 'center' as const, 'right' as const),
        fc.constantFrom('top' as const, 'middle' as const, 'bottom' as const),
        fc.integer({ min: 0, max: 60 }),
        (align, vertical, padding) => {
          const element = {
            id: 't',
            owner: 's',
            kind: 'text',
            name: 'T',
            order: 'a0',
            pinned: false,
            text: textOf(['Boats leave', 'on time']),
            align,
            vertical,
            panel: { fill: null, padding, radius: 0 },
            box: { x: 0, y: 0, width: 700, height: 400, angle: 0 },
          } as TextElement & { box: { x: number; y: number; width: number; height: number; angle: number }; pinned: boolean }
          const layout = fitText(
            element.text,
            body,
            houseTheme.fonts,
            { width: 700 - 2 * padding, height: 400 - 2 * padding },
            roughMeasurer,
          )
          for (const place of linePlaces(element, layout)) {
            expect(place.x).toBeGreaterThanOrEqual(padding - 0.01)
            expect(place.x + place.width).toBeLessThanOrEqual(700 - padding + 0.01)
            expect(place.y).toBeGreaterThanOrEqual(padding - 0.01)
            expect(place.y + place.height).toBeLessThanOrEqual(400 - padding + 0.01)
          }
        },
      ),
    )
  })
})
