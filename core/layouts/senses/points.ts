import { counted } from './features'
import type { SenseReader } from './sense'

export const points: SenseReader = {
  sense: 'points',
  read: ({ count, led, length, depth, under }) => {
    if (count < 2) return null
    if (led >= 0.7)
      return { score: 0.8, reason: `${counted(count, 'line')}, each with a word that leads. Those are points side by side in weight.` }
    const even = under.every(lines => lines.length > 0)
    if (depth === 2 && even) return { score: 0.66, reason: `${counted(count, 'point')}, each with something under it.` }
    return { score: 0.54 + (length <= 8 ? 0.08 : 0), reason: `${counted(count, 'line')} side by side in weight.` }
  },
}
