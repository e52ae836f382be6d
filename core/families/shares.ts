import { amountsToScale } from '../phrases'
import type { Item } from './family'

/** The share of each item, 0 to 1, adding up to 1: by the amounts in their lead or words; even where these cannot be compared. */
export function sharesOf(items: readonly Item[]): number[] {
  const values = amountsToScale(items.map(item => item.lead ?? item.text))
  if (!values) return items.map(() => 1 / items.length)
  const sum = values.reduce((all, value) => all + value, 0)
  return values.map(value => value / sum)
}
