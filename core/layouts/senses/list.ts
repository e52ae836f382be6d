import { counted } from './features'
import type { SenseReader } from './sense'

export const list: SenseReader = {
  sense: 'list',
  read: ({ count, length, depth, led }) => {
    if (!count) return { score: 0.35, reason: 'No lines yet. A list leaves room for them.' }
    // As many as that are read one after the other, not weighed against each other.
    const many = count >= 5 && led < 0.6 ? 0.2 : 0
    const score = 0.46 + many + (length > 6 ? 0.12 : 0) + (depth === 2 ? 0.06 : 0)
    return {
      score,
      reason: count === 1 ? 'One line so far. A list leaves room for more.' : `${counted(count, 'line')} one under the other.`,
    }
  },
}
