import { z } from 'zod'
import { alike, choiceField, eachField, freshName, likelyAmount, likelyTime } from '../fields'
import { alongField, eachOf, nameField, needsNumber, ofField, ordered, reckoned } from '../reckoned'
import { stepKind } from '../step'

export const difference = stepKind(z.object({ ...ordered, kind: z.literal('difference'), as: z.enum(['amount', 'percent']) }))({
  title: 'Change to the row before',
  explains: 'By how much each row is more or less than the one before it, as an amount or in percent.',
  words: ['difference', 'change', 'growth', 'before', 'rise', 'fall'],
  begins: sight => {
    const of = likelyAmount(sight)
    if (!of) return needsNumber
    return {
      kind: 'difference',
      of: of.name,
      name: freshName(sight, 'change'),
      each: eachOf(sight),
      along: likelyTime(sight)?.name ?? '',
      as: 'amount',
    }
  },
  sentence: (step, sight) => [
    'Add',
    nameField(step.name),
    ': the change of',
    ofField(step.of, sight),
    'to the one before,',
    choiceField('as', 'As', step.as, [
      { value: 'amount', label: 'as an amount' },
      { value: 'percent', label: 'in percent' },
    ]),
    ', along',
    alongField(step.along, sight),
    'for',
    eachField(step.each, sight),
  ],
  work: (step, sight) =>
    reckoned(
      step,
      sight,
      of => (step.as === 'percent' ? { kind: 'percent' } : alike(of)),
      (c, { each, along: by }) => {
        const before = `lag(${c}) over (${each} ${by})`
        return step.as === 'percent' ? `(${c} - ${before}) / nullif(abs(${before}), 0)` : `${c} - ${before}`
      },
    ),
})
