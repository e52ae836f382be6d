import { z } from 'zod'
import { colorSchema, hashSchema } from '../../values'

const pathData = z
  .string()
  .max(20_000)
  .regex(/^[MmLlHhVvCcSsQqTtAaZz0-9eE.,+\-\s]*$/, 'it is no path')

/** A drawing of plain paths in a square (or other) view: an icon, kept with what shows it so that it never changes by itself. */
export const drawnIconSchema = z.object({
  name: z.string().max(120),
  /** The view's width and height; paths are in its units. */
  view: z.tuple([z.number().positive().max(10_000), z.number().positive().max(10_000)]),
  /** Each is filled or drawn as a line of `width` (view units), in the icon's one colour. */
  paths: z.array(z.object({ d: pathData, width: z.number().min(0).max(1000).optional() })).max(400),
})

/** Number signs in several systems. */
export const numberingSchema = z.enum([
  'decimal',
  'padded',
  'lower-letter',
  'upper-letter',
  'lower-roman',
  'upper-roman',
  'circled',
  'greek',
])

/** A bullet is a thing of its own: a symbol, number, icon or picture with a colour, size and distance. */
export const bulletSchema = z.object({
  symbol: z.string().max(8),
  color: colorSchema,
  /** Multiple of the text's size; absent is 1. */
  size: z.number().min(0.2).max(4).optional(),
  /** From the bullet's left edge to the words, multiple of the text's size; absent is 1.1. */
  distance: z.number().min(0.2).max(8).optional(),
  /** In place of the symbol: the line's number, with what stands after it. */
  number: z
    .object({ system: numberingSchema, after: z.string().max(4).optional() })
    .nullable()
    .optional(),
  icon: drawnIconSchema.nullable().optional(),
  picture: hashSchema.nullable().optional(),
})

export type Bullet = z.infer<typeof bulletSchema>
export type Numbering = z.infer<typeof numberingSchema>
export type DrawnIcon = z.infer<typeof drawnIconSchema>
