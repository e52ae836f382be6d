import { refuse, requireEditor } from '../../access'
import { dropMedia, mediaByHash } from '../../database/media'
import { referencesTo } from '../../media/references'

/** Takes a file out of Media; one that anything refers to stays. */
export default defineEventHandler(async event => {
  await requireEditor(event)
  const hash = getRouterParam(event, 'hash')!
  const row = await mediaByHash(hash)
  if (!row) return refuse(404, 'There is no such file in Media.')
  const references = await referencesTo(hash)
  if (references.length)
    return refuse(
      409,
      `“${row.name}” is needed ` +
        `${references.slice(0, 4).join(', ')}${references.length > 4 ? ` and in ${references.length - 4} more places` : ''}. It ` +
        'stays.',
    )
  await dropMedia(hash)
  return { ok: true }
})
