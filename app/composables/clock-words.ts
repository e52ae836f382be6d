export { listWords, numberWords, secondsWords } from '#core/values'

/** Seconds as m:ss, or m:ss.t with a tenth. */
export function clockWords(seconds: number, tenths = false): string {
  const rounded = tenths ? Math.round(seconds * 10) / 10 : Math.round(seconds)
  const minutes = Math.floor(rounded / 60)
  const rest = rounded - minutes * 60
  return `${minutes}:${(tenths ? rest.toFixed(1) : String(rest)).padStart(tenths ? 4 : 2, '0')}`
}
