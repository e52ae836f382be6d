import type { SenseReader } from './sense'

export const opening: SenseReader = {
  sense: 'opening',
  read: ({ words, count, length, depth }) => {
    if (!words.first) return null
    if (count <= 2 && depth <= 1 && length <= 14)
      return { score: 0.96, reason: 'It is the first slide and says little. That opens a deck.' }
    return { score: 0.4, reason: 'It is the first slide. It could open the deck.' }
  },
}
