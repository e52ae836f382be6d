import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { quotationMarks, withQuotationMarks } from './index'

describe('straight quotation marks', () => {
  it.each([
    ['en', '"The boat is late." Mara Ellin', '“The boat is late.” Mara Ellin'],
    ['de', 'Sie sagt "zu spät" und geht', 'Sie sagt „zu spät“ und geht'],
    ['de-CH', '"zu spät"', '«zu spät»'],
    ['fr-FR', '"trop tard"', '«\u202ftrop tard\u202f»'],
    ['es', '"¿Cuándo sale?"', '«¿Cuándo sale?»'],
    ['sv', '"för sent"', '”för sent”'],
    ['pl', '"za późno"', '„za późno”'],
    ['ja', '"港"', '「港」'],
    ['xx', '"words"', '“words”'],
    ['en', '"One", "two" and "three"', '“One”, “two” and “three”'],
    ['en', '("in brackets")', '(“in brackets”)'],
  ])('become those of the language %s: %s', (language, straight, set) => {
    expect(withQuotationMarks(straight, language)).toBe(set)
  })
  it.each([
    'A screen of 27" and one of 32"',
    'It opens with "a mark that nothing closes',
    '2\'30" for the crossing',
    '“Set already”',
    'Nothing in it',
    '" "',
  ])('stay where they are no pair: %s', words => {
    expect(withQuotationMarks(words, 'en')).toBe(words)
  })
  it('between letters are apostrophes', () => {
    expect(withQuotationMarks("The harbour's boats don't wait, since '24", 'en')).toBe('The harbour’s boats don’t wait, since ’24')
    expect(withQuotationMarks("5' walk", 'en')).toBe("5' walk")
  })
  it('are set once: setting again changes nothing, and no other letter is touched', () => {
    const letters = fc.stringMatching(/^[ab "'(.,0-9]{0,24}$/)
    fc.assert(
      fc.property(letters, fc.constantFrom('en', 'de', 'sv', 'es'), (words, language) => {
        const set = withQuotationMarks(words, language)
        expect(withQuotationMarks(set, language)).toBe(set)
        const [open, close] = quotationMarks(language)
        const back = set.replaceAll(open, '"').replaceAll(close, '"').replaceAll('’', "'")
        expect(back).toBe(words)
      }),
    )
  })
})
