import { drawingOfElement } from '../charts'
import { diagramParts } from '../diagrams'
import type { Cue, Deck, Parts } from '../model'
import type { ShownElement } from '../resolved'
import { layoutOfTable } from '../tables'
import { layoutOfElement, lettersOf } from '../text'
import { effectNamed } from './effects'
import type { PartSpan } from './score'
import type { TimingContext } from './context'

const fineness: readonly Parts['by'][] = ['paragraph', 'line', 'word', 'letter']

/** The finest of some ways of telling parts apart. */
const finest = (ways: readonly Parts['by'][]): Parts['by'] =>
  ways.reduce((best, way) => (fineness.indexOf(way) > fineness.indexOf(best) ? way : best))

/** The finest parts that the cues of an element tell apart; null where all of them move it as a whole. */
export function finestOf(element: ShownElement, cues: readonly Cue[]): Parts['by'] | null {
  const ways = cues.flatMap(cue => {
    const effect = effectNamed(cue.effect, cue.what)
    if (effect.fine && effect.kinds?.includes(element.kind)) return [effect.fine]
    return cue.parts && !effect.whole ? [cue.parts.by] : []
  })
  if (!ways.length) return null
  if (element.kind === 'text') return finest(ways)
  if (element.kind === 'chart' || element.kind === 'table') return 'mark'
  return element.kind === 'diagram' ? 'item' : null
}

/** For each finest part of an element, the index of the part that it belongs to, told apart another way. */
export function partIndices(deck: Deck, element: ShownElement, by: Parts['by'], fine: Parts['by'], context: TimingContext): number[] {
  if (element.kind === 'chart') {
    const parts = drawingOfElement(deck, element, null, context.table, context.measurer)?.parts ?? 0
    return Array.from({ length: parts }, (_, index) => (by === 'series' ? 0 : index))
  }
  if (element.kind === 'table') {
    const layout = layoutOfTable(deck, element, context.table, context.measurer)
    return Array.from({ length: (layout?.rows ?? 0) * (layout?.columns ?? 0) }, (_, index) =>
      by === 'line' ? Math.floor(index / layout!.columns) : by === 'series' ? index % layout!.columns : index,
    )
  }
  if (element.kind === 'diagram') return diagramParts(element.text, element.family).map((_, index) => index)
  if (element.kind !== 'text') return []
  const layout = layoutOfElement(deck, element, context.measurer)
  const made: number[] = []
  const put = (index: number, value: number) => {
    if (made[index] === undefined) made[index] = value
  }
  for (const line of layout.lines) {
    for (const run of line.runs) {
      const letters = fine === 'letter' || by === 'letter' ? lettersOf(run.text).length : 1
      for (let step = 0; step < letters; step++) {
        const index = { paragraph: line.paragraph, line: line.index, word: run.word, letter: run.letter + step }
        const at = (way: Parts['by']) => index[way as keyof typeof index] ?? 0
        if (at(fine) >= 0) put(at(fine), at(by))
      }
    }
  }
  return Array.from({ length: layout.counts[fine as keyof typeof layout.counts] ?? 0 }, (_, index) => made[index] ?? made[index - 1] ?? 0)
}

/** How the finest parts take their turns in a cue: `indices` from `partIndices`, or all 0 for the whole as one part. */
export function spanOf(indices: readonly number[], parts: Pick<Parts, 'stagger' | 'range' | 'backwards'>): PartSpan {
  const count = indices.reduce((most, index) => Math.max(most, index + 1), 0)
  const from = parts.range?.from ?? 0
  const to = Math.min(parts.range?.to ?? count - 1, count - 1)
  const places = Math.max(0, to - from + 1)
  const sizes = new Array<number>(places).fill(0)
  const rank: number[] = []
  const place = indices.map((index, fine) => {
    if (index < from || index > to) {
      rank[fine] = 0
      return -1
    }
    const turn = parts.backwards ? to - index : index - from
    rank[fine] = sizes[turn]!++
    return turn
  })
  return { place, rank, sizes, count: places, stagger: parts.stagger }
}
