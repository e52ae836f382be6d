import { z } from 'zod'
import { linearSchema, radialSchema, viewSchema, colorSchema, fractionSchema, hashSchema, sizeSchema } from '../../values'

/** What fills a ground in place of its plain colour. */
export const groundFillSchema = z.discriminatedUnion('kind', [
  linearSchema,
  radialSchema,
  /** Top left, top right, bottom right, bottom left. */
  z.object({ kind: z.literal('corners'), colors: z.array(colorSchema).length(4) }),
  z.object({
    kind: z.literal('picture'),
    media: hashSchema,
    natural: sizeSchema,
    view: viewSchema.optional(),
    /** A colour laid over it, by its transparency. */
    veil: colorSchema.optional(),
    /** px of deck space. */
    blur: z.number().min(0).max(200).optional(),
    /** 1 as it is; less takes colour away. */
    colour: z.number().min(0).max(2).optional(),
  }),
])

/**
 * How a ground looks beyond its plain colour. A part that is absent is inherited (slide from layout, layout from master,
 * master from theme); null takes it away.
 */
export const backdropSchema = z.object({
  fill: groundFillSchema.nullable().optional(),
  texture: z
    .object({ kind: z.enum(['paper', 'linen', 'chalkboard', 'grain']), strength: fractionSchema })
    .nullable()
    .optional(),
  /** Darkens towards the edges. */
  vignette: fractionSchema.nullable().optional(),
  /** A line inside the edge; `inset` and `width` px of deck space. */
  border: z
    .object({
      color: colorSchema,
      width: z.number().min(0).max(400),
      inset: z.number().min(0).max(400),
      radius: z.number().min(0).max(400),
    })
    .nullable()
    .optional(),
})

export type GroundFill = z.infer<typeof groundFillSchema>
export type Backdrop = z.infer<typeof backdropSchema>
