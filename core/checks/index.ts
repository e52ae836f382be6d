/**
 * Checks of a deck before it is shown.
 *
 * @example
 * import { checkDeck } from 'core/checks'
 * import { freshDeck, timingContext } from 'core/testing'
 *
 * checkDeck(freshDeck(), timingContext).map(finding => finding.rule) // → []
 */

import { amountsOf } from '../amounts'
import { memoByRecords } from '../values'
import { infoOf, slidesOf, type Deck } from '../model'
import { rundown, type RundownSlide } from '../timing'
import type { CheckContext, Finding, Rule } from './finding'
import { checkConsistency } from './whole'
import { amountGone } from './rules/amount-gone'
import { brokenWord } from './rules/broken-word'
import { circles } from './rules/circles'
import { clipFit } from './rules/clip-fit'
import { contrastRule } from './rules/contrast'
import { covered } from './rules/covered'
import { empty } from './rules/empty'
import { glyphs } from './rules/glyphs'
import { hold } from './rules/hold'
import { logoClear } from './rules/logo-clear'
import { proposed } from './rules/proposed'
import { misleading } from './rules/misleading'
import { chartNotes } from './rules/chart-notes'
import { outside } from './rules/outside'
import { textSize } from './rules/text-size'
import { tooQuick } from './rules/too-quick'
import { voiceLate } from './rules/voice-late'

export type { CheckContext, CheckRoom, Finding, Remedy, Rule } from './finding'
export { checkConsistency } from './whole'

/** The catalogue: adding a rule is adding a file and a line. */
const rules: readonly Rule[] = [
  hold,
  clipFit,
  tooQuick,
  voiceLate,
  textSize,
  brokenWord,
  contrastRule,
  covered,
  glyphs,
  logoClear,
  proposed,
  empty,
  misleading,
  chartNotes,
  amountGone,
  outside,
  circles,
]

/** The findings of one slide of a rundown, beat by beat; kept until the slide, its score or its layout changes. */
export const checkSlide = memoByRecords(
  (deck: Deck, slide: RundownSlide, context: CheckContext) => {
    const record = deck.slides[slide.slide]
    const layout = record && deck.layouts[record.layout]
    const master = layout && deck.masters[layout.master]
    const ends = slide.beats.map(beat => beat.openEnded).join()
    // Tables that words have numbers of, or that the slide is there for the rows of, say nothing to its score.
    const told = [...slide.score.elements.flatMap(amountsOf).map(({ table }) => table), ...(record?.rows ? [record.rows.table] : [])]
    return [
      slide.score,
      record,
      layout,
      master,
      deck.theme.theme,
      deck.info.info,
      ends,
      context.pixels,
      context.faces,
      ...told.map(context.table),
    ]
  },
  (deck, slide, context): Finding[] =>
    rules.flatMap(rule => rule({ deck, slide, context })).sort((a, b) => (a.beat ?? -1) - (b.beat ?? -1)),
)

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
