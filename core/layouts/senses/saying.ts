import { wordsOf } from './patterns'
import type { SenseReader } from './sense'

const voices = wordsOf(
  'quote|voices|said|words of|what .* say|wrote|testimonials?|in their own words|stimmen|zitat|sagen|worte|citation|paroles',
  'témoignages?|disent|voces|dicen|cita|voci|dicono|vozes|dizem|stemmen|zeggen|röster|stemmer|głosy',
)

export const saying: SenseReader = {
  sense: 'saying',
  read: ({ count, said, title, top }) => {
    const quoted = /^[“”„"«]/.test(title) && /[“”"»]\.?$/.test(title)
    if (quoted && count <= 1) return { score: 0.95, reason: 'Words in quotation marks. That is a saying.' }
    if (count && said > 0 && (count <= 2 || said >= 0.5))
      return { score: 0.94, reason: 'Words in quotation marks, and who said them. That is a saying.' }
    const credited = count === 2 && /^[–—-]\s*\p{Lu}/u.test(top[1]!)
    if (credited) return { score: 0.9, reason: 'A line, and after a dash who said it. That is a saying.' }
    return voices.test(title) && count <= 3 && count > 0 ? { score: 0.6, reason: 'The title speaks of words that somebody said.' } : null
  },
}
