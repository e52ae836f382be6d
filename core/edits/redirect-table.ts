import { setRecord, type Change, type Deck } from '../model'

/** The fields of records that name a table, whatever they stand in: rows that are drawn, outlines, numbers in texts, rows of a slide. */
const naming = new Set(['table', 'map'])

function redirected(value: unknown, from: string, to: string): unknown {
  if (Array.isArray(value)) {
    const made = value.map(one => redirected(one, from, to))
    return made.some((one, at) => one !== value[at]) ? made : value
  }
  if (!value || typeof value !== 'object') return value
  const entries = Object.entries(value).map(([key, own]) => {
    return [key, naming.has(key) && own === from ? to : redirected(own, from, to)] as const
  })
  return entries.some(([key, own]) => own !== (value as Record<string, unknown>)[key]) ? Object.fromEntries(entries) : value
}

/** Everything in a deck that reads one table reads another: charts in all their states, tables, numbers in texts, slides for rows. */
export function redirectTable(deck: Deck, { from, to }: { from: string; to: string }): Change[] {
  return (['elements', 'states', 'slides'] as const).flatMap(table =>
    Object.values<{ id: string }>(deck[table]).flatMap((record): Change[] => {
      const fields = Object.entries(record).flatMap(([field, value]) => {
        const own = field === 'table' && value === from ? to : redirected(value, from, to)
        return own === value ? [] : [[field, own] as const]
      })
      return fields.length ? [setRecord(table, record.id, Object.fromEntries(fields))] : []
    }),
  )
}
