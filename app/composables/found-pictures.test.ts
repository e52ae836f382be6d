import { beforeEach, describe, expect, it } from 'vitest'
import { familyNamed } from '#core/families'
import { insertSlide, proposePicture } from '#core/layouts'
import { setRecord, slidesOf } from '#core/model'
import { told } from '../testing/nuxt'
import { inPage, openDeck, signIn, someDeck } from '../testing/open-deck'
import { answers } from '../testing/setup'
import { useFoundPictures } from './found-pictures'

interface Asked {
  places: { words: string; person: boolean; shape: number }[]
  language: string
}
const picture = (letter: string) => ({ hash: letter.repeat(64), name: `${letter}.jpg`, width: 1600, height: 1000 })
/** A deck with people on its last slide, and what was asked of the server. */
function opened(family = 'people-row') {
  const made = openDeck(someDeck(1))
  const outline = { title: 'Who is there', lines: ['Ines Rahm, harbour office', 'Jon Tarn, ramp'].map(text => ({ text, level: 1 })) }
  const input = { after: slidesOf(made.store.current).at(-1)!.id, family: familyNamed(family)!, outline }
  const { changes, slide } = insertSlide(made.store.current, input, made.store.context)
  made.store.edit('people', changes)
  const shown = () =>
    Object.values(made.store.current.elements).flatMap(one => (one.kind === 'picture' && one.owner === slide ? [one] : []))
  return { ...made, slide, shown, pictures: inPage(() => useFoundPictures()) }
}
let asked: Asked[] = []
const answer = (...places: ReturnType<typeof picture>[][]) =>
  answers.set('/api/pictures/for', ({ body }) => {
    asked.push(body as Asked)
    return { places }
  })
beforeEach(() => {
  asked = []
})

describe('pictures that come to the words beside their places', () => {
  it('are asked for by these and put there as proposals, in one step of undo', async () => {
    const { pictures, slide, shown, store } = opened()
    answer([picture('a')], [])
    await pictures.find([slide])
    expect(asked).toMatchObject([{ places: [{ words: 'Ines Rahm\nharbour office', person: true }, { words: 'Jon Tarn\nramp' }] }])
    expect(shown().map(({ media, proposed }) => [media?.[0], proposed])).toEqual([
      ['a', true],
      [undefined, undefined],
    ])
    store.undo()
    expect(shown().every(({ media }) => media === undefined)).toBe(true)
  })
  it('go on to the next that was found, and round to the first; the only one stays, which is told', async () => {
    const { pictures, slide, shown } = opened()
    answer([picture('a'), picture('b')], [])
    await pictures.find([slide])
    const { id } = shown()[0]!
    const media = () => shown()[0]!.media![0]
    await pictures.another(id)
    expect(media()).toBe('b')
    await pictures.another(id)
    expect(media()).toBe('a')
    answer([picture('a')])
    await pictures.another(id)
    expect([media(), told.at(-1)!.title]).toEqual(['a', 'No other picture in Media is called or filed by what is said here.'])
  })
  it('are kept, or cleared', async () => {
    const { pictures, slide, shown } = opened()
    answer([picture('a')], [picture('b')])
    await pictures.find([slide])
    const [one, other] = shown()
    pictures.keep(one!.id)
    pictures.clear(other!.id)
    expect(shown().map(({ media, proposed }) => [media?.[0], proposed])).toEqual([
      ['a', undefined],
      [undefined, undefined],
    ])
  })
  it('take their place along where they are cleared and no other one stands there; on a form it stays', () => {
    const { pictures, slide, shown, store } = opened('picture-full')
    const layout = () => store.current.layouts[store.current.slides[slide]!.layout]!.family
    const propose = () => store.edit('propose', [proposePicture(shown()[0]!.id, picture('a'))])
    propose()
    pictures.clear(shown()[0]!.id)
    expect([layout(), shown().length]).toEqual(['statement', 0])
    expect(told.at(-1)!.title).toMatch(/Its place is closed up with it/)
    store.undo()
    expect([layout(), shown()[0]!.media?.[0]]).toEqual(['picture-full', 'a'])
    store.edit('hand it out', [setRecord('info', 'info', { form: true })])
    pictures.clear(shown()[0]!.id)
    expect([layout(), shown()[0]!.media]).toEqual(['picture-full', undefined])
  })
  it('are left alone without a word where the server cannot be reached, unless somebody asked for one', async () => {
    const { pictures, slide, shown } = opened()
    const before = told.length
    answers.set('/api/pictures/for', () => Promise.reject(new Error('no network')))
    await pictures.find([slide])
    expect([shown().length, told.length - before]).toEqual([2, 0])
    await pictures.another(shown()[0]!.id)
    expect(told.length - before).toBe(1)
    answers.set('/api/pictures/for', () => Promise.reject(Object.assign(new Error(), { status: 500, data: { message: 'It is broken.' } })))
    await pictures.find([slide])
    expect(told.at(-1)!.title).toBe('It is broken.')
  })
  it('of what titles say are asked for once, and anew when a title has changed; viewers ask for none', async () => {
    const { pictures, store } = opened()
    answer([picture('a')], [picture('b')])
    const ids = store.slides.map(({ id }) => id)
    expect([...(await pictures.ofSlides(store.current))].map(([slide, list]) => [slide, list.length])).toEqual(ids.map(id => [id, 1]))
    await pictures.ofSlides(store.current)
    expect(asked).toHaveLength(1)
    const [first] = ids
    const title = Object.values(store.current.elements).find(one => one.owner === first && one.placeholder === 'title')!
    store.edit('retitle', [
      {
        do: 'set',
        table: 'elements',
        id: title.id,
        fields: { text: { type: 'doc', content: [{ type: 'paragraph', content: [{ type: 'text', text: 'Ferries' }] }] } },
      },
    ])
    await pictures.ofSlides(store.current)
    expect(asked).toHaveLength(2)
    signIn('viewer')
    expect((await inPage(() => useFoundPictures()).ofSlides(store.current)).size).toBe(0)
    expect(asked).toHaveLength(2)
  })
})
