import { once } from '../sql'

/** What a part of a formula is. */
export type FormulaType = 'number' | 'text' | 'date' | 'yes-no'

export interface FormulaFunction {
  /** What each argument is; `any` takes all. The last may be repeated where it `repeats`. */
  takes: readonly (FormulaType | 'any')[]
  /** So many of them at least; all where it is not said. */
  least?: number
  repeats?: boolean
  /** What it gives; `same` what its last argument is. */
  gives: FormulaType | 'same'
  sql(...args: string[]): string
}

const part = (x: string, from: number, length: number) => `try_cast(substr(${x}, ${from}, ${length}) as double)`
/** Its month, where it has one: weeks and quarters have none. */
const monthOf = (x: string) => `try_cast(nullif(regexp_extract(${x}, '^(?:[0-9]{4}|-)-([0-9]{2})', 1), '') as double)`
const quarterOf = (x: string) => `coalesce(try_cast(nullif(split_part(${x}, 'Q', 2), '') as double), ceil(${monthOf(x)} / 3))`
const over = (measure: string) => (x: string) => `${measure}(${x}) over ()`

/** All functions, by the names that formulas write. */
export const functions: Readonly<Record<string, FormulaFunction>> = {
  round: {
    takes: ['number', 'number'],
    least: 1,
    gives: 'number',
    sql: (x, digits = '0') => `round(${x}, cast(least(greatest(${digits}, -15), 15) as int))`,
  },
  abs: { takes: ['number'], gives: 'number', sql: x => `abs(${x})` },
  down: { takes: ['number'], gives: 'number', sql: x => `floor(${x})` },
  up: { takes: ['number'], gives: 'number', sql: x => `ceil(${x})` },
  root: { takes: ['number'], gives: 'number', sql: x => `try(sqrt(${x}))` },
  log: { takes: ['number'], gives: 'number', sql: x => `try(ln(${x}))` },
  least: { takes: ['number', 'number'], repeats: true, gives: 'number', sql: (...all) => `least(${all.join(', ')})` },
  greatest: { takes: ['number', 'number'], repeats: true, gives: 'number', sql: (...all) => `greatest(${all.join(', ')})` },
  total: { takes: ['number'], gives: 'number', sql: over('sum') },
  mean: { takes: ['number'], gives: 'number', sql: over('avg') },
  median: { takes: ['number'], gives: 'number', sql: over('median') },
  min: { takes: ['number'], gives: 'number', sql: over('min') },
  max: { takes: ['number'], gives: 'number', sql: over('max') },
  count: { takes: [], gives: 'number', sql: () => 'cast(count(*) over () as double)' },
  previous: { takes: ['any'], gives: 'same', sql: x => `lag(${x}) over (order by r)` },
  if: { takes: ['yes-no', 'any', 'any'], gives: 'same', sql: (test, yes, no) => `(case when ${test} then ${yes} else ${no} end)` },
  missing: { takes: ['any'], gives: 'yes-no', sql: x => `(${x} is null)` },
  instead: { takes: ['any', 'any'], gives: 'same', sql: (x, other) => `coalesce(${x}, ${other})` },
  length: { takes: ['text'], gives: 'number', sql: x => `cast(length(${x}) as double)` },
  lower: { takes: ['text'], gives: 'text', sql: x => `lower(${x})` },
  upper: { takes: ['text'], gives: 'text', sql: x => `upper(${x})` },
  trim: { takes: ['text'], gives: 'text', sql: x => `trim(${x})` },
  left: { takes: ['text', 'number'], gives: 'text', sql: (x, n) => `left(${x}, cast(greatest(${n}, 0) as int))` },
  right: { takes: ['text', 'number'], gives: 'text', sql: (x, n) => `right(${x}, cast(greatest(${n}, 0) as int))` },
  replace: { takes: ['text', 'text', 'text'], gives: 'text', sql: (x, what, by) => `replace(${x}, ${what}, ${by})` },
  contains: { takes: ['text', 'text'], gives: 'yes-no', sql: (x, what) => `contains(lower(${x}), lower(${what}))` },
  begins: { takes: ['text', 'text'], gives: 'yes-no', sql: (x, what) => `starts_with(lower(${x}), lower(${what}))` },
  number: { takes: ['text'], gives: 'number', sql: x => `try_cast(replace(${x}, ',', '') as double)` },
  year: { takes: ['date'], gives: 'number', sql: x => part(x, 1, 4) },
  quarter: { takes: ['date'], gives: 'number', sql: x => once(x, quarterOf) },
  month: { takes: ['date'], gives: 'number', sql: monthOf },
  day: { takes: ['date'], gives: 'number', sql: x => part(x, 9, 2) },
  weekday: { takes: ['date'], gives: 'number', sql: x => `cast(isodow(try_cast(left(${x}, 10) as date)) as double)` },
}

/** Other words that people write for them. */
export const synonyms: Readonly<Record<string, string>> = {
  sum: 'total',
  average: 'mean',
  avg: 'mean',
  floor: 'down',
  ceil: 'up',
  sqrt: 'root',
  ln: 'log',
  iff: 'if',
  coalesce: 'instead',
  len: 'length',
  lag: 'previous',
}
