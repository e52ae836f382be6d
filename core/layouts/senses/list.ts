import { counted } from './features'
import type { SenseReader } from './sense'

export const list: SenseReader = {
  sense: 'list',
  read: ({ count, length, depth }) => {
    if (!count) return { score: 0.35, reason: 'No lines yet. A list leaves room for them.' }
    const score = 0.46 + (length > 6 ? 0.12 : 0) + (depth === 2 ? 0.06 : 0)
    return {
      score,
      reason: count === 1 ? 'One line so far. A list leaves room for more.' : `${counted(count, 'line')} one under the other.`,
    }
  },
}
