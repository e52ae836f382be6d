import type { Item } from './family'
import { numberIn } from './parts'

/** The share of each item, 0 to 1, adding up to 1: by the numbers in their lead or words; even where one has none. */
export function sharesOf(items: readonly Item[]): number[] {
  const values = items.map(item => numberIn(item.lead ?? item.text ?? ''))
  const sum = values.reduce<number>((all, value) => all + (value ?? 0), 0)
  if (sum <= 0 || values.some(value => value === null || value < 0)) return items.map(() => 1 / items.length)
  return values.map(value => value! / sum)
}
