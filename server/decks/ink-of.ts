import { asPlayed } from '../../core/amounts'
import type { DataTable } from '../../core/data'
import { slidesOf, type Deck } from '../../core/model'
import { recordedInk, type Ink, type InkBook, type Traced } from '../../core/drawing'
import { compileSlide, effectNamed, type TimingContext } from '../../core/timing'
import { outlinesOf, serverMeasurer } from '../measure/measurer'

/** What a hand draws in a deck. */
export const drawnElements = (deck: Deck) =>
  Object.values(deck.cues).flatMap(cue =>
    cue.element !== null && effectNamed(cue.effect, cue.what).byHand ? (deck.elements[cue.element] ?? []) : [],
  )

/** What hands need to know: how words are written, from the fonts at hand, and the lines of pictures that were found before. */
export const inkFrom = (traced: Readonly<Record<string, Traced>>): Ink => ({ word: outlinesOf, traced: hash => traced[hash] })

/** The same as data, with just what the deck's hands ask for. */
export function inkBookFrom(
  deck: Deck,
  tables: readonly DataTable[],
  lengths: Readonly<Record<string, number>>,
  traced: Readonly<Record<string, Traced>>,
): InkBook {
  const { ink, book } = recordedInk(inkFrom(traced))
  const context: TimingContext = {
    measurer: serverMeasurer(),
    table: id => tables.find(table => table.id === id),
    mediaLength: hash => lengths[hash],
    ink,
  }
  const played = asPlayed(deck, context.table)
  for (const slide of slidesOf(played)) compileSlide(played, slide.id, context)
  return book
}
