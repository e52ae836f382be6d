import type { Setting } from './setting'

/** The chart in a sentence or two, for those who do not see it. `of` and `parts`: as “Bar chart” and “bars”. */
export function describe({ data, words }: Setting, of: string, parts: string): string {
  const { amount, category, categories, series, values, seriesName } = data
  const head = `${of} of ${amount?.name ?? 'rows'} by ${category.name}`
  if (!categories.length) return `${head}, without rows.`
  const best = { value: -Infinity, series: 0, category: 0 }
  const least = { value: Infinity, series: 0, category: 0 }
  values.forEach((list, index) =>
    list.forEach((value, at) => {
      if (value === null) return
      if (value > best.value) Object.assign(best, { value, series: index, category: at })
      if (value < least.value) Object.assign(least, { value, series: index, category: at })
    }),
  )
  if (series.length < 2) {
    if (!Number.isFinite(best.value)) return `${head}, ${categories.length} ${parts}, none with a number.`
    return `${head}, ${categories.length} ${parts}. Highest: ${categories[best.category]!.label}, ${words(best.value)}.`
  }
  const at = (found: typeof best) => `${series[found.series]!.label} in ${categories[found.category]!.label}, ${words(found.value)}`
  const span = `${categories[0]!.label} to ${categories.at(-1)!.label}`
  const each = `for ${series.length} ${seriesName ? `values of ${seriesName}` : 'columns'}`
  if (!Number.isFinite(best.value)) return `${head} ${each}, ${span}, without numbers.`
  return `${head} ${each}, ${span}. Highest: ${at(best)}. Lowest: ${at(least)}.`
}
