import { counted } from './features'
import { wordsOf } from './patterns'
import type { SenseReader } from './sense'

const most = wordsOf(
  'most|least|top(?: \\p{L}+)?|largest|biggest|busiest|longest|shortest|best|worst|highest|oldest|ranking|winners?|podium|ranked',
  '\\p{L}+iest|meist\\p{L}*|größten?|längsten?|höchsten?|besten?|vollsten?|ältesten?|sieger|rangliste|rangfolge|les plus|palmarès',
  'classement|más|mayores|clasificación|più|classifica|maiores|mais|classificação|grootste|drukste|langste|ranglijst|största|mest',
  'største|najwięks\\p{L}+|najczęst\\p{L}+',
)

export const ranking: SenseReader = {
  sense: 'ranking',
  read: ({ count, placed, comparable, falling, title, dated, percents }) => {
    if (count < 3 || dated > 0.5) return null
    if (placed >= 0.6) return { score: 0.95, reason: `${counted(count, 'line')} with the places they took. That is a ranking.` }
    const whole = Math.abs(percents - 100) <= 2
    if (comparable && falling && most.test(title) && !whole)
      return { score: 0.95, reason: 'The title asks for the most, and the amounts fall from line to line. That is a ranking.' }
    if (comparable && most.test(title) && !whole)
      return { score: 0.8, reason: 'The title asks for the most, and every line has an amount. That could be a ranking.' }
    return comparable && falling && !whole
      ? { score: 0.7, reason: 'Amounts in one unit that fall from line to line. That could be a ranking.' }
      : null
  },
}
