import type { DataTable } from '../../core/data'
import { slidesOf, type Deck } from '../../core/deck'
import { recordedInk, type Ink, type InkBook, type Traced } from '../../core/drawing'
import { fontNeeds } from '../../core/themes'
import { compileSlide, effectNamed, type TimingContext } from '../../core/timing'
import { mediaIfThere } from '../database/media'
import { bringFaces, outlinesOf, serverMeasurer } from '../measure/measurer'
import { linesOf } from '../media/lines'

/** What a hand draws in a deck. */
const drawnElements = (deck: Deck) => Object.values(deck.cues).flatMap(cue => (cue.element !== null && effectNamed(cue.effect).byHand ? deck.elements[cue.element] ?? [] : []))

/** All that hands need to know in a deck: how words are written, from the fonts at hand, and the lines of the pictures that they draw. */
export async function serverInk(deck: Deck): Promise<Ink> {
  await bringFaces(fontNeeds(deck).faces, mediaIfThere)
  const traced = new Map<string, Traced>()
  for (const hash of new Set(drawnElements(deck).flatMap(element => (element.kind === 'picture' ? element.media ?? [] : [])))) {
    const found = await linesOf(hash)
    if (found) traced.set(hash, found)
  }
  return { word: outlinesOf, traced: hash => traced.get(hash) }
}

/** The same as data, with just what the deck's hands ask for. */
export async function inkBookOf(deck: Deck, tables: readonly DataTable[], lengths: Readonly<Record<string, number>>): Promise<InkBook> {
  if (!drawnElements(deck).length) return { words: {}, traced: {} }
  const { ink, book } = recordedInk(await serverInk(deck))
  const context: TimingContext = { measurer: serverMeasurer(), table: id => tables.find(table => table.id === id), mediaLength: hash => lengths[hash], ink }
  for (const slide of slidesOf(deck)) compileSlide(deck, slide.id, context)
  return book
}
