import { z } from 'zod'
import { numberWords } from '../../values'
import { columnField, columnName, columnNames, columnsField, common, freshName, lackOf, likelyName, unless } from '../fields'
import { columnOf, everything, ref, selected } from '../sql'
import { stepKind, type OtherTable, type Sight } from '../step'

const otherOf = (sight: Sight, id: string): OtherTable | undefined => sight.tables.find(table => table.id === id)
/** How words are compared: whatever the case of their letters and the blanks around them. */
const plain = (c: string) => `lower(trim(cast(${c} as varchar)))`

export const join = stepKind(
  z.object({ ...common, kind: z.literal('join'), table: z.string().max(64), by: columnName, to: columnName, add: columnNames }),
)({
  title: 'Join another table',
  explains: 'Columns of another table come beside the rows that have the same name in it.',
  words: ['join', 'table', 'look up', 'lookup', 'add', 'merge'],
  begins: sight => {
    const by = likelyName(sight) ?? sight.columns[0]
    // The one that shares the name of a column is likely meant.
    const other =
      sight.tables.find(({ columns }) => columns.some(({ name }) => sight.columns.some(own => own.name === name))) ?? sight.tables[0]
    if (!by || !other) return 'another table'
    const shared = other.columns.find(({ name }) => sight.columns.some(own => own.name === name))
    const to = shared ?? other.columns[0]!
    return {
      kind: 'join',
      table: other.id,
      by: shared?.name ?? by.name,
      to: to.name,
      add: other.columns
        .filter(column => column !== to)
        .slice(0, 1)
        .map(({ name }) => name),
    }
  },
  sentence: (step, sight) => {
    const columns = otherOf(sight, step.table)?.columns ?? []
    return [
      'Join',
      { field: 'table', label: 'Table', as: 'table', value: step.table, of: sight.tables },
      'where its',
      columnField('to', 'Its column', step.to, columns),
      'is',
      columnField('by', 'Column', step.by, sight.columns),
      ', add',
      columnsField(
        'add',
        'Columns to add',
        step.add,
        columns.filter(({ name }) => name !== step.to),
      ),
    ]
  },
  settled: (step, sight) => {
    const columns = otherOf(sight, step.table)?.columns
    if (!columns?.length) return step
    const has = (name: string) => columns.some(column => column.name === name)
    const to = has(step.to) ? step.to : has(step.by) ? step.by : columns[0]!.name
    return { ...step, to, add: step.add.filter(name => has(name) && name !== to) }
  },
  work: (step, sight) => {
    const other = otherOf(sight, step.table)
    if (!other) return { field: 'table', message: 'There is no such table any more.' }
    const theirs = { ...sight, columns: other.columns }
    return unless(
      [
        lackOf(sight, [{ field: 'by', names: [step.by] }]),
        lackOf(theirs, [
          { field: 'to', names: [step.to] },
          { field: 'add', names: step.add },
        ]),
        step.add.length ? null : { field: 'add', message: 'Say which columns come along.' },
      ],
      () => {
        const columns = [...sight.columns]
        for (const name of step.add) columns.push({ ...columnOf(theirs, name)!, name: freshName({ columns }, name) })
        const [by, to] = [plain(ref(sight, step.by)), plain(ref(theirs, step.to))]
        // Of several rows with the same name the first counts: no row of the table becomes two.
        const one = (name: string) =>
          `(select * from ${name} where ${to} is not null qualify row_number() over (partition by ${to} order by r) = 1)`
        return {
          columns,
          sql: (from, name) =>
            `${selected([...everything(sight).map(c => `a.${c}`), ...step.add.map(added => `b.${ref(theirs, added)}`)], 'a.r')}
             from ${from} a left join ${one(name(other.id))} b on ${by.replaceAll(/\bc(\d+)\b/g, 'a.c$1')} = ${to.replaceAll(/\bc(\d+)\b/g, 'b.c$1')}`,
          note: {
            sql: (from, name) =>
              `select cast(count(distinct ${ref(sight, step.by)}) as double) as count, min(cast(${ref(sight, step.by)} as varchar)) as first
               from ${from} where ${ref(sight, step.by)} is not null and ${by} not in (select ${to} from ${name(other.id)} where ${to} is not null)`,
            words: (count, first) =>
              count === 1
                ? `One name fits nothing there: “${first}”.`
                : `${numberWords(count)} names fit nothing there, “${first}” among them.`,
          },
        }
      },
    )
  },
})
