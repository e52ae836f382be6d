import { z } from 'zod'
import { readAs, refuse, requireViewer } from '../../access'
import { apart, type FaceWithBytes } from '../../apart'
import { listFonts } from '../../database/fonts'
import { mediaIfThere } from '../../database/media'
import { numberWords } from '../../../core/values'

const fontSchema = z.object({ family: z.string().min(1).max(100), weight: z.number().min(1).max(1000), italic: z.boolean() })
const inputSchema = z.object({
  words: z.array(z.object({ font: fontSchema, text: z.string().min(1).max(200) })).max(2000),
})
/** Letters of one request: the words of a slide that is written all over have a tenth of it. */
const mostLetters = 20_000

/** How words are written in their fonts, for a hand to write them: by font, by word. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const { words } = readAs(inputSchema, await readBody(event))
  if (words.reduce((sum, { text }) => sum + text.length, 0) > mostLetters)
    return refuse(413, `The words have more than ${numberWords(mostLetters)} letters in all. Ask for fewer at once.`)
  const wanted = new Set(words.map(({ font }) => font.family))
  const faces: FaceWithBytes[] = []
  for (const { hash, family, weight, italic } of (await listFonts()).filter(font => wanted.has(font.family))) {
    const bytes = await mediaIfThere(hash)
    if (bytes) faces.push({ family, weight, italic, media: hash, bytes })
  }
  setHeader(event, 'content-type', 'application/json')
  return await apart('outlines', { words, faces }, { seconds: 15, what: 'The writing of these words' })
})
