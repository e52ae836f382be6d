import { z } from 'zod'
import { numberWords } from '../../values'
import { alike, columnField, columnName, common, freshName, isNumber, lackOf, likelyAmount, numbersOf, othersOf, unless } from '../fields'
import { columnOf, literal, ref, selected } from '../sql'
import { stepKind, type StepColumn } from '../step'

const most = 100

export const spread = stepKind(z.object({ ...common, kind: z.literal('spread'), names: columnName, amount: columnName }))({
  title: 'Spread rows into columns',
  explains: 'Every value of a column becomes a column of its own, with the sums of an amount.',
  words: ['spread', 'columns', 'wide', 'pivot', 'across'],
  begins: sight => {
    const names = othersOf(sight).at(-1)
    const amount = likelyAmount(sight)
    if (!names || !amount) return 'a column of words or moments, and one of numbers'
    return { kind: 'spread', names: names.name, amount: amount.name }
  },
  sentence: (step, sight) => [
    'Spread',
    columnField('names', 'Column of names', step.names, othersOf(sight)),
    'into columns of',
    columnField('amount', 'Amounts', step.amount, numbersOf(sight)),
  ],
  asks: (step, sight, from) =>
    lackOf(sight, [{ field: 'names', names: [step.names] }])
      ? null
      : `select ${ref(sight, step.names)} as answer from ${from} where ${ref(sight, step.names)} is not null
         group by 1 order by ${columnOf(sight, step.names)!.type === 'date' ? '1' : 'min(r)'} limit ${most + 1}`,
  work: (step, sight) =>
    unless(
      [
        lackOf(sight, [
          { field: 'names', names: [step.names], of: column => !isNumber(column), words: 'words or moments' },
          { field: 'amount', names: [step.amount], of: isNumber },
        ]),
        (sight.answers?.length ?? 0) > most
          ? { field: 'names', message: `“${step.names}” has over ${most} values; a table has no room for so many columns.` }
          : null,
      ],
      () => {
        const rest = sight.columns.filter(({ name }) => name !== step.names && name !== step.amount)
        const columns: StepColumn[] = [...rest]
        const answers = sight.answers ?? []
        for (const answer of answers)
          columns.push({ name: freshName({ columns }, answer), type: 'number', ...alike(columnOf(sight, step.amount)!) })
        const keys = rest.map(({ name }) => ref(sight, name))
        const [names, amount] = [ref(sight, step.names), ref(sight, step.amount)]
        const sums = answers.map(answer => `sum(${amount}) filter (where ${names} = ${literal(answer)})`)
        return {
          columns,
          sql: from => `${selected([...keys, ...sums], 'min(r)')} from ${from}${keys.length ? ` group by ${keys.join(', ')}` : ''}`,
          note: {
            sql: from => `select cast(count(*) as double) as count, null as first from ${from} where ${names} is null`,
            words: count =>
              count === 1
                ? `One row has no “${step.names}”, and stands in no column.`
                : `${numberWords(count)} rows have no “${step.names}”, and stand in no column.`,
          },
        }
      },
    ),
})
