import type { Id } from '../../values'
import type { ScoreBeat } from '../score'

/** For each of some stretches, in order, the first lane, from 0, in which it begins after all before it there have ended. */
export function lanesOf(stretches: readonly { from: number; to: number }[]): number[] {
  const ends: number[] = []
  return stretches.map(({ from, to }) => {
    const free = ends.findIndex(end => end <= from)
    const lane = free < 0 ? ends.length : free
    ends[lane] = to
    return lane
  })
}

/**
 * The waits, seconds, with which all that comes later in a beat keeps its distance: of each cue that starts with the beat at
 * or after `from` seconds and is not among those that are changed themselves, so much later (below 0 earlier) as `by`.
 */
export function laterWaits(beat: ScoreBeat, changed: ReadonlySet<Id>, from: number, by: number): Map<Id, number> {
  return new Map(
    beat.cues.flatMap(({ cue, start }) =>
      cue.anchor.to === 'beat' && !changed.has(cue.id) && start >= from - 1e-6
        ? [[cue.id, Math.max(0, Math.round((cue.delay + by) * 100) / 100)] as const]
        : [],
    ),
  )
}
