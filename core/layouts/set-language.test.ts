import { describe, expect, it } from 'vitest'
import { applyChanges, deckTheme, elementsOf, infoOf, layoutsOf, mastersOf, setRecord, slidesOf, textOf, type Deck } from '../model'
import { families } from '../families'
import { looks } from '../looks'
import { shownElements, styleOf } from '../resolved'
import { countingContext, timingContext } from '../testing'
import { layoutOfElement } from '../text'
import { buildSlide, insertSlide, newDeck, putLook, setLanguage, setOutlineSlide } from './index'

const { measurer } = timingContext
/** A deck in a language with a slide of each family. */
function written(language: string, look: string | null, size = { width: 1920, height: 1080 }) {
  const context = countingContext()
  let deck = newDeck({ title: 'Quays', purpose: 'talk', language, size }, context)
  for (const family of families) {
    const outline = {
      title: 'Which quay is busy',
      lines: ['2024 first: 40 % of boats', '2025 second: 25 %', '2026 third: 20 %'].map(text => ({ text, level: 1 })),
    }
    deck = insertSlide(deck, { after: slidesOf(deck).at(-1)!.id, family, outline }, context).deck
  }
  return look ? applyChanges(deck, putLook(deck, { look, ground: 'light', seed: 7 }, context)) : deck
}
/** Where all that has a box stands, slide by slide, from a side; left out is what holds the ends of two things together. */
const standing = (deck: Deck, turned: boolean) =>
  slidesOf(deck).map(slide =>
    shownElements(deck, slide.id).map(({ name, box }) => {
      const x = turned ? infoOf(deck).size.width - box.x - box.width : box.x
      return { name, at: [x, box.y, box.width, box.height, turned ? -box.angle : box.angle] }
    }),
  )
/** Records as they are, numbers to a thousandth of a px. */
const rounded = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value, (_, one: unknown) => (typeof one === 'number' ? Math.round(one * 1000) / 1000 + 0 : one)))
/** Says that two decks stand alike, to a twentieth of a px. */
function alike(a: ReturnType<typeof standing>, b: ReturnType<typeof standing>) {
  const names = (deck: typeof a) => deck.map(slide => slide.map(({ name }) => name))
  expect(names(a)).toEqual(names(b))
  const off = a.flatMap((slide, at) => slide.filter((part, of) => part.at.some((value, i) => Math.abs(value - b[at]![of]!.at[i]!) > 0.05)))
  expect(off).toEqual([])
}
const parts = (deck: Deck) => Object.fromEntries([...mastersOf(deck), ...layoutsOf(deck)].map(({ id }) => [id, elementsOf(deck, id)]))

describe('a deck in a language that is written from right to left', () => {
  it.each([null, ...looks.map(({ name }) => name)])('stands as in a mirror, in every family, in the look %s', look => {
    alike(standing(written('ar', look), true), standing(written('en', look), false))
  })
  it('and on an upright page too', () => {
    const upright = { width: 1080, height: 1920 }
    alike(standing(written('he', 'soundings', upright), true), standing(written('en', 'soundings', upright), false))
  })
  it('has its lines, bare numbers too, begin at the right', () => {
    const deck = written('ar', null)
    const slide = slidesOf(deck).find(({ layout }) => deck.layouts[layout]?.family === 'list')!
    const body = shownElements(deck, slide.id).find(element => element.kind === 'text' && element.placeholder === 'body')!
    const { lines } = layoutOfElement(deck, body as Extract<typeof body, { kind: 'text' }>, measurer)
    expect(lines.length).toBeGreaterThan(2)
    for (const line of lines) expect(line.rightToLeft).toBe(true)
  })
  it('has what ends at the right elsewhere end at the left', () => {
    const times = (language: string) => {
      const deck = written(language, null)
      const slide = slidesOf(deck).find(({ layout }) => deck.layouts[layout]?.family === 'hours')!
      const rows = Array.from({ length: 2 }, () => ({ text: 'Monday to Friday 6:00–22:00', level: 1 }))
      const timed = applyChanges(
        deck,
        setOutlineSlide(deck, { slide: slide.id, outline: { title: 'Hours', lines: rows } }, countingContext('h')),
      )
      return shownElements(timed, slide.id).flatMap(one => (one.kind === 'text' && one.name.startsWith('Hours') ? [one.align] : []))
    }
    expect(times('en')).toEqual(['right', 'right'])
    expect(times('ar')).toEqual(['left', 'left'])
  })
  it('has arrows point to the left', () => {
    const deck = written('ar', null)
    const slide = slidesOf(deck).find(({ layout }) => deck.layouts[layout]?.family === 'steps-row')!
    const arrow = shownElements(deck, slide.id).find(element => element.kind === 'shape' && element.shape === 'chevron')!
    expect(arrow.flip).toMatchObject({ across: true })
  })
})

it('items come in from where lines begin', () => {
  const from = (language: string) => {
    const deck = written(language, null)
    const slide = slidesOf(deck).find(({ layout }) => deck.layouts[layout]?.family === 'numbered')!
    const built = applyChanges(deck, buildSlide(deck, { slide: slide.id, how: 'advance' }, countingContext('b')))
    return new Set(Object.values(built.cues).map(({ options }) => options.from))
  }
  expect(from('en')).toEqual(new Set(['left']))
  expect(from('ar')).toEqual(new Set(['right']))
})

it('slides come the way that lines run, where a look has them pushed', () => {
  const ways = (language: string) =>
    new Set(slidesOf(written(language, 'signpost')).flatMap(({ transition }) => transition?.options?.to ?? []))
  expect(ways('en')).toEqual(new Set(['left', 'up']))
  expect(ways('ar')).toEqual(new Set(['right', 'up']))
})

describe('changing the language of a deck', () => {
  it.each([null, 'soundings', 'signpost'])('to one that runs the other way makes of it what it would have been (look %s)', look => {
    const deck = written('en', look)
    const turned = applyChanges(deck, setLanguage(deck, 'ar'))
    expect(infoOf(turned).language).toBe('ar')
    alike(standing(turned, true), standing(deck, false))
    expect(rounded(parts(turned))).toEqual(rounded(parts(written('ar', look))))
  })
  it('and back leaves nothing behind', () => {
    const deck = written('en', 'manifest')
    const turned = applyChanges(deck, setLanguage(deck, 'fa'))
    expect(rounded(applyChanges(turned, setLanguage(turned, 'en')))).toEqual(rounded(deck))
  })
  it('to one that runs the same way touches nothing else', () => {
    const deck = written('en', null)
    expect(setLanguage(deck, 'de')).toHaveLength(1)
    expect(deckTheme(applyChanges(deck, setLanguage(deck, 'de')))).toBe(deckTheme(deck))
  })
  it('has words run to the right all the same that a team has run so', () => {
    const deck = written('en', null)
    const [part] = elementsOf(deck, layoutsOf(deck)[0]!.id).filter(({ kind }) => kind === 'text')
    const fixed = applyChanges(deck, [setRecord('elements', part!.id, { direction: 'ltr' })])
    const turned = applyChanges(fixed, setLanguage(fixed, 'ar'))
    expect(turned.elements[part!.id]).toMatchObject({ direction: 'ltr' })
    expect(applyChanges(turned, setLanguage(turned, 'en')).elements[part!.id]).toMatchObject({ direction: 'ltr' })
  })
  it('keeps what stands on a slide by hand where it is', () => {
    const deck = written('en', null)
    const [first] = slidesOf(deck)
    const part = elementsOf(deck, first!.id)[0]!
    const box = { x: 100, y: 200, width: 300, height: 100, angle: 0 }
    const placed: Deck = { ...deck, elements: { ...deck.elements, [part.id]: { ...part, box } } }
    expect(applyChanges(placed, setLanguage(placed, 'ar')).elements[part.id]!.box).toEqual(box)
  })
})

it('letters that are joined are not set apart, whatever the style says', () => {
  const deck = written('ar', 'soundings')
  const title = elementsOf(deck, slidesOf(deck)[0]!.id).find(element => element.placeholder === 'title')!
  if (title.kind !== 'text') throw new Error('no title')
  const spacing = (words: string) => styleOf(deck, { ...title, style: 'title', text: textOf([words]) }).letterSpacing
  expect(spacing('بحر')).toBe(0)
  expect(spacing('Quays')).not.toBe(0)
})
