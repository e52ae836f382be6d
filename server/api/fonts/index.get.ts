import { requireViewer } from '../../access'
import { listFonts } from '../../database/fonts'

/** The font files that the team brought. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  return await listFonts()
})
