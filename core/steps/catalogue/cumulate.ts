import { z } from 'zod'
import { alike, eachField, freshName, likelyAmount, likelyTime } from '../fields'
import { alongField, eachOf, nameField, needsNumber, ofField, ordered, reckoned } from '../reckoned'
import { stepKind } from '../step'

export const cumulate = stepKind(z.object({ ...ordered, kind: z.literal('cumulate') }))({
  title: 'Add up as it goes',
  explains: 'The sum of each row and all before it.',
  words: ['cumulate', 'cumulative', 'running', 'add up', 'so far'],
  begins: sight => {
    const of = likelyAmount(sight)
    if (!of) return needsNumber
    return {
      kind: 'cumulate',
      of: of.name,
      name: freshName(sight, `${of.name} so far`),
      each: eachOf(sight),
      along: likelyTime(sight)?.name ?? '',
    }
  },
  sentence: (step, sight) => [
    'Add',
    nameField(step.name),
    ':',
    ofField(step.of, sight),
    'added up along',
    alongField(step.along, sight),
    'for',
    eachField(step.each, sight),
  ],
  work: (step, sight) =>
    reckoned(step, sight, alike, (c, { each, along: by }) => `sum(${c}) over (${each} ${by} rows unbounded preceding)`),
})
