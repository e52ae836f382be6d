import { memoByRecords } from '../../values'
import type { Deck } from '../../model'
import type { Finding } from '../finding'
import { nearColor } from './near-color'
import { nearPlace } from './near-place'
import { nearSize } from './near-size'
import { oddFont } from './odd-font'
import { oddMotion } from './odd-motion'
import type { WholeRule } from './rule'

/** The catalogue: adding a rule is adding a file and a line. */
const rules: readonly WholeRule[] = [nearSize, oddFont, nearColor, nearPlace, oddMotion]

/** What nearly matches within a deck and does not; kept until an element, slide, layout or the theme changes. */
export const checkConsistency = memoByRecords(
  (deck: Deck) => [deck.elements, deck.slides, deck.layouts, deck.masters, deck.theme, deck.cues, deck.info],
  (deck): Finding[] => rules.flatMap(rule => rule(deck)),
)
