import { z } from 'zod'
import {
  alike,
  choiceField,
  columnNames,
  columnsField,
  common,
  freshName,
  isNumber,
  lackOf,
  likelyAmount,
  likelyName,
  numbersOf,
  othersOf,
  unless,
} from '../fields'
import { columnOf, ref, selected } from '../sql'
import { stepKind, type StepColumn } from '../step'

const measures = {
  sum: { label: 'sum', sql: (c: string) => `sum(${c})` },
  mean: { label: 'mean', sql: (c: string) => `avg(${c})` },
  median: { label: 'median', sql: (c: string) => `median(${c})` },
  least: { label: 'least', sql: (c: string) => `min(${c})` },
  greatest: { label: 'greatest', sql: (c: string) => `max(${c})` },
  count: { label: 'number of rows', sql: () => 'cast(count(*) as double)' },
} as const
type Measure = keyof typeof measures
const labels = Object.entries(measures).map(([value, { label }]) => ({ value, label }))

/** What each column of amounts is called after: “riders, mean”; a sum keeps its name. */
const called = (measure: Measure, name: string) => (measure === 'sum' ? name : `${name}, ${measures[measure].label}`)

export const group = stepKind(
  z.object({
    ...common,
    kind: z.literal('group'),
    by: columnNames,
    measure: z.enum(Object.keys(measures) as [Measure, ...Measure[]]),
    of: columnNames,
  }),
)({
  title: 'Group rows',
  explains: 'Rows that are alike in some columns become one, with the sum, mean, median or number of them.',
  words: ['group', 'sum', 'mean', 'average', 'median', 'count', 'total', 'per'],
  begins: sight => {
    const by = likelyName(sight) ?? othersOf(sight)[0]
    const of = likelyAmount(sight)
    if (!by) return 'a column of words or moments'
    return { kind: 'group', by: [by.name], measure: of ? 'sum' : 'count', of: of ? [of.name] : [] }
  },
  sentence: (step, sight) => [
    'Group by',
    columnsField('by', 'Group by', step.by, sight.columns, 'nothing'),
    'to the',
    choiceField('measure', 'Measure', step.measure, labels),
    ...(step.measure === 'count'
      ? []
      : [
          'of',
          columnsField(
            'of',
            'Of',
            step.of,
            numbersOf(sight).filter(({ name }) => !step.by.includes(name)),
            'no amount',
          ),
        ]),
  ],
  work: (step, sight) => {
    const isCount = step.measure === 'count'
    const of = isCount ? [] : step.of.filter(name => !step.by.includes(name))
    return unless(
      [
        lackOf(sight, [
          { field: 'by', names: step.by },
          { field: 'of', names: of, of: isNumber },
        ]),
        !isCount && !of.length ? { field: 'of', message: 'Say of which amounts.' } : null,
      ],
      () => {
        const by = step.by.map(name => columnOf(sight, name)!)
        const columns: StepColumn[] = [...by]
        const add = (column: StepColumn) => columns.push({ ...column, name: freshName({ columns }, column.name) })
        if (isCount) add({ name: 'rows', type: 'number', kind: 'number' })
        for (const name of of) add({ name: called(step.measure, name), type: 'number', ...alike(columnOf(sight, name)!) })
        const measured = isCount ? [measures.count.sql()] : of.map(name => measures[step.measure].sql(ref(sight, name)))
        const keys = step.by.map(name => ref(sight, name))
        return {
          columns,
          sql: from => `${selected([...keys, ...measured], 'min(r)')} from ${from}${keys.length ? ` group by ${keys.join(', ')}` : ''}`,
        }
      },
    )
  },
})
