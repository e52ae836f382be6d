import { infoOf, setRecord } from '../../model'
import { styleOf } from '../../resolved'
import { largestSeen } from '../../timing'
import { layoutOfElement, leastReadable } from '../../text'
import type { Finding, Rule } from '../finding'

/** Text that is set too small to be read, or does not fit its box. */
export const textSize: Rule = ({ deck, slide, context }) =>
  slide.score.elements.flatMap((element): Finding[] => {
    if (element.kind !== 'text') return []
    const layout = layoutOfElement(deck, element, context.measurer)
    if (!layout.counts.letter) return []
    // On a board, as large as the camera ever shows it.
    const seen = slide.score.board && !element.pinned ? largestSeen(slide.score.board.camera, element.box, slide.score.size) : 1
    const size = styleOf(deck, element).size * layout.scale * (seen || 1)
    const least = leastReadable(infoOf(deck))
    const base = { slide: slide.slide, beat: null, element: element.id }
    if (!layout.fits)
      return [
        {
          ...base,
          rule: 'text-fit',
          about: 'room',
          message: `“${element.name}” does not fit its box even at ${Math.round(size)} px. Make the box larger, or say less.`,
          remedy: null,
        },
      ]
    // What no view shows near is there for the look of it.
    if (size >= least - 0.5 || seen === 0) return []
    return [
      {
        ...base,
        rule: 'text-size',
        message:
          `“${element.name}” is ${seen === 1 ? 'set' : 'seen'} in ${Math.round(size)} px, under the ${Math.round(least)} px that ` +
          'can be read from the back.',
        remedy:
          element.size !== undefined && seen === 1 && element.size < least && layout.scale === 1
            ? {
                label: `Set it in ${Math.round(least)} px`,
                changes: () => [setRecord('elements', element.id, { size: Math.round(least) })],
              }
            : null,
      },
    ]
  })
