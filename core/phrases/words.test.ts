import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { amountIn } from './amounts'
import { amountsToScale, farthest, rowOfLine, timesApart } from './rows'
import { momentOf, momentsToScale } from './moments'
import { tongues } from './tongues'

describe('amounts as lines have them', () => {
  it.each([
    ['1.2 million riders', '', 1_200_000, ''],
    ['40 k', '', 40_000, ''],
    ['−30 %', '', -30, '%'],
    ['minus 4 °C', '', -4, '°C'],
    ['Commuters: 42 per cent', 'en', 42, '%'],
    ['zwei Drittel der Gäste', 'de', 66.667, '%'],
    ['la moitié des bateaux', 'fr', 50, '%'],
    ['um terço', 'pt', 33.333, '%'],
    ['half', 'en', 50, '%'],
    ['1.284 Fahrten', 'de', 1284, ''],
    ['1.284 km', 'en', 1.284, 'km'],
    ['1,284 crossings', 'en', 1284, ''],
    ['1 284,5 kg', 'fr', 1284.5, 'kg'],
    ['12 500 riders', '', 12_500, ''],
    ['€ 12.50', 'en', 12.5, '€'],
    ['12,50 €', 'de', 12.5, '€'],
    ['3,5 Mrd. Euro', 'de', 3.5e9, '€'],
    ['2 millones de euros', 'es', 2e6, '€'],
    ['15 pour cent', 'fr', 15, '%'],
    ['12 procent', 'sv', 12, '%'],
    ['4 heures', 'fr', 4, 'h'],
    ['0.750 t', 'en', 0.75, 't'],
  ] as const)('reads “%s”', (text, language, value, unit) => {
    expect(amountIn(text, language)).toMatchObject({ value: expect.closeTo(value, 2), unit })
  })
  it.each(['no number here', 'berth B2', 'Halftime', 'the A7 road'])('finds none in “%s”', text => {
    expect(amountIn(text)).toBeNull()
  })
  it.each([
    [[310, 280, 1240], 2, 4],
    [[96, 97, 41], 2, 96 / 41],
    [[5, 5, 5], 0, 1],
    [[0, 4, 5], 0, Infinity],
    [[7], 0, 1],
  ])('of %j the one at %i stands farthest from the rest', (values, at, times) => {
    expect(farthest(values)).toBe(at)
    expect(timesApart(values, at)).toBeCloseTo(times, 6)
  })
  it('compares only what is in one unit and all read', () => {
    expect(amountsToScale(['42 %', '35 percent', 'a quarter'])).toEqual([42, 35, 25])
    expect(amountsToScale(['42 %', '35 km'])).toBeNull()
    // A number in a name is no amount.
    expect(amountsToScale(['Line 1: 310 riders', 'Line 4: 1,240 riders'], 'en')).toEqual([310, 1240])
    expect(['Line 4: 1,240', 'Kai 2 – 98 %', '12 boats'].map(text => rowOfLine(text).amount?.value)).toEqual([1240, 98, 12])
    expect(amountsToScale(['42 %', 'some'])).toBeNull()
    expect(amountsToScale(['42 %', undefined])).toBeNull()
    expect(amountsToScale(['−3 %', '5 %'])).toBeNull()
  })
  it('reads every amount that a language writes', () => {
    fc.assert(
      fc.property(fc.constantFrom(...tongues), fc.integer({ min: 0, max: 99_999_999 }), fc.boolean(), (tongue, value, fine) => {
        const amount = fine ? value / 100 : value
        const text = new Intl.NumberFormat(tongue, { maximumFractionDigits: 2 }).format(amount)
        expect(amountIn(`${text} %`, tongue)?.value).toBeCloseTo(amount, 2)
      }),
    )
  })
})

describe('moments as lines have them', () => {
  const date = (year: number, month: number, day: number) => Date.UTC(year, month - 1, day) / 86_400_000
  it.each([
    ['2 May 2026', 'date', date(2026, 5, 2)],
    ['on 2 May', 'day', date(2024, 5, 2)],
    ['am 3. Oktober 2026', 'date', date(2026, 10, 3)],
    ['le 14 juillet 2026', 'date', date(2026, 7, 14)],
    ['el 5 de marzo de 2026', 'date', date(2026, 3, 5)],
    ['dal 1 giugno 2026', 'date', date(2026, 6, 1)],
    ['em 7 de setembro de 2026', 'date', date(2026, 9, 7)],
    ['vanaf 1 augustus 2026', 'date', date(2026, 8, 1)],
    ['den 6. december 2026', 'date', date(2026, 12, 6)],
    ['24 grudnia 2026', 'date', date(2026, 12, 24)],
    ['March 2026', 'date', date(2026, 3, 1)],
    ['2026-04-02', 'date', date(2026, 4, 2)],
    ['02.04.2026', 'date', date(2026, 4, 2)],
    ['4/23/2026', 'date', date(2026, 4, 23)],
    ['2031', 'date', date(2031, 1, 1)],
    ['19th century', 'date', date(1850, 1, 1)],
    ['XIXe siècle', 'date', date(1850, 1, 1)],
    ['siglo XX', 'date', date(1950, 1, 1)],
    ['18. Jahrhundert', 'date', date(1750, 1, 1)],
    ['Q3', 'quarter', 3],
    ['2. Quartal', 'quarter', 2],
    ['week 12', 'week', 12],
    ['KW 7', 'week', 7],
    ['06:10', 'clock', 370],
    ['kl. 18:30', 'clock', 1110],
    ['3 pm', 'clock', 900],
    ['8 Uhr', 'clock', 480],
    ['Monday', 'weekday', 0],
    ['Freitag', 'weekday', 4],
    ['samedi', 'weekday', 5],
    ['środa', 'weekday', 2],
    ['Autumn', 'season', 2],
    ['été', 'season', 1],
    ['Phase 2', 'phase', 2],
  ] as const)('reads “%s”', (text, kind, value) => {
    expect(momentOf(text)).toEqual({ kind, value: expect.closeTo(value, 0) })
  })
  it.each(['the quay', 'Do not wait', 'So what', 'A roof', 'Set the table', 'On time'])('finds none in “%s”', text => {
    expect(momentOf(text)).toBeNull()
  })
  it('puts on a line to scale only what is of one kind and in order', () => {
    expect(momentsToScale(['2022', 'March 2025', '2031'])).toHaveLength(3)
    expect(momentsToScale(['06:10', '07:00'])).toEqual([370, 420])
    expect(momentsToScale(['2022', 'Monday'])).toBeNull()
    expect(momentsToScale(['2025', '2022'])).toBeNull()
    expect(momentsToScale(['2025', 'later'])).toBeNull()
    expect(momentsToScale([])).toBeNull()
  })
  it('reads every date that a language writes in words', () => {
    fc.assert(
      fc.property(fc.constantFrom(...tongues), fc.integer({ min: 0, max: 3650 }), (tongue, days) => {
        const moment = new Date(Date.UTC(2020, 0, 1) + days * 86_400_000)
        const text = new Intl.DateTimeFormat(tongue, { day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' }).format(moment)
        expect([text, momentOf(text)]).toEqual([text, { kind: 'date', value: moment.getTime() / 86_400_000 }])
      }),
      { numRuns: 400 },
    )
  })
})
