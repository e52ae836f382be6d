import { z } from 'zod'
import { columnField, columnName, common, lackOf, nameFault, unless } from '../fields'
import { everything, selected } from '../sql'
import { stepKind } from '../step'

export const rename = stepKind(z.object({ ...common, kind: z.literal('rename'), column: columnName, name: columnName }))({
  title: 'Rename a column',
  explains: 'A column is called otherwise from here on.',
  words: ['rename', 'call', 'name'],
  begins: ({ columns }) => ({ kind: 'rename', column: columns[0]!.name, name: columns[0]!.name }),
  sentence: (step, sight) => [
    'Call',
    columnField('column', 'Column', step.column, sight.columns),
    'from here on',
    { field: 'name', label: 'New name', as: 'name', value: step.name },
  ],
  work: (step, sight) =>
    unless(
      [lackOf(sight, [{ field: 'column', names: [step.column] }]), step.name === step.column ? null : nameFault(sight, step.name)],
      () => ({
        columns: sight.columns.map(column => (column.name === step.column ? { ...column, name: step.name } : column)),
        sql: from => `${selected(everything(sight))} from ${from}`,
      }),
    ),
})
