import { setRecord, slidesOf, type AnyRecord, type Change, type Deck } from '../model'
import { themeUnder } from '../resolved'
import { eachObject, memoByRecords, type Id } from '../values'
import { eachLookRecord, whereIs, type LookTable } from './walk'

/** A family of fonts in use, with all places where it is named. */
export interface FontUse {
  family: string
  places: { name: string; where: string; slide: Id | null; count: number }[]
  count: number
}

/** The families that a record names, and how often; kept with the record, because a deck's fonts are asked for at every edit. */
const familiesIn = memoByRecords(
  (_: LookTable, record: AnyRecord) => [record],
  (table, record): ReadonlyMap<string, number> => {
    const counts = new Map<string, number>()
    const found = (family: unknown) => {
      if (typeof family === 'string') counts.set(family, (counts.get(family) ?? 0) + 1)
    }
    const themed = table === 'theme' ? record : table === 'masters' ? (record as { theme?: object }).theme : undefined
    for (const family of Object.values((themed as { fonts?: object } | undefined)?.fonts ?? {})) found(family)
    const { faces: _, ...rest } = record as Record<string, unknown>
    if (table !== 'layouts') eachObject(rest, value => found(value.family))
    return counts
  },
)

/** Every family that a deck names: in its theme, its styles, its parts and its words. */
export function fontsInUse(deck: Deck): FontUse[] {
  const uses = new Map<string, FontUse>()
  eachLookRecord(deck, (table, record) => {
    const counts = familiesIn(table, record)
    if (!counts.size) return
    const { words, slide } = whereIs(deck, table, record)
    for (const [family, count] of counts) {
      let use = uses.get(family)
      if (!use) uses.set(family, (use = { family, places: [], count: 0 }))
      use.places.push({ name: table === 'theme' ? 'Theme' : 'name' in record ? String(record.name) : table, where: words, slide, count })
      use.count += count
    }
  })
  return [...uses.values()].sort((a, b) => b.count - a.count)
}

const familyFields = new Set(['family', 'display', 'body', 'mono'])

/** A value with a family's name exchanged wherever it names a font; faces of one's own keep theirs. */
function renamed(value: unknown, input: { from: string; to: string }): unknown {
  if (Array.isArray(value)) {
    const next = value.map(item => renamed(item, input))
    return next.every((item, index) => item === value[index]) ? value : next
  }
  if (typeof value !== 'object' || value === null) return value
  const entries = Object.entries(value).map(([key, item]): [string, unknown] => [
    key,
    key === 'faces' ? item : item === input.from && familyFields.has(key) ? input.to : renamed(item, input),
  ])
  return entries.every(([key, item]) => item === (value as Record<string, unknown>)[key]) ? value : Object.fromEntries(entries)
}

/** Replaces a family of fonts in all places. */
export function replaceFont(deck: Deck, input: { from: string; to: string }): Change[] {
  const changes: Change[] = []
  eachLookRecord(deck, (table, record) => {
    if (table === 'layouts') return
    const next = renamed(record, input) as Record<string, unknown>
    const fields = Object.fromEntries(
      Object.entries(next).filter(([field, value]) => value !== (record as unknown as Record<string, unknown>)[field]),
    )
    if (Object.keys(fields).length) changes.push(setRecord(table, record.id, fields))
  })
  return changes
}

/** All families that a deck's slides need at hand to be drawn, the fallback apart. */
export function familiesNeeded(deck: Deck): string[] {
  const needed = new Set<string>()
  eachLookRecord(deck, (table, record) => familiesIn(table, record).forEach((_, family) => needed.add(family)))
  for (const slide of slidesOf(deck)) for (const family of Object.values(themeUnder(deck, slide.id).fonts)) needed.add(family)
  return [...needed]
}
