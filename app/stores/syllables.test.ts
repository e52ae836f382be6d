import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import { answers } from '../testing/setup'
import { useSyllables } from './syllables'

const parts: Readonly<Record<string, Record<string, string[]>>> = {
  de: { hafenamt: ['ha', 'fen', 'amt'], fahrplan: ['fahr', 'plan'] },
  en: { harbour: ['har', 'bour'] },
}
let asked: { language: string; words: string[] }[] = []
beforeEach(() => {
  setActivePinia(createPinia())
  asked = []
  answers.set('/api/words/syllables', ({ body }) => {
    const { language, words } = body as (typeof asked)[number]
    asked.push({ language, words })
    return Object.fromEntries(Object.entries(parts[language] ?? {}).filter(([word]) => words.includes(word)))
  })
})
const answered = () => expect.poll(() => asked.length)

describe('where words may be parted', () => {
  it('is asked for once by language, of all words that are missed together, and decks of several do not disturb each other', async () => {
    const store = useSyllables()
    const before = store.syllables
    for (const word of ['hafenamt', 'fahrplan', 'hafenamt']) expect(before(word, 'de')).toBeUndefined()
    expect(before('harbour', 'en')).toBeUndefined()
    await answered().toBe(2)
    expect(asked).toEqual([
      { language: 'de', words: ['hafenamt', 'fahrplan'] },
      { language: 'en', words: ['harbour'] },
    ])
    await expect.poll(() => store.syllables('harbour', 'en')).toEqual(['har', 'bour'])
    expect(store.syllables('hafenamt', 'de')).toEqual(['ha', 'fen', 'amt'])
    // What was set with less is set anew.
    expect(store.syllables).not.toBe(before)
    expect(asked.length).toBe(2)
  })
  it('changes nothing that is drawn where nothing is known of a word, nor asks for one without end', async () => {
    const store = useSyllables()
    const before = store.syllables
    before('unbekannt', 'de')
    before('x'.repeat(81), 'de')
    before('constructor', 'de')
    await answered().toBe(1)
    expect(asked[0]!.words).toEqual(['unbekannt', 'constructor'])
    await new Promise(resolve => setTimeout(resolve, 50))
    expect(store.syllables).toBe(before)
    before('unbekannt', 'de')
    await new Promise(resolve => setTimeout(resolve, 80))
    expect(asked.length).toBe(1)
  })
})
