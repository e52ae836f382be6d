import type { Cue } from '../model'
import type { Id } from '../values'

/**
 * When each cue of a beat starts and ends, seconds into the beat, from its anchor and delay. Cues whose anchors go round
 * in a circle start with the beat and are returned apart.
 */
export function startsOf(
  cues: readonly Cue[],
  lengthOf: (cue: Cue) => number,
): { times: Map<Id, { start: number; end: number }>; circles: Id[][] } {
  const byId = new Map(cues.map(cue => [cue.id, cue]))
  const times = new Map<Id, { start: number; end: number }>()
  const circles: Id[][] = []
  const inCircle = new Set<Id>()
  const state = new Map<Id, 'open' | 'done'>()

  const settle = (first: Cue) => {
    const path: Cue[] = []
    let at: Cue | undefined = first
    while (at && state.get(at.id) !== 'done') {
      if (state.get(at.id) === 'open') {
        const circle = path.slice(path.indexOf(at)).map(cue => cue.id)
        circles.push(circle)
        circle.forEach(id => inCircle.add(id))
        break
      }
      state.set(at.id, 'open')
      path.push(at)
      at = at.anchor.to === 'beat' ? undefined : byId.get(at.anchor.cue)
    }
    for (const cue of path.reverse()) {
      const other = cue.anchor.to === 'beat' || inCircle.has(cue.id) ? undefined : times.get(cue.anchor.cue)
      const anchor = other ? (cue.anchor.to === 'end' ? other.end : other.start) : 0
      const start = anchor + cue.delay
      times.set(cue.id, { start, end: start + lengthOf(cue) })
      state.set(cue.id, 'done')
    }
  }
  cues.forEach(settle)
  return { times, circles }
}
