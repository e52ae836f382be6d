import { z } from 'zod'
import { stepKinds } from './catalogue'
import type { Sight, StepFault, StepKind, StepPart, StepWork } from './step'

const schemas = stepKinds.map(({ schema }) => schema)
/** A step as it is kept. */
export const stepSchema = z.discriminatedUnion('kind', schemas as [(typeof schemas)[number], ...(typeof schemas)[number][]])
export type Step = z.infer<typeof stepSchema>
export const mostSteps = 60
/** A list of steps. */
export const stepsSchema = z.array(stepSchema).max(mostSteps)

const kindOf = (step: Pick<Step, 'kind'>): StepKind =>
  stepKinds.find(({ schema }) => schema.shape.kind.value === step.kind) as unknown as StepKind

/** What a step does to what it finds, or why it cannot. */
export const workOf = (step: Step, sight: Sight): StepWork | StepFault => kindOf(step).work(step, sight)
/** What has to be asked of the rows before first; null of most steps. */
export const questionBefore = (step: Step, sight: Sight, from: string): string | null => kindOf(step).asks?.(step, sight, from) ?? null
/** A step as a sentence of words and fields. */
export const sentenceOf = (step: Step, sight: Sight): readonly StepPart[] => kindOf(step).sentence(step, sight)

/** A step with one of its fields changed, and the others made to fit. */
export function withField(step: Step, sight: Sight, change: Readonly<Record<string, unknown>>): Step {
  const changed = stepSchema.parse({ ...step, ...change })
  return (kindOf(changed).settled?.(changed, sight) as Step | undefined) ?? changed
}

/** A kind as it is offered: with a step to begin with, or what it needs. */
export interface StepOffer {
  kind: Step['kind']
  title: string
  explains: string
  words: readonly string[]
  step: Step | null
  needs: string | null
}
/** All kinds of steps, by what these columns have for them; those that lack something last. */
export function stepOffers(sight: Sight): StepOffer[] {
  const offers = stepKinds.map(one => {
    const kind = one as unknown as StepKind
    const begun = sight.columns.length ? kind.begins(sight) : 'a column'
    const [step, needs] = typeof begun === 'string' ? [null, begun] : [begun as Step, null]
    return { kind: one.schema.shape.kind.value, title: kind.title, explains: kind.explains, words: kind.words, step, needs }
  })
  return [...offers.filter(({ step }) => step), ...offers.filter(({ step }) => !step)]
}

/** A sentence as plain words, for those who are read to and for what is undone. */
export function sentenceWords(parts: readonly StepPart[]): string {
  const words = parts.map(part => {
    if (typeof part === 'string') return part
    if (part.as === 'choice') return part.of.find(({ value }) => value === part.value)?.label ?? part.value
    if (part.as === 'table') return part.of.find(({ id }) => id === part.value)?.name ?? 'a table that is gone'
    if (part.as === 'columns') return part.value.length ? part.value.join(', ') : part.none
    return Array.isArray(part.value) ? part.value.join(', ') || '…' : String(part.value)
  })
  return words.join(' ').replaceAll(/ ([,:])/g, '$1')
}
