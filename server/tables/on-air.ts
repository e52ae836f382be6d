import type { DataTable } from '../../core/data'
import { keepPublishedLength, publishedWith } from '../database/screens'
import { tablesById } from '../database/tables'
import { slideSecondsOf } from '../decks/lengths'
import { logError } from '../log'
import { UserError } from '../user-error'

/** Tables with what is on air in the place of those that the team keeps; what is kept no more stays as it was. */
export async function asAired(tables: readonly DataTable[]): Promise<DataTable[]> {
  const aired = new Map((await tablesById(tables.map(({ id }) => id))).map(table => [table.id, table]))
  return tables.map(table => aired.get(table.id) ?? table)
}

/** What is played of a table that has another version on air takes as long as that asks for. */
export async function followOnAir(source: string): Promise<void> {
  for (const { deck, number, snapshot, tables } of await publishedWith(source)) {
    try {
      const seconds = (await slideSecondsOf(snapshot, await asAired(tables), 'loop')).reduce((sum, slide) => sum + slide, 0)
      await keepPublishedLength(deck, number, seconds)
    } catch (error) {
      // Too heavy, or something in it that timing stumbles over: it keeps the length that it had.
      if (!(error instanceof UserError || error instanceof TypeError || error instanceof RangeError)) throw error
      logError(error, 'the length of what is played could not be reckoned', { deck, number })
    }
  }
}
