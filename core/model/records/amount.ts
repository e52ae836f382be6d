import { z } from 'zod'
import { idSchema } from '../../values'
import { numberFormatSchema } from './chart'

/** What a number in a text says of a column. */
export const amountFindings = [
  'sum',
  'mean',
  'median',
  'least',
  'most',
  'count',
  'first',
  'last',
  'change',
  'change-share',
  'change-since-first',
  'change-share-since-first',
  'course',
  'who-most',
  'who-least',
  'row',
] as const

/** A number in a text: of which rows of which table it says what, and how it is written. */
export const amountSchema = z.object({
  table: idSchema,
  /** The column that it is of; null counts rows. */
  column: z.string().max(200).nullable(),
  find: z.enum(amountFindings),
  /** The only rows that count: those where a column has a value, by its key. */
  where: z.object({ column: z.string().max(200), key: z.string().max(200) }).optional(),
  format: numberFormatSchema,
  /** Whether a plus stands before what is above nothing, or no sign before anything; absent is a minus alone. */
  sign: z.enum(['always', 'never']).optional(),
  /** Words that are written in its place, by whether it is above nothing, below, or neither. */
  words: z.object({ more: z.string().max(80), less: z.string().max(80), same: z.string().max(80) }).optional(),
})

export type Amount = z.infer<typeof amountSchema>
export type AmountFinding = Amount['find']
