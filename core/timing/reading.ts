import { viewsOf, type Cue, type Deck, type Parts, type Slide } from '../model'
import type { ShownElement } from '../resolved'
import { nothingToRead, type Reading } from '../text'
import type { TimingContext } from './context'
import { timedKind } from './kinds'

/** What there is to read of an element: of all of it, or of the parts that are `covered`, told apart `by`. */
export const readingOf = (
  element: ShownElement,
  deck: Deck,
  context: TimingContext,
  covered: ((part: number) => boolean) | null,
  by: Parts['by'] | null,
): Reading => timedKind(element)?.reading(deck, element, context, covered, by) ?? nothingToRead

/**
 * The index of the beat in which something that just stands there is met: as the slide opens, or when the camera of a board
 * first comes to a view that holds its middle. `cues` by beat.
 */
export function metIn({ box }: ShownElement, slide: Slide | undefined, cues: readonly (readonly Cue[])[]): number {
  if (!slide?.board) return 0
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  const within = new Set(
    viewsOf(slide)
      .filter(view => x >= view.box.x && y >= view.box.y && x <= view.box.x + view.box.width && y <= view.box.y + view.box.height)
      .map(view => view.id),
  )
  if (slide.opens && within.has(slide.opens)) return 0
  return Math.max(
    0,
    cues.findIndex(list => list.some(cue => cue.what === 'camera' && within.has(cue.options.view as string))),
  )
}
