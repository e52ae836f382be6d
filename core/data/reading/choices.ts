import { z } from 'zod'
import { columnKinds } from '../table'

/** How a column is read. */
export const columnChoiceSchema = z.object({
  kind: z.enum(columnKinds),
  /** The sign before decimals; `each`: both occur, and every cell tells by itself. */
  decimal: z.enum(['.', ',', 'each']).optional(),
  /** Whether the day or the month stands first where days are figures. */
  order: z.enum(['dmy', 'mdy']).optional(),
  /** Whether 2010-11 is a season of two years; else it is a month. */
  seasons: z.boolean().optional(),
  /** Whether two parts of a duration are minutes and seconds; else hours and minutes. */
  minutes: z.boolean().optional(),
})
export type ColumnChoice = z.infer<typeof columnChoiceSchema>

/** What a person has decided of how a table is read; what is not there is guessed. It is kept for the versions that follow. */
export const readingChoicesSchema = z.object({
  /** The sheet of a workbook, and the cells of it, as B3:F40. */
  sheet: z.string().min(1).max(200).optional(),
  range: z
    .string()
    .regex(/^[A-Z]{1,3}[1-9]\d{0,6}:[A-Z]{1,3}[1-9]\d{0,6}$/)
    .optional(),
  /** How many lines stand above the header. */
  above: z.number().int().min(0).max(200).optional(),
  /** How many rows the header has; of two, `second` alone counts with `header: 'second'`. */
  header: z.union([z.literal(0), z.literal(1), z.literal(2), z.literal('second')]).optional(),
  /** Whether every row below the header is data that holds anything: none is a source, a note or another table. */
  rows: z.literal('all').optional(),
  /** Whether rows and columns that add up others are data as any other. */
  totals: z.enum(['apart', 'data']).optional(),
  /** What empty cells and marks for nothing are among numbers. */
  missing: z.enum(['missing', 'zero']).optional(),
  /** Whether columns that are a time each become rows. */
  gather: z.boolean().optional(),
  /** By the column’s name. */
  columns: z.record(z.string().max(200), columnChoiceSchema).optional(),
})
export type ReadingChoices = z.infer<typeof readingChoicesSchema>
