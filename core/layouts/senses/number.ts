import { counted } from './features'
import { wordsOf } from './patterns'
import type { SenseReader } from './sense'

/** A title that announces figures of several kinds. */
export const numbersTitle = wordsOf(
  'in numbers|in figures|key figures|at a glance|facts|results|the numbers|figures to .*|in zahlen|zahlen|kennzahlen',
  'auf einen blick|ergebnisse|en chiffres|chiffres|en bref|résultats|en cifras|cifras|in cifre|em números|números|in cijfers',
  'i siffror|i tal|i tall|w liczbach',
)
const units = '%|[€$£]|k|m|million(?:en|s)?|mio\\.?|tonnes|tonnen|minutes|minuten|km|kg|hours|stunden|heures|days|tage|jours'
const bare = new RegExp(`^\\W{0,2}[€$£]?\\s?\\d[\\d.,\\s]*\\s?(?:${units})?\\W?$`)

/** Whether a title is nothing but a number with its unit. */
export const isBareNumber = (title: string) => bare.test(title.trim().toLocaleLowerCase())

export const number: SenseReader = {
  sense: 'number',
  read: ({ count, figured, title, dated, clocked, percented, percents, amounts }) => {
    if (count <= 1 && bare.test(title)) return { score: 0.95, reason: 'The title is a number. It can stand large.' }
    const isYear = amounts[0]?.unit === '' && amounts[0].from > 1 && amounts[0].value >= 1000 && amounts[0].value < 2200
    if (count === 1 && figured === 1 && clocked === 0 && dated === 0 && !isYear)
      return { score: 0.9, reason: 'One line, and it opens with a number. It can stand large.' }
    if (count === 0 && /\d/.test(title) && title.split(/\s+/).length <= 6)
      return { score: 0.45, reason: 'A short title with a number in it. It can stand large.' }
    if (count < 2 || figured < 0.7 || dated >= 0.6) return null
    const whole = percented >= 0.8 && Math.abs(percents - 100) <= 2
    return {
      score: (numbersTitle.test(title) ? 0.93 : 0.84) - (whole ? 0.1 : 0),
      reason: `${counted(count, 'line')}, each with a number. The numbers can stand large.`,
    }
  },
}
