import { counted } from './features'
import { numbersTitle } from './number'
import { wordsOf } from './patterns'
import type { SenseReader } from './sense'

const through = wordsOf(
  'from .+ to .+|where .+ (?:lost|drop out|leave|stop)|funnel|selection|applicants?|von .+ zu[mr]? .+|trichter|auswahl|de .+ à .+',
  'du .+ au .+|entonnoir|embudo|de .+ a .+|dal? .+ al? .+|imbuto|do .+ ao .+|funil|van .+ (?:tot|naar) .+|trechter',
  'från .+ till .+|fra .+ til .+|od .+ do .+',
)

export const funnel: SenseReader = {
  sense: 'funnel',
  read: ({ count, amounts, falling, title, dated }) => {
    if (count < 3 || count > 8 || dated > 0.3 || !falling || numbersTitle.test(title)) return null
    const first = amounts[0]
    const last = amounts.at(-1)
    const counts = amounts.every(amount => amount && amount.unit === '' && amount.from < 2)
    if (!counts || !first || !last || last.value > first.value * 0.7) return null
    return {
      score: through.test(title) ? 0.95 : 0.87,
      reason: `${counted(count, 'count')} that grow smaller line by line. That is what stays at each level.`,
    }
  },
}
