/**
 * For each of `after`, the index in `before` of what it was, or null where it is new: what says the same is the same, in
 * order; between those, what is left over is matched one by one.
 */
export function pairs(before: readonly string[], after: readonly string[]): (number | null)[] {
  const made: (number | null)[] = after.map(() => null)
  let start = 0
  while (start < before.length && start < after.length && before[start] === after[start]) made[start] = start++
  let [endBefore, endAfter] = [before.length, after.length]
  while (endBefore > start && endAfter > start && before[endBefore - 1] === after[endAfter - 1]) made[--endAfter] = --endBefore
  const anchors: [number, number][] = same(before.slice(start, endBefore), after.slice(start, endAfter)).map(([a, b]) => [
    a + start,
    b + start,
  ])
  let [a, b] = [start, start]
  const upTo = (nextA: number, nextB: number) => {
    while (a < nextA && b < nextB) made[b++] = a++
  }
  for (const [nextA, nextB] of anchors) {
    upTo(nextA, nextB)
    made[nextB] = nextA
    ;[a, b] = [nextA + 1, nextB + 1]
  }
  upTo(endBefore, endAfter)
  return made
}

/** The longest common sequence of two lists as pairs of indices; none where they are too long to compare. */
function same(before: readonly string[], after: readonly string[]): [number, number][] {
  if (before.length * after.length > 4_000_000) return []
  const wide = after.length + 1
  const lengths = new Uint16Array((before.length + 1) * wide)
  for (let i = before.length - 1; i >= 0; i--) {
    for (let j = after.length - 1; j >= 0; j--) {
      lengths[i * wide + j] =
        before[i] === after[j] ? lengths[(i + 1) * wide + j + 1]! + 1 : Math.max(lengths[(i + 1) * wide + j]!, lengths[i * wide + j + 1]!)
    }
  }
  const made: [number, number][] = []
  let [i, j] = [0, 0]
  while (i < before.length && j < after.length) {
    if (before[i] === after[j]) made.push([i++, j++])
    else if (lengths[(i + 1) * wide + j]! >= lengths[i * wide + j + 1]!) i++
    else j++
  }
  return made
}
