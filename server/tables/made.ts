import { isDeepStrictEqual } from 'node:util'
import { heldBecause, type ReadingReport } from '../../core/data'
import type { Step } from '../../core/steps'
import { transaction } from '../database/connection'
import {
  changeSource,
  dropRows,
  keepSource,
  keepVersion,
  madeOf,
  noteFile,
  rereadVersion,
  stepsHeld,
  sourceById,
  versionsOf,
  type SourceRow,
} from '../database/sources'
import { keepTableText, tableById } from '../database/tables'
import { logError } from '../log'
import { newId } from '../new-id'
import { runSteps, stepsFrom, type StepsAnswer, type StepsFrom } from '../steps'
import { UserError } from '../user-error'
import { followOnAir } from './on-air'

/** A table that steps made was not read from a file: nothing is said of how. */
const reading: ReadingReport = { notes: [], columns: [], totals: [] }
const noBytes = new Uint8Array()

/** All tables that hang on one, through however many steps. */
async function hangingOn(id: string, found = new Set<string>()): Promise<Set<string>> {
  for (const one of await madeOf(id))
    if (!found.has(one.id)) {
      found.add(one.id)
      await hangingOn(one.id, found)
    }
  return found
}

/** What the steps of a table begin with; none that hangs on it can be joined. */
export async function beginningOf(source: Pick<SourceRow, 'id' | 'madeOf'>): Promise<StepsFrom> {
  const from = source.madeOf === null ? undefined : await stepsFrom(source.madeOf, [source.id, ...(await hangingOn(source.id))])
  if (!from) throw new UserError(409, 'The table that these steps work on is gone, or has no version on air. What they made last stays.')
  return from
}

const nameOf = async (id: string) => (await sourceById(id))?.name ?? 'the table'

/** Makes a table of another one by steps, its first version on air. A list that cannot be done is kept, beside the table as it is read. */
export async function makeBySteps(
  of: SourceRow,
  name: string,
  steps: readonly Step[],
  person: string,
  id = newId(),
): Promise<{ id: string }> {
  const tableId = newId()
  const whole = { id: tableId, name }
  const from = await beginningOf({ id, madeOf: of.id })
  const made = await runSteps(from, steps, { whole })
  const text = made.text ?? (await runSteps(from, [], { whole })).text
  if (text === null) throw new Error('a table without steps was not made')
  await transaction(async sql => {
    await keepTableText({ ...whole, text }, person, sql)
    await keepSource({ id, name, madeOf: of.id, steps: [...steps] }, person, sql)
    await keepVersion(id, { fileName: of.name, bytes: noBytes, tableId, reading, held: null }, person, sql)
  })
  return { id }
}

const othersChanged = 'Somebody else has changed these steps meanwhile. They are shown as they are now; change them once more.'

/**
 * Gives a table other steps in place of those that were `before`; refused where they are others by now. Where all of them
 * can be done its version on air is what they make from now on; where one cannot, it stays what it was until that is
 * mended. Answers with what became of them.
 */
export async function changeSteps(
  source: SourceRow,
  { steps, before, at }: { steps: readonly Step[]; before: readonly Step[]; at?: number | undefined },
  person: string,
  stop?: AbortSignal,
): Promise<StepsAnswer> {
  if (!isDeepStrictEqual(source.steps, before)) throw new UserError(409, othersChanged)
  const tableId = newId()
  const from = await beginningOf(source)
  const whole = { id: tableId, name: source.name }
  const made = await runSteps(from, steps, { whole, for: source.id, stop, ...(at === undefined ? {} : { at }) })
  const number = source.onAir ?? 1
  const last = (await versionsOf(source.id)).find(version => version.number === number)
  await transaction(async sql => {
    if (!isDeepStrictEqual(await stepsHeld(source.id, sql), before)) throw new UserError(409, othersChanged)
    await changeSource(source.id, { steps: [...steps] }, sql)
    if (made.text === null) return
    await keepTableText({ id: tableId, name: source.name, text: made.text }, person, sql)
    await rereadVersion(source.id, number, { tableId, reading, held: null }, sql)
    if (last) await dropRows(last.tableId, sql)
  })
  if (made.text !== null) {
    await noteFile(source.id, { file: null, stamp: null, fault: null })
    await onAirChanged(source.id)
  }
  return { ...made, text: null }
}

/** Makes a table anew of what its steps work on now: its next version, held where that would break what draws it. */
async function makeAnew(source: SourceRow): Promise<boolean> {
  const from = await beginningOf(source)
  const tableId = newId()
  const { text, runs } = await runSteps(from, source.steps ?? [], { whole: { id: tableId, name: source.name } })
  const name = source.madeOf === null ? '' : await nameOf(source.madeOf)
  if (text === null) {
    const fault = `Step ${runs.length} cannot be done with “${name}” as it is now: ${runs.at(-1)?.fault?.message ?? ''}`
    await noteFile(source.id, { file: null, stamp: null, fault })
    return false
  }
  const aired = (await versionsOf(source.id)).find(({ number }) => number === source.onAir)
  const before = aired && (await tableById(aired.tableId))
  const held = before ? heldBecause(before, JSON.parse(text)) : null
  await transaction(async sql => {
    await keepTableText({ id: tableId, name: source.name, text }, null, sql)
    await keepVersion(source.id, { fileName: name, bytes: noBytes, tableId, reading, held }, null, sql)
  })
  await noteFile(source.id, { file: null, stamp: null, fault: null })
  return held === null
}

/** Another version of a table is on air: what is played takes as long as that asks for, and what is made of it by steps is made anew. */
export async function onAirChanged(id: string, seen: Set<string> = new Set()): Promise<void> {
  if (seen.has(id)) return
  seen.add(id)
  await followOnAir(id)
  for (const source of await madeOf(id)) {
    if (seen.has(source.id)) continue
    try {
      if (await makeAnew(source)) await onAirChanged(source.id, seen)
    } catch (error) {
      // Whatever it is: the version that came stays, and this table keeps what it had, and says so.
      const code = logError(error, 'a table could not be made anew by its steps', { source: source.id })
      const fault = error instanceof UserError ? error.message : `Its steps could not be done on the server (error ${code}).`
      await noteFile(source.id, { file: null, stamp: null, fault })
    }
  }
}
