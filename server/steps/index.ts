import type { OtherTable, Step, StepColumn } from '../../core/steps'
import { Stopped, Threads } from '../apart/threads'
import { columnsOnAir } from '../database/sources'
import { tableText } from '../database/tables'
import { UserError } from '../user-error'
import type * as tasks from './tasks'
import type { OrderedRows, OrderedRowsInput, StepsAnswer, StepsProgress } from './tasks'

export type { StepLook, StepRun, StepsAnswer, StepsProgress } from './tasks'

/** One thread, which keeps what it has loaded and answered for the next question. */
const threads = new Threads<typeof tasks>('server/steps/tasks.ts', { least: 0, most: 1, idleSeconds: 300 })
const what = 'This list of steps'
const seconds = 120

/** A table that steps begin with, and those that they may join, by their versions on air. */
export interface StepsFrom {
  id: string
  version: string
  columns: readonly StepColumn[]
  others: readonly (OtherTable & { version: string })[]
}
/** What steps on a table begin with; undefined where it has no version on air. Tables in `without` are none that steps may join. */
export async function stepsFrom(id: string, without: readonly string[] = []): Promise<StepsFrom | undefined> {
  const all = await columnsOnAir()
  const from = all.find(table => table.id === id)
  return (
    from && {
      id,
      version: from.version,
      columns: from.columns,
      others: all.filter(table => table.id !== id && !without.includes(table.id)),
    }
  )
}

/** How far the lists of steps are that are being done for somebody, by the table that they make. */
const underWay = new Map<string, StepsProgress>()
/** How far the steps of a table are; null where none are being done, or nothing is known of it yet. */
export const stepsUnderWay = (table: string): StepsProgress | null => underWay.get(table) ?? null

/**
 * Does steps, as far as they can be done; with `at` rows before and after that step, with `whole` the table that they make as JSON. Whoever
 * waits `for` a table can ask how far it is, and `stop` it: it throws `Stopped` then.
 */
export async function runSteps(
  { version, columns, others }: StepsFrom,
  steps: readonly Step[],
  { for: waited, stop, ...asked }: { at?: number; whole?: { id: string; name: string }; for?: string; stop?: AbortSignal | undefined },
): Promise<StepsAnswer> {
  const input = { from: { version, columns }, others, steps, ...asked }
  const joined = new Set(steps.flatMap(step => (step.kind === 'join' ? [step.table] : [])))
  const needed = [version, ...others.flatMap(other => (joined.has(other.id) ? [other.version] : []))]
  const told = (progress: unknown) => void (waited && underWay.set(waited, progress as StepsProgress))
  const answer = await withTables(needed, () =>
    threads.do('run', input, { seconds, what, told, stop }).finally(() => waited && underWay.delete(waited)),
  )
  if (answer === 'stopped') throw new Stopped()
  return answer
}

/** Some rows of a table in the order of one of its columns. */
export const rowsInOrder = (input: OrderedRowsInput): Promise<OrderedRows> =>
  withTables([input.version], () => threads.do('orderedRows', input, { seconds, what: 'This table' }))

/** Asks the thread, and brings it the tables that it has not got. */
async function withTables<T>(needed: readonly string[], ask: () => Promise<T | null>): Promise<T> {
  for (let tries = 0; tries < 3; tries++) {
    const answer = await ask()
    if (answer !== null) return answer
    for (const one of needed) {
      const text = await tableText(one)
      const lack = text === undefined ? null : await threads.do('keepTable', { version: one, text }, { seconds, what })
      if (lack) throw new UserError(422, lack)
    }
  }
  throw new Error(`the tables of these steps did not stay: ${needed.join(', ')}`)
}

/** Ends the thread; for an orderly end. */
export const endSteps = () => threads.end()
