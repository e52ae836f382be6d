import type { Caption } from '../model'
import { spokenIn, type Stretch } from './spoken'

/** The sentences of a script, in order; line ends part them too. */
export function sentencesOf(text: string, language = 'en'): string[] {
  const segmenter = new Intl.Segmenter(language, { granularity: 'sentence' })
  return text
    .split(/\n+/)
    .flatMap(line => Array.from(segmenter.segment(line), part => part.segment.trim()))
    .filter(sentence => /[\p{L}\p{N}]/u.test(sentence))
}

/** How long a sentence takes to say, against others: about its letters and digits, a digit as long as three letters. */
export const weightOf = (sentence: string) =>
  Math.max(
    1,
    Array.from(sentence).reduce((sum, sign) => sum + (/\p{N}/u.test(sign) ? 3 : /\p{L}/u.test(sign) ? 1 : 0), 0),
  )

/**
 * Lays sentences over what is spoken: each takes a run of spoken stretches, so that how long they last is nearest to how
 * long they take to say (least squares, by dynamic programming). With fewer stretches than sentences, a stretch is shared
 * by weight. Seconds into the recording.
 */
export function laySentences(sentences: readonly string[], spoken: readonly Stretch[]): Stretch[] {
  if (!sentences.length || !spoken.length) return []
  const weights = sentences.map(weightOf)
  const total = weights.reduce((sum, weight) => sum + weight, 0)
  const voiced = spoken.reduce((sum, { from, until }) => sum + until - from, 0)
  if (spoken.length < sentences.length)
    return shareOut(
      weights.map(weight => (weight / total) * voiced),
      spoken,
    )
  const wanted = weights.map(weight => (weight / total) * voiced)
  const [n, m] = [sentences.length, spoken.length]
  const sums = [0]
  for (const { from, until } of spoken) sums.push(sums.at(-1)! + until - from)
  const cost = Array.from({ length: n + 1 }, () => new Float64Array(m + 1).fill(Infinity))
  const cut = Array.from({ length: n + 1 }, () => new Int32Array(m + 1))
  cost[0]![0] = 0
  for (let sentence = 1; sentence <= n; sentence++) {
    for (let end = sentence; end <= m - (n - sentence); end++) {
      for (let begin = sentence - 1; begin < end; begin++) {
        const next = cost[sentence - 1]![begin]! + (sums[end]! - sums[begin]! - wanted[sentence - 1]!) ** 2
        if (next < cost[sentence]![end]!) {
          cost[sentence]![end] = next
          cut[sentence]![end] = begin
        }
      }
    }
  }
  const made: Stretch[] = []
  for (let sentence = n, end = m; sentence > 0; sentence--) {
    const begin = cut[sentence]![end]!
    made.unshift({ from: spoken[begin]!.from, until: spoken[end - 1]!.until })
    end = begin
  }
  return made
}

/** Parts what is spoken by lengths of voice, seconds, going over pauses. */
function shareOut(lengths: readonly number[], spoken: readonly Stretch[]): Stretch[] {
  let stretch = 0
  let at = spoken[0]!.from
  return lengths.map((length, index) => {
    const from = at
    let left = length
    while (stretch < spoken.length - 1 && spoken[stretch]!.until - at <= left + 1e-9) {
      left -= spoken[stretch]!.until - at
      at = spoken[++stretch]!.from
    }
    at = index === lengths.length - 1 ? spoken.at(-1)!.until : Math.min(spoken[stretch]!.until, at + left)
    return { from, until: Math.max(from, at) }
  })
}

const round = (seconds: number) => Math.round(seconds * 100) / 100

/** Captions of a narration from its script: a sentence each, timed by where the voice pauses. */
export function captionsFor(script: string, peaks: Uint8Array, language = 'en'): Caption[] {
  const sentences = sentencesOf(script, language)
  return laySentences(sentences, spokenIn(peaks)).map(({ from, until }, index) => ({
    from: round(from),
    until: round(Math.max(until, from + 0.2)),
    text: sentences[index]!.slice(0, 1000),
  }))
}

/** Where the sentences of a script begin in a recording, seconds, but the first, which begins with its slide. */
export const startsFromVoice = (script: string, peaks: Uint8Array, language = 'en'): number[] =>
  laySentences(sentencesOf(script, language), spokenIn(peaks))
    .slice(1)
    .map(({ from }) => round(from))
