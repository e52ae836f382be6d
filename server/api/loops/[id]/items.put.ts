import { z } from 'zod'
import { idSchema } from '../../../../core/values'
import { readAs, refuse, requireEditor } from '../../../access'
import { deckExists } from '../../../database/decks'
import { loopExists, loopItems, setLoopItems } from '../../../database/screens'
import { newId } from '../../../new-id'

const input = z.object({ items: z.array(z.object({ id: idSchema.optional(), deck: idSchema })).max(10_000) })

/** Says what a loop plays, in order. */
export default defineEventHandler(async event => {
  await requireEditor(event)
  const loop = getRouterParam(event, 'id')!
  const { items } = readAs(input, await readBody(event))
  if (!(await loopExists(loop))) refuse(404, 'There is no such loop.')
  for (const item of items)
    if (!(await deckExists(item.deck))) refuse(404, 'A deck of the list is not there any more. Load the page again.')
  await setLoopItems(
    loop,
    items.map(item => ({ id: item.id ?? newId(), deck: item.deck })),
  )
  return await loopItems(loop)
})
