import { z } from 'zod'

/** A record's id: 1 to 64 letters, digits, `-` or `_`; none that plain objects have a meaning for, such as `__proto__`. */
export const idSchema = z.string().regex(/^[A-Za-z0-9_-]{1,64}$/).refine(id => !(id in Object.prototype), 'it is no id')

/**
 * Whether a text is a key of fractional-indexing: a head that says how long the whole part is (a to z: 2 to 27 letters, Z
 * to A likewise downwards), then a fraction that does not end in 0.
 */
function isFractionalIndex(key: string) {
  if (!/^[A-Za-z][0-9A-Za-z]+$/.test(key)) return false
  const head = key.charCodeAt(0)
  const whole = head >= 97 ? head - 95 : 92 - head
  return key.length >= whole && (key.length === whole || !key.endsWith('0')) && !/^A0{26}$/.test(key)
}

/** Place in order among siblings: a fractional index, compared as plain text. */
export const orderSchema = z.string().min(1).max(200).refine(isFractionalIndex, 'it is no place in an order')

export const roleNames = ['ground', 'ink', 'accent1', 'accent2', 'accent3', 'accent4', 'accent5', 'accent6', 'link'] as const
export const roleSchema = z.enum(roleNames)
/** SHA-256 of a media file's bytes. */
export const hashSchema = z.string().regex(/^[0-9a-f]{64}$/)
/** A picture's own size in its pixels. */
export const sizeSchema = z.object({ width: z.number().positive(), height: z.number().positive() })
export const hexSchema = z.string().regex(/^#[0-9a-fA-F]{6}$/)

/** A fraction, 0 to 1. */
export const fractionSchema = z.number().min(0).max(1)

/** A palette role or a fixed value; `tint` −1 (to black) to 1 (to white), `alpha` 0 to 1. */
export const colorSchema = z.union([
  z.object({ role: roleSchema, alpha: fractionSchema.optional(), tint: z.number().min(-1).max(1).optional() }),
  z.object({ hex: hexSchema, alpha: fractionSchema.optional() }),
])

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

/** Seconds, at most a day. */
export const secondsSchema = z.number().min(0).max(86_400)

export const easingSchema = z.union([
  z.object({ kind: z.literal('linear') }),
  z.object({ kind: z.literal('cubic-bezier'), x1: fractionSchema, y1: z.number().min(-5).max(5), x2: fractionSchema, y2: z.number().min(-5).max(5) }),
  z.object({ kind: z.literal('steps'), count: z.int().min(1).max(1000), jump: z.enum(['start', 'end', 'none', 'both']) }),
  z.object({ kind: z.literal('spring'), stiffness: z.number().min(1).max(2000), damping: z.number().min(0.1).max(200), mass: z.number().min(0.05).max(50) }),
])

/** Options of an effect, transition or kind: plain values, read through the schema of what they belong to. */
export const optionsSchema = z.record(z.string().max(64), z.union([z.string().max(2000), z.number(), z.boolean(), z.null()]))

export type Id = z.infer<typeof idSchema>
export type Role = z.infer<typeof roleSchema>
export type Color = z.infer<typeof colorSchema>
export type Box = z.infer<typeof boxSchema>
export type Guides = z.infer<typeof guidesSchema>
export type Easing = z.infer<typeof easingSchema>
export type Options = z.infer<typeof optionsSchema>
