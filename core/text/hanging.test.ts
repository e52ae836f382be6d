import { describe, expect, it } from 'vitest'
import { textOf, type Deck, type TextElement } from '../model'
import { shownElements } from '../resolved'
import { freshDeck, textElement } from '../testing'
import { layoutOfElement, leftOfLine, roughMeasurer } from './index'

/** Where each line of a text begins, px from the left of its box. */
function begins(words: string | string[], fields: Partial<TextElement> = {}, x = 200): number[] {
  const deck = freshDeck()
  const slide = Object.keys(deck.slides)[0]!
  const text = {
    ...textElement('said', slide, [words].flat()),
    style: 'quote',
    text: textOf([words].flat()),
    box: { x, y: 100, width: 600, height: 600, angle: 0 },
    ...fields,
  } as TextElement
  const put: Deck = { ...deck, elements: { ...deck.elements, said: text } }
  const shown = shownElements(put, slide).find(({ id }) => id === 'said')!
  if (shown.kind !== 'text') throw new Error('no text')
  const layout = layoutOfElement(put, shown, roughMeasurer)
  return layout.lines.map(line => Math.round(leftOfLine(shown, layout, line)))
}
const half = 30

describe('a quotation mark that opens a line of balanced words', () => {
  it('hangs beside the others, whose letters stand in one line', () => {
    expect(begins(['“The boat is late.”', 'Mara Ellin'])).toEqual([-half, 0])
    expect(begins('„Zu spät“')).toEqual([-half])
    expect(begins('«\u202fTrop tard\u202f»')[0]).toBeLessThan(-half)
  })
  it('does not where it opens nothing, or is none', () => {
    for (const words of ['The boat is late', '” alone', '(in brackets)', '12" wide']) expect(begins(words), words).toEqual([0])
  })
  it('hangs at the right of what runs to the left', () => {
    const [flush] = begins('بحر', { direction: 'rtl' })
    const [hung] = begins('”بحر”', { direction: 'rtl' })
    expect(hung! + 5 * half).toBe(flush! + 3 * half + half)
  })
  it('stays within what is centred, in a panel, in columns, and in words that are not balanced', () => {
    expect(begins('“Late”', { align: 'center' })[0]).toBe(Math.round((600 - 6 * half) / 2))
    expect(begins('“Late”', { panel: { fill: { role: 'accent1' }, padding: 20, radius: 0 } })).toEqual([0])
    expect(begins('“Late”', { columns: { count: 2, gap: 20 } })).toEqual([0])
    expect(begins('“Late”', { style: 'body' })).toEqual([0])
  })
  it('never leaves the slide', () => {
    expect(begins('“Late”', {}, 10)).toEqual([-10])
    expect(begins('“Late”', {}, 0)[0]! + 0).toBe(0)
  })
})
