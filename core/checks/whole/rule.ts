import type { Deck } from '../../model'
import type { Finding } from '../finding'

/** What is to be said of a deck's slides beside each other. */
export type WholeRule = (deck: Deck) => Finding[]
