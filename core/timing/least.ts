import { infoOf, plainText, type Cue, type Deck } from '../model'
import type { ShownElement } from '../resolved'
import type { HandDrawing } from '../drawing'
import { countReading, readingSpeed } from '../text'
import { effectNamed } from './effects'

/** The shortest length that a cue makes sense at, seconds, and what it is needed for, as “to be read as it is typed”. */
export interface LeastLength {
  seconds: number
  why: string
}

/** Below this, seconds, a change is seen as a jump: a fixation that tells motion from a cut lasts about as long. */
const seenAsMotion = { seconds: 0.12, why: 'to be seen as motion' }
/** Numbers are read digit group by digit group, like two words. */
const wordsPerNumber = 2

/** Beyond this, px of deck space in a second, the eye does not follow a hand across a slide. */
const fastestHand = 12_000

/**
 * The least sensible length of one part of a cue. Null where any length makes sense: of what comes or goes at once (0), of
 * clips and cameras. Typing is held to the reading speed of the deck’s language and audience.
 */
export function leastLength(deck: Deck, cue: Cue, element: ShownElement, drawing: HandDrawing | null = null): LeastLength | null {
  const { lasts, least, readAsItComes } = effectNamed(cue.effect, cue.what)
  // What follows from the thing itself is never too short.
  if (lasts && lasts(cue.options, drawing) !== null) return null
  if (lasts && drawing && cue.what !== 'exit')
    return { seconds: Math.max(least?.seconds ?? 0, drawing.length / fastestHand), why: 'to be seen being drawn' }
  if (cue.duration === 0 || cue.what === 'media' || cue.what === 'camera' || cue.what === 'pose') return null
  if (readAsItComes && cue.what === 'enter' && element.kind === 'text' && !cue.parts) {
    const { language, audience } = infoOf(deck)
    const { words, numbers } = countReading(plainText(element.text), language)
    return {
      seconds: Math.max(seenAsMotion.seconds, ((words + wordsPerNumber * numbers) * 60) / readingSpeed(language, audience)),
      why: 'to be read as it is typed',
    }
  }
  // What goes is no longer looked at.
  return (cue.what === 'exit' ? undefined : least) ?? seenAsMotion
}
