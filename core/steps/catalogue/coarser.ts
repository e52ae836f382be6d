import { z } from 'zod'
import { choiceField, columnField, columnName, common, freshName, lackOf, nameFault, unless, withColumn } from '../fields'
import { nameField } from '../reckoned'
import { columnOf, ref, stepsOfTime } from '../sql'
import { stepKind, type StepColumn } from '../step'

const grains = ['year', 'quarter', 'month', 'week', 'day'] as const
type Coarse = (typeof grains)[number]

/** From the coarsest to the finest, those that a column can be taken to. */
function coarserThan(column: StepColumn | undefined): Coarse[] {
  const grain = column?.grain ?? 'day'
  if (!column || column.type !== 'date' || column.kind === 'time') return []
  if (grain === 'minute' || grain === 'second') return [...grains]
  // Weeks lie in two months at times.
  if (grain === 'week') return ['year']
  const at = grains.indexOf(grain as Coarse)
  return at < 0 ? [] : grains.slice(0, at).filter(one => one !== 'week' || grain === 'day')
}

export const coarser = stepKind(z.object({ ...common, kind: z.literal('coarser'), of: columnName, name: columnName, to: z.enum(grains) }))({
  title: 'Take moments together',
  explains: 'The year, quarter, month or week that each day is in: rows can be grouped by it.',
  words: ['month', 'year', 'quarter', 'week', 'monthly', 'yearly', 'together'],
  begins: sight => {
    const of = sight.columns.find(column => coarserThan(column).length > 0)
    if (!of) return 'a column of days or months'
    const to = coarserThan(of).find(grain => grain === 'month') ?? coarserThan(of)[0]!
    return { kind: 'coarser', of: of.name, name: freshName(sight, to), to }
  },
  sentence: (step, sight) => [
    'Add',
    nameField(step.name),
    ': the',
    choiceField(
      'to',
      'To',
      step.to,
      coarserThan(columnOf(sight, step.of)).map(value => ({ value, label: value })),
    ),
    'of',
    columnField(
      'of',
      'Of',
      step.of,
      sight.columns.filter(column => coarserThan(column).length > 0),
    ),
  ],
  settled: (step, sight) => {
    const fit = coarserThan(columnOf(sight, step.of))
    return fit.includes(step.to) || !fit.length ? step : { ...step, to: fit.at(-1)! }
  },
  work: (step, sight) =>
    unless(
      [
        lackOf(sight, [{ field: 'of', names: [step.of], of: column => coarserThan(column).length > 0, words: 'days or months' }]),
        nameFault(sight, step.name),
      ],
      () => {
        const column = columnOf(sight, step.of)!
        if (!coarserThan(column).includes(step.to)) return { field: 'to', message: `“${step.of}” has no ${step.to}s in it.` }
        const c = ref(sight, step.of)
        const isClock = column.grain === 'minute' || column.grain === 'second'
        const from = isClock ? stepsOfTime({ ...column, grain: 'day' })!.date(`left(${c}, 10)`) : stepsOfTime(column)!.date(c)
        const iso = stepsOfTime({ ...column, grain: step.to })!.iso(from)
        return withColumn(sight, { name: step.name, type: 'date', kind: 'date', grain: step.to }, iso)
      },
    ),
})
