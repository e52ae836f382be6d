import { expect, it } from 'vitest'
import { boundsOfWords } from '../../../core/contrast'
import { insertSlide, propose, putLook } from '../../../core/layouts'
import { looks } from '../../../core/looks'
import { applyChanges, infoOf, slidesOf } from '../../../core/model'
import { boundsOf } from '../../../core/place'
import { shownElements } from '../../../core/resolved'
import { countingContext, freshDeck, timingContext } from '../../../core/testing'
import { labelled, type Labelled } from './read'

/** Where all that a slide says ends that is laid out as is proposed first, as a share of the slide's height. */
function endOf({ words }: Labelled, look: string | null): number {
  const { family } = propose(words, look ? { look } : {})[0]!
  const context = countingContext()
  const base = freshDeck()
  const outline = { title: words.title, lines: words.lines }
  const { deck: made, slide } = insertSlide(base, { after: slidesOf(base)[0]!.id, family, outline }, context)
  const deck = look ? applyChanges(made, putLook(made, { look, ground: 'light', seed: 7 }, context)) : made
  const layout = deck.slides[slide]!.layout
  const ends = shownElements(deck, slide).flatMap(element => {
    // What stands on every slide does not count; what the page itself draws does.
    if ((element.pinned && element.owner !== layout) || element.kind === 'group') return []
    const seen = element.kind === 'text' ? boundsOfWords(deck, deck.slides[slide]!, element, timingContext.measurer) : boundsOf(element.box)
    return seen ? [seen.bottom] : []
  })
  return Math.max(...ends) / infoOf(deck).size.height
}
/** It is meant to leave the lower part of its pages empty. */
const quiet = new Set(['minute-book'])
const some = labelled('known').filter(
  ({ words }, index) => words.lines.length && !words.first && (process.env.HAILBANK_WHOLE || index % 4 === 0),
)

it.each([null, ...looks.map(({ name }) => name).filter(name => !quiet.has(name))])(
  'first proposals fill their slides: in the look %s hardly any ends in the upper 62 %%',
  look => {
    const high = some.filter(one => endOf(one, look) < 0.62)
    expect(high.length / some.length, high.map(({ sense, words }) => `${sense}: ${words.title}`).join('\n')).toBeLessThanOrEqual(0.04)
  },
)
