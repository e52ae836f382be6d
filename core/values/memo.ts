/**
 * Remembers what was computed from records, as the one way to do so in the house. Its rules:
 *
 * 1. `keysOf` names everything that `compute` reads, as identities: records, tables, numbers, words. What is not among the keys must not be
 *    read, or an old answer is given for it.
 * 2. The first key is an object, and what is remembered lives as long as it does: choose the one that changes when the answer does.
 * 3. The second key, where there is one, tells answers apart that are kept side by side, `keep` of them; the further ones must be the very
 *    same, or the answer is computed anew and takes the old one's place.
 * 4. Keys are compared by identity (`Object.is`). Records that an edit did not touch keep theirs, so an edit elsewhere costs nothing here.
 * 5. The very same object is answered for the same keys: whoever is handed it may not write into it, and can remember by it in turn.
 *
 * @example
 * const headText = memoByRecords((paragraph: Paragraph) => [paragraph], paragraph => textOf([inlineText(paragraph.content)]))
 */
export function memoByRecords<A extends readonly unknown[], R>(
  keysOf: (...args: A) => readonly [object, ...unknown[]],
  compute: (...args: A) => R,
  { keep = 1 }: { keep?: number } = {},
): (...args: A) => R {
  const memory = new WeakMap<object, Map<unknown, { keys: readonly unknown[]; answer: R }>>()
  return (...args) => {
    const keys = keysOf(...args)
    const [owner, second] = keys
    let kept = memory.get(owner)
    if (!kept) memory.set(owner, (kept = new Map()))
    const known = kept.get(second)
    if (known && areSame(known.keys, keys)) return known.answer
    const answer = compute(...args)
    if (!known && kept.size >= keep) kept.clear()
    kept.set(second, { keys, answer })
    return answer
  }
}

/**
 * Remembers what was computed from words: `keyOf` says in a text everything that `compute` reads. All is forgotten at once when `keep`
 * answers are remembered. Whoever is handed an answer may not write into it.
 */
export function memoByText<A extends readonly unknown[], R>(
  keyOf: (...args: A) => string,
  compute: (...args: A) => R,
  keep = 2000,
): (...args: A) => R {
  const memory = new Map<string, R>()
  return (...args) => {
    const key = keyOf(...args)
    if (memory.has(key)) return memory.get(key)!
    const answer = compute(...args)
    if (memory.size >= keep) memory.clear()
    memory.set(key, answer)
    return answer
  }
}

/** Two lists of keys with the same identities, from the third on: what the first two are, the memory itself is ordered by. */
function areSame(a: readonly unknown[], b: readonly unknown[]): boolean {
  if (a.length !== b.length) return false
  for (let index = 2; index < a.length; index++) if (!Object.is(a[index], b[index])) return false
  return true
}
