import { z } from 'zod'
import { fractionSchema } from './fraction'

export const roleNames = ['ground', 'ink', 'accent1', 'accent2', 'accent3', 'accent4', 'accent5', 'accent6', 'link'] as const
export const roleSchema = z.enum(roleNames)
export const hexSchema = z.string().regex(/^#[0-9a-fA-F]{6}$/)

/** A palette role or a fixed value; `tint` −1 (to black) to 1 (to white), `alpha` 0 to 1. */
export const colorSchema = z.union([
  z.object({ role: roleSchema, alpha: fractionSchema.optional(), tint: z.number().min(-1).max(1).optional() }),
  z.object({ hex: hexSchema, alpha: fractionSchema.optional() }),
])

export type Role = z.infer<typeof roleSchema>
export type Color = z.infer<typeof colorSchema>
