import type { Grain } from '../data'
import type { Sight, StepColumn } from './step'

/** A text as a literal of SQL. */
export const literal = (text: string) => `'${text.replaceAll("'", "''")}'`
/** A number as a literal of SQL; throws of what is none. */
export function numeral(value: number): string {
  if (!Number.isFinite(value)) throw new RangeError(`${value} is no number of a statement`)
  return `(${value})`
}

const indexOf = ({ columns }: Pick<Sight, 'columns'>, name: string) => columns.findIndex(column => column.name === name)
export const columnOf = (sight: Pick<Sight, 'columns'>, name: string): StepColumn | undefined => sight.columns[indexOf(sight, name)]

/** How a column is named in statements: by its place, so that no name of a user’s stands in one. Throws where there is none such. */
export function ref(sight: Pick<Sight, 'columns'>, name: string): string {
  const index = indexOf(sight, name)
  if (index < 0) throw new Error(`There is no column “${name}”.`)
  return `c${index}`
}

/** What a statement selects: the order of the rows, and an expression for each column. */
export const selected = (columns: readonly string[], order = 'r') =>
  `select ${[`${order} as r`, ...columns.map((expression, index) => `${expression} as c${index}`)].join(', ')}`

/** All columns as they are. */
export const everything = ({ columns }: Pick<Sight, 'columns'>) => columns.map((_, index) => `c${index}`)

/** An expression whose value is used several times, written once: what is nested does not grow. */
export const once = (expression: string, use: (value: string) => string) => `list_transform([${expression}], lambda v: ${use('v')})[1]`

/** A number that is none (divided by nothing, beyond all limits) is missing. */
export const finite = (expression: string) => once(expression, v => `case when isfinite(${v}) then ${v} end`)

/** `partition by` of the columns that rows are taken together by; nothing where all are. */
export const within = (sight: Sight, names: readonly string[]) =>
  names.length ? `partition by ${names.map(name => ref(sight, name)).join(', ')}` : ''

/** In which order rows follow each other within a window: by a column, then as they stand. */
export const along = (sight: Sight, name: string) => `order by ${name ? `${ref(sight, name)} nulls last, ` : ''}r`

/** How moments of a grain become dates of SQL and come back; only those that are evenly apart. */
const dated: Partial<Readonly<Record<Grain, { date: (iso: string) => string; iso: (date: string) => string; apart: string }>>> = {
  year: { date: x => `make_date(cast(${x} as int), 1, 1)`, iso: d => `strftime(${d}, '%Y')`, apart: '1 year' },
  quarter: {
    date: x => `make_date(cast(left(${x}, 4) as int), (cast(right(${x}, 1) as int) - 1) * 3 + 1, 1)`,
    iso: d => `strftime(${d}, '%Y-Q') || quarter(${d})`,
    apart: '3 months',
  },
  month: { date: x => `cast(${x} || '-01' as date)`, iso: d => `strftime(${d}, '%Y-%m')`, apart: '1 month' },
  week: { date: x => `cast(strptime(${x} || '-1', '%G-W%V-%u') as date)`, iso: d => `strftime(${d}, '%G-W%V')`, apart: '7 days' },
  day: { date: x => `cast(${x} as date)`, iso: d => `strftime(${d}, '%Y-%m-%d')`, apart: '1 day' },
}

/** How a column’s moments are counted on; undefined of one that is not in time, or not evenly. */
export function stepsOfTime({ type, kind, grain }: StepColumn) {
  if (type !== 'date' || kind === 'time') return undefined
  return dated[grain ?? 'day']
}
