import { rundown, type TimingContext } from '../timing'
import type { Deck } from '../deck'
import type { Finding, Rule } from './finding'
import { circles } from './rules/circles'
import { contrastRule } from './rules/contrast'
import { empty } from './rules/empty'
import { hold } from './rules/hold'
import { outside } from './rules/outside'
import { textSize } from './rules/text-size'

export type { Finding, Remedy } from './finding'

/** The catalogue: adding a rule is adding a file and a line. */
const rules: readonly Rule[] = [hold, textSize, contrastRule, empty, outside, circles]

/** All findings of a deck, slide by slide in order, for its own purpose. */
export function checkDeck(deck: Deck, context: TimingContext): Finding[] {
  const plan = rundown(deck, deck.info.info!.purpose, context)
  const order = new Map(plan.slides.map(slide => [slide.slide, slide.index]))
  return rules.flatMap(rule => rule({ deck, plan, context })).sort((a, b) => order.get(a.slide)! - order.get(b.slide)! || (a.beat ?? -1) - (b.beat ?? -1))
}
