import { z } from 'zod'
import { numberWords } from '../../values'
import { choiceField, columnField, columnName, columnNames, common, eachField, lackOf, likelyName, unless } from '../fields'
import { columnOf, everything, ref, selected, stepsOfTime } from '../sql'
import { stepKind } from '../step'

const ways = [
  { value: 'missing', label: 'as missing' },
  { value: 'zero', label: 'with zero' },
  { value: 'before', label: 'with the one before' },
  { value: 'straight', label: 'in a straight line' },
]

export const fill = stepKind(
  z.object({
    ...common,
    kind: z.literal('fill'),
    column: columnName,
    each: columnNames,
    way: z.enum(['missing', 'zero', 'before', 'straight']),
  }),
)({
  title: 'Fill gaps in time',
  explains: 'Every moment from the first to the last gets a row; amounts that lack are missing, zero, or taken from their neighbours.',
  words: ['fill', 'gaps', 'missing', 'interpolate', 'complete'],
  begins: sight => {
    const column = sight.columns.find(one => stepsOfTime(one))
    const name = likelyName(sight)
    return column
      ? { kind: 'fill', column: column.name, each: name ? [name.name] : [], way: 'missing' }
      : 'a column of years, months or days'
  },
  sentence: (step, sight) => [
    'Fill the gaps in',
    columnField(
      'column',
      'Column of time',
      step.column,
      sight.columns.filter(column => stepsOfTime(column)),
    ),
    choiceField('way', 'How', step.way, ways),
    'for',
    eachField(step.each, { ...sight, columns: sight.columns.filter(({ name }) => name !== step.column) }),
  ],
  work: (step, sight) =>
    unless(
      [
        lackOf(sight, [
          { field: 'column', names: [step.column], of: column => !!stepsOfTime(column), words: 'years, quarters, months, weeks or days' },
          { field: 'each', names: step.each },
        ]),
        step.each.includes(step.column) ? { field: 'each', message: 'The moments themselves are what is filled.' } : null,
      ],
      () => {
        const { date, iso, apart } = stepsOfTime(columnOf(sight, step.column)!)!
        const moment = ref(sight, step.column)
        const keys = step.each.map(name => ref(sight, name))
        const by = keys.length ? ` group by ${keys.join(', ')}` : ''
        const window = `(${keys.length ? `partition by ${keys.map(c => `g.${c}`).join(', ')} ` : ''}order by g.moment`
        const filled = (c: string) => {
          if (step.way === 'missing') return c
          if (step.way === 'zero') return `coalesce(${c}, 0)`
          const [last, next] = [
            `last_value(${c} ignore nulls) over ${window} rows between unbounded preceding and current row)`,
            `first_value(${c} ignore nulls) over ${window} rows between current row and unbounded following)`,
          ]
          if (step.way === 'before') return `coalesce(${c}, ${last})`
          const at = `case when ${c} is not null then g.place end`
          const [from, to] = [last.replace(`(${c} `, `(${at} `), next.replace(`(${c} `, `(${at} `)]
          return `coalesce(${c}, ${last} + (${next} - ${last}) * (g.place - ${from}) / nullif(${to} - ${from}, 0))`
        }
        const columns = sight.columns.map(({ name, type }, index) =>
          name === step.column
            ? 'g.moment'
            : step.each.includes(name)
              ? `g.c${index}`
              : type === 'number'
                ? filled(`t.c${index}`)
                : `t.c${index}`,
        )
        const days = `generate_series(least_at, most_at, interval '${apart}')`
        const grid = (from: string) => `
          (select *, ${iso('day_of')} as moment, datediff('day', date '1970-01-01', day_of) as place from
            (select ${[...keys, 'first'].join(', ')}, cast(unnest(${days}) as date) as day_of from
              (select ${[...keys, 'min(r) as first'].join(', ')}, min(${date(moment)}) as least_at, max(${date(moment)}) as most_at
               from ${from} where ${moment} is not null${by})))`
        const same = ['t.moment = g.moment', ...keys.map(c => `t.${c} is not distinct from g.${c}`)].join(' and ')
        return {
          columns: sight.columns,
          // Rows without a moment stay, behind all others.
          sql: from =>
            `${selected(columns, 'row_number() over (order by g.first, g.place, t.r)')} from ${grid(from)} g
             left join (select *, ${moment} as moment from ${from}) t on ${same}
             union all ${selected(everything(sight), '1e12 + r')} from ${from} where ${moment} is null`,
          note: {
            sql: from => `select cast(count(*) as double) as count, min(g.moment) as first from ${grid(from)} g
              where not exists (select 1 from (select *, ${moment} as moment from ${from}) t where ${same})`,
            words: (count, first) =>
              count === 1 ? `One row came: ${first}.` : `${numberWords(count)} rows came, the first of them ${first}.`,
          },
        }
      },
    ),
})
