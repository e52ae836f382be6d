import { z } from 'zod'
import { readAs, requireEditor } from '../../access'
import { iconsFor } from '../../icons/shipped'

const input = z.object({ texts: z.array(z.string().max(2000)).max(200), language: z.string().max(35).default('en') })

/** An icon for each text, by what it says; null where none fits. */
export default defineEventHandler(async event => {
  await requireEditor(event)
  const { texts, language } = readAs(input, await readBody(event))
  return { icons: await iconsFor(texts, language) }
})
