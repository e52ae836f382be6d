import { utils, write, type WorkSheet } from '@e965/xlsx'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { describe, expect, it } from 'vitest'
import type { ReadingChoices } from '../../data'
import { isWorkbook, readWorkbook } from './index'

interface Sheet {
  name: string
  rows: unknown[][]
  hidden?: true
  then?: (sheet: WorkSheet) => void
}
function bookOf(...sheets: Sheet[]): Uint8Array {
  const book = utils.book_new()
  for (const { name, rows, then } of sheets) {
    const sheet = utils.aoa_to_sheet(rows, { cellDates: true })
    then?.(sheet)
    utils.book_append_sheet(book, sheet, name)
  }
  book.Workbook = { Sheets: sheets.map(({ name, hidden }) => ({ name, Hidden: hidden ? 1 : 0 })) }
  return new Uint8Array(write(book, { type: 'array', bookType: 'xlsx' }) as ArrayBuffer)
}
const read = (bytes: Uint8Array, choices: ReadingChoices = {}) => readWorkbook(bytes, 'boats.xlsx', 't', choices)
function table(bytes: Uint8Array, choices: ReadingChoices = {}) {
  const made = read(bytes, choices)
  if (!made.ok) throw new Error(made.message)
  const { columns } = made.value.table
  return {
    columns: Object.fromEntries(columns.map(column => [column.name, column.values])),
    kinds: columns.map(({ kind, unit, grain }) => [kind, unit ?? grain].filter(Boolean).join(' ')),
    notes: made.value.notes.map(({ words }) => words),
    backs: made.value.notes.flatMap(({ back }) => (back ? [back] : [])),
  }
}
const stops = [
  ['stop', 'boardings'],
  ['Quill', 2010],
  ['Astrel', 1655],
]
const formatted = (at: string, format: string) => (sheet: WorkSheet) => {
  sheet[at]!.z = format
}

describe('a workbook', () => {
  it('is read as a table: title lines above the header, numbers as they are kept, cells without anything missing', () => {
    const made = table(bookOf({ name: '2031', rows: [['Boardings by stop, 2031'], [], ...stops, ['Low Sands', null]] }))
    expect(made.columns).toEqual({ stop: ['Quill', 'Astrel', 'Low Sands'], boardings: [2010, 1655, null] })
  })

  it('says by its formats what numbers are: days, times, shares, money', () => {
    const made = table(
      bookOf({
        name: 'Sheet1',
        rows: [
          ['day', 'on time', 'takings', 'first boat'],
          [new Date(Date.UTC(2031, 3, 3)), 0.941, 1240.5, 0.25],
          [new Date(Date.UTC(2031, 3, 14)), 0.97, -560, 0.28125],
        ],
        then: sheet => {
          for (const row of [2, 3]) {
            formatted(`A${row}`, 'dd/mm/yyyy')(sheet)
            formatted(`B${row}`, '0.0%')(sheet)
            formatted(`C${row}`, '#,##0.00 [$€-407]')(sheet)
            formatted(`D${row}`, 'hh:mm')(sheet)
          }
        },
      }),
    )
    expect(made.columns).toEqual({
      day: ['2031-04-03', '2031-04-14'],
      'on time': [0.941, 0.97],
      takings: [1240.5, -560],
      'first boat': ['06:00', '06:45'],
    })
    expect(made.kinds.slice(0, 3)).toEqual(['date day', 'percent %', 'money €'])
  })

  it('is read from its first sheet that is seen and holds something; the others are told, with the way to each', () => {
    const bytes = bookOf(
      { name: 'empty', rows: [] },
      { name: 'draft', rows: stops, hidden: true },
      { name: '2031', rows: stops },
      { name: '2030', rows: [...stops, ['Low Sands', 7]] },
    )
    const made = table(bytes)
    expect(made.notes).toEqual(
      expect.arrayContaining(['Read from “2031”; “draft”, which is hidden, *is left out*.', 'Read from “2031”; “2030” *is left out*.']),
    )
    const other = made.backs.find(({ label }) => label === 'Read “2030”')!
    expect(table(bytes, other.choices).columns.stop).toEqual(['Quill', 'Astrel', 'Low Sands'])
    expect(table(bytes, { sheet: 'gone' }).notes[0]).toBe('There is *no sheet “gone”* any more: “2031” is read.')
  })

  it('is read from the cells that were chosen', () => {
    const bytes = bookOf({
      name: 'S',
      rows: [
        ['left', '', ''],
        ['x', 'stop', 'boats'],
        ['y', 'Quill', 4],
        ['z', 'Astrel', 5],
        ['below', 'not', 'this'],
      ],
    })
    expect(table(bytes, { range: 'B2:C4' }).columns).toEqual({ stop: ['Quill', 'Astrel'], boats: [4, 5] })
  })

  it('gives the last results of formulas, and what is merged to each of its rows, and says so', () => {
    const made = table(
      bookOf({
        name: 'S',
        rows: [
          ['shore', 'stop', 'boats'],
          ['North', 'Quill', 4],
          [null, 'Astrel', 5],
          ['South', 'Low Sands', 9],
        ],
        then: sheet => {
          sheet['!merges'] = [utils.decode_range('A2:A3')]
          sheet.C4 = { t: 'n', v: 9, f: 'SUM(C2:C3)' }
        },
      }),
    )
    expect(made.columns.shore).toEqual(['North', 'North', 'South'])
    expect(made.columns.boats).toEqual([4, 5, 9])
    expect(made.notes).toEqual(
      expect.arrayContaining(['One cell has a formula: *the last results* are read.', 'One merged cell counts *for each of their rows*.']),
    )
  })

  it('takes errors for missing, and a declared range without end for what is in it', () => {
    const made = table(
      bookOf({
        name: 'S',
        rows: [...stops, ['Low Sands', 1]],
        then: sheet => {
          sheet.B4 = { t: 'e', v: 0x07 }
        },
      }),
    )
    expect(made.columns.boardings).toEqual([2010, 1655, null])
    const parts = unzipSync(bookOf({ name: 'S', rows: stops }))
    const sheet = 'xl/worksheets/sheet1.xml'
    parts[sheet] = strToU8(strFromU8(parts[sheet]!).replace(/<dimension ref="[^"]*"/, '<dimension ref="A1:XFD1048576"'))
    expect(strFromU8(parts[sheet])).toContain('XFD1048576')
    expect(table(zipSync(parts)).columns.stop).toEqual(['Quill', 'Astrel'])
  })
})

describe('what is no workbook that can be read', () => {
  const messageOf = (bytes: Uint8Array) => {
    const made = read(bytes)
    return made.ok ? null : made.message
  }
  it('is told by its bytes', () => {
    expect([isWorkbook(bookOf({ name: 'S', rows: stops })), isWorkbook(strToU8('stop;boats'))]).toEqual([true, false])
  })

  it('gets one sentence: an archive, a broken one, one without anything in it, one that unpacks to far too much', () => {
    expect(messageOf(zipSync({ 'boats.csv': strToU8('a,b') }))).toBe(
      '“boats.xlsx” is an archive and no workbook. Unpack it, then upload the table in it.',
    )
    expect(messageOf(bookOf({ name: 'S', rows: stops }).subarray(0, 300))).toBe(
      '“boats.xlsx” is an archive and no workbook. Unpack it, then upload the table in it.',
    )
    expect(messageOf(bookOf({ name: 'S', rows: [] }))).toBe('“boats.xlsx” holds nothing: its sheets are empty.')
    expect(messageOf(zipSync({ 'xl/workbook.xml': strToU8('<nothing') }))).toMatch(/cannot be read as a workbook|holds no sheets/)
    const bomb = bookOf({ name: 'S', rows: stops })
    // The directory of the archive says that its first part unpacks to a gigabyte.
    const view = new DataView(bomb.buffer)
    for (let at = 0; at < bomb.length - 4; at++)
      if (view.getUint32(at, true) === 0x02014b50) {
        view.setUint32(at + 24, 0x40000000, true)
        break
      }
    expect(messageOf(bomb)).toMatch(/comes to 102\d MB unpacked; at most 400 MB can be read\./)
  })
})
