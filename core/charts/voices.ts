import { gatheredFor, type DataTable } from '../data'
import { elementsOf, infoOf, slidesOf, type ChartSpec, type Deck } from '../model'
import { memoByRecords } from '../values'
import type { Setting } from './setting'

/** The charts of a deck as they are composed, in the order of its slides. */
const chartsIn: (deck: Deck) => readonly ChartSpec[] = memoByRecords(
  (deck: Deck) => [deck.elements, '', deck.slides],
  deck =>
    slidesOf(deck).flatMap(slide => elementsOf(deck, slide.id).flatMap(element => (element.kind === 'chart' ? (element.chart ?? []) : []))),
)

/** The smallest number from 0 on that is not among some. */
function free(taken: ReadonlySet<number>): number {
  let at = 0
  while (taken.has(at)) at++
  return at
}

/** Numbers of voices for keys: those that are known keep theirs, unless one before has the same; the others take what is free. */
function voicesFor(keys: readonly string[], known: ReadonlyMap<string, number>): Map<string, number> {
  const made = new Map<string, number>()
  const taken = new Set<number>()
  for (const key of keys) {
    const own = known.get(key)
    if (own === undefined || taken.has(own)) continue
    made.set(key, own)
    taken.add(own)
  }
  for (const key of keys) {
    if (made.has(key)) continue
    const own = free(taken)
    made.set(key, own)
    taken.add(own)
  }
  return made
}

/** The number of the voice of everything that charts of a deck tell apart by colour: what comes again has the one that it had before. */
const voicesIn = memoByRecords(
  (deck: Deck, tableOf: (id: string) => DataTable | undefined) => [
    deck.elements,
    '',
    deck.slides,
    infoOf(deck).language,
    ...chartsIn(deck).map(({ table }) => (table ? tableOf(table) : undefined)),
  ],
  (deck, tableOf): ReadonlyMap<string, number> => {
    const known = new Map<string, number>()
    for (const spec of chartsIn(deck)) {
      const table = spec.table ? tableOf(spec.table) : undefined
      if (!table) continue
      const { series } = gatheredFor(spec, table, infoOf(deck).language)
      if (series.length < 2) continue
      const keys = series.map(({ key }) => key)
      for (const [key, voice] of voicesFor(keys, known)) if (!known.has(key)) known.set(key, voice)
    }
    return known
  },
)

/**
 * The voices of a chart’s series in its deck, as JSON of numbers by key, so that the same ones are one value; undefined of a chart that
 * parts its amounts by nothing.
 */
export function chartVoices(
  deck: Deck,
  spec: ChartSpec,
  table: DataTable,
  tableOf: (id: string) => DataTable | undefined,
): string | undefined {
  const { series } = gatheredFor(spec, table, infoOf(deck).language)
  if (series.length < 2) return undefined
  const keys = series.map(({ key }) => key)
  return JSON.stringify(Object.fromEntries(voicesFor(keys, voicesIn(deck, tableOf))))
}

/** The number of the voice of each series of a chart. */
export function voicesOfSeries({ data, room }: Setting): number[] {
  const known = new Map(Object.entries((room.voices ? JSON.parse(room.voices) : {}) as Record<string, number>))
  const made = voicesFor(
    data.series.map(({ key }) => key),
    known,
  )
  return data.series.map(({ key }) => made.get(key)!)
}
