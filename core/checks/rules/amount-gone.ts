import { amountIn, amountsOf, shownRow } from '../../amounts'
import { infoOf } from '../../model'
import type { Finding, Rule } from '../finding'

/** Numbers in texts that their tables do not say any more: the words that were written stay, and may be old. */
export const amountGone: Rule = ({ deck, slide, context }) =>
  slide.score.elements.flatMap((element): Finding[] =>
    amountsOf(element).flatMap((amount): Finding[] => {
      const table = context.table(amount.table)
      const row = shownRow(deck, slide.slide, context.table)
      if (!table || amountIn(amount, table, infoOf(deck).language, row?.table === amount.table ? row.row : null)) return []
      const what = amount.column === null ? 'rows to count' : `a number of “${amount.column}”`
      const message = `“${element.name}” has ${what} from “${table.name}”, which holds none now. The words that were written stay.`
      return [{ rule: 'amount-gone', slide: slide.slide, beat: null, element: element.id, message, remedy: null }]
    }),
  )
