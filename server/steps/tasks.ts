import { createHash } from 'node:crypto'
import type { DataTable } from '../../core/data'
import { isFault, questionBefore, workOf, type OtherTable, type Step, type StepColumn, type StepFault } from '../../core/steps'
import type { Line } from '../apart/threads'
import { engine, forgetNeeded, keepAs, keptAs, load, rowsOf, sumsOf } from './tables'

/** What became of one step. */
export interface StepRun {
  rows: number
  columns: readonly StepColumn[]
  fault: StepFault | null
  note: string | null
  /** Seconds that it took; 0 where the answer was here already. */
  seconds: number
}
/** Some rows before and after a step, column by column, and the sums of amounts that both have. */
export interface StepLook {
  before: (string | number | null)[][]
  after: (string | number | null)[][]
  sums: { column: string; before: number; after: number }[]
}
export interface StepsInput {
  /** The version of the table that is begun with, and of those that steps may join, by the ids that steps name. */
  from: { version: string; columns: readonly StepColumn[] }
  others: readonly (OtherTable & { version: string })[]
  steps: readonly Step[]
  /** The step whose rows are looked at. */
  at?: number
  /** The whole table after the last step is asked for, as JSON text with this id and name. */
  whole?: { id: string; name: string }
}
export interface StepsAnswer {
  rows: number
  /** A run for each step; none after one that cannot be done. */
  runs: StepRun[]
  look: StepLook | null
  text: string | null
}

/** How far the step that is being done is: its place in the list, and rows looked at of all that have to be. */
export interface StepsProgress {
  step: number
  done: number
  of: number
}

const keyOf = (...parts: unknown[]) => createHash('sha256').update(JSON.stringify(parts)).digest('base64url')
/** The most rows that a step may make, and the longest that it may take, s. */
const mostRows = 3_000_000
const longest = 20
const lookedAt = 60

/** Rows of a table in the order of one of its columns: which row of the table each is, from 0, and their cells column by column. */
export interface OrderedRows {
  rows: number[]
  columns: (string | number | null)[][]
}
/**
 * Some rows of a table in the order of the values of a column, missing ones last; null where the table is not here yet. The order is kept
 * for the next rows that are asked for.
 */
export async function orderedRows({ version, columns, by, way, from, count }: OrderedRowsInput): Promise<OrderedRows | null> {
  try {
    const table = keptAs(version)
    if (!table) return null
    const cell = columns[by]!.type === 'number' ? `c${by}` : `lower(c${by})`
    const order = `row_number() over (order by ${cell} ${way === 'down' ? 'desc' : 'asc'} nulls last, r)`
    const key = keyOf('ordered', version, by, way)
    const ordered = keptAs(key) ?? (await keepAs(key, `select ${order} - 1 as r, r as c0 from ${table.name}`))
    const list = ['r', ...columns.map((_, index) => `c${index}`)].map(name => `t.${name}`).join(', ')
    const read = await (
      await engine()
    ).runAndReadAll(`select ${list} from ${ordered.name} o join ${table.name} t on t.r = o.c0
      where o.r >= ${from} and o.r < ${from + count} order by o.r`)
    const [rows = [], ...cells] = read.getColumnsJS() as [number[], ...(string | number | null)[][]]
    return { rows, columns: columns.map((_, index) => cells[index] ?? []) }
  } finally {
    forgetNeeded()
  }
}
export interface OrderedRowsInput {
  version: string
  columns: readonly StepColumn[]
  /** The place of the column whose values order the rows. */
  by: number
  way: 'up' | 'down'
  from: number
  count: number
}

/** How often a long step says how far it is, ms. */
const saidEvery = 200

/** Keeps a table for steps; answers with a sentence where it has no room, else null. */
export async function keepTable({ version, text }: { version: string; text: string }): Promise<string | null> {
  if (keptAs(version)) return null
  const loaded = await inTime(() => load(version, JSON.parse(text) as DataTable))
  return typeof loaded === 'string' ? 'This table is too large for steps: they work within the memory that the server gives them.' : null
}

/** Runs a statement, and ends it where it takes too long; a sentence where it cannot be done. */
async function inTime<T>(work: () => Promise<T>): Promise<T | string> {
  const connection = await engine()
  const timer = setTimeout(() => connection.interrupt(), longest * 1000)
  try {
    return await work()
  } catch (error) {
    const words = error instanceof Error ? error.message : String(error)
    if (/interrupt/i.test(words)) return `This step takes longer than ${longest} seconds: keep fewer rows before it.`
    if (/out of memory|could not allocate/i.test(words)) return 'This step needs more memory than there is: keep fewer rows before it.'
    if (/conversion|out of range|overflow/i.test(words)) return 'A value in these rows is beyond what this step can reckon with.'
    throw error
  } finally {
    clearTimeout(timer)
  }
}

/** The first column of what a statement answers, as words. */
const answersOf = async (statement: string) => (await (await engine()).runAndReadAll(statement)).getRowsJS().map(([value]) => String(value))

interface At {
  name: string
  rows: number
  columns: readonly StepColumn[]
  key: string
}

async function doStep(step: Step, at: At, input: StepsInput): Promise<{ at: At; run: StepRun }> {
  const began = performance.now()
  const none = { rows: at.rows, columns: at.columns, note: null, seconds: 0 }
  if (step.skipped) return { at, run: { ...none, fault: null } }
  const failed = (fault: StepFault) => ({ at, run: { ...none, fault } })
  const sight = { columns: at.columns, tables: input.others }
  const question = questionBefore(step, sight, at.name)
  const answers = question === null ? [] : await inTime(() => answersOf(question))
  if (typeof answers === 'string') return failed({ message: answers })
  const work = workOf(step, { ...sight, answers })
  if (isFault(work)) return failed(work)
  const versions = input.others.map(({ id, version }) => [id, version])
  const key = keyOf(at.key, step, step.kind === 'join' ? versions : null)
  const other = (table: string) => keptAs(input.others.find(({ id }) => id === table)!.version)!.name
  const known = keptAs(key)
  const made = known ?? (await inTime(() => keepAs(key, limited(work.sql(at.name, other)))))
  if (typeof made === 'string') return failed({ message: made })
  if (made.rows > mostRows) return failed({ message: `This step makes over ${mostRows / 1_000_000} million rows: keep fewer before it.` })
  const note = work.note ? await inTime(() => noteOf(work.note!.sql(at.name, other), work.note!.words)) : null
  const next = { name: made.name, rows: made.rows, columns: work.columns, key }
  const seconds = known ? 0 : (performance.now() - began) / 1000
  return { at: next, run: { rows: made.rows, columns: work.columns, fault: null, note, seconds } }
}
const limited = (statement: string) => `select * from (${statement}) limit ${mostRows + 1}`
async function noteOf(statement: string, words: (count: number, first: string) => string): Promise<string> {
  const [row] = (await (await engine()).runAndReadAll(statement)).getRowsJS() as [number, string | null][]
  return row && row[0] > 0 ? words(row[0], row[1] ?? '') : ''
}

async function lookAt(before: At, after: At): Promise<StepLook> {
  const [sumsBefore, sumsAfter] = [await sumsOf(before.name, before.columns), await sumsOf(after.name, after.columns)]
  return {
    before: await rowsOf(before.name, before.columns.length, { count: lookedAt }),
    after: await rowsOf(after.name, after.columns.length, { count: lookedAt }),
    sums: after.columns.flatMap(({ name }, index) => {
      const was = before.columns.findIndex(column => column.name === name)
      const [a, b] = [was < 0 ? null : sumsBefore[was], sumsAfter[index]]
      return a === null || a === undefined || b === null || b === undefined ? [] : [{ column: name, before: a, after: b }]
    }),
  }
}

/**
 * Does the steps one after the other, as far as they can be done; null where a table is not here yet: `keepTable` brings it. On its line
 * it says how far it is; `stopped` where it was told not to go on.
 */
export async function run(input: StepsInput, line: Line): Promise<StepsAnswer | 'stopped' | null> {
  const connection = await engine()
  const interrupt = () => connection.interrupt()
  line.stopped.addEventListener('abort', interrupt)
  const doing = { step: 0, stopped: line.stopped }
  const timer = setInterval(() => {
    const { rows_processed: done, total_rows_to_process: of } = connection.progress
    if (of > 0) line.say({ step: doing.step, done: Number(done), of: Number(of) } satisfies StepsProgress)
  }, saidEvery)
  try {
    const answer = await answered(input, doing)
    return line.stopped.aborted ? 'stopped' : answer
  } catch (error) {
    // What is interrupted outside of a step throws.
    if (line.stopped.aborted) return 'stopped'
    throw error
  } finally {
    clearInterval(timer)
    line.stopped.removeEventListener('abort', interrupt)
    forgetNeeded()
  }
}

/** `doing` is told which step is being done. */
async function answered(input: StepsInput, doing: { step: number; stopped: AbortSignal }): Promise<StepsAnswer | null> {
  const begun = keptAs(input.from.version)
  const joined = new Set(input.steps.flatMap(step => (step.kind === 'join' ? [step.table] : [])))
  if (!begun || input.others.some(({ id, version }) => joined.has(id) && !keptAs(version))) return null
  let at: At = { ...begun, columns: input.from.columns, key: input.from.version }
  const runs: StepRun[] = []
  let look: StepLook | null = null
  for (const [index, step] of input.steps.entries()) {
    const before = at
    doing.step = index
    const done = await doStep(step, at, input)
    if (doing.stopped.aborted) return null
    at = done.at
    runs.push(done.run)
    const isLast = done.run.fault !== null
    // Beyond one that cannot be done there are no other rows than those before it.
    if (index === input.at || (isLast && input.at !== undefined && input.at > index)) look = await lookAt(before, at)
    if (isLast) break
  }
  if (!input.steps.length && input.at !== undefined) look = await lookAt(at, at)
  const isWhole = input.whole && !runs.some(({ fault }) => fault)
  return { rows: begun.rows, runs, look, text: isWhole ? await textOf(at, input.whole!) : null }
}

async function textOf(at: At, { id, name }: { id: string; name: string }): Promise<string> {
  const values = await rowsOf(at.name, at.columns.length)
  const table: DataTable = { id, name, columns: at.columns.map((column, index) => ({ ...column, values: values[index]! })) }
  return JSON.stringify(table)
}
