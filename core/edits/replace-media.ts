import { setRecord, tableNames, type Change, type Deck } from '../model'
import type { Id } from '../values'

interface Natural {
  width: number
  height: number
}

/** A value with one media file in place of another, its own size with it; the very same value where it names it nowhere. */
function swapped(value: unknown, from: string, to: string, natural: Natural | null): unknown {
  if (value === from) return to
  if (Array.isArray(value)) {
    const made = value.map(item => swapped(item, from, to, natural))
    return made.every((item, index) => item === value[index]) ? value : made
  }
  if (!value || typeof value !== 'object') return value
  const own = value as Record<string, unknown>
  const entries = Object.entries(own).map(([key, item]) => [key, swapped(item, from, to, natural)] as const)
  if (entries.every(([key, item]) => item === own[key])) return value
  const made = Object.fromEntries(entries)
  return own.media === from && own.natural && natural ? { ...made, natural } : made
}

/** Puts one media file in the place of another wherever the deck shows it; all else stays. `natural` is the new one's own size. */
export function replaceMedia(deck: Deck, input: { from: string; to: string; natural: Natural | null }): Change[] {
  return tableNames.flatMap(table =>
    Object.values(deck[table]).flatMap((record): Change[] => {
      const made = swapped(record, input.from, input.to, input.natural) as typeof record
      if (made === record) return []
      const fields = Object.fromEntries(Object.entries(made).filter(([key, value]) => (record as Record<string, unknown>)[key] !== value))
      return [setRecord(table, record.id as Id, fields)]
    }),
  )
}
