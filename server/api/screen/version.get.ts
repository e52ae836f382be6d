import { z } from 'zod'
import { mediaOf } from '../../../core/model'
import { idSchema } from '../../../core/values'
import { mediaLengths, voicePeaks } from '../../database/media'
import { readAs, refuse, requireScreen } from '../../access'
import { inkBookOf } from '../../decks/ink'
import { versionOf } from '../../database/screens'
import { manifestOf } from '../../screens/manifest'
import { syllablesIn } from '../../words/syllables'
import { asAired } from '../../tables/on-air'

/** For the screen itself: one published version, only of what stands on its own loop. */
export default defineEventHandler(async event => {
  const screen = await requireScreen(event)
  const { deck, number } = readAs(z.object({ deck: idSchema, number: z.coerce.number().int() }), getQuery(event))
  const manifest = await manifestOf(screen)
  if (!manifest.items.some(item => item.deck === deck && item.version === number)) refuse(404, 'This is not on the loop of this screen.')
  const version = (await versionOf(deck, number)) ?? refuse(404, 'There is no such version.')
  const tables = await asAired(version.tables)
  const lengths = await mediaLengths(mediaOf(version.snapshot))
  return {
    ...version,
    tables,
    lengths,
    ink: await inkBookOf(version.snapshot, tables, lengths),
    syllables: syllablesIn(version.snapshot),
    peaks: await voicePeaks(version.snapshot),
  }
})
