import { z } from 'zod'
import { fractionSchema } from './fraction'

/** Seconds, at most a day. */
export const secondsSchema = z.number().min(0).max(86_400)

export const easingSchema = z.union([
  z.object({ kind: z.literal('linear') }),
  z.object({
    kind: z.literal('cubic-bezier'),
    x1: fractionSchema,
    y1: z.number().min(-5).max(5),
    x2: fractionSchema,
    y2: z.number().min(-5).max(5),
  }),
  z.object({ kind: z.literal('steps'), count: z.int().min(1).max(1000), jump: z.enum(['start', 'end', 'none', 'both']) }),
  z.object({
    kind: z.literal('spring'),
    stiffness: z.number().min(1).max(2000),
    damping: z.number().min(0.1).max(200),
    mass: z.number().min(0.05).max(50),
  }),
])

export type Easing = z.infer<typeof easingSchema>
