import type { Column } from '../table'
import { plainWord } from './languages'
import { readDate, type Grain } from './written-date'

/** Columns that are one measure at a time each: “boardings 2030”, “boardings 2031”. */
export interface Timeline {
  /** What they measure, as what stands beside the time in their names; empty where nothing does. */
  measure: string
  grain: Grain
  columns: readonly { column: Column; iso: string }[]
}

/** The moment in a name, with what stands beside it. */
function momentIn(name: string): { iso: string; grain: Grain; beside: string } | undefined {
  const whole = readDate(name, 'dmy')
  if (whole) return { ...whole, beside: '' }
  const words = name.split(/[\s_,:()-]+/).filter(Boolean)
  for (const length of [2, 1])
    for (const from of [words.length - length, 0]) {
      const read = from >= 0 ? readDate(words.slice(from, from + length).join(' '), 'dmy') : undefined
      if (read) return { ...read, beside: [...words.slice(0, from), ...words.slice(from + length)].join(' ') }
    }
  return undefined
}

const withYear: readonly Grain[] = ['year', 'season', 'quarter', 'month', 'week', 'day']

/** The times that stand across a table: three columns or more of one measure, each at another time that names its year. */
export function timelinesIn(columns: readonly Column[]): Timeline[] {
  const found = new Map<string, { measure: string; grain: Grain; columns: { column: Column; iso: string }[] }>()
  for (const column of columns) {
    const moment = momentIn(column.name)
    if (!moment || !withYear.includes(moment.grain)) continue
    const key = `${plainWord(moment.beside)}|${moment.grain}`
    const timeline = found.get(key) ?? { measure: moment.beside, grain: moment.grain, columns: [] }
    timeline.columns.push({ column, iso: moment.iso })
    found.set(key, timeline)
  }
  return [...found.values()].filter(({ columns: at }) => {
    const numbers = at.filter(({ column }) => column.type === 'number' || column.values.every(value => value === null))
    return at.length > 2 && numbers.length === at.length && new Set(at.map(({ iso }) => iso)).size === at.length
  })
}

const grainNames: Partial<Record<Grain, string>> = {
  year: 'year',
  season: 'season',
  quarter: 'quarter',
  month: 'month',
  week: 'week',
  day: 'day',
}

/** A name that no column has. */
function free(name: string, taken: ReadonlySet<string>): string {
  for (let count = 1; ; count++) {
    const tried = count === 1 ? name : `${name} ${count}`
    if (!taken.has(tried)) return tried
  }
}

/**
 * Makes rows of columns that are a time each: each row becomes one for every time, with the time in a column of its own. Several
 * measures over the same times stand beside each other.
 */
export function gather(
  columns: readonly Column[],
  timelines: readonly Timeline[],
  amount: string,
): { columns: Column[]; into: string; amounts: string[] } {
  const [first] = timelines as [Timeline]
  const together = timelines.filter(({ grain }) => grain === first.grain)
  const times = [...new Set(together.flatMap(({ columns: at }) => at.map(({ iso }) => iso)))].sort()
  const gathered = new Set(together.flatMap(({ columns: at }) => at.map(({ column }) => column)))
  const kept = columns.filter(column => !gathered.has(column))
  const count = columns[0]?.values.length ?? 0
  const taken = new Set(kept.map(({ name }) => name))
  const into = free(grainNames[first.grain] ?? 'time', taken)
  taken.add(into)
  const repeated = kept.map(column => ({ ...column, values: column.values.flatMap(value => times.map(() => value)) }))
  const time: Column = {
    name: into,
    type: 'date',
    kind: 'date',
    grain: first.grain,
    values: Array.from({ length: count }, () => times).flat(),
  }
  const amounts = together.map(({ measure, columns: at }): Column => {
    const by = new Map(at.map(({ iso, column }) => [iso, column]))
    const like = at[0]!.column
    const name = free(measure || amount, taken)
    taken.add(name)
    const values: Column['values'] = []
    for (let row = 0; row < count; row++) for (const iso of times) values.push(by.get(iso)?.values[row] ?? null)
    return { name, type: 'number', kind: like.kind ?? 'number', ...(like.unit ? { unit: like.unit } : {}), values }
  })
  return { columns: [...repeated, time, ...amounts], into, amounts: amounts.map(({ name }) => name) }
}
