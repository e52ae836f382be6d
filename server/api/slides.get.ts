import { z } from 'zod'
import { slidesOf } from '../../core/model'
import { outlineOf } from '../../core/layouts'
import { readAs, requireViewer } from '../access'
import { decksWithWords } from '../database/decks'

const input = z.object({ words: z.string().trim().min(2).max(200) })

/** Slides of all decks in which every word asked for stands, in title, lines or notes. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const words = readAs(input, getQuery(event)).words.toLocaleLowerCase().split(/\s+/)
  const found = []
  for (const { id, title, snapshot } of await decksWithWords(words)) {
    for (const slide of slidesOf(snapshot)) {
      const outline = outlineOf(snapshot, slide)
      const all = [outline.title, ...outline.lines.map(line => line.text), slide.notes].join('\n')
      const plain = all.toLocaleLowerCase()
      if (words.every(word => plain.includes(word)))
        found.push({ deck: id, title, slide: slide.id, name: outline.title || 'Untitled', words: all.slice(0, 200) })
    }
  }
  return found
})
