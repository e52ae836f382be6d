import { boundsOfWords } from '../../contrast'
import { placeElements } from '../../edits'
import { boundsOf } from '../../place'
import type { Finding, Rule } from '../finding'

/** Words may reach this far over the edge, px: line boxes are higher than the letters in them. */
const slack = 12

/**
 * Elements that nobody sees because they lie wholly outside the slide, and words that its edge cuts off, unless a motion brings them in.
 */
export const outside: Rule = ({ deck, slide, context }) =>
  slide.score.elements.flatMap((element): Finding[] => {
    const { width, height } = slide.score.board?.extent ?? slide.score.size
    const where = slide.score.board ? 'board' : 'slide'
    if (element.hidden || slide.score.tracks.get(element.id)?.cues.some(({ cue }) => cue.what === 'move')) return []
    const bounds = boundsOf(element.box)
    const seen = bounds.left < width && bounds.right > 0 && bounds.top < height && bounds.bottom > 0
    const words = seen && element.kind === 'text' ? boundsOfWords(deck, deck.slides[slide.slide]!, element, context.measurer) : null
    const cut = words && (words.left < -slack || words.top < -slack || words.right > width + slack || words.bottom > height + slack)
    if (seen && !cut) return []
    const put = {
      left: Math.min(0, bounds.left),
      top: Math.min(0, bounds.top),
      right: Math.max(0, bounds.right - width),
      bottom: Math.max(0, bounds.bottom - height),
    }
    const x = bounds.right - bounds.left > width ? element.box.x - bounds.left : element.box.x - put.left - put.right
    const y = bounds.bottom - bounds.top > height ? element.box.y - bounds.top : element.box.y - put.top - put.bottom
    return [
      {
        rule: 'outside',
        slide: slide.slide,
        beat: null,
        element: element.id,
        message: cut
          ? `The edge of the ${where} cuts off words of “${element.name}”.`
          : `“${element.name}” lies outside the ${where}, where nobody sees it.`,
        // Where it is larger than the slide, bringing it in would only cut it elsewhere.
        remedy:
          cut && (bounds.right - bounds.left > width || bounds.bottom - bounds.top > height)
            ? null
            : {
                label: `Bring it onto the ${where}`,
                changes: at => placeElements(at, { boxes: { [element.id]: { ...element.box, x, y } } }),
              },
      },
    ]
  })
