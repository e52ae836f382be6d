import { createHash } from 'node:crypto'
import { loopItems, type ScreenRow } from '../database/screens'
import { airedVersions } from '../database/tables'

/** What a screen is to play: the published decks of its loop in order, each with its length. */
export async function manifestOf(screen: ScreenRow) {
  const rows = screen.loop ? await loopItems(screen.loop) : []
  const played = rows.filter(row => row.version !== null && (row.seconds ?? 0) > 0)
  const aired = await airedVersions([...new Set(played.flatMap(({ tables }) => tables))])
  const items = played.map(({ deck, title, version, seconds, tables }) => ({
    deck,
    title,
    version: version!,
    seconds: seconds!,
    /** Which versions of the team's tables it draws: the screen asks for them anew when others are on air. */
    tables: tables.flatMap(id => (aired[id] === undefined ? [] : [`${id} ${aired[id]}`])).join(),
  }))
  const content = { screen: { id: screen.id, name: screen.name }, items }
  return { ...content, tag: createHash('sha256').update(JSON.stringify(content)).digest('hex').slice(0, 16) }
}
