/** A word under an axis of time, and the days since 1970 at which it stands. */
export interface TimeName {
  at: number
  label: string
}

const monthsApart = [1, 3, 6, 12, 24, 60, 120, 240]
const msOfDay = 86_400_000

/**
 * Names for a long run of days: beginnings of months, quarters or years as far apart as `fits` allows (how many names there is room for),
 * the year said where it begins or where there is but one month of it.
 */
export function timeNames(first: number, last: number, language: string, fits: number): TimeName[] {
  const [from, to] = [new Date(first * msOfDay), new Date(last * msOfDay)]
  const months = (to.getUTCFullYear() - from.getUTCFullYear()) * 12 + to.getUTCMonth() - from.getUTCMonth() + 1
  const apart = monthsApart.find(step => months / step <= Math.max(2, fits)) ?? monthsApart.at(-1)!
  const write = (date: Date, options: Intl.DateTimeFormatOptions) =>
    new Intl.DateTimeFormat(language, { ...options, timeZone: 'UTC' }).format(date)
  const names: TimeName[] = []
  const oneYear = from.getUTCFullYear() === to.getUTCFullYear()
  for (let month = 0; month < months; month++) {
    const date = new Date(Date.UTC(from.getUTCFullYear(), from.getUTCMonth() + month, 1))
    const at = date.getTime() / msOfDay
    const monthOfAll = date.getUTCFullYear() * 12 + date.getUTCMonth()
    if (monthOfAll % apart) continue
    // A month that began shortly before the first day is named at that day.
    const place = at < first ? (first - at < 4 ? first : null) : at
    if (place === null || place > last) continue
    const isYear = date.getUTCMonth() === 0 && !oneYear
    names.push({
      at: place,
      label: apart >= 12 ? String(date.getUTCFullYear()) : isYear ? write(date, { year: 'numeric' }) : write(date, { month: 'short' }),
    })
  }
  return names
}
