import { z } from 'zod'
import { idSchema } from '../../../../core/values'
import { readAs, refuse, requireViewer } from '../../../access'
import { deckExists, keepPlace } from '../../../database/decks'

const place = z.object({ slide: idSchema.nullable(), phase: z.enum(['outline', 'compose', 'time', 'check', 'deliver']) })

/** Says where one is in a deck, so that one can go on there. */
export default defineEventHandler(async event => {
  const person = await requireViewer(event)
  const id = getRouterParam(event, 'id')!
  if (!(await deckExists(id))) refuse(404, 'There is no such deck.')
  await keepPlace(person.id, id, readAs(place, await readBody(event)))
  return { ok: true }
})
