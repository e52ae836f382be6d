/**
 * Where a word in small letters may be parted in a language (BCP 47), as the pieces that it is put together of; undefined where that is
 * not known (yet).
 */
export type Syllables = (word: string, language: string) => readonly string[] | undefined

/** Letters that stay before a break, and those that go behind it, at least. */
const [leastBefore, leastBehind] = [2, 3]
/** A word with what stands around it: quotation marks, a bracket, a point. */
const core = /^([^\p{L}]*)(\p{L}+)([^\p{L}]*)$/u

/**
 * The places within a word, in letters (UTF-16) from its beginning, at which a line may end with a hyphen; none in what holds figures or is
 * short.
 */
export function breaksIn(token: string, language: string, syllables: Syllables): number[] {
  const [, before = '', word = ''] = core.exec(token) ?? []
  if (word.length < leastBefore + leastBehind) return []
  const breaks: number[] = []
  let at = 0
  for (const part of syllables(word.toLowerCase(), language)?.slice(0, -1) ?? []) {
    at += part.length
    if (at >= leastBefore && word.length - at >= leastBehind) breaks.push(before.length + at)
  }
  return breaks
}
