import { generateKeyBetween, generateNKeysBetween } from 'fractional-indexing'
import { z } from 'zod'

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

type Ordered = { readonly order: string }

/** The order of something put into `siblings` (in order) so that it stands at `index`. */
export function orderAt(siblings: readonly Ordered[], index: number): string {
  return ordersAt(siblings, index, 1)[0]!
}

/** The orders of `count` things put at `index`, in order. Siblings whose orders collide are stepped over. */
export function ordersAt(siblings: readonly Ordered[], index: number, count: number): string[] {
  const at = Math.max(0, Math.min(index, siblings.length))
  const before = at > 0 ? siblings[at - 1]!.order : null
  let after: string | null = null
  for (let i = at; i < siblings.length; i++) {
    if (before === null || siblings[i]!.order > before) {
      after = siblings[i]!.order
      break
    }
  }
  return generateNKeysBetween(before, after, count)
}

/** The order of something at the end. */
export const orderLast = (siblings: readonly Ordered[]) => generateKeyBetween(siblings.at(-1)?.order ?? null, null)
