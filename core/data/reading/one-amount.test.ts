import { describe, expect, it } from 'vitest'
import { oneAmount } from './one-amount'

describe('a number as a person writes it', () => {
  it.each([
    ['20400', 'en', 20400, '', ''],
    ['about 20.4k riders', 'en', 20400, 'about ', ' riders'],
    ['€ 1,234.50', 'en', 1234.5, '€ ', ''],
    ['1.234', 'de', 1234, '', ''],
    ['1.234', 'en', 1.234, '', ''],
    ['12,5 %', 'de', 0.125, '', ''],
    ['−7', 'en', -7, '', ''],
    ['-7 a day', 'en', -7, '', ' a day'],
    ['1 500 boats', 'fr', 1500, '', ' boats'],
  ])('%s in %s', (words, language, value, before, after) => {
    expect(oneAmount(words, language)).toEqual({ value, before, after })
  })
  it('is none in words without one', () => expect(oneAmount('many')).toBeNull())
})
