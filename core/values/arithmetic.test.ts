import fc from 'fast-check'
import { expect, it } from 'vitest'
import { readSum } from './arithmetic'

it('a number is itself, by point or comma, with a sign', () => {
  fc.assert(
    fc.property(fc.integer({ min: -1_000_000, max: 1_000_000 }), fc.integer({ min: 0, max: 999 }), (whole, part) => {
      const digits = String(part).padStart(3, '0')
      for (const text of [`${whole}.${digits}`, ` ${whole},${digits} `]) expect(readSum(text)).toBe(Number(`${whole}.${digits}`))
    }),
  )
  expect([readSum('.5'), readSum('−3'), readSum('+7')]).toEqual([0.5, -3, 7])
})

it('sums are reckoned as one learns it at school: products before sums, from the left, brackets first', () => {
  expect(readSum('100+50')).toBe(150)
  expect(readSum('1/3')).toBeCloseTo(1 / 3)
  expect(readSum('2 + 3 * 4')).toBe(14)
  expect(readSum('(2 + 3) × 4')).toBe(20)
  expect(readSum('100 - 20 - 5')).toBe(75)
  expect(readSum('100 / 5 / 2')).toBe(10)
  expect(readSum('1920:2')).toBe(960)
  expect(readSum('-(3-5)')).toBe(2)
  expect(readSum('2*-3')).toBe(-6)
})

it('any sum of numbers, written out, comes to what it comes to', () => {
  const numbers = fc.array(fc.record({ sign: fc.constantFrom('+', '-', '*'), value: fc.integer({ min: 0, max: 99 }) }), { maxLength: 8 })
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 99 }), numbers, (first, rest) => {
      const text = `${first}${rest.map(({ sign, value }) => `${sign}${value}`).join('')}`
      // Products first: the parts between plus and minus.
      const reckoned = text
        .replace(/-/g, '+-')
        .split('+')
        .map(part => part.split('*').reduce((made, factor) => made * Number(factor), 1))
        .reduce((made, part) => made + part, 0)
      expect(readSum(text)).toBe(reckoned + 0)
    }),
  )
})

it('is nothing where it is no sum, is not finished, or divides by nothing', () => {
  for (const text of ['', ' ', 'abc', '12 px', '1+', '*3', '(1', '1)', '1 2', '1//2', '1/0', '0/0', '1e5', '1,2,3', '()', '1+(']) {
    expect(readSum(text), text).toBeNull()
  }
  expect(readSum('('.repeat(5000) + '1' + ')'.repeat(5000))).toBeNull()
  expect(readSum('-'.repeat(5000) + '1')).toBeNull()
})
