import { refuse, requireViewer } from '../../../access'
import { mediaByHash } from '../../../database/media'
import { usesOf } from '../../../media/uses'

/** The decks that show a media file. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const hash = getRouterParam(event, 'hash')!
  if (!(await mediaByHash(hash))) return refuse(404, 'There is no such file in Media.')
  return await usesOf(hash)
})
