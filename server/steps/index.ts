import type { OtherTable, Step, StepColumn } from '../../core/steps'
import { Threads } from '../apart/threads'
import { columnsOnAir } from '../database/sources'
import { tableText } from '../database/tables'
import { UserError } from '../user-error'
import type * as tasks from './tasks'
import type { StepsAnswer } from './tasks'

export type { StepLook, StepRun, StepsAnswer } from './tasks'

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

/** Does steps, as far as they can be done; with `at` rows before and after that step, with `whole` the table that they make as JSON. */
export async function runSteps(
  { version, columns, others }: StepsFrom,
  steps: readonly Step[],
  asked: { at?: number; whole?: { id: string; name: string } },
): Promise<StepsAnswer> {
  const input = { from: { version, columns }, others, steps, ...asked }
  const joined = new Set(steps.flatMap(step => (step.kind === 'join' ? [step.table] : [])))
  const needed = [version, ...others.flatMap(other => (joined.has(other.id) ? [other.version] : []))]
  for (let tries = 0; tries < 3; tries++) {
    const answer = await threads.do('run', input, { seconds, what })
    if (answer) return answer
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
