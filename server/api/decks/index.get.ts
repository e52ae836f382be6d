import { requireViewer } from '../../access'
import { slidesOf } from '../../../core/deck'
import { tablesOf } from '../../../core/formats/deck-file'
import { listDecks } from '../../database/decks'
import { coverOf } from '../../decks/cover'

export default defineEventHandler(async event => {
  await requireViewer(event)
  const decks = await listDecks()
  return decks.map(({ snapshot, ...deck }) => {
    const cover = coverOf(snapshot)
    return { ...deck, slides: slidesOf(snapshot).length, cover, tables: tablesOf(cover) }
  })
})
