import { describe, expect, it } from 'vitest'
import { families, familyNamed } from '../families'
import { applyChanges, elementsOf, slidesOf, type Deck } from '../model'
import { countingContext, freshDeck } from '../testing'
import { clearAndClose, closesTo, closeUp } from './close-up'
import { proposePicture } from './item-pictures'
import { insertOutline, outlineOf } from './outline'
import { layOut } from './set-layout'
import { familyOf } from './write-lines'

const context = countingContext()
const lines = ['Gulls at the ramp', 'Boats in the evening'].map(text => ({ text, level: 1 }))
function deckIn(name: string): { deck: Deck; slide: string; pictures: string[] } {
  const start = freshDeck()
  const deck = applyChanges(start, insertOutline(start, { after: null, slides: [{ title: 'The quay at dusk', lines }] }, context))
  const slide = slidesOf(deck)[0]!.id
  const laid = applyChanges(deck, layOut(deck, { slide, family: familyNamed(name)! }, context))
  const pictures = elementsOf(laid, slide).filter(({ kind, placeholder }) => kind === 'picture' && placeholder !== 'logo')
  return { deck: laid, slide, pictures: pictures.map(({ id }) => id) }
}
const found = { hash: 'a'.repeat(64), width: 1200, height: 800 }
const nameIn = (deck: Deck, slide: string) => familyOf(deck, deck.slides[slide]!)?.name

describe('a place without a picture', () => {
  const closing = families.filter(({ closesTo: to }) => to)
  it('closes into a layout of the catalogue that has no place for one', () => {
    for (const { closesTo: to } of closing) expect(familyNamed(to!)?.closesTo, to).toBeUndefined()
    expect(closing.length).toBeGreaterThan(8)
  })

  it.each(closing.map(({ name }) => name))('closes up in %s, and every line stays', name => {
    const { deck, slide, pictures } = deckIn(name)
    const closed = applyChanges(deck, closeUp(deck, { slide }, context))
    expect(nameIn(closed, slide)).toBe(familyNamed(name)!.closesTo)
    for (const id of pictures) expect(closed.elements[id]).toBeUndefined()
    expect(outlineOf(closed, closed.slides[slide]!)).toEqual(outlineOf(deck, deck.slides[slide]!))
  })

  it('stays while a picture stands in another one, and closes with the last that is cleared', () => {
    const { deck, slide, pictures } = deckIn('pictures-row')
    const both = applyChanges(
      deck,
      pictures.map(id => proposePicture(id, found)),
    )
    expect(closesTo(both, slide)).toBeNull()
    const one = applyChanges(both, clearAndClose(both, { element: pictures[0]! }, context))
    expect(nameIn(one, slide)).toBe('pictures-row')
    const none = applyChanges(one, clearAndClose(one, { element: pictures[1]! }, context))
    expect(nameIn(none, slide)).toBe('cards-row')
  })

  it('is kept where a layout is made of it', () => {
    const { deck, slide } = deckIn('people-row')
    expect(closeUp(deck, { slide }, context)).toEqual([])
  })
})
