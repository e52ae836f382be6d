import { heldBecause, nameWithoutEnding, type ReadingChoices, type ReadingReport } from '../../core/data'
import type { Outcome } from '../../core/values'
import { refuse } from '../access'
import { apart } from '../apart'
import { transaction, type Sql } from '../database/connection'
import {
  bytesOf,
  changeSource,
  keepSource,
  keepVersion,
  rereadVersion,
  sourceById,
  versionsOf,
  type NewVersion,
  type SourceRow,
  type VersionRow,
} from '../database/sources'
import { keepTableText, tableById } from '../database/tables'
import { newId } from '../new-id'
import { onAirChanged } from './made'

/** The most bytes that a file of data may have. */
export const dataByteLimit = 100 * 1024 * 1024

type Read = { tableId: string; name: string; text: string; reading: ReadingReport }

/** Reads a file of data in a thread of its own. */
export async function readFile(bytes: Uint8Array, fileName: string, choices: ReadingChoices): Promise<Outcome<Read>> {
  const tableId = newId()
  const read = await apart('reading', { bytes, name: fileName, id: tableId, choices }, { seconds: 120, what: 'This table' })
  return read.ok ? { ok: true, value: { tableId, ...read.value } } : read
}
export const keepRead = ({ tableId, name, text }: Read, person: string | null, sql: Sql) =>
  keepTableText({ id: tableId, name, text }, person, sql)

/** The version that is on air. */
export const aired = (source: SourceRow, versions: readonly VersionRow[]) => versions.find(({ number }) => number === source.onAir)

/** Why a version that was just read cannot take the place of the one on air; null where it can, or where none is. */
export async function heldAgainst(tableId: string | undefined, read: Read): Promise<string | null> {
  const before = tableId === undefined ? undefined : await tableById(tableId)
  return before ? heldBecause(before, JSON.parse(read.text)) : null
}

/** Keeps a file as a table of the team, its first version on air; answers with what was done to it, and how many questions it leaves. */
export async function makeSource(
  bytes: Uint8Array,
  fileName: string,
  person: string | null,
  id = newId(),
): Promise<{ id: string; said: string[]; open: number }> {
  const read = await readFile(bytes, fileName, {})
  if (!read.ok) return refuse(400, read.message)
  await transaction(async sql => {
    await keepRead(read.value, person, sql)
    await keepSource({ id, name: nameWithoutEnding(fileName) }, person, sql)
    await keepVersion(id, versionFrom(read.value, bytes, fileName, null), person, sql)
  })
  const { notes, columns } = read.value.reading
  return { id, said: notes.map(({ words }) => words), open: columns.filter(({ open }) => open).length }
}
export const versionFrom = ({ tableId, reading }: Read, bytes: Uint8Array, fileName: string, held: string | null): NewVersion => ({
  fileName,
  bytes,
  tableId,
  reading,
  held,
})

/** Keeps a file as the next version of a table, read as the ones before; one that would break what draws it is held. */
export async function addVersion(
  source: SourceRow,
  bytes: Uint8Array,
  fileName: string,
  person: string | null,
): Promise<{ number: number; held: string | null }> {
  if (source.steps) return refuse(409, 'This table is made by steps: a new version comes to the table that they work on.')
  if (source.typed) return refuse(409, 'This table is typed here: change its cells, or upload the file as a table of its own.')
  const read = await readFile(bytes, fileName, source.choices)
  if (!read.ok) return refuse(400, read.message)
  const held = await heldAgainst(aired(source, await versionsOf(source.id))?.tableId, read.value)
  const number = await transaction(async sql => {
    await keepRead(read.value, person, sql)
    return await keepVersion(source.id, versionFrom(read.value, bytes, fileName, held), person, sql)
  })
  if (held === null) await onAirChanged(source.id)
  return { number, held }
}

/**
 * Decides otherwise how a table is read: the version on air is read anew, and all that came after it, of which the last that is not held
 * any more goes on air. Choices by which it cannot be read change nothing.
 */
export async function chooseReading(source: SourceRow, choices: ReadingChoices, person: string): Promise<void> {
  const versions = await versionsOf(source.id)
  const from = aired(source, versions)?.number ?? 1
  const anew: { number: number; read: Read; held: string | null }[] = []
  let on: Read | undefined
  for (const version of versions.filter(({ number }) => number >= from)) {
    const read = await readFile((await bytesOf(source.id, version.number))!, version.fileName, choices)
    if (!read.ok) return refuse(400, `Read so, version ${version.number} is no table any more: ${read.message}`)
    const held = on ? heldBecause(JSON.parse(on.text), JSON.parse(read.value.text)) : null
    if (held === null) on = read.value
    anew.push({ number: version.number, read: read.value, held })
  }
  const onAir = anew.findLast(({ held }) => held === null)?.number
  await transaction(async sql => {
    for (const { number, read, held } of anew) {
      await keepRead(read, person, sql)
      await rereadVersion(source.id, number, { tableId: read.tableId, reading: read.reading, held }, sql)
    }
    await changeSource(source.id, { choices, ...(onAir === undefined ? {} : { onAir }) }, sql)
  })
  await onAirChanged(source.id)
}

/** The table that a request names, or a refusal. */
export async function sourceAsked(id: string): Promise<SourceRow> {
  return (await sourceById(id)) ?? refuse(404, 'There is no such table any more.')
}
