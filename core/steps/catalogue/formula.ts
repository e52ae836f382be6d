import { z } from 'zod'
import { readFormula } from '../formula'
import { choiceField, columnName, common, freshName, likelyAmount, nameFault, unless, withColumn } from '../fields'
import { stepKind, type StepColumn } from '../step'

export const formula = stepKind(
  z.object({
    ...common,
    kind: z.literal('formula'),
    name: columnName,
    formula: z.string().max(2000),
    shows: z.enum(['number', 'percent']),
  }),
)({
  title: 'Reckon a column',
  explains: 'A new column by a formula of the others.',
  words: ['formula', 'reckon', 'compute', 'calculate', 'column', 'add'],
  begins: sight => {
    const name = likelyAmount(sight)?.name ?? sight.columns[0]!.name
    return {
      kind: 'formula',
      name: freshName(sight, 'reckoned'),
      formula: /^[\p{L}_][\p{L}\p{N}_]*$/u.test(name) ? name : `[${name}]`,
      shows: 'number',
    }
  },
  sentence: (step, sight) => [
    'Add',
    { field: 'name', label: 'Name of the new column', as: 'name', value: step.name },
    'as',
    { field: 'formula', label: 'Formula', as: 'formula', value: step.formula, of: sight.columns },
    'shown as',
    choiceField('shows', 'Shown as', step.shows, [
      { value: 'number', label: 'a number' },
      { value: 'percent', label: 'a percentage' },
    ]),
  ],
  work: (step, sight) =>
    unless([nameFault(sight, step.name)], () => {
      const read = readFormula(step.formula, sight, step.name)
      if ('message' in read) {
        const { message, at, instead } = read
        if (instead === undefined) return { field: 'formula', message, at }
        const mended = step.formula.slice(0, at[0]) + instead + step.formula.slice(at[1])
        return { field: 'formula', message, at, remedy: { label: `Use ${instead}`, change: { formula: mended } } }
      }
      const column: StepColumn =
        read.type === 'number'
          ? { name: step.name, type: 'number', kind: step.shows }
          : { name: step.name, type: 'text', kind: read.type === 'yes-no' ? 'yes-no' : 'category' }
      return withColumn(sight, column, read.sql)
    }),
})
