import { counted } from './features'
import { wordsOf } from './patterns'
import type { SenseReader } from './sense'

const whole = wordsOf(
  'shares?|split|breakdown|where .* (?:goes|go|comes? from)|made up of|budget|portion|pays for|anteile?|aufteilung|verteilung',
  'zusammensetzung|wohin|woher|wofür|parts?|répartition|proportion|où va|d.où|à quoi|partes|reparto|de dónde|adónde|parti',
  'ripartizione|da dove|divisão|de onde|verdeling|waar .* vandaan|fördelning|varifrån|fordeling|hvor .* fra|udział|skąd',
)
/** What is left over: it makes the whole full without a number. */
const rest = wordsOf(
  'rest|others?|everything else|all else|remainder|übrige[ns]?|andere|reste|autres|resto|demás|altri|outros|overige|övriga|øvrige',
  'reszta|pozostali',
)

export const shares: SenseReader = {
  sense: 'shares',
  read: ({ count, percented, percents, title, comparable, dated, top }) => {
    if (count < 2 || dated >= 0.7) return null
    if (percented >= 0.8 && Math.abs(percents - 100) <= 2)
      return { score: 0.97, reason: `${counted(count, 'percentage')} that add up to 100. Those are parts of a whole.` }
    if (percented * count >= count - 1 && percents < 100 && rest.test(top.at(-1)!))
      return { score: 0.93, reason: 'Parts of a hundred, and what is left over. Those are parts of a whole.' }
    if (percented >= 0.8 && percents <= 101 && whole.test(title))
      return { score: 0.85, reason: 'Percentages, and a title that speaks of shares. Those are parts of a whole.' }
    if (comparable && percented === 0 && whole.test(title))
      return { score: 0.88, reason: 'Every line has an amount in one unit, and the title speaks of shares. Those are parts of a whole.' }
    return percented >= 0.8 && percents <= 101 ? { score: 0.6, reason: 'Every line has a percentage. They could be shares.' } : null
  },
}
