import { beatsOf, shownElements, type Deck, type Id } from '../deck'
import { layoutOfElement, readingSpeed } from '../text'
import { compileSlide, type TimingContext } from '../timing'

/** How full a slide is. */
export interface RoomLeft {
  words: number
  /** How many words can be read in the time the slide has; null where its beats hold as long as reading takes. */
  readable: number | null
  /** Seconds that the slide stands. */
  seconds: number
  /** The smallest share of its style's size that a text has come to, 1 where nothing shrank. */
  scale: number
  /** Names of texts that are larger than their box even at their least size. */
  overflowing: readonly string[]
}

/** Counts what stands on a slide against the time it has, and says where texts had to shrink. */
export function roomLeft(deck: Deck, slide: Id, context: TimingContext): RoomLeft {
  const score = compileSlide(deck, slide, context)
  const info = deck.info.info!
  const words = score.beats.reduce((sum, beat) => sum + beat.reading.words + 2 * beat.reading.numbers, 0)
  const timed = beatsOf(deck, slide).every(beat => beat.hold.kind === 'seconds')
  const seconds = score.length
  const layouts = shownElements(deck, slide).flatMap(element => (element.kind === 'text' && !element.pinned ? [{ element, layout: layoutOfElement(deck, element, context.measurer) }] : []))
  return {
    words,
    readable: timed ? Math.floor((seconds * readingSpeed(info.language, info.audience)) / 60) : null,
    seconds,
    scale: Math.min(1, ...layouts.map(({ layout }) => layout.scale)),
    overflowing: layouts.filter(({ layout }) => !layout.fits).map(({ element }) => element.name),
  }
}
