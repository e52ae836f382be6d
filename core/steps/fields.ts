import { z } from 'zod'
import type { Sight, StepColumn, StepFault, StepField, StepWork } from './step'
import { columnOf, everything, selected } from './sql'

/** The name of a column in a record. */
export const columnName = z.string().min(1).max(200)
export const columnNames = z.array(columnName).max(500)
/** What every record has: whether it is passed over. */
export const common = { skipped: z.boolean().optional() }

export const isNumber = ({ type }: StepColumn) => type === 'number'
export const isOrdered = ({ type }: StepColumn) => type !== 'text'
export const numbersOf = ({ columns }: Sight) => columns.filter(isNumber)
export const othersOf = ({ columns }: Sight) => columns.filter(column => !isNumber(column))

/** The column that amounts most likely are in, and that rows most likely run along. */
export const likelyAmount = (sight: Sight) => numbersOf(sight).find(({ kind }) => kind !== 'percent') ?? numbersOf(sight)[0]
export const likelyTime = ({ columns }: Sight) => columns.find(({ type }) => type === 'date')
export const likelyName = ({ columns }: Sight) => columns.find(({ type }) => type === 'text')

/** A name that no column has yet: “share”, else “share 2”. */
export function freshName({ columns }: Pick<Sight, 'columns'>, wanted: string): string {
  const taken = new Set(columns.map(({ name }) => name))
  const short = wanted.slice(0, 190)
  let name = short
  for (let count = 2; taken.has(name); count++) name = `${short} ${count}`
  return name
}

export const columnField = (field: string, label: string, value: string, of: readonly StepColumn[]): StepField => ({
  field,
  label,
  as: 'column',
  value,
  of,
})
export const columnsField = (
  field: string,
  label: string,
  value: readonly string[],
  of: readonly StepColumn[],
  none = 'no column',
): StepField => ({ field, label, as: 'columns', value, of, none })
export const choiceField = (field: string, label: string, value: string, of: readonly { value: string; label: string }[]): StepField => ({
  field,
  label,
  as: 'choice',
  value,
  of,
})
/** “for each route”, or for the whole table. */
export const eachField = (value: readonly string[], { columns }: Sight) =>
  columnsField('each', 'For each', value, columns, 'the whole table')

/** Says which column of a step is not there, or not of the type that it needs; null where all are. */
export function lackOf(
  sight: Sight,
  wanted: readonly { field: string; names: readonly string[]; of?: (column: StepColumn) => boolean; words?: string }[],
): StepFault | null {
  for (const { field, names, of, words } of wanted)
    for (const name of names) {
      const column = columnOf(sight, name)
      if (!column) return { field, message: `There is no column “${name}” here.` }
      if (column.open) return { field, message: `“${name}” leaves a question open: answer it where the table is read.` }
      if (of && !of(column)) return { field, message: `“${name}” holds no ${words ?? 'numbers'}.` }
    }
  return null
}

/** A fault where a new column would be called as one that is there. */
export const nameFault = (sight: Sight, name: string, field = 'name'): StepFault | null =>
  columnOf(sight, name)
    ? {
        field,
        message: `There is a column “${name}” already.`,
        remedy: { label: `Call it “${freshName(sight, name)}”`, change: { [field]: freshName(sight, name) } },
      }
    : null

/** The rows as they are, with one column more at the end. */
export function withColumn(sight: Sight, column: StepColumn, expression: string): StepWork {
  return { columns: [...sight.columns, column], sql: from => `${selected([...everything(sight), expression])} from ${from}` }
}

/** The first fault, or the work. */
export function unless(faults: readonly (StepFault | null)[], work: () => StepWork | StepFault): StepWork | StepFault {
  return faults.find(fault => fault !== null) ?? work()
}

/** What a number is about, for a column that is made of it. */
export const alike = ({ kind, unit }: StepColumn): Pick<StepColumn, 'kind' | 'unit'> => ({
  ...(kind ? { kind } : {}),
  ...(unit ? { unit } : {}),
})
