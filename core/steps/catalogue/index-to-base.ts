import { z } from 'zod'
import { eachField, freshName, likelyAmount, likelyTime } from '../fields'
import { alongField, eachOf, nameField, needsNumber, ofField, ordered, reckoned } from '../reckoned'
import { finite } from '../sql'
import { stepKind } from '../step'

export const index = stepKind(z.object({ ...ordered, kind: z.literal('index'), base: z.number().min(1).max(1000) }))({
  title: 'Index',
  explains: 'The first row counts as 100, all others in proportion: what began at different heights is compared.',
  words: ['index', 'base', '100', 'indexed'],
  begins: sight => {
    const of = likelyAmount(sight)
    if (!of) return needsNumber
    const along = likelyTime(sight)?.name ?? ''
    return { kind: 'index', of: of.name, name: freshName(sight, 'index'), each: eachOf(sight), along, base: 100 }
  },
  sentence: (step, sight) => [
    'Add',
    nameField(step.name),
    ':',
    ofField(step.of, sight),
    'with the first along',
    alongField(step.along, sight),
    'as',
    { field: 'base', label: 'Base', as: 'number', value: step.base, min: 1, max: 1000 },
    'for',
    eachField(step.each, sight),
  ],
  work: (step, sight) =>
    reckoned(
      step,
      sight,
      () => ({ kind: 'number' }),
      (c, { each, along }) => {
        // A first that is missing is no base; the first that is there is.
        const first = `first_value(${c} ignore nulls) over (${each} ${along} rows between unbounded preceding and unbounded following)`
        return finite(`(${c} * ${step.base} / nullif(${first}, 0))`)
      },
    ),
})
