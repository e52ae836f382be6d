import { refuse, requireEditor } from '../../access'
import { deckFileLimits } from '../../../core/formats/deck-file'
import { readBytes } from '../../body'
import { bringThemeFile } from '../../decks/file'

/** Brings a theme file onto the shelf. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const brought = await bringThemeFile(await readBytes(event, deckFileLimits.file, 'A theme file'), person.id)
  if (!brought.ok) return refuse(422, brought.message)
  return brought.value
})
