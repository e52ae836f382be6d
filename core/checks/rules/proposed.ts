import { setRecord } from '../../model'
import type { Finding, Rule } from '../finding'

/** Pictures that were found by words, and that nobody has said are the right ones. */
export const proposed: Rule = ({ slide }) =>
  slide.score.elements.flatMap((element): Finding[] =>
    element.kind === 'picture' && element.proposed && element.media && !element.hidden
      ? [
          {
            rule: 'proposed',
            slide: slide.slide,
            beat: null,
            element: element.id,
            message:
              `“${element.name}” shows a picture that was proposed for its words. ` +
              'Keep it if it is the right one, or take another in Compose.',
            remedy: { label: 'Keep it', byEye: true, changes: () => [setRecord('elements', element.id, { proposed: undefined })] },
          },
        ]
      : [],
  )
