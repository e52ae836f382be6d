import { refuse, requireEditor } from '../../../access'
import { mediaByHash, touchMedia } from '../../../database/media'

/** Notes that a file was put to use, so that it stands among those used last. */
export default defineEventHandler(async event => {
  await requireEditor(event)
  const hash = getRouterParam(event, 'hash')!
  if (!(await mediaByHash(hash))) return refuse(404, 'There is no such file in Media.')
  await touchMedia(hash)
  return { ok: true }
})
