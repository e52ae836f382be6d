import { families, type LayoutFamily } from './catalogue'

/** What a slide's words are, as an outline has them. */
export interface SlideWords {
  title: string
  lines: readonly { text: string, level: number }[]
  /** Whether it opens the deck. */
  first: boolean
}

export interface Proposal {
  family: LayoutFamily
  /** 0 to 1; for order only. */
  score: number
  /** Why, in one sentence. */
  reason: string
}

const counts = ['No lines', 'One line', 'Two lines', 'Three lines', 'Four lines', 'Five lines', 'Six lines', 'Seven lines', 'Eight lines', 'Nine lines']
const countWords = (count: number) => counts[count] ?? `${count} lines`
const namesTable = /\.(csv|tsv|xlsx)\b|\bby (month|year|season|week|day|route)\b/i
const namesPicture = /\b(photo|photograph|picture|map|view)\b|\.(jpe?g|png|webp|avif)\b/i

/** Ranks the layout families for a slide's words, best first; none is left out. */
export function propose(words: SlideWords): Proposal[] {
  const filled = words.lines.filter(line => line.text.trim() !== '')
  const all = [words.title, ...filled.map(line => line.text)].join('\n')
  const withNumber = filled.filter(line => /\d/.test(line.text)).length
  const judge = (family: string): [number, string] => {
    switch (family) {
      case 'title':
        if (words.first && filled.length <= 2) return [0.95, 'It is the first slide and says little. That opens a deck.']
        return [0.15, 'Sets the words large on a deep ground, as at a chapter’s start.']
      case 'chart':
        if (namesTable.test(all)) return [0.9, 'A table is named. That reads as a chart of it.']
        if (filled.length >= 3 && withNumber === filled.length) return [0.6, `${countWords(filled.length)}, each with a number. They could be compared as bars.`]
        return [0.3, 'Takes a table of figures, and sets the lines under it.']
      case 'picture':
        if (namesPicture.test(all)) return [0.7, 'A picture is named. It stands beside the lines.']
        return [filled.length ? 0.4 : 0.25, 'Keeps half of the slide for a picture.']
      case 'statement':
        if (!words.first && filled.length === 0 && /\d|[.!?]$/.test(words.title)) return [0.75, 'One line that stands on its own. It can be said large.']
        return [filled.length <= 1 ? 0.45 : 0.2, 'Says the first line large, and the rest small beneath it.']
      default:
        if (filled.length >= 2) return [0.65, `${countWords(filled.length)} side by side in weight. That reads as a list.`]
        return [0.55, filled.length ? 'One line so far. A list leaves room for more.' : 'No lines yet. A list leaves room for them.']
    }
  }
  return families
    .map((family): Proposal => {
      const [score, reason] = judge(family.name)
      return { family, score, reason }
    })
    .sort((a, b) => b.score - a.score)
}
