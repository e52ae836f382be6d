import type { Cue, Id } from '../../deck'
import type { ScoreBeat } from '../score'
import { startsOf } from '../starts'

/** For each of some stretches, in order, the first lane, from 0, in which it begins after all before it there have ended. */
export function lanesOf(stretches: readonly { from: number, to: number }[]): number[] {
  const ends: number[] = []
  return stretches.map(({ from, to }) => {
    const free = ends.findIndex(end => end <= from)
    const lane = free < 0 ? ends.length : free
    ends[lane] = to
    return lane
  })
}

/** How much later, seconds, each cue of a beat comes once some of them wait otherwise: by their own wait, and by that of what they follow. */
export function shiftsOf(cues: readonly Cue[], waits: ReadonlyMap<Id, number>): Map<Id, number> {
  const startsWith = (list: readonly Cue[]) => startsOf(list, () => 0).times
  const before = startsWith(cues)
  const after = startsWith(cues.map(cue => (waits.has(cue.id) ? { ...cue, delay: waits.get(cue.id)! } : cue)))
  return new Map(cues.map(cue => [cue.id, after.get(cue.id)!.start - before.get(cue.id)!.start]))
}

/**
 * The waits, seconds, with which all that comes later in a beat keeps its distance: of each cue that starts with the beat at
 * or after `from` seconds and is not among those that are changed themselves, so much later (below 0 earlier) as `by`.
 */
export function laterWaits(beat: ScoreBeat, changed: ReadonlySet<Id>, from: number, by: number): Map<Id, number> {
  return new Map(beat.cues.flatMap(({ cue, start }) => (cue.anchor.to === 'beat' && !changed.has(cue.id) && start >= from - 1e-6 ? [[cue.id, Math.max(0, Math.round((cue.delay + by) * 100) / 100)] as const] : [])))
}
