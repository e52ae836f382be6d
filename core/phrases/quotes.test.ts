import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { quotationMarks, typedMark, withQuotationMarks } from './index'

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

describe('a mark that is typed', () => {
  /** Words as they come to stand when they are typed letter by letter. */
  const typed = (words: string, language: string) =>
    [...words].reduce((before, letter) => before + (letter === '"' || letter === "'" ? typedMark(letter, before, language) : letter), '')
  it.each([
    ['en', 'She says "not yet" and waits', 'She says “not yet” and waits'],
    ['de', '"Zu spät", sagt sie', '„Zu spät“, sagt sie'],
    ['fr', 'Elle dit "trop tard"', 'Elle dit «\u202ftrop tard\u202f»'],
    ['sv', '"för sent" och "i tid"', '”för sent” och ”i tid”'],
    ['en', '("in brackets") – "and after a dash"', '(“in brackets”) – “and after a dash”'],
    ['en', "The harbour's 27\" screen isn't lit", 'The harbour’s 27" screen isn’t lit'],
    ['en', '"A 27"', '“A 27”'],
    ['en', "5' walk", "5' walk"],
    ['en', 'word"', 'word"'],
  ])('in %s, %s comes to be %s', (language, words, set) => expect(typed(words, language)).toBe(set))
})
