import { requireEditor } from '../../../access'
import { removeTheme } from '../../../database/themes'

/** Takes a theme off the team’s shelf. Decks that took it keep it. */
export default defineEventHandler(async event => {
  await requireEditor(event)
  await removeTheme(getRouterParam(event, 'id')!)
  return { ok: true }
})
