import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { choosePictures, type LibraryPicture } from './index'

const picture = (name: string, tags: string[], folder = 'Harbour', width = 1600, height = 1000): LibraryPicture => ({
  name: `${name}.jpg`,
  tags,
  folder,
  width,
  height,
})
const library = [
  picture('First boat out', ['ferry', 'morning']),
  picture('Night ferry', ['ferry', 'night']),
  picture('Crane at work', ['freight']),
  picture('Quay houses at noon', ['town']),
  picture('Gulls at noon', ['birds']),
  picture('Quay houses, upright', ['town'], 'Harbour', 1000, 1600),
  picture('Portrait of Ines', ['portrait'], 'People', 1000, 1200),
  picture('Ines Holt', [], 'People', 1000, 1200),
  picture('jon-tarn', [], 'People', 1000, 1200),
]
const named = (words: string, more: { person?: boolean; shape?: number; english?: (word: string) => string[] } = {}) =>
  choosePictures(library, [{ words, person: more.person ?? false, shape: more.shape ?? 1.6 }], more.english)[0]!.map(({ name }) =>
    name.replace('.jpg', ''),
  )

describe('pictures by words', () => {
  it('are those that are called or filed by them, the one that says most of it first', () => {
    expect(named('The night ferry begins in May')[0]).toBe('Night ferry')
    expect(named('Freight: two cranes')[0]).toBe('Crane at work')
    expect(named('Birds of the sound')[0]).toBe('Gulls at noon')
  })
  it('are none where nothing is said of any', () => {
    expect(named('Ask the treasurer about the levy')).toEqual([])
    expect(named('')).toEqual([])
  })
  it('are none for a word that most of them have', () => {
    const all = Array.from({ length: 20 }, (_, at) => picture(`View ${at}`, ['harbour']))
    expect(choosePictures(all, [{ words: 'The harbour', person: false, shape: 1 }])[0]).toEqual([])
  })
  it('suit the shape of their place where the words leave it open', () => {
    expect(named('Town houses', { shape: 1.6 })[0]).toBe('Quay houses at noon')
    expect(named('Town houses', { shape: 0.6 })[0]).toBe('Quay houses, upright')
  })
  it('are found in another language through its English', () => {
    const english = (word: string) => ({ nachtfahre: ['ferry'], nacht: ['night'] })[word] ?? []
    expect(named('Nacht auf dem Wasser', { english })[0]).toBe('Night ferry')
    expect(named('Nacht auf dem Wasser')).toEqual([])
  })
  it('of people are of those who are named, and of nobody who has but the first name in common', () => {
    expect(named('Ines Rahm\nharbour office', { person: true })).toEqual(['Portrait of Ines'])
    expect(named('Ines Holt, pilot', { person: true })).toEqual(['Portrait of Ines', 'Ines Holt'])
    expect(named('Jon Tarn', { person: true })).toEqual(['jon-tarn'])
    expect(named('Mara Ellin', { person: true })).toEqual([])
    expect(named('318 riders', { person: true })).toEqual([])
  })
  it('of people are found in scripts without capital letters too', () => {
    const named = [picture('إيناس رحم', [], 'People'), picture('李小龙', [], 'People')]
    const of = (words: string) => choosePictures(named, [{ words, person: true, shape: 1 }])[0]
    expect(of('إيناس رحم، مكتب الميناء')).toEqual([named[0]])
    expect(of('李小龙')).toEqual([named[1]])
    expect(of('ليلى حداد')).toEqual([])
  })
  it('are some of the library, each once, for any words', () => {
    const words = fc.array(fc.constantFrom('night', 'ferry', 'ferries', 'crane', 'Ines', 'noon', '12', 'a', 'Quay'), { maxLength: 12 })
    fc.assert(
      fc.property(fc.array(words, { maxLength: 5 }), fc.boolean(), (texts, person) => {
        const found = choosePictures(
          library,
          texts.map(text => ({ words: text.join(' '), person, shape: 1 })),
        )
        expect(found).toHaveLength(texts.length)
        for (const list of found) {
          expect(new Set(list).size).toBe(list.length)
          expect(list.every(one => library.includes(one))).toBe(true)
        }
      }),
    )
  })
})
