import type { z } from 'zod'
import { putRecord, setRecord, type Change } from './changes'
import { cleanValue } from './clean'
import { recordSchemas, type AnyRecord, type Deck, type RecordOf, type TableName } from './records'
import { failed, type Id, type Outcome } from '../values'

/** How many records of a kind a deck takes at most. */
export const mostRecords: Readonly<Record<TableName, number>> = {
  info: 1,
  theme: 1,
  masters: 200,
  layouts: 1000,
  slides: 3000,
  elements: 60_000,
  beats: 30_000,
  cues: 120_000,
  sounds: 5000,
  states: 20_000,
  variants: 500,
}

/** What a person calls a field where it is not called so by itself. */
const fieldWords: Readonly<Record<string, string>> = {
  x: 'left',
  y: 'top',
  order: 'place in the order',
  box: '',
  text: 'words',
  content: '',
  attrs: '',
  info: '',
}
const recordWords: Readonly<Record<TableName, string>> = {
  info: 'The deck',
  theme: 'The theme',
  masters: 'Master',
  layouts: 'Layout',
  slides: 'Slide',
  elements: 'Element',
  beats: 'Beat',
  cues: 'Cue',
  sounds: 'Sound',
  states: 'State',
  variants: 'Variant',
}

const fieldName = (path: readonly PropertyKey[]) =>
  [...new Set(path.filter(step => typeof step === 'string').map(step => fieldWords[step] ?? step))].filter(Boolean).join(' ') || 'value'
const recordName = (table: TableName, record: unknown) => {
  const name = (record as { name?: unknown } | null)?.name
  return typeof name === 'string' && name ? `“${name.slice(0, 60)}”` : recordWords[table]
}
const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)

/** What a value that is over a limit becomes, and a sentence on it; undefined where no limit can be held by changing the value alone. */
function within(issue: z.core.$ZodIssue, value: unknown): { value: unknown; note: string } | undefined {
  const what = capital(fieldName(issue.path))
  if (issue.code !== 'too_big' && issue.code !== 'too_small') return undefined
  const limit = Number(issue.code === 'too_big' ? issue.maximum : issue.minimum)
  if (typeof value === 'number')
    return issue.inclusive === false
      ? undefined
      : { value: limit, note: `${what} can be ${limit} at ${issue.code === 'too_big' ? 'most' : 'least'}, so it is that, not ${value}.` }
  if (issue.code === 'too_small') return undefined
  if (typeof value === 'string') {
    // As the schemas count: by code points, so that no letter is cut within itself.
    const letters = Array.from(value)
    return {
      value: letters.slice(0, limit).join(''),
      note: `${what} takes ${limit} letters; the ${letters.length - limit} after them are left out.`,
    }
  }
  if (Array.isArray(value))
    return { value: value.slice(0, limit), note: `${what} takes ${limit} entries; the ${value.length - limit} after them are left out.` }
  return undefined
}

const valueAt = (value: unknown, path: readonly PropertyKey[]) =>
  path.reduce<unknown>((at, step) => (at as Record<PropertyKey, unknown> | undefined)?.[step], value)

function withValue(value: unknown, [step, ...rest]: readonly PropertyKey[], next: unknown): unknown {
  if (step === undefined) return next
  if (Array.isArray(value)) return value.map((item, index) => (index === step ? withValue(item, rest, next) : item))
  return { ...(value as object), [step]: withValue((value as Record<PropertyKey, unknown>)[step], rest, next) }
}

/** A value over several limits is put within them one after the other; more rounds than this need none. */
const rounds = 6
const mostNotes = 5

/**
 * Puts a record within its schema's limits: numbers to the nearest they allow, texts and lists cut at their most, control characters
 * out. Each of that is said in a sentence. What no such change mends is refused, with where it is wrong. The very same record comes
 * back where it held from the start.
 */
export function fitRecord<T extends TableName>(table: T, record: unknown): Outcome<{ record: RecordOf<T>; notes: string[] }> {
  let fitted = cleanValue(record)
  const notes: string[] = []
  for (let round = 0; round < rounds; round++) {
    const parsed = recordSchemas[table].safeParse(fitted)
    if (parsed.success) return { ok: true, value: { record: fitted as RecordOf<T>, notes } }
    for (const issue of parsed.error.issues) {
      const mended = within(issue, valueAt(fitted, issue.path))
      if (!mended)
        return failed(
          `${recordName(table, fitted)}: ${fieldName(issue.path)} cannot be that (${issue.message.toLowerCase()}). Nothing was changed.`,
        )
      fitted = withValue(fitted, issue.path, mended.value)
      if (notes.length < mostNotes) notes.push(mended.note)
    }
  }
  return failed(`${recordName(table, record)} is not within its limits. Nothing was changed.`)
}

/** Whether a record is as its schema wants it. */
export const isSound = (table: TableName, record: unknown) => recordSchemas[table].safeParse(record).success

/** Fields of a record that differ in the next one, for a change that sets them. */
function differing(before: AnyRecord, after: AnyRecord): Record<string, unknown> {
  const fields: Record<string, unknown> = {}
  for (const key of new Set([...Object.keys(before), ...Object.keys(after)])) {
    const [from, to] = [(before as Record<string, unknown>)[key], (after as Record<string, unknown>)[key]]
    if (from !== to) fields[key] = to
  }
  return fields
}

/**
 * An edit's changes, put within the limits of their records, before anything is applied; with sentences on what was. What cannot be
 * held is refused whole: no half of an edit is done.
 */
export function fitChanges(deck: Deck, changes: readonly Change[]): Outcome<{ changes: readonly Change[]; notes: string[] }> {
  const notes: string[] = []
  const latest = new Map<string, AnyRecord | undefined>()
  const counts = new Map<TableName, number>()
  const key = (table: TableName, id: Id) => `${table} ${id}`
  const current = (table: TableName, id: Id) =>
    latest.has(key(table, id)) ? latest.get(key(table, id)) : (deck[table] as Readonly<Record<Id, AnyRecord>>)[id]
  const fitted: Change[] = []
  for (const change of changes) {
    if (change.do === 'drop') {
      fitted.push(change)
      latest.set(key(change.table, change.id), undefined)
      continue
    }
    const id = change.do === 'put' ? change.record.id : change.id
    const before = current(change.table, id)
    // Somebody else has dropped it: there is nothing to set, and nothing to lose.
    if (change.do === 'set' && !before) continue
    const wanted = change.do === 'put' ? change.record : merged(before!, change.fields)
    const fit = fitRecord(change.table, wanted)
    if (!fit.ok) return fit
    notes.push(...fit.value.notes)
    latest.set(key(change.table, id), fit.value.record)
    if (change.do === 'put') {
      if (!before) counts.set(change.table, (counts.get(change.table) ?? Object.keys(deck[change.table]).length) + 1)
      if ((counts.get(change.table) ?? 0) > mostRecords[change.table]) return failed(tooMany(change.table))
      fitted.push(fit.value.record === wanted ? change : putRecord(change.table, fit.value.record))
    } else {
      const fields = { ...change.fields, ...differing(wanted, fit.value.record) }
      fitted.push(fit.value.record === wanted ? change : setRecord(change.table, change.id, fields))
    }
  }
  return { ok: true, value: { changes: fitted, notes: [...new Set(notes)].slice(0, mostNotes) } }
}

/** The sentence on a deck with more records of a kind than it takes. */
export const tooMany = (table: TableName) => `A deck takes ${mostRecords[table]} ${table} at most. Put some of them into another deck.`

function merged(record: AnyRecord, fields: Readonly<Record<string, unknown>>): AnyRecord {
  const next: Record<string, unknown> = { ...record }
  for (const [field, value] of Object.entries(fields)) {
    if (value === undefined) delete next[field]
    else next[field] = value
  }
  return next as AnyRecord
}

/** What a field takes: the letters of a text, the least and the most of a number. */
export interface FieldLimits {
  maxlength?: number
  min?: number
  max?: number
}

/** The limits of a field, from the schema of its record; `path` leads to it by the names of fields. */
export function limitsOf(schema: z.ZodType, ...path: readonly string[]): FieldLimits {
  let at = schema as z.ZodType & { unwrap?: () => z.ZodType; shape?: Record<string, z.ZodType>; options?: readonly z.ZodType[] }
  const bare = () => {
    while (at.unwrap) at = at.unwrap() as typeof at
  }
  bare()
  for (const step of path) {
    const next: z.ZodType | undefined = at.shape?.[step] ?? at.options?.map(option => (option as typeof at).shape?.[step]).find(Boolean)
    if (!next) throw new Error(`no field ${path.join('.')} in the schema`)
    at = next as typeof at
    bare()
  }
  const { maxLength, minValue, maxValue } = at as unknown as {
    maxLength?: number | null
    minValue?: number | null
    maxValue?: number | null
  }
  return {
    ...(typeof maxLength === 'number' ? { maxlength: maxLength } : {}),
    ...(Number.isFinite(minValue) ? { min: minValue! } : {}),
    ...(Number.isFinite(maxValue) ? { max: maxValue! } : {}),
  }
}

/** The limits of a field of a deck's records. */
export const fieldLimits = (table: TableName, ...path: readonly string[]) => limitsOf(recordSchemas[table], ...path)
