import { describe, expect, it } from 'vitest'
import { changeWords, partsOf } from './data-room'

describe('what a version changes', () => {
  it('is told by its rows, its sums and its new columns', () => {
    const sums = [
      { column: 'riders', before: 19, after: 25 },
      { column: 'takings', before: 1240.5, after: 1300 },
      { column: 'boats', before: 2, after: 3 },
    ]
    expect(changeWords({ rows: { before: 2, after: 3 }, sums, added: ['crew'] })).toBe(
      '3 rows for 2; “riders” comes to 25 for 19; “takings” comes to 1,300 for 1,240.50; one sum more; new: “crew”',
    )
    expect(changeWords({ rows: { before: 2, after: 2 }, sums: [], added: [] })).toBe('2 rows as before')
  })
})

describe('a sentence of how something was read', () => {
  it('is told into what can be changed and what stands around it', () => {
    expect(partsOf('*Money* in euros, *comma* is the decimal')).toEqual([
      { text: 'Money', changeable: true },
      { text: ' in euros, ', changeable: false },
      { text: 'comma', changeable: true },
      { text: ' is the decimal', changeable: false },
    ])
    expect(partsOf('Nothing of it')).toEqual([{ text: 'Nothing of it', changeable: false }])
    expect(partsOf('')).toEqual([])
  })
})
