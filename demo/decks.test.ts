import { describe, expect, it } from 'vitest'
import { checkDeck } from '../core/checks'
import { readDeck } from '../core/model'
import { effectNamed } from '../core/timing'
import { timingContext } from '../core/testing'
import { fourRoutes } from './routes'
import { briefing, hallLoop, routeRace, seasonReview, tenSeasons } from './decks'

const pictures = [1, 2, 3].map(index => ({ hash: String(index).repeat(64), width: 1600, height: 1200 }))
const logo = { onLight: { media: 'a'.repeat(64), natural: { width: 300, height: 84 } }, clear: 0.3, least: 40 }

describe.each([
  ['briefing', briefing(pictures, logo)],
  ['film', tenSeasons(pictures, logo)],
  ['loop', hallLoop(pictures)],
  ['review', seasonReview()],
  ['race', routeRace(logo)],
  ['board', fourRoutes(pictures, logo)],
])('the demo’s %s', (_, deck) => {
  it('is a deck that can be read back as it is', () => {
    const read = readDeck(JSON.parse(JSON.stringify(deck)))
    expect(read.ok ? read.value.notes : read.message).toEqual([])
  })

  it('uses each effect for what it is made for', () => {
    for (const cue of Object.values(deck.cues))
      expect([cue.effect, cue.what, effectNamed(cue.effect, cue.what).name === cue.effect]).toEqual([cue.effect, cue.what, true])
  })

  it('has no text that does not fit, is too small or too faint', () => {
    // Its pictures are not at hand here: what lies on them is not measured.
    expect(
      checkDeck(deck, timingContext)
        .filter(
          finding =>
            !finding.unmeasured &&
            ['text-fit', 'text-size', 'contrast', 'covered', 'logo-clear', 'outside', 'glyphs'].includes(finding.rule),
        )
        .map(finding => finding.message),
    ).toEqual([])
  })
})
