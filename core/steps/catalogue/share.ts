import { z } from 'zod'
import { eachField, freshName, likelyAmount } from '../fields'
import { nameField, needsNumber, ofField, reckoned, reckonedFields } from '../reckoned'
import { stepKind } from '../step'

export const share = stepKind(z.object({ ...reckonedFields, kind: z.literal('share') }))({
  title: 'Share',
  explains: 'What part of the whole each row is.',
  words: ['share', 'part', 'percent', 'percentage', 'proportion'],
  begins: sight => {
    const of = likelyAmount(sight)
    return of ? { kind: 'share', of: of.name, name: freshName(sight, 'share'), each: [] } : needsNumber
  },
  sentence: (step, sight) => ['Add', nameField(step.name), ': the share of', ofField(step.of, sight), 'in', eachField(step.each, sight)],
  work: (step, sight) =>
    reckoned(
      step,
      sight,
      () => ({ kind: 'percent' }),
      (c, { each }) => `${c} / nullif(sum(${c}) over (${each}), 0)`,
    ),
})
