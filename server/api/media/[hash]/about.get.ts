import { refuse, requireViewer } from '../../../access'
import { mediaByHash, soundOf } from '../../../database/media'

/** What a media file is: its kind and size, and whether anything is heard in it. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const hash = getRouterParam(event, 'hash')!
  const row = await mediaByHash(hash)
  if (!row) return refuse(404, 'There is no such file in Media.')
  return { type: row.type, width: row.width, height: row.height, seconds: row.seconds ?? null, peaks: !!(await soundOf(hash))?.peaks }
})
