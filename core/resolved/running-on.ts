import { slidesOf, type ClipElement, type Deck, type Element } from '../model'
import { memoByRecords, type Id } from '../values'

type RunningClip = ClipElement & { over: number }

/** All films and sounds of a deck that run on over the slides after their own; kept until an element changes. */
const clipsThatRunOn = memoByRecords(
  (elements: Readonly<Record<Id, Element>>) => [elements],
  (elements): readonly RunningClip[] =>
    Object.values(elements).filter(
      (element): element is RunningClip =>
        (element.kind === 'film' || element.kind === 'sound') && element.over !== undefined && element.over > 0,
    ),
)

/** The films and sounds of earlier slides that a slide may still show, by how many slides they may run on; skipped slides do not count. */
export function runningOnto(deck: Deck, slide: Id): readonly ClipElement[] {
  const clips = clipsThatRunOn(deck.elements)
  if (!clips.length) return []
  const played = slidesOf(deck).filter(one => !one.skipped)
  const at = played.findIndex(one => one.id === slide)
  return clips.filter(clip => {
    const own = played.findIndex(one => one.id === clip.owner)
    return own >= 0 && own < at && own + clip.over >= at
  })
}
