import { z } from 'zod'
import { idSchema } from '../../../core/values'
import { readAs, requireScreen } from '../../access'
import { heardFrom, keepPlays } from '../../database/screens'
import { log } from '../../log'

const input = z.object({
  playing: z.object({ deck: idSchema, version: z.int(), title: z.string().max(300), slide: z.string().max(64) }).nullable(),
  plays: z
    .array(z.object({ deck: idSchema, version: z.int(), startedAt: z.coerce.date(), seconds: z.number().min(0).max(86_400) }))
    .max(2000),
})

/** For the screen itself: what it plays now, and what it has played since it was last heard. */
export default defineEventHandler(async event => {
  const screen = await requireScreen(event)
  const report = readAs(input, await readBody(event))
  const refused = await keepPlays(screen.id, report.plays)
  if (refused) log.warn({ screen: screen.id, refused }, 'a screen reported plays that it cannot have played')
  await heardFrom(screen.id, report.playing)
  return { ok: true, refused }
})
