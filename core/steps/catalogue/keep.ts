import { z } from 'zod'
import { ordersOf, readClock, readDate, readDuration, readNumber, type Grain } from '../../data'
import { choiceField, columnField, columnName, common, lackOf, likelyTime, unless } from '../fields'
import { columnOf, everything, literal, numeral, ref, selected } from '../sql'
import { stepKind, type StepColumn } from '../step'

const tests = {
  is: 'is',
  'is-not': 'is not',
  'at-least': 'is at least',
  'at-most': 'is at most',
  between: 'is between',
  holds: 'contains',
  'begins-with': 'begins with',
  missing: 'is missing',
  there: 'is not missing',
} as const
type Test = keyof typeof tests

const later: Partial<Record<Test, string>> = { 'at-least': 'is in or after', 'at-most': 'is in or before' }
/** Which tests a column can be put to. */
function testsOf(column: StepColumn | undefined): { value: Test; label: string }[] {
  const ordered: Test[] = ['is', 'is-not', 'at-least', 'at-most', 'between', 'missing', 'there']
  const words: Test[] = ['is', 'is-not', 'holds', 'begins-with', 'missing', 'there']
  return (column?.type === 'text' ? words : ordered).map(value => ({
    value,
    label: (column?.type === 'date' && later[value]) || tests[value],
  }))
}
const needs = (test: Test) => (test === 'missing' || test === 'there' ? 0 : test === 'between' ? 2 : 1)
const takesMany = (test: Test) => test === 'is' || test === 'is-not'

/** Grains whose moments the writing of a finer one begins with. */
const coarser: Partial<Readonly<Record<Grain, readonly Grain[]>>> = {
  second: ['year', 'month', 'day', 'minute'],
  minute: ['year', 'month', 'day'],
  day: ['year', 'month'],
  month: ['year'],
  quarter: ['year'],
  week: ['year'],
}

/** A moment that somebody wrote, as a column of moments has it, or coarser; null where the two cannot be compared. */
function moment({ kind, grain = 'day' }: StepColumn, value: string): string | null {
  if (kind === 'time') return readClock(value) ?? null
  if (value.startsWith('--')) return grain.endsWith('-of-year') ? value : null
  // Which of two days is meant is not guessed.
  const orders = ordersOf(value)
  if (orders?.dmy && orders.mdy && !/^\d{4}/.test(value.trim())) return null
  const read = readDate(value, orders?.dmy === false ? 'mdy' : 'dmy')
  return read && (read.grain === grain || coarser[grain]?.includes(read.grain)) ? read.iso : null
}

/** A value that somebody wrote, as it stands in a statement; null where the column holds no such values. */
function written(column: StepColumn, value: string): string | null {
  if (column.type === 'text') return literal(value)
  if (column.type === 'date') {
    const iso = moment(column, value.trim())
    return iso === null ? null : literal(iso)
  }
  const number = (column.kind === 'duration' ? readDuration(value) : undefined) ?? readNumber(value, '.')
  if (number === null) return null
  return numeral(column.kind === 'percent' && !value.includes('%') ? number / 100 : number)
}
/** What such values are called. */
const calledIn = ({ type, kind }: StepColumn) =>
  type === 'number' ? 'number' : kind === 'time' ? 'time as 06:15' : 'moment that this column could hold, as 2031 or 2031-04'

const schema = z.object({
  ...common,
  kind: z.literal('keep'),
  column: columnName,
  test: z.enum(Object.keys(tests) as [Test, ...Test[]]),
  values: z.array(z.string().max(300)).max(200),
})

/** What is tested, as SQL; `given` holds the values as they stand in a statement. A month has all of its days in it. */
function condition(test: Test, { type }: StepColumn, c: string, given: readonly string[]): string {
  const [first, second] = given
  const among = type === 'date' ? given.map(value => `starts_with(${c}, ${value})`).join(' or ') : `${c} in (${given.join(', ')})`
  const until = (last: string | undefined) => (type === 'date' ? `(${c} <= ${last} or starts_with(${c}, ${last}))` : `${c} <= ${last}`)
  switch (test) {
    case 'is':
      return `(${among})`
    case 'is-not':
      return `(${c} is null or not (${among}))`
    case 'at-least':
      return `${c} >= ${first}`
    case 'at-most':
      return until(first)
    case 'between':
      return `(${c} >= least(${first}, ${second}) and ${until(`greatest(${first}, ${second})`)})`
    case 'holds':
      return `contains(lower(${c}), lower(${first}))`
    case 'begins-with':
      return `starts_with(lower(${c}), lower(${first}))`
    case 'missing':
      return `${c} is null`
    case 'there':
      return `${c} is not null`
  }
}

export const keep = stepKind(schema)({
  title: 'Keep rows',
  explains: 'Rows of which something is true stay, all others go.',
  words: ['keep', 'filter', 'only', 'where', 'rows'],
  begins: sight => {
    const column = likelyTime(sight) ?? sight.columns[0]
    return column ? { kind: 'keep', column: column.name, test: 'there', values: [] } : 'a column'
  },
  sentence: (step, sight) => {
    const column = columnOf(sight, step.column)
    return [
      'Keep rows where',
      columnField('column', 'Column', step.column, sight.columns),
      choiceField('test', 'Test', step.test, testsOf(column)),
      ...(column && needs(step.test)
        ? [
            {
              field: 'values',
              label: 'Values',
              as: 'values' as const,
              value: step.values,
              of: column,
              most: takesMany(step.test) ? 200 : needs(step.test),
            },
          ]
        : []),
    ]
  },
  settled: (step, sight) => {
    const column = columnOf(sight, step.column)
    const test = testsOf(column).some(({ value }) => value === step.test) ? step.test : 'is'
    const fitting = column ? step.values.filter(value => written(column, value) !== null) : step.values
    return { ...step, test, values: takesMany(test) ? fitting : fitting.slice(0, needs(test)) }
  },
  work: (step, sight) =>
    unless([lackOf(sight, [{ field: 'column', names: [step.column] }])], () => {
      const column = columnOf(sight, step.column)!
      if (!testsOf(column).some(({ value }) => value === step.test))
        return { field: 'test', message: `“${step.column}” cannot be put to that test.` }
      const lacking = needs(step.test) - step.values.length
      if (lacking > 0) return { field: 'values', message: lacking === 2 ? 'Say between which two.' : 'Say which.' }
      const given = step.values.map(value => written(column, value))
      const wrong = given.indexOf(null)
      if (wrong >= 0) return { field: 'values', message: `“${step.values[wrong]}” is no ${calledIn(column)}.` }
      const test = condition(step.test, column, ref(sight, step.column), given as string[])
      return { columns: sight.columns, sql: from => `${selected(everything(sight))} from ${from} where ${test}` }
    }),
})
