import { setRecord } from '../../model'
import { styleNamed, themeUnder } from '../../resolved'
import { departuresOf } from '../../themes'
import type { WholeRule } from './rule'

/** Texts in a family that hardly any other text is set in. */
export const oddFont: WholeRule = deck => {
  const own = departuresOf(deck).filter(({ fields }) => fields.family !== undefined)
  const counts = new Map<string, number>()
  for (const { fields } of own) counts.set(fields.family!, (counts.get(fields.family!) ?? 0) + 1)
  return own
    .filter(({ fields }) => counts.get(fields.family!)! <= 2)
    .map(({ element, style, fields }) => {
      const theme = themeUnder(deck, element.owner)
      const known = styleNamed(theme, style)
      const usual = known.family ?? theme.fonts[known.font]
      return {
        rule: 'odd-font',
        slide: element.owner,
        beat: null,
        element: element.id,
        together: fields.family!,
        message: `“${element.name}” is set in ${fields.family}, all other text of its style in ${usual}.`,
        remedy: {
          label: `Set it in ${usual}`,
          changes: () => [setRecord('elements', element.id, { family: undefined })],
        },
      }
    })
}
