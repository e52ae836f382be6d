/** Sorted spans of code points, both ends included. */
export type Spans = readonly (readonly [from: number, to: number])[]

/** The spans of code points that a CSS unicode-range names. */
export const spansOfRange = (range: string): Spans =>
  range
    .split(',')
    .filter(Boolean)
    .map(part => {
      const [from, to] = part.trim().replace(/^U\+/i, '').split('-')
      return [Number.parseInt(from!, 16), Number.parseInt(to ?? from!, 16)] as const
    })

/** Spans as they are written by `packSpans`. */
export function unpackSpans(words: string): Spans {
  let at = 0
  return words
    .split(' ')
    .filter(Boolean)
    .map(word => {
      const [distance, length = '0'] = word.split('+')
      const from = at + Number.parseInt(distance!, 36)
      at = from + Number.parseInt(length, 36)
      return [from, at] as const
    })
}

/** Code points as short as they can be written: spans as “distance from the end of the last+length”, in base 36, parted by blanks. */
export function packSpans(points: Iterable<number>): string {
  const words: string[] = []
  let [at, from, to] = [0, -1, -1]
  const close = () => {
    if (from < 0) return
    words.push(`${(from - at).toString(36)}${to === from ? '' : `+${(to - from).toString(36)}`}`)
    at = to
  }
  for (const point of [...new Set(points)].sort((a, b) => a - b)) {
    if (from >= 0 && point === to + 1) to = point
    else {
      close()
      from = to = point
    }
  }
  close()
  return words.join(' ')
}

/** Whether sorted spans hold a code point. */
export function holds(spans: Spans, point: number): boolean {
  let [low, high] = [0, spans.length - 1]
  while (low <= high) {
    const middle = (low + high) >> 1
    const [from, to] = spans[middle]!
    if (point < from) high = middle - 1
    else if (point > to) low = middle + 1
    else return true
  }
  return false
}
