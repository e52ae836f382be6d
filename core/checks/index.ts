import { infoOf, slidesOf, type Deck } from '../model'
import { rundown, type RundownSlide, type Score } from '../timing'
import type { CheckContext, Finding, Rule } from './finding'
import { checkConsistency } from './whole'
import { brokenWord } from './rules/broken-word'
import { circles } from './rules/circles'
import { clipFit } from './rules/clip-fit'
import { contrastRule } from './rules/contrast'
import { covered } from './rules/covered'
import { empty } from './rules/empty'
import { glyphs } from './rules/glyphs'
import { hold } from './rules/hold'
import { logoClear } from './rules/logo-clear'
import { outside } from './rules/outside'
import { textSize } from './rules/text-size'
import { tooQuick } from './rules/too-quick'

export type { CheckContext, Finding, Remedy } from './finding'
export { checkConsistency } from './whole'

/** The catalogue: adding a rule is adding a file and a line. */
const rules: readonly Rule[] = [
  hold,
  clipFit,
  tooQuick,
  textSize,
  brokenWord,
  contrastRule,
  covered,
  glyphs,
  logoClear,
  empty,
  outside,
  circles,
]

const known = new WeakMap<Score, { parts: readonly unknown[]; findings: Finding[] }>()

/** The findings of one slide of a rundown, beat by beat; kept until the slide, its score or its layout changes. */
export function checkSlide(deck: Deck, slide: RundownSlide, context: CheckContext): Finding[] {
  const record = deck.slides[slide.slide]!
  const layout = deck.layouts[record.layout]
  const parts = [
    record,
    layout,
    layout && deck.masters[layout.master],
    deck.theme.theme,
    deck.info.info,
    ...slide.beats.map(beat => beat.openEnded),
    context.pixels,
  ]
  const last = known.get(slide.score)
  if (last && last.parts.length === parts.length && last.parts.every((part, index) => part === parts[index])) return last.findings
  const findings = rules.flatMap(rule => rule({ deck, slide, context })).sort((a, b) => (a.beat ?? -1) - (b.beat ?? -1))
  known.set(slide.score, { parts, findings })
  return findings
}

/** All findings of a deck, slide by slide in order, for its own purpose. */
export const checkDeck = (deck: Deck, context: CheckContext): Finding[] =>
  inOrder(deck, [
    ...rundown(deck, infoOf(deck).purpose, context).slides.flatMap(slide => checkSlide(deck, slide, context)),
    ...checkConsistency(deck),
  ])

/** Findings slide by slide in the deck's order. */
export function inOrder(deck: Deck, findings: readonly Finding[]): Finding[] {
  const at = new Map(slidesOf(deck).map((slide, index) => [slide.id, index]))
  return [...findings].sort((a, b) => (at.get(a.slide) ?? 0) - (at.get(b.slide) ?? 0))
}
