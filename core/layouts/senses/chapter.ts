import { opensWith } from './patterns'
import type { SenseReader } from './sense'

const part =
  'part|chapter|section|teil|kapitel|abschnitt|partie|chapitre|parte|capítulo|capitolo|deel|hoofdstuk|del|kapittel|część|rozdział'
const place = '\\d+|[ivx]+|one|two|three|eins|zwei|drei|un|deux|trois|uno|dos|tres|due|tre|dois|een|twee|en|två|to|jeden|dwa'
const opens = opensWith(`(?:${part})\\s+(?:${place})`)

export const chapter: SenseReader = {
  sense: 'chapter',
  read: ({ title, count, words }) => {
    if (opens.test(title) && count <= 2) return { score: 0.94, reason: 'Its title numbers a part. That opens a chapter.' }
    if (count === 0 && !words.first && title && title.split(/\s+/).length <= 4 && !/[\d.!?…]/.test(title))
      return { score: 0.62, reason: 'A short name with nothing under it. That could open a chapter.' }
    return null
  },
}
