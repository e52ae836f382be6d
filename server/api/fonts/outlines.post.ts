import { z } from 'zod'
import { inkKey, type WordOutlines } from '../../../core/drawing'
import { readAs, requireViewer } from '../../access'
import { listFonts } from '../../database/fonts'
import { mediaIfThere } from '../../database/media'
import { bringFaces, outlinesOf } from '../../measure/measurer'

const fontSchema = z.object({ family: z.string().min(1).max(100), weight: z.number().min(1).max(1000), italic: z.boolean() })
const wishSchema = z.object({
  words: z.array(z.object({ font: fontSchema, text: z.string().min(1).max(200) })).max(2000),
})

/** How words are written in their fonts, for a hand to write them: by font, by word. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const { words } = readAs(wishSchema, await readBody(event))
  const wanted = new Set(words.map(({ font }) => font.family))
  await bringFaces((await listFonts()).filter(font => wanted.has(font.family)).map(({ hash, ...face }) => ({ ...face, media: hash })), mediaIfThere)
  const book: Record<string, Record<string, WordOutlines>> = {}
  for (const { font, text } of words) (book[inkKey(font)] ??= {})[text] = outlinesOf(text, font)
  return book
})
