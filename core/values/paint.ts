import { z } from 'zod'
import { sizeSchema } from './box'
import { colorSchema } from './color'
import { fractionSchema } from './fraction'
import { hashSchema } from './id'

export const stopSchema = z.object({ color: colorSchema, at: fractionSchema })

/**
 * Which point of a picture (fractions) stands in the middle of where it is shown as far as it can, and how much it is enlarged over just
 * filling that.
 */
export const viewSchema = z.object({ x: fractionSchema, y: fractionSchema, zoom: z.number().min(1).max(20) })

/** Angle in degrees clockwise from upwards. */
export const linearSchema = z.object({
  kind: z.literal('linear'),
  angle: z.number().min(0).max(360),
  stops: z.array(stopSchema).min(2).max(12),
})
/** From a point, as fractions of what is painted, to its farthest corner. */
export const radialSchema = z.object({
  kind: z.literal('radial'),
  x: fractionSchema,
  y: fractionSchema,
  stops: z.array(stopSchema).min(2).max(12),
})

/** What fills a shape, a panel or letters: a colour, a gradient or a picture. */
export const paintSchema = z.union([
  colorSchema,
  z.discriminatedUnion('kind', [
    linearSchema,
    radialSchema,
    z.object({ kind: z.literal('picture'), media: hashSchema, natural: sizeSchema, view: viewSchema.optional() }),
  ]),
])

/** A line around something or along a path; `width` and `dash` in px of deck space. */
export const strokeSchema = z.object({
  color: colorSchema,
  width: z.number().min(0).max(500),
  dash: z.array(z.number().min(0).max(1000)).max(8).optional(),
})

/** A shadow beneath something: its offset and softness in px of deck space. */
export const shadowSchema = z.object({
  color: colorSchema,
  x: z.number().min(-500).max(500),
  y: z.number().min(-500).max(500),
  blur: z.number().min(0).max(500),
})

export type Paint = z.infer<typeof paintSchema>
export type Stroke = z.infer<typeof strokeSchema>
export type Shadow = z.infer<typeof shadowSchema>
export type View = z.infer<typeof viewSchema>
