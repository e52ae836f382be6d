import { refuse, requireViewer } from '../../../access'
import { themeById } from '../../../database/themes'
import { sendAs } from '../../../decks/attachment'
import { deckFile } from '../../../decks/file'

/** A theme as a file: a deck file without slides. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const theme = await themeById(getRouterParam(event, 'id')!)
  if (!theme) return refuse(404, 'There is no such theme.')
  return sendAs(event, theme.name, 'theme.zip', 'application/zip', await deckFile(theme.content))
})
