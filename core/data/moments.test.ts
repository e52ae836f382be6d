import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { decimalsOf, durationWords, gridWords, keyWords, momentWords } from './index'

describe('a moment as a reader sees it', () => {
  it.each([
    ['2031', 'year', '2031', '2031'],
    ['2030/31', 'season', '2030–31', '2030–31'],
    ['2031-Q2', 'quarter', 'Q2 2031', 'Q2 2031'],
    ['2031-04', 'month', 'Apr 2031', 'Apr. 2031'],
    ['2031-W14', 'week', 'W14 2031', 'W14 2031'],
    ['2031-04-03', 'day', '3 Apr 2031', '03.04.2031'],
    ['2031-04-03T11:52', 'minute', '3 Apr 2031, 11:52', '03.04.2031, 11:52'],
    ['--Q2', 'quarter-of-year', 'Q2', 'Q2'],
    ['--04', 'month-of-year', 'Apr', 'Apr'],
    ['--W09', 'week-of-year', 'W9', 'W9'],
    ['--04-03', 'day-of-year', '3 Apr', '3. Apr.'],
  ] as const)('%s', (iso, grain, english, german) => {
    expect([momentWords(iso, grain, 'en-GB'), momentWords(iso, grain, 'de')]).toEqual([english, german])
  })

  it('stays as it is where it is of no such form', () => {
    fc.assert(
      fc.property(fc.string(), fc.constantFrom('year', 'month', 'day', 'minute', 'quarter'), (text, grain) => {
        expect(typeof momentWords(text, grain, 'en')).toBe('string')
        if (!/\d/.test(text)) expect(momentWords(text, grain, 'en')).toBe(text)
      }),
    )
  })
})

describe('a duration', () => {
  it.each([
    [3900, '1 h 05 min'],
    [3600, '1 h'],
    [2700, '45 min'],
    [90, '1 min 30 s'],
    [0, '0 s'],
    [-600, '−10 min'],
    [3605, '1 h 00 min 5 s'],
  ])('of %d seconds', (seconds, words) => expect(durationWords(seconds, 'en')).toBe(words))
})

describe('values in a grid', () => {
  it('have a true minus, shares in hundredths, and as many decimals as their column', () => {
    expect(gridWords({ type: 'number', kind: 'money' }, -560, 'en', 2)).toBe('−560.00')
    expect(gridWords({ type: 'number', kind: 'percent' }, 0.941, 'en')).toBe('94.1')
    expect(gridWords({ type: 'number', kind: 'number' }, 12_500, 'en')).toBe('12,500')
    expect(gridWords({ type: 'date', kind: 'date', grain: 'month' }, '2031-04', 'en')).toBe('Apr 2031')
    expect(gridWords({ type: 'date', kind: 'time' }, '06:15', 'en')).toBe('06:15')
    expect(gridWords({ type: 'text', kind: 'text' }, null, 'en')).toBe('')
  })

  it('are shown with two decimals where money has any, and with none where all are whole', () => {
    expect(decimalsOf({ kind: 'money' }, [8910, 1240.5, null])).toBe(2)
    expect(decimalsOf({ kind: 'money' }, [8910, 20])).toBe(0)
    expect(decimalsOf({ kind: 'number' }, [0.1 + 0.2, 1])).toBe(1)
    expect(decimalsOf({ kind: 'percent' }, [0.07, 0.965])).toBe(1)
    // What is reckoned has no end.
    expect(decimalsOf({ kind: 'percent' }, [1 / 3, 0.5])).toBe(2)
  })
})

describe('a key of a chart', () => {
  it('is written at its grain, durations as durations, and blanks within it once', () => {
    expect(keyWords({ type: 'date', kind: 'date', grain: 'quarter' }, '2031-Q2', 'en')).toBe('Q2 2031')
    expect(keyWords({ type: 'date' }, '2031-04-03', 'en-GB')).toBe('3 Apr 2031')
    expect(keyWords({ type: 'number', kind: 'duration' }, 3900, 'en')).toBe('1 h 05 min')
    expect(keyWords({ type: 'text' }, ' Low   Sands ', 'en')).toBe('Low Sands')
  })
})
