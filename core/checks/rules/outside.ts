import { placeElements } from '../../deck'
import { boundsOf } from '../../place'
import type { Finding, Rule } from '../finding'

/** Elements that nobody sees because they lie wholly outside the slide, unless a motion brings them in. */
export const outside: Rule = ({ slide }) =>
  slide.score.elements.flatMap((element): Finding[] => {
    const { width, height } = slide.score.board?.extent ?? slide.score.size
    const bounds = boundsOf(element.box)
    const seen = bounds.left < width && bounds.right > 0 && bounds.top < height && bounds.bottom > 0
    if (seen || slide.score.tracks.get(element.id)?.cues.some(({ cue }) => cue.what === 'move')) return []
    const x = Math.max(0, Math.min(width - element.box.width, element.box.x))
    const y = Math.max(0, Math.min(height - element.box.height, element.box.y))
    return [{
      rule: 'outside', slide: slide.slide, beat: null, element: element.id, message: `“${element.name}” lies outside the ${slide.score.board ? 'board' : 'slide'}, where nobody sees it.`,
      remedy: { label: `Bring it onto the ${slide.score.board ? 'board' : 'slide'}`, changes: deck => placeElements(deck, { boxes: { [element.id]: { ...element.box, x, y } } }) },
    }]
  })
