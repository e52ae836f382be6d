import { z } from 'zod'
import { hashSchema, idSchema } from '../../../../core/values'
import { readAs, refuse, requireEditor } from '../../../access'
import { mediaByHash, touchMedia } from '../../../database/media'
import { replaceIn } from '../../../media/uses'

const input = z.object({ by: hashSchema, decks: z.array(idSchema).min(1).max(5000) })

/** Puts another file in the place of this one in some decks, each in one step that can be undone there. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const hash = getRouterParam(event, 'hash')!
  const { by, decks } = readAs(input, await readBody(event))
  const [from, to] = [await mediaByHash(hash), await mediaByHash(by)]
  if (!from || !to) return refuse(404, 'There is no such file in Media.')
  if (from.type.split('/')[0] !== to.type.split('/')[0])
    return refuse(
      422,
      `“${to.name}” is no ${from.type.startsWith('image/') ? 'picture' : from.type.startsWith('video/') ? 'film' : 'sound'}, ` +
        'and cannot stand in its place.',
    )
  await touchMedia(by)
  return await replaceIn(decks, hash, by, person)
})
