import { z } from 'zod'
import { numberWords } from '../../values'
import { columnField, columnName, columnNames, columnsField, common, freshName, lackOf, likelyName, unless } from '../fields'
import { columnOf, everything, ref, selected } from '../sql'
import { stepKind, type OtherTable, type Sight, type StepColumn } from '../step'

const otherOf = (sight: Sight, id: string): OtherTable | undefined => sight.tables.find(table => table.id === id)
/** How values are compared: as words, whatever the case of their letters and the blanks around them; numbers as they are written. */
const plain = (c: string, { type }: StepColumn) => (type === 'number' ? `printf('%.15g', ${c})` : `lower(trim(${c}))`)

/** So many of the names that fit nothing are named; of the others it is said how many they are. */
const mostNamed = 5

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
        const own = columnOf(sight, step.by)!
        const [mine, its] = [ref(sight, step.by), ref(theirs, step.to)]
        const key = (c: string) => plain(c, columnOf(theirs, step.to)!)
        // Of several rows with the same name the first counts: no row of the table becomes two.
        const first = `qualify row_number() over (partition by ${key(its)} order by r) = 1`
        const kept = [...everything(sight).map(c => `a.${c}`), ...step.add.map(added => `b.${ref(theirs, added)}`)]
        const named = (name: string) => `select ${key(its)} from ${name} where ${its} is not null`
        return {
          columns,
          sql: (from, name) =>
            `${selected(kept, 'a.r')} from ${from} a left join (select * from ${name(other.id)} where ${its} is not null ${first}) b
             on ${plain(`a.${mine}`, own)} = ${key(`b.${its}`)}`,
          note: {
            sql: (from, name) =>
              `select cast(count(*) as double) as count, string_agg(n, '”, “' order by n) filter (k <= ${mostNamed}) as first from
               (select n, row_number() over (order by n) as k from (select distinct cast(${mine} as varchar) as n from ${from}
               where ${mine} is not null and ${plain(mine, own)} not in (${named(name(other.id))})))`,
            words: (count, first) => {
              const more = count > mostNamed ? ` and ${numberWords(count - mostNamed)} more` : ''
              return `${count === 1 ? 'One name fits' : `${numberWords(count)} names fit`} nothing there: “${first}”${more}.`
            },
          },
        }
      },
    )
  },
})
