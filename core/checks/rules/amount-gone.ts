import { amountIn, amountsOf, shownRow } from '../../amounts'
import { infoOf } from '../../model'
import type { Finding, Rule } from '../finding'

/**
 * Numbers in texts that their tables do not say any more: the words that were written stay, and may be old. So it is with a slide for rows
 * of a table that is gone: it plays once.
 */
export const amountGone: Rule = ({ deck, slide, context }) => {
  const finding = (element: string | null, message: string): Finding => ({
    rule: 'amount-gone',
    slide: slide.slide,
    beat: null,
    element,
    message,
    remedy: null,
  })
  const rows = deck.slides[slide.slide]?.rows
  const row = shownRow(deck, slide.slide, context.table)
  const lost = rows && !context.table(rows.table)
  return [
    ...(lost ? [finding(null, 'The slide is there for each row of a table that is gone: it plays once. Choose another table.')] : []),
    ...slide.score.elements.flatMap(element =>
      amountsOf(element).flatMap((amount): Finding[] => {
        const table = context.table(amount.table)
        if (!table)
          return [finding(element.id, `“${element.name}” has a number of a table that is gone. The words that were written stay.`)]
        if (amountIn(amount, table, infoOf(deck).language, row?.table === amount.table ? row.row : null)) return []
        const what = amount.column === null ? 'rows to count' : `a number of “${amount.column}”`
        return [
          finding(
            element.id,
            `“${element.name}” has ${what} from “${table.name}”, which holds none now. The words that were written stay.`,
          ),
        ]
      }),
    ),
  ]
}
