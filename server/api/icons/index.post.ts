import { refuse, requireEditor } from '../../access'
import { readBytes } from '../../body'
import { ownIcon } from '../../icons/own'

/** Reads an SVG of a person's own as an icon. */
export default defineEventHandler(async event => {
  await requireEditor(event)
  const bytes = await readBytes(event, 1024 * 1024, 'An icon')
  const icon = ownIcon(Buffer.from(bytes).toString('utf8'), String(getQuery(event).name ?? 'icon').slice(0, 200))
  return icon.ok ? icon.value : refuse(422, icon.message)
})
