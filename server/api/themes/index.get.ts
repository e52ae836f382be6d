import { requireViewer } from '../../access'
import { listThemes } from '../../database/themes'

/** The themes on the team's shelf, whole: a deck without slides each. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  return await listThemes()
})
