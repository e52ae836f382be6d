import { z } from 'zod'
import { readAs, requireEditor } from '../../access'
import { iconsFor } from '../../icons/shipped'

const input = z.object({
  /** The texts of each of several slides. */
  slides: z.array(z.array(z.string().max(400)).max(60)).max(50),
  language: z.string().max(35).default('en'),
})

/** An icon for each text, by what it says, none twice on a slide; null where none fits. */
export default defineEventHandler(async event => {
  await requireEditor(event)
  const { slides, language } = readAs(input, await readBody(event))
  return { slides: await Promise.all(slides.map(texts => iconsFor(texts, language))) }
})
