import { setRecord } from '../../model'
import { styleNamed, themeUnder } from '../../resolved'
import { departuresOf } from '../../themes'
import type { WholeRule } from './rule'

/** Sizes within this share of their style's were meant to be it. */
const near = 0.12

/** Texts of a size that is nearly their style's. */
export const nearSize: WholeRule = deck =>
  departuresOf(deck).flatMap(({ element, style, fields }) => {
    const known = styleNamed(themeUnder(deck, element.owner), style)
    if (fields.size === undefined || Math.abs(fields.size / known.size - 1) > near) return []
    return [
      {
        rule: 'near-size',
        slide: element.owner,
        beat: null,
        element: element.id,
        together: style,
        message: `“${element.name}” is set in ${Math.round(fields.size)} px, its style ${known.name} in ${known.size} px.`,
        remedy: {
          label: `Set it in ${known.size} px`,
          changes: () => [setRecord('elements', element.id, { size: undefined })],
        },
      },
    ]
  })
