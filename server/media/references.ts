import { database } from '../database/connection'
import { usesOf } from './uses'

/**
 * Everything that needs a media file, in words: decks as they stand, decks that were removed and can be restored, published versions,
 * themes, saved blocks, fonts and films that were made. Empty where nothing does, and it may go.
 */
export async function referencesTo(hash: string): Promise<string[]> {
  const sql = database()
  const like = `%${hash}%`
  // Live decks as they stand in the hands of those who edit them now.
  const live = await usesOf(hash)
  const [kept, versions, themes, pieces, fonts] = await Promise.all([
    sql<{ title: string }[]>`select title from decks where removed_at is not null and snapshot::text like ${like}`,
    sql<{ title: string; number: number }[]>`select decks.title, max(number) as number from deck_versions join decks on decks.id = deck
      where deck_versions.snapshot::text like ${like} group by decks.id, decks.title`,
    sql<{ name: string }[]>`select name from themes where content::text like ${like}`,
    sql<{ name: string }[]>`select name from pieces where content::text like ${like}`,
    sql<{ family: string }[]>`select family from fonts where hash = ${hash}`,
  ])
  return [
    ...live.map(use => `in “${use.title}”`),
    ...kept.map(row => `in “${row.title}”, which was removed and can be restored`),
    ...versions.map(row => `in the published version ${row.number} of “${row.title}”`),
    ...themes.map(row => `in the theme “${row.name}”`),
    ...pieces.map(row => `in the saved block “${row.name}”`),
    ...fonts.map(row => `as the font ${row.family}`),
  ]
}
