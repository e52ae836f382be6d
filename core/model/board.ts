import { infoOf } from './required'
import type { Deck } from './records'
import type { Id } from '../values'
import type { BoardView, Slide } from './records/slide'

const none: readonly BoardView[] = []

/** How far a slide reaches, px of deck space: of a board as it says, of any other slide the picture. */
export const extentOf = (deck: Deck, slide: Id): { width: number; height: number } => deck.slides[slide]?.board ?? infoOf(deck).size

/** The views of a board in the order of the telling; of any other slide none. */
export const viewsOf = (slide: Slide | undefined): readonly BoardView[] => (slide?.board ? (slide.views ?? none) : none)
