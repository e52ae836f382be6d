import type { SenseReader } from './sense'

export const statement: SenseReader = {
  sense: 'statement',
  read: ({ title, words, count, length }) => {
    if (words.first) return null
    const long = title.split(/\s+/).length
    const ended = /[.!]["”»]?$/.test(title)
    if (count === 0 && (ended || long >= 5)) return { score: 0.86, reason: 'One sentence that stands on its own. It can be said large.' }
    if (count === 0 && /\d/.test(title))
      return { score: 0.66, reason: 'A short title with a number in it, and nothing under it. It can be said large.' }
    if (count === 1 && ended) return { score: 0.74, reason: 'A sentence, and one line that supports it. It can be said large.' }
    if (count === 1 && length > 8) return { score: 0.5, reason: 'One longer line. It can be said large.' }
    return count <= 1 ? { score: 0.3, reason: 'It says little. It can be said large.' } : null
  },
}
