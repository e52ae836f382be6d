import { infoOf, beatsOf, type Change, type Deck, type EditContext } from '../model'
import { shownElements, styleOf } from '../resolved'
import type { Id } from '../values'
import { layoutOfElement, leastReadable, readingSpeed } from '../text'
import { compileSlide, type TimingContext } from '../timing'
import type { LayoutFamily } from '../families'
import { insertSlide, outlineOf, setOutlineSlide } from './outline'
import { propose, surroundingsIn } from './propose'
import { itemCount, roomFor } from './room'
import { familyOf, richLines } from './write-lines'

/** How full a slide is. */
export interface RoomLeft {
  words: number
  /** How many words can be read in the time the slide has; null where its beats hold as long as reading takes. */
  readable: number | null
  /** Seconds that the slide stands. */
  seconds: number
  /** Items that stand on it, and how many its layout has room for; null where no layout of the catalogue places them. */
  items: number
  room: number | null
  /** The smallest share of its style's size that a text has come to, 1 where nothing shrank. */
  scale: number
  /**
   * The smallest size that a text has come to, px of deck space, and the least that can be read from the back; null where there is no text.
   */
  smallest: number | null
  readableSize: number
  /** Names of texts that are larger than their box even at their least size. */
  overflowing: readonly string[]
}

/** Counts what stands on a slide against the time and room it has, and says where texts had to shrink. */
export function roomLeft(deck: Deck, slide: Id, context: TimingContext): RoomLeft {
  const score = compileSlide(deck, slide, context)
  const info = infoOf(deck)
  const words = score.beats.reduce((sum, beat) => sum + beat.reading.words + 2 * beat.reading.numbers, 0)
  const timed = beatsOf(deck, slide).every(beat => beat.hold.kind === 'seconds')
  const seconds = score.length
  const layouts = shownElements(deck, slide).flatMap(element =>
    element.kind === 'text' && !element.pinned && !element.field
      ? [{ element, layout: layoutOfElement(deck, element, context.measurer) }]
      : [],
  )
  const written = layouts.filter(({ layout }) => layout.counts.letter > 0)
  const record = deck.slides[slide]
  const family = record && familyOf(deck, record)
  const lines = record ? richLines(deck, slide) : []
  return {
    words,
    readable: timed ? Math.floor((seconds * readingSpeed(info.language, info.audience)) / 60) : null,
    seconds,
    items: family ? itemCount(family, lines) : lines.length,
    room: family ? roomFor(family, lines, { deck, measurer: context.measurer }) : null,
    scale: Math.min(1, ...layouts.map(({ layout }) => layout.scale)),
    smallest: written.length ? Math.min(...written.map(({ element, layout }) => styleOf(deck, element).size * layout.scale)) : null,
    readableSize: leastReadable(info),
    overflowing: layouts.filter(({ layout }) => !layout.fits).map(({ element }) => element.name),
  }
}

/** Layouts that have room for all of a slide's items, best first. */
export function roomierLayouts(deck: Deck, slide: Id, context: TimingContext, most = 3): LayoutFamily[] {
  const record = deck.slides[slide]
  if (!record) return []
  const lines = richLines(deck, slide)
  const made: LayoutFamily[] = []
  for (const { family } of propose({ ...outlineOf(deck, record), first: false }, surroundingsIn(deck))) {
    if (family.name === deck.layouts[record.layout]?.family) continue
    if (roomFor(family, lines, { deck, measurer: context.measurer }) >= Math.max(1, itemCount(family, lines))) made.push(family)
    if (made.length >= most) break
  }
  return made
}

/** Parts a slide's lines over two slides of one layout and title, as evenly as lines at the top allow. */
export function partSlide(deck: Deck, input: { slide: Id }, context: EditContext): Change[] {
  const record = deck.slides[input.slide]
  const family = record && familyOf(deck, record)
  if (!record || !family) return []
  const { title, lines } = outlineOf(deck, record)
  const least = Math.min(...lines.map(line => line.level))
  const tops = lines.flatMap((line, index) => (line.level === least ? [index] : []))
  if (tops.length < 2) return []
  const at = tops[Math.ceil(tops.length / 2)]!
  const inserted = insertSlide(deck, { after: record.id, family, outline: { title, lines: lines.slice(at) } }, context)
  return [
    ...inserted.changes,
    ...setOutlineSlide(inserted.deck, { slide: record.id, outline: { title, lines: lines.slice(0, at) } }, context),
  ]
}
