const two = (value: number) => String(value).padStart(2, '0')

const clock = /^(\d{1,2})\s?([:.h])\s?(\d{2})?(?::(\d{2}))?\s*([ap]\.?m\.?)?\s*(uhr|h|hrs|kl)?\.?$/i
const hourAlone = /^(\d{1,2})\s*(?:([ap]\.?m\.?)|uhr|h)$/i

/** Hours of the day, from those of half a day where a half is named; undefined where there are none such. */
function hourOf(hours: number, half: string | undefined): number | undefined {
  if (!half) return hours <= 24 ? hours : undefined
  return hours >= 1 && hours <= 12 ? (hours % 12) + (/^p/i.test(half) ? 12 : 0) : undefined
}

/**
 * A time of day, as 06:15 or 06:15:30 (ISO 8601); undefined where it is none.
 *
 * @param marks what may part hours and minutes where no word tells: a colon, a point, an h
 */
export function readClock(cell: string, marks = ':'): string | undefined {
  const text = cell.trim()
  const alone = hourAlone.exec(text)
  if (alone) {
    const hour = hourOf(Number(alone[1]), alone[2])
    return hour === undefined ? undefined : `${two(hour)}:00`
  }
  const match = clock.exec(text)
  if (!match) return undefined
  const [, hours, mark, minutes = '00', seconds, half, word] = match
  if ((!marks.includes(mark!.toLowerCase()) && !word && !half) || (match[3] === undefined && mark !== 'h')) return undefined
  const hour = hourOf(Number(hours), half)
  if (hour === undefined || Number(minutes) > 59 || Number(seconds ?? 0) > 59 || (hour === 24 && Number(minutes) > 0)) return undefined
  return `${two(hour)}:${minutes}${seconds === undefined ? '' : `:${seconds}`}`
}

const units: readonly (readonly [RegExp, number])[] = [
  [/^(?:d|days?|tage?n?|jours?|días?|giorni?|dias?|dagen|dagar|dage?|dni|päivää)$/i, 86_400],
  [/^(?:h|hrs?|hours?|std|stunden?|heures?|horas?|ore?|uur|uren|tim|timmar|timer|godz|t)$/i, 3600],
  [/^(?:m|min|mins|minutes?|minuten|minutos?|minuti|minuter|minutter|minut)$/i, 60],
  [/^(?:s|sec|secs|seconds?|sek|sekunden?|secondes?|segundos?|secondi|seconden|sekunder)$/i, 1],
]
const secondsIn = (word: string) => units.find(([pattern]) => pattern.test(word.replace(/\.$/, '')))?.[1]

/**
 * A length of time in seconds: 1:05 (hours and minutes), 1:05:30, 1 h 05, 65 min, 1.5 h, PT1H5M (ISO 8601). Undefined where it is none.
 * `minutes`: two parts are minutes and seconds.
 */
export function readDuration(cell: string, minutes = false): number | undefined {
  const text = cell.trim().replace(/[\s\u00a0\u202f]+/g, ' ')
  const sign = /^[-−–]/.test(text) ? -1 : 1
  const plain = text.replace(/^[-−–+]\s?/, '')
  const parts = /^(\d{1,4}):([0-5]\d)(?::([0-5]\d)(?:[.,](\d+))?)?$/.exec(plain)
  if (parts) {
    const [, first, second, third, rest] = parts
    const whole =
      third === undefined
        ? minutes
          ? Number(first) * 60 + Number(second)
          : Number(first) * 3600 + Number(second) * 60
        : Number(first) * 3600 + Number(second) * 60 + Number(third)
    return sign * (whole + (rest === undefined ? 0 : Number(`0.${rest}`)))
  }
  const iso = /^P(?:(\d+)D)?(?:T(?:(\d+)H)?(?:(\d+)M)?(?:(\d+(?:[.,]\d+)?)S)?)?$/i.exec(plain)
  if (iso && plain.length > 2)
    return (
      sign *
      ((Number(iso[1] ?? 0) * 24 + Number(iso[2] ?? 0)) * 3600 + Number(iso[3] ?? 0) * 60 + Number((iso[4] ?? '0').replace(',', '.')))
    )
  const words = [...plain.matchAll(/(\d+(?:[.,]\d+)?)\s?([\p{L}]+\.?)/gu)]
  const trailing = /^(\d+)\s?h\s?([0-5]?\d)$/i.exec(plain)
  if (trailing) return sign * (Number(trailing[1]) * 3600 + Number(trailing[2]) * 60)
  if (
    !words.length ||
    words
      .map(([all]) => all)
      .join('')
      .replace(/\s/g, '') !== plain.replace(/\s|,(?=\s)|\b(?:and|und|et|y|e|en|och|og|i|ja)\b/g, '')
  )
    return undefined
  let sum = 0
  for (const [, amount, word] of words) {
    const seconds = secondsIn(word!)
    if (seconds === undefined) return undefined
    sum += Number(amount!.replace(',', '.')) * seconds
  }
  return sign * sum
}
