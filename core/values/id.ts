import { z } from 'zod'

/** A record's id: 1 to 64 letters, digits, `-` or `_`; none that plain objects have a meaning for, such as `__proto__`. */
export const idSchema = z
  .string()
  .regex(/^[A-Za-z0-9_-]{1,64}$/)
  .refine(id => !(id in Object.prototype), 'it is no id')

/** SHA-256 of a media file's bytes. */
export const hashSchema = z.string().regex(/^[0-9a-f]{64}$/)

export type Id = z.infer<typeof idSchema>
