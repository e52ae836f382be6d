import { z } from 'zod'
import { choiceField, columnField, columnName, common, isNumber, lackOf, likelyAmount, likelyName, numbersOf, unless } from '../fields'
import { everything, literal, ref, selected } from '../sql'
import { stepKind } from '../step'

const rests = [
  { value: 'drop', label: 'leave out the rest' },
  { value: 'gather', label: 'gather the rest in one row' },
]

export const top = stepKind(
  z.object({
    ...common,
    kind: z.literal('top'),
    count: z.number().int().min(1).max(1000),
    way: z.enum(['greatest', 'least']),
    column: columnName,
    rest: z.enum(['drop', 'gather']),
    /** Where the row of the rest says what it is, and what it says. */
    says: columnName.optional(),
    name: z.string().min(1).max(200),
  }),
)({
  title: 'Keep the greatest or the least',
  explains: 'So many rows by an amount; the rest goes, or becomes one row with its sums.',
  words: ['top', 'greatest', 'least', 'most', 'best', 'first', 'rest'],
  begins: sight => {
    const column = likelyAmount(sight)
    if (!column) return 'a column of numbers'
    const says = likelyName(sight)?.name
    return { kind: 'top', count: 5, way: 'greatest', column: column.name, rest: 'drop', ...(says ? { says } : {}), name: 'All others' }
  },
  sentence: (step, sight) => {
    const words = sight.columns.filter(({ type }) => type === 'text')
    return [
      'Keep the',
      { field: 'count', label: 'How many', as: 'number', value: step.count, min: 1, max: 1000 },
      choiceField('way', 'Which', step.way, [
        { value: 'greatest', label: 'greatest' },
        { value: 'least', label: 'least' },
      ]),
      'by',
      columnField('column', 'By', step.column, numbersOf(sight)),
      'and',
      choiceField('rest', 'The rest', step.rest, rests),
      ...(step.rest === 'gather' && words.length
        ? [
            'as',
            { field: 'name', label: 'Name of the rest', as: 'name' as const, value: step.name },
            'in',
            columnField('says', 'Its column', step.says ?? words[0]!.name, words),
          ]
        : []),
    ]
  },
  work: (step, sight) => {
    const says = step.rest === 'gather' ? (step.says ?? likelyName(sight)?.name) : undefined
    return unless(
      [
        lackOf(sight, [
          { field: 'column', names: [step.column], of: isNumber },
          { field: 'says', names: says ? [says] : [], of: ({ type }) => type === 'text', words: 'words' },
        ]),
      ],
      () => {
        const place = `row_number() over (order by ${ref(sight, step.column)} ${step.way === 'greatest' ? 'desc' : 'asc'} nulls last, r)`
        // Shares and other ratios of several rows have no sum.
        const rest = sight.columns.map(({ name, type, kind }) =>
          name === says ? literal(step.name) : type === 'number' && kind !== 'percent' ? `sum(${ref(sight, name)})` : 'null',
        )
        return {
          columns: sight.columns,
          sql: from => {
            const placed = `(select *, ${place} as place from ${from})`
            const kept = `${selected(everything(sight))} from ${placed} where place <= ${step.count}`
            return step.rest === 'drop'
              ? kept
              : `${kept} union all ${selected(rest, 'max(r) + 1')} from ${placed} where place > ${step.count} having count(*) > 0`
          },
        }
      },
    )
  },
})
