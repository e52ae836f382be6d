import { counted } from './features'
import { wordsOf } from './patterns'
import type { SenseReader } from './sense'

const plans = wordsOf(
  'history|timeline|milestones?|roadmap|chronicle|chronology|how .* (?:grew|came|began)|geschichte|meilensteine?|zeitplan',
  'zeitleiste|chronik|historique|histoire|jalons?|calendrier|chronologie|historia|calendario|cronología|storia|cronologia',
  'história|calendário|geschiedenis|planning|historien?|tidslinje|harmonogram|kalendarium',
)

export const events: SenseReader = {
  sense: 'events',
  read: ({ count, dated, rising, title, clocked, grown, opened }) => {
    if (count < 2 || grown >= 0.8 || opened >= 0.6) return null
    if (dated < 0.5)
      return plans.test(title) && dated > 0
        ? { score: 0.55, reason: 'Its title speaks of time, and a line has a date. The lines could be events in order.' }
        : null
    const score = 0.62 + 0.28 * dated + (rising ? 0.05 : 0) + (plans.test(title) ? 0.04 : 0) - (clocked > 0.6 ? 0.02 : 0)
    const what = clocked > 0.6 ? 'a time of day' : 'a date'
    return {
      score: Math.min(0.98, score),
      reason:
        dated === 1
          ? `${counted(count, 'line')}, each with ${what}. That reads as events in order.`
          : `Most lines have ${what}. That reads as events in order.`,
    }
  },
}
