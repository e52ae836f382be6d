import type { z } from 'zod'
import { cleanValue, isTooDeep } from './clean'
import { mostRecords, tooMany } from './limits'
import { failed, type Outcome } from '../values'
import { deckSchema, tableNames, type Deck } from './records'
import { mend } from './mend'
import { formatOf, formatVersion, upgraded } from './upgrades'

const placeOf = (issue: z.core.$ZodIssue) => issue.path.map(String).join(' › ') || 'the file as a whole'

/**
 * Reads a deck from plain JSON of any known format version: upgraded, checked against the schema, and mended.
 * What is wrong comes back as one sentence that says where.
 */
export function readDeck(json: unknown): Outcome<{ deck: Deck; notes: string[] }> {
  if (!json || typeof json !== 'object') return failed('This is not a deck: it holds no records.')
  let raw = json as Record<string, unknown>
  if (isTooDeep(raw)) return failed('This is not a deck: its records nest deeper than those of any deck. Nothing was read.')
  for (const table of tableNames)
    if (Object.keys(raw[table] ?? {}).length > mostRecords[table]) return failed(`${tooMany(table)} Nothing was read.`)
  raw = cleanValue(raw)
  const version = formatOf(raw)
  if (!Number.isInteger(version) || version < 1) return failed('This is not a deck: it does not say its format version.')
  if (version > formatVersion) {
    return failed(
      `This deck was made by a newer Hailbank (format ${version}, this one reads up to ${formatVersion}). Update this one, ` +
        'then read it again.',
    )
  }
  const parsed = deckSchema.safeParse(upgraded(raw))
  if (!parsed.success) {
    const issue = parsed.error.issues[0]!
    return failed(`The deck is damaged at ${placeOf(issue)}: ${issue.message}. Nothing was changed.`)
  }
  for (const [table, records] of Object.entries(parsed.data)) {
    for (const [id, record] of Object.entries(records)) {
      if (record.id !== id)
        return failed(`The deck is damaged at ${table} › ${id}: the record calls itself “${record.id}”. Nothing was changed.`)
    }
  }
  return { ok: true, value: mend(parsed.data as Deck) }
}
