import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { OutlineLine, OutlineSlide } from './outline'
import { outlineKey, type OutlineCaret, type OutlineKey, type OutlineStep } from './outline-keys'

const slide = (title: string, ...lines: (string | [string, number])[]): OutlineSlide => ({
  title,
  lines: lines.map(line => (typeof line === 'string' ? { text: line, level: 1 } : { text: line[0], level: line[1] })),
})
/** The caret in a line, `|` marking where it stands in that line's words. */
function at(outline: OutlineSlide, line: number, marked: string, more: Partial<OutlineCaret> = {}): OutlineCaret {
  const from = marked.indexOf('|')
  const to = marked.lastIndexOf('|')
  return {
    outline,
    line,
    text: marked.replaceAll('|', ''),
    from,
    to: to === from ? from : to - 1,
    fixed: false,
    above: 2,
    below: true,
    mayGo: true,
    ...more,
  }
}
const press = (caret: OutlineCaret, key: string, held: Omit<OutlineKey, 'key'> = {}) => outlineKey(caret, { key, ...held })
const written = (step: OutlineStep | null) =>
  step?.do === 'write' ? [step.outline.title, ...step.outline.lines.map(({ text, level }) => '  '.repeat(level) + text)] : step?.do
const two = slide('Routes', 'Astrel at seven', ['by tide', 2])

describe('Enter in an outline', () => {
  it('parts a line where the caret stands, at the same level, and goes on in the second half', () => {
    const step = press(at(two, 1, 'by| tide'), 'Enter')
    expect(written(step)).toEqual(['Routes', '  Astrel at seven', '    by', '     tide'])
    expect(step).toMatchObject({ focus: { line: 2, atEnd: false } })
  })
  it('leaves out what is selected', () => {
    expect(written(press(at(two, 0, 'Astrel| at |seven'), 'Enter'))).toEqual(['Routes', '  Astrel', '  seven', '    by tide'])
  })
  it('parts a title into a first line', () => {
    expect(written(press(at(two, -1, 'Rou|tes'), 'Enter'))).toEqual(['Rou', '  tes', '  Astrel at seven', '    by tide'])
  })
  it('begins the next slide after a title with nothing under it, and on an empty last line, which goes', () => {
    expect(press(at(slide('Routes'), -1, 'Routes|'), 'Enter')).toEqual({ do: 'new slide', outline: null })
    expect(press(at(slide('Routes', 'Astrel', ''), 1, '|'), 'Enter')).toEqual({ do: 'new slide', outline: slide('Routes', 'Astrel') })
  })
  it('writes nothing where lines follow from elsewhere, but begins a slide from the title', () => {
    expect(press(at(two, 0, 'Astrel|', { fixed: true }), 'Enter')).toEqual({ do: 'nothing' })
    expect(press(at(two, -1, 'Rou|tes', { fixed: true }), 'Enter')).toEqual({ do: 'new slide', outline: null })
  })
  it('with Shift is a key of the field', () => {
    expect(press(at(two, 0, '|'), 'Enter', { shift: true })).toBeNull()
  })
})

describe('Alt with the arrows in an outline', () => {
  const further = { alt: true }
  it('takes a line under the one before and back, nine levels at most; Control with the brackets does too', () => {
    const under = ['Routes', '    Astrel at seven', '    by tide']
    expect(written(press(at(two, 0, '|Astrel'), 'ArrowRight', further))).toEqual(under)
    expect(written(press(at(two, 0, '|Astrel'), ']', { control: true }))).toEqual(under)
    const out = ['Routes', '  Astrel at seven', '  by tide']
    expect(written(press(at(two, 1, '|by tide'), 'ArrowLeft', further))).toEqual(out)
    expect(written(press(at(two, 1, '|by tide'), '[', { control: true }))).toEqual(out)
    const deep = slide('Routes', ['deep', 9])
    expect(written(press(at(deep, 0, '|deep'), 'ArrowRight', further))).toEqual(['Routes', `${'  '.repeat(9)}deep`])
  })
  it('makes a line of the first level a slide, and a slide a line of the one above', () => {
    expect(press(at(two, 0, '|Astrel'), 'ArrowLeft', further)).toEqual({ do: 'split', line: 0 })
    expect(press(at(two, -1, '|Routes'), 'ArrowRight', further)).toEqual({ do: 'join' })
    expect(press(at(two, -1, '|Routes'), 'ArrowLeft', further)).toEqual({ do: 'nothing' })
  })
  it('writes nothing while lines follow from elsewhere', () => {
    expect(press(at(two, 0, '|', { fixed: true }), 'ArrowRight', further)).toEqual({ do: 'nothing' })
  })
  it('is a key of the field without them, as Tab is, which goes on to what follows', () => {
    for (const key of ['ArrowRight', 'ArrowLeft', '[', ']', 'Tab']) expect(press(at(two, 0, '|Astrel'), key)).toBeNull()
    expect(press(at(two, -1, '|Routes'), 'Tab', { shift: true })).toBeNull()
  })
})

describe('Backspace in an outline', () => {
  it('joins a line with the one before, and the first with the title', () => {
    const step = press(at(two, 1, '|by tide'), 'Backspace')
    expect(written(step)).toEqual(['Routes', '  Astrel at sevenby tide'])
    expect(step).toMatchObject({ focus: { line: 0, atEnd: true } })
    expect(written(press(at(two, 0, '|Astrel at seven'), 'Backspace'))).toEqual(['RoutesAstrel at seven', '    by tide'])
  })
  it('takes letters elsewhere, and words that are selected', () => {
    expect(press(at(two, 1, 'b|y tide'), 'Backspace')).toBeNull()
    expect(press(at(two, 1, '|by| tide'), 'Backspace')).toBeNull()
  })
  it('takes a slide away that has no word left, where that may be', () => {
    expect(press(at(slide(''), -1, '|'), 'Backspace')).toEqual({ do: 'remove' })
    expect(press(at(slide(''), -1, '|', { mayGo: false }), 'Backspace')).toBeNull()
    expect(press(at(slide('', 'words'), -1, '|'), 'Backspace')).toBeNull()
  })
})

describe('arrows in an outline', () => {
  it('go from line to line at the edges of a field, and over slides', () => {
    expect(press(at(two, 0, '|Astrel'), 'ArrowUp')).toEqual({ do: 'go', slides: 0, line: -1 })
    expect(press(at(two, -1, '|Routes'), 'ArrowUp')).toEqual({ do: 'go', slides: -1, line: 1 })
    expect(press(at(two, 1, 'by tide|'), 'ArrowDown')).toEqual({ do: 'go', slides: 1, line: -1 })
    expect(press(at(two, 0, 'Astrel| at seven'), 'ArrowDown')).toBeNull()
  })
  it('stay at the ends of the outline', () => {
    expect(press(at(two, -1, '|Routes', { above: null }), 'ArrowUp')).toBeNull()
    expect(press(at(two, 1, 'by tide|', { below: false }), 'ArrowDown')).toBeNull()
  })
  it('move the slide with Alt', () => {
    expect(press(at(two, 0, 'As|trel'), 'ArrowUp', { alt: true })).toEqual({ do: 'move', by: -1 })
    expect(press(at(two, 0, 'As|trel'), 'ArrowDown', { alt: true })).toEqual({ do: 'move', by: 1 })
  })
})

describe('any key in an outline', () => {
  const line = fc.record({ text: fc.stringMatching(/^[a-z ]{0,8}$/), level: fc.integer({ min: 1, max: 9 }) })
  const letters = (outline: OutlineSlide) => [outline.title, ...outline.lines.map((entry: OutlineLine) => entry.text)].join('')
  it('loses no letter that was not selected, and stays within nine levels', () => {
    fc.assert(
      fc.property(
        fc.stringMatching(/^[a-z ]{0,8}$/),
        fc.array(line, { maxLength: 5 }),
        fc.nat(),
        fc.nat(),
        fc.constantFrom('Enter', 'Tab', 'Backspace', 'ArrowUp', 'ArrowDown', 'ArrowLeft', 'ArrowRight'),
        fc.boolean(),
        fc.boolean(),
        (title, entries, pick, place, key, shift, alt) => {
          const outline: OutlineSlide = { title, lines: entries }
          const index = (pick % (entries.length + 1)) - 1
          const text = index < 0 ? title : entries[index]!.text
          const caret = place % (text.length + 1)
          const step = press(at(outline, index, `${text.slice(0, caret)}|${text.slice(caret)}`), key, { shift, alt })
          const next = step && 'outline' in step ? step.outline : null
          if (!next) return
          expect(letters(next)).toBe(letters(outline))
          for (const { level } of next.lines) expect(level).toBeGreaterThanOrEqual(1)
          for (const { level } of next.lines) expect(level).toBeLessThanOrEqual(9)
        },
      ),
    )
  })
})
