import { z } from 'zod'
import { colorSchema, fractionSchema } from '../../values'

/** How a picture is shown otherwise than it is. All parts together make one look; what is absent leaves the picture alone. */
export const treatmentSchema = z.object({
  /** Multiples of what the picture has: 1 leaves it. */
  light: z.number().min(0).max(3).optional(),
  contrast: z.number().min(0).max(3).optional(),
  colour: z.number().min(0).max(3).optional(),
  /** −1 cold to 1 warm. */
  warmth: z.number().min(-1).max(1).optional(),
  /** px of deck space. */
  blur: z.number().min(0).max(200).optional(),
  /** A colour laid over it with a strength. */
  tint: z.object({ color: colorSchema, strength: fractionSchema }).nullable().optional(),
  /** Its darks in one colour, its lights in another. */
  twoTone: z.object({ dark: colorSchema, light: colorSchema }).nullable().optional(),
  /** It fades into nothing at a side, over a share of its width or height. */
  fade: z
    .object({ side: z.enum(['left', 'right', 'top', 'bottom']), share: fractionSchema })
    .nullable()
    .optional(),
  /** It darkens (or lightens) in a colour from a side, over a share of its width or height, so that words there can be read. */
  shade: z
    .object({ side: z.enum(['left', 'right', 'top', 'bottom']), share: fractionSchema, color: colorSchema })
    .nullable()
    .optional(),
})

export type Treatment = z.infer<typeof treatmentSchema>
