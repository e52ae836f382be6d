import { counted } from './features'
import type { SenseReader } from './sense'

const whole =
  /\b(?:share|shares|split|breakdown|where .* (?:goes|go|comes from)|made up of|budget|portion|anteile?|aufteilung|verteilung|zusammensetzung|wohin|part|parts|répartition|proportion|où va)\b/

export const shares: SenseReader = {
  sense: 'shares',
  read: ({ count, percented, percents, title, figured, dated }) => {
    if (count < 2 || dated >= 0.7) return null
    if (percented >= 0.8 && Math.abs(percents - 100) <= 2)
      return { score: 0.97, reason: `${counted(count, 'percentage')} that add up to 100. Those are parts of a whole.` }
    if (percented >= 0.8 && whole.test(title))
      return { score: 0.85, reason: 'Percentages, and a title that speaks of shares. Those are parts of a whole.' }
    if (figured >= 0.8 && whole.test(title))
      return { score: 0.82, reason: 'Every line has an amount, and the title speaks of shares. Those are parts of a whole.' }
    return percented >= 0.8 ? { score: 0.6, reason: 'Every line has a percentage. They could be shares.' } : null
  },
}
