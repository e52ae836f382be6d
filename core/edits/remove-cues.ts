import { dropRecord, setRecord, cuesOf, type Change, type Deck } from '../model'
import type { Id } from '../values'

/** Drops cues; what followed one of them takes over the place that it followed. */
export function dropCues(deck: Deck, cues: readonly Id[]): Change[] {
  const gone = new Set(cues)
  const changes: Change[] = []
  const beats = new Set(cues.map(id => deck.cues[id]?.beat).filter(beat => beat !== undefined))
  for (const beat of beats) {
    for (const cue of cuesOf(deck, beat)) {
      if (gone.has(cue.id)) continue
      let anchor = cue.anchor
      while (anchor.to !== 'beat' && gone.has(anchor.cue)) anchor = deck.cues[anchor.cue]?.anchor ?? { to: 'beat' }
      if (anchor !== cue.anchor) changes.push(setRecord('cues', cue.id, { anchor }))
    }
  }
  return [...changes, ...[...gone].filter(id => deck.cues[id]).map(id => dropRecord('cues', id))]
}

export const removeCues = (deck: Deck, input: { cues: readonly Id[] }) => dropCues(deck, input.cues)
