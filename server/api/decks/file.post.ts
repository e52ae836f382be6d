import { deckFileLimits } from '../../../core/formats/deck-file'
import { refuse, requireEditor } from '../../access'
import { readBytes } from '../../body'
import { bringDeckFile } from '../../decks/file'

/** Brings a deck from a file of Hailbank’s own open format, with its tables and media. Answers with its new id. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const bytes = await readBytes(event, deckFileLimits.file, 'A deck file')
  const brought = await bringDeckFile(bytes, person.id)
  return brought.ok ? brought.value : refuse(422, brought.message)
})
