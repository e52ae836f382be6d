import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { plainText, textOf } from '../../model'
import { mostPastedLines, readPasted, readPastedRange, readPastedText, withLevels } from './index'

const levels = (plain: string) => {
  const read = readPasted(plain)
  return read.is === 'list' ? read.text.content.map(paragraph => paragraph.attrs?.level) : read.is
}

describe('what was pasted', () => {
  it.each([
    ['nothing', '  \n\t\n'],
    ['words', 'The boat leaves at seven'],
    ['words', 'First boat\nLast boat'],
    ['words', '- one line with a dash is no list'],
    ['list', '- Astrel\n- Quill'],
    ['list', '1. Astrel\n2) Quill\n  with the tide'],
    ['list', '• Astrel\r\n• Quill\r\n'],
    ['words', '- Astrel\nand words that follow'],
    ['words', 'Routes:\n- Astrel\n- Quill'],
    ['words', 'Routes\n\tAstrel\n\tQuill'],
    ['words', '2026 was a good year\n2025 was not'],
    ['range', 'quay\tboats\nAstrel\t12'],
    ['words', 'quay\tboats'],
    ['words', 'quay\tboats\nAstrel'],
    ['words', '\tindented\n\twords'],
    ['drawing', '<svg xmlns="http://www.w3.org/2000/svg"/>'],
    ['drawing', ' <?xml version="1.0"?>\n<!-- by hand --> <svg viewBox="0 0 1 1"></svg>'],
    ['words', 'an <svg> in words'],
    ['too long', 'words\n'.repeat(mostPastedLines + 1)],
    ['words', 'words\n'.repeat(mostPastedLines)],
    ['range', 'a\tb\n'.repeat(mostPastedLines + 1)],
  ])('is %s', (is, plain) => {
    expect(readPasted(plain).is).toBe(is)
  })

  it('keeps how deep the lines of a list stood, by spaces or tabs, nine levels at most', () => {
    expect(levels('- a\n  - b\n    - c\n- d')).toEqual([1, 2, 3, 1])
    expect(levels('- a\n\t- b\n\t\t- c\n\t- d')).toEqual([1, 2, 3, 2])
    expect(levels(Array.from({ length: 12 }, (_, depth) => `${' '.repeat(depth)}- a`).join('\n'))).toEqual([
      1, 2, 3, 4, 5, 6, 7, 8, 9, 9, 9, 9,
    ])
  })

  it('makes levels of tabs and dashes under lines that have none', () => {
    const lines = (plain: string) => {
      const read = readPasted(plain)
      return read.is === 'words' && read.text.content.map(one => [one.attrs?.level ?? 0, plainText({ type: 'doc', content: [one] })])
    }
    expect(lines('Routes\n\tAstrel\n\t\tevery hour\n\tQuill\nFares')).toEqual([
      [0, 'Routes'],
      [1, 'Astrel'],
      [2, 'every hour'],
      [1, 'Quill'],
      [0, 'Fares'],
    ])
    expect(lines('Routes:\n- Astrel\n- Quill')).toEqual([
      [0, 'Routes:'],
      [1, 'Astrel'],
      [1, 'Quill'],
    ])
    expect(lines('\tindented\n\twords')).toEqual([
      [0, 'indented'],
      [0, 'words'],
    ])
  })

  it('takes the signs and numbers of a list away, and nothing else of its words', () => {
    const read = readPasted('3. Berth 2. From April\n  - 40 cars')
    expect(read.is === 'list' && plainText(read.text)).toBe('Berth 2. From April\n40 cars')
  })

  it('loses no word of plain text, whatever it is', () => {
    const line = fc.stringMatching(/^[a-z]{1,8}( [a-z]{1,8}){0,3}$/)
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 12 }), fc.constantFrom('\n', '\r\n', '\r', '\n\n'), (lines, end) => {
        const read = readPasted(lines.join(end))
        expect(read.is === 'words' && plainText(read.text)).toBe(lines.join('\n'))
      }),
    )
  })

  it('is a list where a page had one, and words where only some lines were in it', () => {
    const list = textOf([
      { text: 'Astrel', level: 1 },
      { text: 'Quill', level: 1 },
    ])
    expect(readPastedText(list).is).toBe('list')
    expect(
      readPastedText({ ...list, content: [...list.content, { type: 'paragraph', content: [{ type: 'text', text: 'So.' }] }] }).is,
    ).toBe('words')
    expect(readPastedText({ type: 'doc', content: [{ type: 'paragraph' }] }).is).toBe('nothing')
    expect(readPastedText(textOf(Array.from({ length: mostPastedLines + 1 }, () => 'words')))).toEqual({
      is: 'too long',
      lines: mostPastedLines + 1,
    })
  })

  it('gives the lines of a diagram a level each, and leaves those that have one', () => {
    expect(withLevels(textOf(['a', { text: 'b', level: 3 }])).content.map(paragraph => paragraph.attrs?.level)).toEqual([1, 3])
  })
})

describe('a range of cells', () => {
  it('is written in as it stands, and read as data with typed columns', () => {
    const range = readPastedRange('quay\tboats\nAstrel\t12\n\nQuill\t7')
    expect(range).toMatchObject({ columns: 2, canBeWritten: true })
    expect(range.cells).toEqual([
      ['quay', 'boats'],
      ['Astrel', '12'],
      ['Quill', '7'],
    ])
    expect(range.data.ok && range.data.value.table.columns.map(column => column.type)).toEqual(['text', 'number'])
  })

  it('is too large to be written in beyond 500 rows or 60 columns', () => {
    expect(readPastedRange('a\tb\n'.repeat(500)).canBeWritten).toBe(true)
    expect(readPastedRange('a\tb\n'.repeat(501)).canBeWritten).toBe(false)
    expect(readPastedRange(`${'a\t'.repeat(60)}b\nc`)).toMatchObject({ columns: 61, canBeWritten: false })
  })

  it('is no data without rows under its first line, and says so', () => {
    const { data } = readPastedRange('quay\tboats')
    expect(data.ok || data.message).toContain('no rows')
  })
})
