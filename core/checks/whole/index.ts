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

const known = new WeakMap<object, { parts: readonly unknown[]; findings: Finding[] }>()

/** What nearly matches within a deck and does not; kept until an element, slide, layout or the theme changes. */
export function checkConsistency(deck: Deck): Finding[] {
  const parts = [deck.elements, deck.slides, deck.layouts, deck.masters, deck.theme, deck.cues, deck.info]
  const last = known.get(deck.elements)
  if (last && last.parts.every((part, index) => part === parts[index])) return last.findings
  const findings = rules.flatMap(rule => rule(deck))
  known.set(deck.elements, { parts, findings })
  return findings
}
