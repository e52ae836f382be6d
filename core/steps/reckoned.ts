import { z } from 'zod'
import {
  choiceField,
  columnField,
  columnName,
  columnNames,
  common,
  isNumber,
  lackOf,
  likelyName,
  likelyTime,
  nameFault,
  numbersOf,
  unless,
  withColumn,
} from './fields'
import { along, columnOf, ref, within } from './sql'
import type { Sight, StepColumn, StepPart } from './step'

/** What every column that is reckoned from another one says: of which, called how, for each of what, in which order. */
export const reckonedFields = { ...common, of: columnName, name: columnName, each: columnNames }
export const ordered = { ...reckonedFields, along: z.string().max(200) }

export const nameField = (value: string): StepPart => ({ field: 'name', label: 'Name of the new column', as: 'name', value })
export const ofField = (value: string, sight: Sight) => columnField('of', 'Of', value, numbersOf(sight))
export const alongField = (value: string, sight: Sight) =>
  choiceField('along', 'Along', value, [
    ...sight.columns.map(({ name }) => ({ value: name, label: name })),
    { value: '', label: 'the rows as they stand' },
  ])
/** What rows of a table through time are taken together by: the words in it. */
export const eachOf = (sight: Sight) => {
  const name = likelyTime(sight) && likelyName(sight)
  return name ? [name.name] : []
}
export const needsNumber = 'a column of numbers'

interface Reckoned {
  of: string
  name: string
  each: string[]
  along?: string
}
/** The new column at the end of the rows, by an expression of the column and its window. */
export function reckoned(
  step: Reckoned,
  sight: Sight,
  about: (of: StepColumn) => Pick<StepColumn, 'kind' | 'unit'>,
  expression: (c: string, window: { each: string; along: string }) => string,
) {
  return unless(
    [
      lackOf(sight, [
        { field: 'of', names: [step.of], of: isNumber },
        { field: 'each', names: step.each },
        { field: 'along', names: step.along ? [step.along] : [] },
      ]),
      nameFault(sight, step.name),
    ],
    () => {
      const window = { each: within(sight, step.each), along: along(sight, step.along ?? '') }
      const column = { name: step.name, type: 'number' as const, ...about(columnOf(sight, step.of)!) }
      return withColumn(sight, column, expression(ref(sight, step.of), window))
    },
  )
}
