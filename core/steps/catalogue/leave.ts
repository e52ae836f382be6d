import { z } from 'zod'
import { columnNames, columnsField, common, lackOf, unless } from '../fields'
import { ref, selected } from '../sql'
import { stepKind } from '../step'

export const leave = stepKind(z.object({ ...common, kind: z.literal('leave'), columns: columnNames }))({
  title: 'Leave out columns',
  explains: 'Columns that nothing needs go.',
  words: ['leave', 'drop', 'remove', 'columns', 'without'],
  begins: ({ columns }) => (columns.length > 1 ? { kind: 'leave', columns: [columns.at(-1)!.name] } : 'two columns'),
  sentence: (step, sight) => ['Leave out', columnsField('columns', 'Columns', step.columns, sight.columns)],
  work: (step, sight) => {
    const kept = sight.columns.filter(({ name }) => !step.columns.includes(name))
    return unless(
      [
        lackOf(sight, [{ field: 'columns', names: step.columns }]),
        kept.length ? null : { field: 'columns', message: 'One column has to stay.' },
      ],
      () => ({ columns: kept, sql: from => `${selected(kept.map(({ name }) => ref(sight, name)))} from ${from}` }),
    )
  },
})
