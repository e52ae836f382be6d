import { requireEditor } from '../../../access'
import { removeTheme } from '../../../database/themes'

export default defineEventHandler(async event => {
  await requireEditor(event)
  await removeTheme(getRouterParam(event, 'id')!)
  return { ok: true }
})
