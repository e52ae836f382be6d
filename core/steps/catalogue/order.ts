import { z } from 'zod'
import { choiceField, columnField, columnName, common, lackOf, likelyAmount, unless } from '../fields'
import { everything, ref, selected } from '../sql'
import { stepKind } from '../step'

const ways = [
  { value: 'down', label: 'the greatest first' },
  { value: 'up', label: 'the least first' },
]

export const order = stepKind(z.object({ ...common, kind: z.literal('order'), column: columnName, way: z.enum(['up', 'down']) }))({
  title: 'Order rows',
  explains: 'By the values of a column; what is missing comes last.',
  words: ['order', 'sort'],
  begins: sight => {
    const column = likelyAmount(sight) ?? sight.columns[0]
    return column ? { kind: 'order', column: column.name, way: column.type === 'number' ? 'down' : 'up' } : 'a column'
  },
  sentence: (step, sight) => [
    'Order rows by',
    columnField('column', 'Column', step.column, sight.columns),
    ',',
    choiceField('way', 'Way', step.way, ways),
  ],
  work: (step, sight) =>
    unless([lackOf(sight, [{ field: 'column', names: [step.column] }])], () => ({
      columns: sight.columns,
      sql: from =>
        `${selected(
          everything(sight),
          `row_number() over (order by ${ref(sight, step.column)} ${step.way === 'down' ? 'desc' : 'asc'} nulls last, r)`,
        )} from ${from}`,
    })),
})
