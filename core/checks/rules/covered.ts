import { coveredBy } from '../../contrast'
import { restackTo } from '../../edits'
import { frameAt } from '../../timing'
import type { Finding, Rule } from '../finding'

/** The share of a stretch of words that may be hidden before somebody misses a letter. */
const most = 0.12

/**
 * Words that something lies over, so that they cannot be read at the end of any beat in which they stand there. What comes only
 * after they were read, or leaves before, hides nothing.
 */
export const covered: Rule = ({ deck, slide, context }) => {
  const { score } = slide
  const { elements } = score
  const frames = score.beats.map(beat => frameAt(score, { beat: beat.index, seconds: beat.length }))
  const isAt = (id: string, index: number) => frames[index]!.elements.get(id)?.whole.visible !== false
  const restsAt = (id: string, index: number) => {
    const whole = frames[index]!.elements.get(id)?.whole
    return !whole || (whole.visible && whole.opacity > 0.5 && whole.x === 0 && whole.y === 0)
  }
  return elements.flatMap((element): Finding[] => {
    // A picture that fills the slide is meant to cover the page's furniture: its number, its footer.
    if (element.kind !== 'text' || element.hidden || element.pinned) return []
    const input = {
      deck,
      slide: deck.slides[slide.slide]!,
      elements,
      element,
      measurer: context.measurer,
      pixels: context.pixels ?? (() => null),
    }
    const standing = frames.map((_, index) => index).filter(index => isAt(element.id, index))
    if (!standing.length) return []
    let least: NonNullable<ReturnType<typeof coveredBy>> | undefined
    for (const index of standing) {
      const found = coveredBy(input, id => restsAt(id, index))
      if (!found || found.share <= most) return []
      if (!least || found.share < least.share) least = found
    }
    return [
      {
        rule: 'covered',
        slide: slide.slide,
        beat: null,
        element: element.id,
        message:
          `“${least!.by.name}” lies over “${least!.words.slice(0, 40)}” in “${element.name}” and hides ` +
          `${Math.round(least!.share * 100)} % of it.`,
        remedy:
          element.owner === least!.by.owner && element.parent === least!.by.parent && element.owner === slide.slide
            ? {
                label: 'Bring the words to the front',
                changes: deck => restackTo(deck, { elements: [element.id], target: least!.by.id, where: 'front' }),
              }
            : null,
      },
    ]
  })
}
