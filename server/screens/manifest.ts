import { createHash } from 'node:crypto'
import { loopItems, type ScreenRow } from '../database/screens'

/** What a screen is to play: the published decks of its loop in order, each with its length. */
export async function manifestOf(screen: ScreenRow) {
  const rows = screen.loop ? await loopItems(screen.loop) : []
  const items = rows
    .filter(row => row.version !== null && (row.seconds ?? 0) > 0)
    .map(row => ({ deck: row.deck, title: row.title, version: row.version!, seconds: row.seconds! }))
  const content = { screen: { id: screen.id, name: screen.name }, items }
  return { ...content, tag: createHash('sha256').update(JSON.stringify(content)).digest('hex').slice(0, 16) }
}
