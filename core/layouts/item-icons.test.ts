import { describe, expect, it } from 'vitest'
import { applyChanges, elementsOf, readDeck, slidesOf, type DrawnIcon } from '../model'
import { countingContext, freshDeck } from '../testing'
import { familyNamed, iconsWanted, insertSlide, layOut, putIcons, setOutlineSlide } from './index'

const drawn = (name: string): DrawnIcon => ({ name, view: [24, 24], paths: [{ d: 'M0 0h24', width: 2 }] })
const lines = ['Speed: eight minutes', 'Light: at every gate', 'A roof'].map(text => ({ text, level: 1 }))
function made(family = 'icons-row') {
  const base = freshDeck()
  return insertSlide(
    base,
    { after: slidesOf(base)[0]!.id, family: familyNamed(family)!, outline: { title: 'What is new', lines } },
    countingContext(),
  )
}

describe('icons beside the items of a slide', () => {
  it('are asked for by what their items say', () => {
    const { deck, slide } = made()
    const wanted = iconsWanted(deck, slide)
    expect(wanted.map(({ words }) => words)).toEqual(['Speed eight minutes', 'Light at every gate', 'A roof'])
  })
  it('are put where they were found, and asked for once only', () => {
    const { deck, slide } = made('icons-rows')
    const now = applyChanges(deck, putIcons(deck, iconsWanted(deck, slide), [drawn('clock'), null, drawn('home')]))
    expect(readDeck(JSON.parse(JSON.stringify(now)))).toMatchObject({ ok: true, value: { notes: [] } })
    expect(elementsOf(now, slide).flatMap(part => (part.kind === 'icon' ? [part.icon.name] : []))).toEqual(['clock', '', 'home'])
    expect(iconsWanted(now, slide)).toHaveLength(1)
  })
  it('stay with their items when lines are written before them, and one that was chosen is never replaced', () => {
    const { deck, slide } = made()
    const wanted = iconsWanted(deck, slide)
    const now = applyChanges(deck, putIcons(deck, wanted, [drawn('clock'), drawn('bulb'), drawn('home')]))
    const outline = { title: 'What is new', lines: [{ text: 'Tea', level: 1 }, ...lines] }
    const longer = applyChanges(now, setOutlineSlide(now, { slide, outline }, countingContext('more')))
    const icons = elementsOf(longer, slide)
      .filter(part => part.kind === 'icon')
      .sort((a, b) => (a.placeholder! < b.placeholder! ? -1 : 1))
    expect(icons.map(part => part.kind === 'icon' && part.icon.name)).toEqual(['', 'clock', 'bulb', 'home'])
    expect(putIcons(longer, wanted, [drawn('other'), drawn('other'), drawn('other')])).toEqual([])
  })
  it('go with the layout that has places for them', () => {
    const { deck, slide } = made()
    const now = applyChanges(deck, putIcons(deck, iconsWanted(deck, slide), [drawn('clock'), drawn('bulb'), drawn('home')]))
    const plain = applyChanges(now, layOut(now, { slide, family: familyNamed('cards-row')! }, countingContext('plain')))
    expect(elementsOf(plain, slide).filter(part => part.kind === 'icon')).toEqual([])
  })
})
