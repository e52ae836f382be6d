import { counted } from './features'
import type { SenseReader } from './sense'

const plans =
  /\b(?:history|timeline|milestones?|roadmap|chronicle|chronology|so far|how .* (?:grew|came|began)|geschichte|meilensteine?|zeitplan|zeitleiste|chronik|ablauf|historique|histoire|jalons?|étapes clés|calendrier|chronologie)\b/

export const events: SenseReader = {
  sense: 'events',
  read: ({ count, dated, rising, title, clocked }) => {
    if (count < 2 || dated < 0.5)
      return plans.test(title) && count >= 2
        ? { score: 0.55, reason: 'Its title speaks of time. The lines could be events in order.' }
        : null
    const score = 0.62 + 0.28 * dated + (rising ? 0.05 : 0) + (plans.test(title) ? 0.04 : 0) - (clocked > 0.6 ? 0.02 : 0)
    const what = clocked > 0.6 ? 'a time of day' : 'a date'
    return {
      score: Math.min(0.98, score),
      reason:
        dated === 1
          ? `${counted(count, 'line')}, each opening with ${what}. That reads as events in order.`
          : `Most lines open with ${what}. That reads as events in order.`,
    }
  },
}
