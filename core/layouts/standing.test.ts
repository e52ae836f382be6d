import { describe, expect, it } from 'vitest'
import { checkSlide } from '../checks'
import { boundsOfWords } from '../contrast'
import { families, type LayoutFamily } from '../families'
import { looks } from '../looks'
import { applyChanges, slidesOf, type Deck } from '../model'
import { boundsOf, overlap } from '../place'
import { shownElements } from '../resolved'
import { countingContext, freshDeck, timingContext } from '../testing'
import { layoutOfElement } from '../text'
import { rundown } from '../timing'
import { insertSlide, putLook, setOutlineSlide } from './index'

const { measurer } = timingContext
const samples: Readonly<Record<string, readonly string[]>> = {
  none: ['Second berth', 'Night boat begins', 'Shore power for all', 'A covered hall'],
  lead: ['Safety: two ramps instead of one', 'Speed: eight minutes', 'Space: a hall for the queue', 'Light: at every gate'],
  date: ['2022 second berth opens', '2025 night boat', '2028: shore power', '2031 covered hall'],
  number: ['318 k riders last season', '96.4 % of boats on time', '4 routes', '11 min longest wait'],
  saying: ['“The boat is the best part of my day.” Mara Ellin, rides since 2019'],
  person: ['Ines Rahm, harbour office', 'Jon Tarn, second ramp', 'Dr. Mara van Ellin, ticket hall', 'Ole Brandt, night boat'],
  question: ['Why is the quay shut? The second ramp is being built.', 'When does it open? On 2 April.'],
  hours: ['Monday to Friday 6:00–22:00', 'Saturday 7:00–22:00', 'Sunday 8:00–20:00'],
  effect: ['One ramp instead of two', 'Longer cars', '→ eight minutes more a boat'],
  amounts: ['Low Sands: 9,400', 'Quill: 7,100', 'Astrel: 6,800', 'Port Harrow: 2,100'],
  growth: ['2026 48 %', '2027 61 %', '2028 72 %', '2029 81 %'],
  levels: ['90,000 look', '21,000 choose a boat', '8,400 begin to pay', '7,900 have a ticket'],
}
const linesFor = ({ trueTo, split = 'none' }: LayoutFamily, count: number) => {
  const own = samples[trueTo ?? ''] ?? samples[split]!
  return Array.from({ length: count }, (_, index) => ({ text: own[index % own.length]!, level: 1 }))
}
/** A deck with a slide of a family that its look does not compose itself. */
function standing(look: string | null, family: LayoutFamily, count: number) {
  const context = countingContext()
  const base = freshDeck()
  const outline = { title: 'What changes on the quay', lines: linesFor(family, count) }
  const { deck, slide } = insertSlide(base, { after: slidesOf(base)[0]!.id, family, outline }, context)
  return { deck: look ? applyChanges(deck, putLook(deck, { look, ground: 'light', seed: 7 }, context)) : deck, slide: deck.slides[slide]! }
}
/** Texts of a slide that say something, with the room that their words take. */
function drawnWords(deck: Deck, slide: Deck['slides'][string]) {
  return shownElements(deck, slide.id).flatMap(element => {
    if (element.kind !== 'text') return []
    const bounds = boundsOfWords(deck, slide, element, measurer)
    return bounds ? [{ element, bounds }] : []
  })
}
/** What a look has on every slide and words may not stand on: rules, marks and the like; not what is a ground of its own. */
const marks = (deck: Deck, slide: string) =>
  shownElements(deck, slide).filter(({ pinned, kind, box }) => pinned && kind === 'shape' && box.width * box.height < 0.04 * 1920 * 1080)
/** Families that may end well above the foot: one level of a tree, a single line. */
const short = new Set(['tree-down', 'list'])

describe.each([null, ...looks.map(({ name }) => name)])('families that the look %s does not compose', look => {
  const own = families.filter(({ name }) => !looks.find(one => one.name === look)?.dresses[name])
  it.each(own.map(family => [family.name, family] as const))('%s stands clear of what is on every slide, and is placed', (_, family) => {
    const count = Math.max(1, family.best[0])
    const { deck, slide } = standing(look, family, count)
    const words = drawnWords(deck, slide)
    expect(words.length).toBeGreaterThan(0)
    for (const { element } of words) {
      const { fits, broken } = layoutOfElement(deck, element, measurer)
      expect([element.name, fits, broken]).toEqual([element.name, true, null])
    }
    words.forEach(({ element, bounds }, index) => {
      for (const other of words.slice(index + 1))
        expect(overlap(bounds, other.bounds), `“${element.name}” over “${other.element.name}”`).toBe(false)
      if (element.pinned) return
      for (const mark of marks(deck, slide.id))
        expect(overlap(boundsOf(mark.box), bounds), `“${element.name}” over ${mark.name}`).toBe(false)
    })
    const content = shownElements(deck, slide.id).filter(({ pinned, kind }) => !pinned && kind !== 'text' && kind !== 'group')
    const end = Math.max(...content.map(({ box }) => boundsOf(box).bottom), ...words.map(({ bounds }) => bounds.bottom))
    if (!short.has(family.name) && count > 1) expect(end / 1080).toBeGreaterThan(0.6)
    const plan = rundown(deck, 'talk', timingContext).slides.find(entry => entry.slide === slide.id)!
    const found = checkSlide(deck, plan, timingContext).filter(({ rule, unmeasured }) => rule === 'contrast' && !unmeasured)
    expect(found.map(({ message }) => message)).toEqual([])
  })
})

describe('people without portraits', () => {
  const people = standing(
    null,
    families.find(({ name }) => name === 'people-row')!,
    3,
  )
  const portraits = (deck: Deck) => shownElements(deck, people.slide.id).flatMap(element => (element.kind === 'picture' ? [element] : []))
  const emptyIn = (deck: Deck) => {
    const plan = rundown(deck, 'talk', timingContext).slides.find(entry => entry.slide === people.slide.id)!
    return checkSlide(deck, plan, timingContext).filter(({ rule }) => rule === 'empty')
  }
  it('show their initials, which follow their names, and Check misses nothing', () => {
    expect(portraits(people.deck).map(({ instead }) => instead?.words)).toEqual(['IR', 'JT', 'ME'])
    expect(emptyIn(people.deck)).toEqual([])
    const outline = { title: 'Who', lines: [{ text: 'Ole Brandt, night boat', level: 1 }] }
    const renamed = applyChanges(people.deck, setOutlineSlide(people.deck, { slide: people.slide.id, outline }, countingContext('r')))
    expect(portraits(renamed).map(({ instead }) => instead?.words)).toEqual(['OB'])
  })
  it('have nothing where nobody is named, which Check says', () => {
    const outline = { title: 'Who', lines: [{ text: '318 people', level: 1 }] }
    const unnamed = applyChanges(people.deck, setOutlineSlide(people.deck, { slide: people.slide.id, outline }, countingContext('r')))
    expect(portraits(unnamed).map(({ instead }) => instead)).toEqual([undefined])
    expect(emptyIn(unnamed)).toHaveLength(1)
  })
})
