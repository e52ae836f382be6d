import { z } from 'zod'
import { choiceField, eachField, freshName, likelyAmount, likelyTime } from '../fields'
import { nameField, needsNumber, ofField, reckoned, reckonedFields } from '../reckoned'
import { stepKind } from '../step'

export const rank = stepKind(z.object({ ...reckonedFields, kind: z.literal('rank'), way: z.enum(['greatest', 'least']) }))({
  title: 'Rank',
  explains: 'First, second, third by an amount; equal amounts have the same rank.',
  words: ['rank', 'place', 'position', 'league'],
  begins: sight => {
    const of = likelyAmount(sight)
    const each = likelyTime(sight)
    return of ? { kind: 'rank', of: of.name, name: freshName(sight, 'rank'), each: each ? [each.name] : [], way: 'greatest' } : needsNumber
  },
  sentence: (step, sight) => [
    'Add',
    nameField(step.name),
    ': the rank by',
    ofField(step.of, sight),
    ', the',
    choiceField('way', 'First is', step.way, [
      { value: 'greatest', label: 'greatest' },
      { value: 'least', label: 'least' },
    ]),
    'first, in',
    eachField(step.each, sight),
  ],
  work: (step, sight) =>
    reckoned(
      step,
      sight,
      () => ({ kind: 'number' }),
      (c, { each }) => {
        const by = `${each} order by ${c} ${step.way === 'greatest' ? 'desc' : 'asc'} nulls last`
        return `case when ${c} is not null then cast(rank() over (${by}) as double) end`
      },
    ),
})
