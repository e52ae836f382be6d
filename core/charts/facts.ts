import { quantileSorted } from 'd3-array'
import { isTime, type DataTable } from '../data'
import type { ChartSpec } from '../model'
import type { ChartRoom } from './drawing'
import { shownRows } from './motion/shown-rows'
import { settingOf, type Setting } from './setting'

/** Something that is true of the rows of a chart, computed from them. */
export interface Fact {
  name: string
  /** A sentence, with a full stop. */
  words: string
  /** What it is about: keys of categories or series. */
  about: readonly string[]
  /** What it is told against. */
  beside?: readonly string[]
  /** How surprising it is, 0 to 1. */
  weight: number
}

type Maker = (setting: Setting) => Fact[]

/** Runs of so many and more in one way are told. */
const leastStreak = 4
const timesWords: readonly (readonly [number, string])[] = [
  [4, 'quadrupled'],
  [3, 'trebled'],
  [2, 'doubled'],
]
/** From which share of a multiple on it is nearly come to, and how near it is it. */
const nearly = 0.95
const exactly = 0.005
const countWords = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve']
const count = (value: number) => countWords[value] ?? String(value)

const endsOf = (values: readonly (number | null)[]) => {
  const first = values.findIndex(value => value !== null)
  const last = values.findLastIndex(value => value !== null)
  return first >= 0 && last > first ? { first, last, from: values[first]!, to: values[last]! } : null
}
/** How an amount changed, in words. */
function changeWords({ share }: Setting, from: number, to: number): string {
  const times = from > 0 ? to / from : 0
  const found = timesWords.find(([least]) => times >= least * nearly)
  if (found) {
    const off = times / found[0] - 1
    return `${Math.abs(off) < exactly ? '' : off < 0 ? 'nearly ' : 'more than '}${found[1]}`
  }
  if (from > 0 && to >= 0) return `${to >= from ? 'rose' : 'fell'} by ${share(Math.abs(to - from), from)}`
  return to >= from ? 'rose' : 'fell'
}

const isOrdered = ({ data, spec }: Setting) => spec.order === 'data' && isTime(data.category)

/** What changed most from the first to the last: of several series the one that grew most. */
const growth: Maker = setting => {
  const { data, words } = setting
  if (!isOrdered(setting)) return []
  const ends = data.series.flatMap((entry, index) => {
    const found = endsOf(data.values[index]!)
    return found ? [{ entry, ...found, by: found.from > 0 ? found.to / found.from - 1 : 0 }] : []
  })
  const most = ends.sort((a, b) => Math.abs(b.by) - Math.abs(a.by))[0]
  if (!most || !most.by) return []
  const name = data.series.length > 1 ? most.entry.label : (data.amount?.name ?? 'The count')
  const at = (index: number, amount: number) => `${words(amount)} in ${data.categories[index]!.label}`
  const said = `${name} ${changeWords(setting, most.from, most.to)}, from ${at(most.first, most.from)} to ${at(most.last, most.to)}.`
  return [
    {
      name: 'growth',
      words: said,
      about: [data.series.length > 1 ? most.entry.key : data.categories[most.last]!.key],
      weight: Math.min(0.95, 0.45 + Math.abs(most.by) / 4),
    },
  ]
}

/** Where one passes another for good. */
const crossings: Maker = setting => {
  const { data } = setting
  if (!isOrdered(setting) || data.series.length < 2 || data.series.length > 40) return []
  const found: Fact[] = []
  const lastOf = (index: number) => data.values[index]!.at(-1) ?? -Infinity
  const leads = (index: number) => data.series.every((_, other) => lastOf(other) <= lastOf(index))
  data.series.forEach((a, first) =>
    data.series.forEach((b, second) => {
      if (first === second) return
      const apart = data.categories.map((_, at) => {
        const [one, other] = [data.values[first]![at] ?? null, data.values[second]![at] ?? null]
        return one === null || other === null ? null : one - other
      })
      const at = apart.findLastIndex((gap, index) => index > 0 && gap !== null && gap > 0 && (apart[index - 1] ?? 0) < 0)
      if (at < 0 || apart.slice(at).some(gap => gap !== null && gap <= 0)) return
      found.push({
        name: 'crossing',
        words: `${a.label} passed ${b.label} in ${data.categories[at]!.label}.`,
        about: [a.key],
        beside: [b.key],
        // To pass all others counts for more than to pass somebody.
        weight: 0.62 + 0.2 * (at / data.categories.length) + (leads(first) ? 0.12 : 0),
      })
    }),
  )
  return found
}

/** Those that rose or fell so many times in a row, up to the last. */
const streaks: Maker = setting => {
  const { data } = setting
  if (!isOrdered(setting)) return []
  return data.series.flatMap((entry, index): Fact[] => {
    const values = data.values[index]!
    let [length, way] = [0, 0]
    for (let at = values.length - 1; at > 0; at--) {
      const [now, before] = [values[at], values[at - 1]]
      // A moment without a number ends it: nobody knows what it was then.
      const step = typeof now === 'number' && typeof before === 'number' ? Math.sign(now - before) : 0
      if (!step || (way && step !== way)) break
      way = step
      length++
    }
    if (length < leastStreak) return []
    const name = data.series.length > 1 ? entry.label : (data.amount?.name ?? 'The count')
    const about = data.series.length > 1 ? entry.key : data.categories.at(-1)!.key
    return [
      {
        name: 'streak',
        words: `${name} has ${way > 0 ? 'risen' : 'fallen'} ${count(length)} times in a row.`,
        about: [about],
        weight: Math.min(0.9, 0.4 + length * 0.05),
      },
    ]
  })
}

/** Whether the last is the most that there ever was: for one, or for how many of several. */
const records: Maker = setting => {
  const { data, words } = setting
  const last = data.categories.length - 1
  if (!isOrdered(setting) || last < 2) return []
  const isRecord = (values: readonly (number | null)[]) => {
    const now = values[last]
    return now !== null && now !== undefined && values.every((value, at) => at === last || value === null || value < now)
  }
  const holding = data.series.filter((_, index) => isRecord(data.values[index]!))
  const label = data.categories[last]!.label
  if (!holding.length) return []
  if (data.series.length < 2)
    return [
      {
        name: 'record',
        words: `${label} is the highest so far, with ${words(data.values[0]![last]!)}.`,
        about: [data.categories[last]!.key],
        weight: 0.6,
      },
    ]
  const all = holding.length === data.series.length
  const who = all
    ? `all ${count(holding.length)}`
    : holding.length === 1
      ? holding[0]!.label
      : `${count(holding.length)} of the ${count(data.series.length)}`
  return [{ name: 'record', words: `${label} is a record for ${who}.`, about: holding.map(({ key }) => key).slice(0, 1), weight: 0.42 }]
}

/** What is highest and lowest among categories, and how far apart. */
const extremes: Maker = setting => {
  const { data, words } = setting
  if (data.series.length > 1 || data.categories.length < 2) return []
  const known = data.values[0]!.flatMap((value, at) => (value === null ? [] : [{ value, at }])).sort((a, b) => b.value - a.value)
  const [most, least] = [known[0], known.at(-1)]
  // Where two are the highest, none is.
  if (!most || !least || most.value === known[1]!.value) return []
  const times = least.value > 0 ? most.value / least.value : 0
  const number = new Intl.NumberFormat(setting.room.language, { maximumFractionDigits: times < 10 ? 1 : 0 })
  const more = times >= 2 ? `, ${number.format(times)} times ${data.categories[least.at]!.label}` : ''
  return [
    {
      name: 'highest',
      words: `${data.categories[most.at]!.label} is highest, with ${words(most.value)}${more}.`,
      about: [data.categories[most.at]!.key],
      weight: 0.5,
    },
  ]
}

/** How few make up most of a whole. */
const shares: Maker = setting => {
  const { data, spec } = setting
  if (spec.aggregate === 'mean' || data.amount?.kind === 'percent' || data.amount?.kind === 'duration') return []
  const byPlace = isOrdered(setting) && data.series.length > 1
  const entries = byPlace ? data.series : data.categories
  if (entries.length < 4 || (isOrdered(setting) && data.series.length < 2)) return []
  const sum = (list: readonly (number | null)[]) => list.reduce<number>((all, value) => all + (value ?? 0), 0)
  const amounts = entries.map((entry, at) => ({ entry, value: byPlace ? sum(data.values[at]!) : sum(data.values.map(list => list[at]!)) }))
  if (amounts.some(({ value }) => value < 0)) return []
  amounts.sort((a, b) => b.value - a.value)
  const whole = sum(amounts.map(({ value }) => value))
  let [taken, made] = [0, 0]
  while (taken < amounts.length && made < whole * 0.5) made += amounts[taken++]!.value
  if (!whole || taken > amounts.length / 3 || taken > 4) return []
  const names = amounts.slice(0, taken).map(({ entry }) => entry.label)
  const who = taken === 1 ? `${names[0]} makes` : `${names.slice(0, -1).join(', ')} and ${names.at(-1)} make`
  return [
    {
      name: 'share',
      words: `${who} up ${setting.share(made, whole)} of all ${count(amounts.length)}.`,
      about: amounts.slice(0, taken).map(({ entry }) => entry.key),
      weight: 0.58,
    },
  ]
}

/** What lies far from all others: beyond three times the distance of the quartiles (Tukey 1977, “far out”). */
const outliers: Maker = setting => {
  const { data, words } = setting
  if (data.series.length > 1) return []
  const known = data.values[0]!.flatMap((value, at) => (value === null ? [] : [{ value, at }]))
  if (known.length < 8) return []
  const sorted = known.map(({ value }) => value).sort((a, b) => a - b)
  const [first, third] = [quantileSorted(sorted, 0.25)!, quantileSorted(sorted, 0.75)!]
  const reach = 3 * (third - first)
  const far = known.filter(({ value }) => reach > 0 && (value > third + reach || value < first - reach))
  return far.slice(0, 2).map(({ value, at }) => ({
    name: 'outlier',
    words: `${data.categories[at]!.label} lies far ${value > third ? 'above' : 'below'} the rest, at ${words(value)}.`,
    about: [data.categories[at]!.key],
    weight: 0.8,
  }))
}

const makers: readonly Maker[] = [growth, crossings, streaks, records, extremes, shares, outliers]

/** What the rows of a chart hold, most surprising first, and of each sort one before all others; computed, and never more than is true. */
export function factsOf(spec: ChartSpec, table: DataTable, room: Pick<ChartRoom, 'language' | 'fonts' | 'measurer'>): Fact[] {
  const { spec: own, table: rows, run } = shownRows(spec, table, room.language)
  const setting = settingOf(own, rows, { ...room, width: 1600, height: 800, textSize: 28, ...(run ? { run } : {}) })
  // What holds at one moment says at which.
  const moment = run?.moments[Math.round(run.time)]?.label
  const told = (fact: Fact): Fact => {
    const words = fact.words.charAt(0).toLocaleUpperCase(room.language) + fact.words.slice(1)
    return { ...fact, words: moment ? words.replace(/\.$/, ` in ${moment}.`) : words }
  }
  const all = makers.flatMap(make => make(setting).map(told)).sort((a, b) => b.weight - a.weight)
  // One of each kind comes first, then what else there is of them.
  const isFirst = (fact: Fact, at: number) => all.findIndex(({ name }) => name === fact.name) === at
  return [...all.filter(isFirst), ...all.filter((fact, at) => !isFirst(fact, at))]
}
