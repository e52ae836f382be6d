import { z } from 'zod'
import { idSchema } from '../../../core/values'
import { readAs, refuse, requireScreen } from '../../access'
import { versionOf } from '../../database/screens'
import { manifestOf } from '../../screens/manifest'
import { asAired } from '../../tables/on-air'

/** For the screen itself: the tables of a published version as they are on air, only of what stands on its own loop. */
export default defineEventHandler(async event => {
  const screen = await requireScreen(event)
  const { deck, number } = readAs(z.object({ deck: idSchema, number: z.coerce.number().int() }), getQuery(event))
  const manifest = await manifestOf(screen)
  if (!manifest.items.some(item => item.deck === deck && item.version === number)) refuse(404, 'This is not on the loop of this screen.')
  const version = (await versionOf(deck, number)) ?? refuse(404, 'There is no such version.')
  return await asAired(version.tables)
})
