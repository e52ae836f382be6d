import { z } from 'zod'

/** A picture's own size in its pixels. */
export const sizeSchema = z.object({ width: z.number().positive(), height: z.number().positive() })

const pixels = z.number().min(-100_000).max(100_000)

/** Place in px of deck space, from the slide's top left; `angle` in degrees clockwise about the box's centre. */
export const boxSchema = z.object({
  x: pixels,
  y: pixels,
  width: z.number().min(0).max(100_000),
  height: z.number().min(0).max(100_000),
  angle: z.number().min(-36_000).max(36_000),
})

/** Lines to compose by, px of deck space: x of upright ones, y of level ones. */
export const guidesSchema = z.object({ x: z.array(pixels).max(200), y: z.array(pixels).max(200) })

export type Box = z.infer<typeof boxSchema>
export type Guides = z.infer<typeof guidesSchema>
export type Size = z.infer<typeof sizeSchema>
