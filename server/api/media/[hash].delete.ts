import { refuse, requireEditor } from '../../access'
import { dropMedia, mediaByHash } from '../../database/media'
import { usesOf } from '../../media/uses'

/** Takes a file out of Media; one that decks show stays. */
export default defineEventHandler(async event => {
  await requireEditor(event)
  const hash = getRouterParam(event, 'hash')!
  const row = await mediaByHash(hash)
  if (!row) return refuse(404, 'There is no such file in Media.')
  const uses = await usesOf(hash)
  if (uses.length) return refuse(409, `“${row.name}” is shown in ${uses.map(use => `“${use.title}”`).slice(0, 4).join(', ')}${uses.length > 4 ? ` and ${uses.length - 4} more` : ''}. Put another file in its place there first.`)
  await dropMedia(hash).catch(() => refuse(409, `“${row.name}” is needed elsewhere, in a theme or a font. It stays.`))
  return { ok: true }
})
