import { outlineOf } from '../../core/layouts'
import { amountsOf } from '../../core/amounts'
import { pinOf, sourceIn } from '../../core/data'
import { tablesOf } from '../../core/formats/deck-file'
import { elementsOf, slidesOf, statesOf, tablesDrawn, type Deck } from '../../core/model'
import { decksWithTable } from '../database/decks'
import { screensWithTable } from '../database/screens'
import { madeOf } from '../database/sources'

/** A slide that draws a table: its place in the deck from 1, and its title. */
interface UsedOn {
  slide: string
  number: number
  title: string
}
/** Where a table is used. */
export interface TableUses {
  /** `stays`: the versions that it stays at whatever comes after them. */
  decks: { id: string; title: string; slides: UsedOn[]; stays: number[] }[]
  screens: { id: string; name: string }[]
  made: { id: string; name: string }[]
}

/**
 * Slides of a deck whose charts, in any of their states, or tables draw a table, whose texts have numbers of it, or that are there for its
 * rows.
 */
function slidesWith(deck: Deck, table: string): UsedOn[] {
  // A deck that stays at one of its versions reads it too.
  const reads = (id: string | null | undefined) => !!id && sourceIn(id) === table
  const draws = (slide: string) =>
    elementsOf(deck, slide).some(element => {
      if (amountsOf(element).some(amount => reads(amount.table))) return true
      if (element.kind === 'table') return reads(element.table)
      if (element.kind !== 'chart') return false
      return [element.chart, ...statesOf(deck, element.id).map(state => state.chart)].some(chart => tablesDrawn(chart).some(reads))
    })
  return slidesOf(deck).flatMap((slide, index) =>
    draws(slide.id) || reads(slide.rows?.table)
      ? [{ slide: slide.id, number: index + 1, title: outlineOf(deck, slide).title || 'Untitled' }]
      : [],
  )
}

const staysAt = (deck: Deck, table: string) =>
  [
    ...new Set(
      tablesOf(deck)
        .flatMap(id => pinOf(id) ?? [])
        .flatMap(({ source, number }) => (source === table ? number : [])),
    ),
  ].sort((a, b) => a - b)

export async function usesOf(id: string): Promise<TableUses> {
  const [decks, screens, made] = await Promise.all([decksWithTable(id), screensWithTable(id), madeOf(id)])
  return {
    decks: decks.map(deck => ({
      id: deck.id,
      title: deck.title,
      slides: slidesWith(deck.snapshot, id),
      stays: staysAt(deck.snapshot, id),
    })),
    screens: [...screens],
    made: made.map(one => ({ id: one.id, name: one.name })),
  }
}
