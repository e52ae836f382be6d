import { group } from 'd3-array'
import type { ChartDrawing } from '../drawing'
import { shapeOf, type ChartMark } from '../marks'

/** A mark before and after; null where it is not there. */
export interface Pair {
  from: ChartMark | null
  to: ChartMark | null
}

/** The same thing of the same shape in another drawing; marks of one key and several shapes are told apart. */
const nameOf = (mark: ChartMark) => `${mark.shape} ${mark.key}`

/** Pairs those of two lists whose names are the same and have none yet; answers what is left of each. */
function paired(pairs: Pair[], before: readonly ChartMark[], after: readonly ChartMark[], name: (mark: ChartMark) => string) {
  const known = new Map<string, ChartMark>()
  for (const mark of before) if (!known.has(name(mark))) known.set(name(mark), mark)
  const taken = new Set<ChartMark>()
  const left = after.filter(to => {
    const from = known.get(name(to))
    if (!from || taken.has(from)) return true
    taken.add(from)
    pairs.push({ from, to })
    return false
  })
  return [before.filter(mark => !taken.has(mark)), left] as const
}

/**
 * Which mark of one drawing is which of the other: of the same key, and where their kinds differ, of a part of the same name. There one
 * mark may become several, and several one.
 */
export function pairsOf(from: ChartDrawing, to: ChartDrawing): Pair[] {
  const pairs: Pair[] = []
  let [before, after] = paired(pairs, from.marks, to.marks, nameOf)
  const shapes = new Set(from.marks.map(({ shape }) => shape))
  // Marks of the same shapes that find no counterpart are others.
  const bends = to.marks.length > 0 && !to.marks.some(({ shape }) => shapes.has(shape))
  if (bends) {
    // What lies beneath, as a line beneath its dots, is no counterpart where there is another.
    const upper = (marks: readonly ChartMark[]) => [...marks].sort((a, b) => Number(!!shapeOf(a).beneath) - Number(!!shapeOf(b).beneath))
    ;[before, after] = paired(pairs, upper(before), upper(after), ({ key }) => key)
    const named = (drawing: ChartDrawing, marks: readonly ChartMark[]) => group(marks, ({ part }) => drawing.names[part])
    const [own, others] = [named(from, before), named(to, after)]
    for (const [name, list] of own) {
      const counterparts = others.get(name) ?? []
      if (!counterparts.length) continue
      for (let at = 0; at < Math.max(list.length, counterparts.length); at++)
        pairs.push({ from: list[Math.min(at, list.length - 1)]!, to: counterparts[Math.min(at, counterparts.length - 1)]! })
    }
    const met = new Set(pairs.flatMap(pair => [pair.from, pair.to]))
    ;[before, after] = [before.filter(mark => !met.has(mark)), after.filter(mark => !met.has(mark))]
  }
  return [...pairs, ...before.map(mark => ({ from: mark, to: null })), ...after.map(mark => ({ from: null, to: mark }))]
}
