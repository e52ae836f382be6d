import { z } from 'zod'
import { hashSchema } from '../../../core/values'
import { readAs, refuse, requireEditor } from '../../access'
import { readBytes } from '../../body'
import { changeMedia } from '../../database/media'
import { keepChecked } from '../../media/keep'
import { makeVoice } from '../../media/voice'

const querySchema = z.object({
  name: z.string().max(160).default('Voice'),
  level: z.enum(['yes', 'no']).default('yes'),
  tidy: z.enum(['yes', 'no']).default('yes'),
  onto: hashSchema.optional(),
  at: z.coerce.number().min(0).max(86_400).default(0),
})

/** Takes a recorded voice, makes it ready and keeps it. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const { name, level, tidy, onto, at } = readAs(querySchema, getQuery(event))
  const made = await makeVoice(await readBytes(event, 256 * 1024 * 1024, 'A recording'), {
    name,
    level: level === 'yes',
    tidy: tidy === 'yes',
    ...(onto ? { onto: { hash: onto, at } } : {}),
  })
  if (!made.ok) return refuse(422, made.message)
  await keepChecked(made.value, person.id)
  await changeMedia(made.value.row.hash, { folder: 'Voices' })
  return { hash: made.value.row.hash, seconds: made.value.row.seconds }
})
