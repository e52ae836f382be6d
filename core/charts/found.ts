import type { Gathered } from '../data'
import type { ChartSpec, Finding } from '../model'

const lastOf = (values: readonly (number | null)[]) => values.findLast(value => value !== null) ?? null
const firstOf = (values: readonly (number | null)[]) => values.find(value => value !== null) ?? null

/** What a category, or of several series a series, comes to; of categories in a run, at a moment. */
const amountIn = ({ categories, values }: Gathered, key: string) => {
  const at = categories.findIndex(category => category.key === key)
  return at < 0 ? null : (values[0]?.[at] ?? null)
}

/** How far categories have come from the first moment that knows them to the last of some. */
function changesThrough(knots: readonly Gathered[], keys: readonly string[]) {
  return keys.map(key => {
    const [first, last] = [firstOf(knots.map(knot => amountIn(knot, key))), knots.length ? amountIn(knots.at(-1)!, key) : null]
    return first === null || last === null ? null : last - first
  })
}

/**
 * The key of what a finding finds among the series where there are several, else among the categories; null where there is nothing to be
 * found. `through`: all moments that are run through, which a category’s rise and
 * fall are told by.
 */
export function foundIn(finding: Finding, data: Gathered, through: readonly Gathered[] | null = null): string | null {
  const { series, categories, values } = data
  const several = series.length > 1
  const entries = several ? series : categories
  if (!entries.length) return null
  if (finding === 'first' || finding === 'last') return entries.at(finding === 'first' ? 0 : -1)!.key
  const changes = finding === 'rise' || finding === 'fall'
  const amountOf = (index: number) => {
    if (!several) return values[0]![index] ?? null
    const [first, last] = [firstOf(values[index]!), lastOf(values[index]!)]
    return changes ? (first === null || last === null ? null : last - first) : last
  }
  const amounts =
    changes && !several && through
      ? changesThrough(
          through,
          entries.map(({ key }) => key),
        )
      : entries.map((_, index) => {
          const amount = amountOf(index)
          if (several || !changes || amount === null) return amount
          // Along categories, what rose most is the one that is furthest above the one before.
          const before = index ? amountOf(index - 1) : null
          return before === null ? null : amount - before
        })
  const way = finding === 'least' || finding === 'fall' ? -1 : 1
  const known = amounts.flatMap((amount, index) => (amount === null ? [] : [{ amount: way * amount, index }]))
  // Of equal ones the first.
  const ranked = known.sort((a, b) => b.amount - a.amount || a.index - b.index)
  const found = ranked[finding === 'next' ? 1 : 0]
  return found ? entries[found.index]!.key : null
}

/** What is highlighted: what was named, and what the rule finds. */
export function highlightedIn(
  { rule, highlighted, ofRow }: ChartSpec,
  data: Gathered,
  through: readonly Gathered[] | null = null,
): string[] {
  const found = rule ? foundIn(rule, data, through) : null
  return [...new Set([...highlighted, ...(found === null ? [] : [found]), ...(ofRow ? [ofRow] : [])])]
}
