import { counted } from './features'
import type { SenseReader } from './sense'

export const growth: SenseReader = {
  sense: 'growth',
  read: ({ count, grown }) =>
    count >= 2 && grown === 1
      ? { score: 0.97, reason: `${counted(count, 'line')}, each a time and an amount in one unit. Columns show how it went.` }
      : null,
}
