import type { Cue, Deck, Parts } from '../model'
import type { ShownElement } from '../resolved'
import type { TimingContext } from './context'
import { effectNamed } from './effects'
import { timedKind } from './kinds'
import type { PartSpan } from './score'

/** The finest parts that the cues of an element tell apart; null where all of them move it as a whole. */
export function finestOf(element: ShownElement, cues: readonly Cue[]): Parts['by'] | null {
  const ways = cues.flatMap(cue => {
    const effect = effectNamed(cue.effect, cue.what)
    if (effect.fine && effect.kinds?.includes(element.kind)) return [effect.fine]
    return cue.parts && !effect.whole ? [cue.parts.by] : []
  })
  return ways.length ? (timedKind(element)?.finest(ways) ?? null) : null
}

/** For each finest part of an element, the index of the part that it belongs to, told apart another way. */
export const partIndices = (deck: Deck, element: ShownElement, by: Parts['by'], fine: Parts['by'], context: TimingContext): number[] =>
  timedKind(element)?.indices(deck, element, by, fine, context) ?? []

/** What each part of an element amounts to, told apart a way; empty where its kind knows of none. */
export const partAmounts = (deck: Deck, element: ShownElement, by: Parts['by'], context: TimingContext): readonly (number | null)[] =>
  timedKind(element)?.amounts?.(deck, element, by, context) ?? []

/** In which turn each of some parts comes, from 0: as they stand, or by what they amount to; those that amount to nothing come last. */
function turnsOf(from: number, count: number, { order, backwards }: SpanParts, amounts: readonly (number | null)[]): number[] {
  const parts = Array.from({ length: count }, (_, at) => from + at)
  const way = order === 'falling' ? -1 : 1
  const amount = (part: number) => (typeof amounts[part] === 'number' ? way * amounts[part] : Infinity)
  if (order) parts.sort((a, b) => (amount(a) === amount(b) ? a - b : amount(a) - amount(b)))
  if (backwards) parts.reverse()
  const turns: number[] = []
  parts.forEach((part, turn) => (turns[part - from] = turn))
  return turns
}

type SpanParts = Pick<Parts, 'stagger' | 'range' | 'backwards' | 'order'>

/**
 * How the finest parts take their turns in a cue: `indices` from `partIndices`, or all 0 for the whole as one part; `amounts` from
 * `partAmounts`.
 */
export function spanOf(indices: readonly number[], parts: SpanParts, amounts: readonly (number | null)[] = []): PartSpan {
  const count = indices.reduce((most, index) => Math.max(most, index + 1), 0)
  const from = parts.range?.from ?? 0
  const to = Math.min(parts.range?.to ?? count - 1, count - 1)
  const places = Math.max(0, to - from + 1)
  const turns = turnsOf(from, places, parts, amounts)
  const sizes = new Array<number>(places).fill(0)
  const rank: number[] = []
  const place = indices.map((index, fine) => {
    if (index < from || index > to) {
      rank[fine] = 0
      return -1
    }
    const turn = turns[index - from]!
    rank[fine] = sizes[turn]!++
    return turn
  })
  return { place, rank, sizes, count: places, stagger: parts.stagger }
}
