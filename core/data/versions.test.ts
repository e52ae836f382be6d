import { describe, expect, it } from 'vitest'
import { readWritten } from '../testing'
import { changeBetween, heldBecause } from './versions'

const table = (text: string) => readWritten(text).table
const before = table('stop,day,riders\nQuill,25/04/2031,12\nHarrow,26/04/2031,7')

describe('a new version of a table', () => {
  it('takes the place of the one before where each of its columns is there, of its type, in whatever order', () => {
    expect(heldBecause(before, table('riders,stop,day,crew\n9,Quill,27/04/2031,3\n8,Low Sands,28/04/2031,4'))).toBeNull()
  })

  it.each([
    ['a column that is gone', 'stop,riders\nQuill,12', 'The column “day” is gone.'],
    ['columns that are gone', 'stop,boats\nQuill,12', 'The columns “day” and “riders” are gone.'],
    [
      'words where numbers were',
      'stop,day,riders\nQuill,25/04/2031,few\nHarrow,26/04/2031,many',
      '“riders” held numbers and holds words now.',
    ],
    ['a question that it opens', 'stop,day,riders\nQuill,03/04/2031,12\nHarrow,05/04/2031,7', '“day” leaves a question open.'],
  ])('is held for %s', (_, text, words) => expect(heldBecause(before, table(text))).toBe(words))

  it('closes a question that the one before had left open', () => {
    const open = table('stop,day,riders\nQuill,03/04/2031,12\nHarrow,05/04/2031,7')
    expect(heldBecause(open, before)).toBeNull()
  })

  it('is compared by its rows, its sums and its new columns', () => {
    const after = table('stop,day,riders,crew\nQuill,25/04/2031,13\nHarrow,26/04/2031,7\nSaltworks,27/04/2031,5')
    expect(
      changeBetween(before, { ...after, columns: [...after.columns.slice(0, 3), { name: 'crew', type: 'number', values: [1, 2, 3] }] }),
    ).toEqual({
      rows: { before: 2, after: 3 },
      sums: [{ column: 'riders', before: 19, after: 25 }],
      added: ['crew'],
    })
    expect(changeBetween(before, before)).toEqual({ rows: { before: 2, after: 2 }, sums: [], added: [] })
  })
})
