import { generateKeyBetween, generateNKeysBetween } from 'fractional-indexing'

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
