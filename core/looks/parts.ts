import type { Place } from '../families'
import type { Element } from '../model'
import { ordersAt, type Id } from '../values'

/**
 * The places that a layout or master keeps, as its records: those without a placeholder are parts of it alone, and stand on all of its
 * slides. The n-th place has the n-th order.
 */
export function layoutParts(places: readonly Place[], owner: Id): Element[] {
  const orders = ordersAt([], 0, places.length)
  return places.map((place, index) => {
    const { placeholder, ...rest } = place
    const own = placeholder ? { ...rest, placeholder } : rest
    return { ...own, id: `${owner}-${placeholder || `part${index}`}`, owner, order: orders[index]! } as Element
  })
}
