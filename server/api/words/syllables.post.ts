import { z } from 'zod'
import { readAs, requireViewer } from '../../access'
import { syllablesOf } from '../../words/syllables'

const input = z.object({ language: z.string().min(1).max(35), words: z.array(z.string().min(1).max(80)).max(500) })

/** Where a line may end within words that are too wide for their places, by word. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const { language, words } = readAs(input, await readBody(event))
  return syllablesOf(language, words)
})
