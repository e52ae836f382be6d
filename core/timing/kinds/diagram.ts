import { diagramParts } from '../../diagrams'
import { infoOf, inlineText } from '../../model'
import { addReading, countReading, nothingToRead } from '../../text'
import type { ShownKind, TimedKind } from './kind'

export const diagramKind: TimedKind<ShownKind<'diagram'>> = {
  ways: () => ['item'],
  finest: () => 'item',
  indices: (_deck, element) => diagramParts(element.text, element.family).map((_, index) => index),
  reading(deck, element, _context, covered) {
    const { language } = infoOf(deck)
    const parts = diagramParts(element.text, element.family)
    // Words below a part are read with it.
    let at = -1
    return element.text.content.reduce((sum, paragraph) => {
      if (parts[at + 1] === paragraph) at++
      return covered && !covered(Math.max(0, at)) ? sum : addReading(sum, countReading(inlineText(paragraph.content), language))
    }, nothingToRead)
  },
  words: (_deck, element) => diagramParts(element.text, element.family).map(paragraph => inlineText(paragraph.content)),
  partName: () => 'item',
}
