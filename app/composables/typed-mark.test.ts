import { describe, expect, it } from 'vitest'
import { typedIn } from './typed-mark'

/** A field with words and a cursor (|), in which somebody has just typed the last letter before that. */
function typed(words: string, language: string, data: string | null = words[words.indexOf('|') - 1]!) {
  const field = document.createElement('textarea')
  field.value = words.replace('|', '')
  field.selectionStart = field.selectionEnd = words.indexOf('|')
  const event = new InputEvent('input', { data })
  Object.defineProperty(event, 'target', { value: field })
  const value = typedIn(event, language)
  expect(field.value).toBe(value)
  return `${value.slice(0, field.selectionStart)}|${value.slice(field.selectionStart)}`
}

describe('a mark that is typed in a field', () => {
  it('becomes the language’s where the cursor is, and the cursor stands behind it', () => {
    expect(typed('Sie sagt "| und geht', 'de')).toBe('Sie sagt „| und geht')
    expect(typed('Elle dit "|', 'fr')).toBe('Elle dit «\u202f|')
    expect(typed("The harbour'|s boats", 'en')).toBe('The harbour’|s boats')
  })
  it('stays behind figures; what is pasted or taken back is left as it is, and so is any other letter', () => {
    expect(typed('A screen of 27"|', 'en')).toBe('A screen of 27"|')
    expect(typed('She says "|', 'en', null)).toBe('She says "|')
    expect(typed('She says "a|', 'en')).toBe('She says "a|')
  })
})
