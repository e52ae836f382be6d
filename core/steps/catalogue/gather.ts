import { z } from 'zod'
import { alike, columnName, columnNames, columnsField, common, freshName, isNumber, lackOf, numbersOf, unless } from '../fields'
import { columnOf, literal, numeral, ref, selected } from '../sql'
import { stepKind, type StepColumn } from '../step'

export const gather = stepKind(
  z.object({ ...common, kind: z.literal('gather'), columns: columnNames, into: columnName, amount: columnName }),
)({
  title: 'Gather columns into rows',
  explains: 'Columns that hold the same kind of amount become rows: one column says which it was, one holds the amount.',
  words: ['gather', 'columns', 'rows', 'long', 'unpivot', 'across'],
  begins: sight => {
    const numbers = numbersOf(sight)
    if (numbers.length < 2) return 'two columns of numbers'
    return {
      kind: 'gather',
      columns: numbers.map(({ name }) => name),
      into: freshName(sight, 'name'),
      amount: freshName(sight, 'amount'),
    }
  },
  sentence: (step, sight) => [
    'Gather',
    columnsField('columns', 'Columns', step.columns, numbersOf(sight)),
    'into',
    { field: 'into', label: 'Name of the column of names', as: 'name', value: step.into },
    'and',
    { field: 'amount', label: 'Name of the column of amounts', as: 'name', value: step.amount },
  ],
  work: (step, sight) => {
    const rest = sight.columns.filter(({ name }) => !step.columns.includes(name))
    const taken = rest.find(({ name }) => name === step.into || name === step.amount)
    return unless(
      [
        lackOf(sight, [{ field: 'columns', names: step.columns, of: isNumber }]),
        step.columns.length < 2 ? { field: 'columns', message: 'Say which columns: two at least.' } : null,
        taken ? { field: taken.name === step.into ? 'into' : 'amount', message: `There is a column “${taken.name}” already.` } : null,
        step.into === step.amount ? { field: 'amount', message: 'The two new columns need two names.' } : null,
      ],
      () => {
        const first = columnOf(sight, step.columns[0]!)!
        const same = step.columns.every(name => columnOf(sight, name)!.kind === first.kind && columnOf(sight, name)!.unit === first.unit)
        const isYears = step.columns.every(name => /^(1[5-9]|2[01])\d{2}$/.test(name))
        const names: StepColumn = isYears
          ? { name: step.into, type: 'date', kind: 'date', grain: 'year' }
          : { name: step.into, type: 'text', kind: 'category' }
        const kept = rest.map(({ name }) => ref(sight, name))
        return {
          columns: [...rest, names, { name: step.amount, type: 'number', ...(same ? alike(first) : {}) }],
          sql: from =>
            step.columns
              .map(
                (name, index) =>
                  `${selected([...kept, literal(name), ref(sight, name)], `r + ${numeral(index / step.columns.length)}`)} from ${from}`,
              )
              .join(' union all '),
        }
      },
    )
  },
})
