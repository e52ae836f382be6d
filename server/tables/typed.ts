import Papa from 'papaparse'
import { z } from 'zod'
import type { ReadingChoices } from '../../core/data'
import { refuse } from '../access'
import { transaction } from '../database/connection'
import {
  bytesOf,
  dropRows,
  keepSource,
  keepVersion,
  newestHeld,
  noteTyping,
  retypeVersion,
  versionsOf,
  type SourceRow,
} from '../database/sources'
import { newId } from '../new-id'
import { UserError } from '../user-error'
import { onAirChanged } from './made'
import { usesOf } from './uses'
import { aired, heldAgainst, keepRead, readFile, versionFrom } from './sources'

/** What is typed: the names of the columns, and the rows below them, cell by cell as they were written. */
export const gridSchema = z
  .object({
    header: z.array(z.string().max(200)).min(1).max(100),
    rows: z.array(z.array(z.string().max(2000)).max(100)).max(2000),
  })
  .refine(({ header, rows }) => rows.every(row => row.length === header.length), 'the rows differ in length')
export type Grid = z.infer<typeof gridSchema>

/** A header names the columns, and every row is data, whatever it looks like. */
const asTyped: ReadingChoices = { above: 0, header: 1, rows: 'all', totals: 'data', gather: false }
/** What one person types within so long goes into one version. */
const typingMinutes = 10

async function isUsed(id: string): Promise<boolean> {
  const { decks, screens, made } = await usesOf(id)
  return decks.length + screens.length + made.length > 0
}

export const bytesFrom = ({ header, rows }: Grid) => new TextEncoder().encode(Papa.unparse([header, ...rows], { newline: '\r\n' }))
export const fileNameOf = (name: string) => `${name.slice(0, 190)}.csv`

/** Keeps what was typed as a table of the team; answers with its id, and the stamp that it is known again by. */
export async function makeTyped(name: string, grid: Grid, person: string): Promise<{ id: string; stamp: string }> {
  const bytes = bytesFrom(grid)
  const read = await readFile(bytes, fileNameOf(name), asTyped)
  if (!read.ok) return refuse(400, read.message)
  const id = newId()
  await transaction(async sql => {
    await keepRead(read.value, person, sql)
    await keepSource({ id, name, typed: true, choices: asTyped }, person, sql)
    const number = await keepVersion(id, versionFrom(read.value, bytes, fileNameOf(name), null), person, sql)
    await noteTyping(id, number, sql)
  })
  return { id, stamp: read.value.tableId }
}

/** What was typed last, and by what it is known again. */
export async function gridOf(source: SourceRow): Promise<Grid & { stamp: string }> {
  if (!source.typed) return refuse(409, 'This table is read from files. What stands in them is changed there.')
  const newest = (await versionsOf(source.id)).at(-1)!
  const written = new TextDecoder().decode((await bytesOf(source.id, newest.number))!)
  const [header = [], ...rows] = Papa.parse<string[]>(written, { delimiter: ',' }).data
  return { header, rows: rows.map(row => header.map((_, at) => row[at] ?? '')), stamp: newest.tableId }
}

const othersTyped = 'Somebody else has typed into this table meanwhile. It is shown as it is now; write it once more.'

/**
 * Keeps what was typed in place of what it was when it had this stamp: in the same version while the same person goes on typing, else as
 * the next one. One that would break what draws the table is held, with why.
 */
export async function writeTyped(
  source: SourceRow,
  grid: Grid,
  stamp: string,
  person: string,
): Promise<{ stamp: string; held: string | null }> {
  if (!source.typed) return refuse(409, 'This table is read from files. What stands in them is changed there.')
  const bytes = bytesFrom(grid)
  const read = await readFile(bytes, fileNameOf(source.name), source.choices)
  if (!read.ok) return refuse(400, read.message)
  const broken = await heldAgainst(aired(source, await versionsOf(source.id))?.tableId, read.value)
  // A table that nothing draws yet breaks nothing.
  const held = broken !== null && (await isUsed(source.id)) ? broken : null
  const version = versionFrom(read.value, bytes, fileNameOf(source.name), held)
  await transaction(async sql => {
    const newest = await newestHeld(source.id, person, typingMinutes, sql)
    if (newest?.tableId !== stamp) throw new UserError(409, othersTyped)
    await keepRead(read.value, person, sql)
    // The version that is on air stays as it is where what is typed now would break its charts.
    if (newest.goesOn && (held === null || newest.number !== source.onAir)) {
      await retypeVersion(source.id, newest.number, version, sql)
      await dropRows(newest.tableId, sql)
    } else await noteTyping(source.id, await keepVersion(source.id, version, person, sql), sql)
  })
  if (held === null) await onAirChanged(source.id)
  return { stamp: version.tableId, held }
}
