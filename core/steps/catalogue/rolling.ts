import { z } from 'zod'
import { alike, eachField, freshName, likelyAmount, likelyTime } from '../fields'
import { alongField, eachOf, nameField, needsNumber, ofField, ordered, reckoned } from '../reckoned'
import { stepKind } from '../step'

export const rolling = stepKind(z.object({ ...ordered, kind: z.literal('rolling'), count: z.number().int().min(2).max(1000) }))({
  title: 'Rolling mean',
  explains: 'The mean of each row and those before it: it smooths what goes up and down.',
  words: ['rolling', 'moving', 'mean', 'average', 'smooth'],
  begins: sight => {
    const of = likelyAmount(sight)
    if (!of) return needsNumber
    const name = freshName(sight, `${of.name}, rolling mean`)
    return { kind: 'rolling', of: of.name, name, each: eachOf(sight), along: likelyTime(sight)?.name ?? '', count: 3 }
  },
  sentence: (step, sight) => [
    'Add',
    nameField(step.name),
    ': the mean of',
    ofField(step.of, sight),
    'over',
    { field: 'count', label: 'How many rows', as: 'number', value: step.count, min: 2, max: 1000 },
    'rows along',
    alongField(step.along, sight),
    'for',
    eachField(step.each, sight),
  ],
  work: (step, sight) =>
    reckoned(step, sight, alike, (c, { each, along: by }) => {
      const rows = `(${each} ${by} rows between ${step.count - 1} preceding and current row)`
      // The first rows have not so many before them: nothing is made up for them.
      return `case when count(*) over ${rows} = ${step.count} then avg(${c}) over ${rows} end`
    }),
})
