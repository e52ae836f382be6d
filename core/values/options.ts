import { z } from 'zod'

/** Options of an effect, transition or kind: plain values, read through the schema of what they belong to. */
export const optionsSchema = z.record(z.string().max(64), z.union([z.string().max(2000), z.number(), z.boolean(), z.null()]))

export type Options = z.infer<typeof optionsSchema>
