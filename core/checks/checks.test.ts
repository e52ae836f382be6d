import { putRecord, setRecord, applyChanges, beatsOf, slidesOf, type Change, type Deck } from '../model'
import { describe, expect, it } from 'vitest'
import { beat, countingContext, freshDeck, textElement, timingContext } from '../testing'
import { checkDeck, type Finding } from './index'

const withElement = (purpose: 'talk' | 'film', fields: object, changes: Change[] = []): Deck => {
  const base = freshDeck(purpose)
  const slide = slidesOf(base)[0]!.id
  return applyChanges(base, [
    putRecord('elements', { ...textElement('words', slide, ['Six words that want some time']), ...fields } as never),
    ...changes,
  ])
}
const rules = (deck: Deck) => checkDeck(deck, timingContext).map(finding => finding.rule)
const found = (deck: Deck, rule: string): Finding => checkDeck(deck, timingContext).find(finding => finding.rule === rule)!
const mended = (deck: Deck, finding: Finding) => applyChanges(deck, finding.remedy!.changes(deck, countingContext('r')))

describe('checks', () => {
  it('say that a beat holds for less than its words need, and set the hold', () => {
    const base = withElement('film', {})
    const [first] = beatsOf(base, slidesOf(base)[0]!.id)
    const deck = applyChanges(base, [setRecord('beats', first!.id, { hold: { kind: 'seconds', seconds: 0.5 } })])
    const finding = found(deck, 'hold')
    expect(finding.message).toMatch(/^Beat 1 holds for 0\.5 s\. Its 8 words need \d\.\d s\.$/)
    expect(finding.remedy!.label).toMatch(/^Hold \d\.\d s longer$/)
    expect(rules(mended(deck, finding))).not.toContain('hold')
  })

  it('leave a speaker’s beats to the speaker', () => {
    const base = withElement('talk', {})
    const slide = slidesOf(base)[0]!.id
    const deck = applyChanges(base, [setRecord('beats', beatsOf(base, slide)[0]!.id, { hold: { kind: 'seconds', seconds: 0 } })])
    expect(rules(deck)).not.toContain('hold')
    const byItself = applyChanges(deck, [putRecord('beats', beat({ id: 'next', slide, order: 'b00', start: 'self' }))])
    expect(rules(byItself)).toContain('hold')
  })

  it.each([
    [
      'text too small to be read',
      { size: 12, text: { type: 'doc', content: [{ type: 'paragraph', content: [{ type: 'text', text: 'tiny' }] }] } },
      'text-size',
    ],
    ['text as faint as its ground', { color: { hex: '#0b4a45' } }, 'contrast'],
    [
      'a word broken in its midst',
      {
        fit: 'fixed',
        box: { x: 100, y: 100, width: 260, height: 800, angle: 0 },
        text: { type: 'doc', content: [{ type: 'paragraph', content: [{ type: 'text', text: 'Unwettervorhersagezentrale' }] }] },
      },
      'broken-word',
    ],
    ['what lies outside the slide', { box: { x: 3000, y: 0, width: 400, height: 200, angle: 0 } }, 'outside'],
  ])('find %s and put it right', (_, fields, rule) => {
    const deck = withElement('talk', fields)
    expect(rules(deck)).toContain(rule)
    expect(rules(mended(deck, found(deck, rule)))).not.toContain(rule)
  })

  it('find text that fits no more, a chart without a table, and nothing in a deck that is well', () => {
    expect(rules(withElement('talk', { box: { x: 100, y: 100, width: 90, height: 40, angle: 0 } }))).toContain('text-fit')
    const slide = slidesOf(freshDeck())[0]!.id
    expect(
      rules(withElement('talk', {}, [putRecord('elements', { id: 'c', owner: slide, order: 'a8', kind: 'chart', name: 'Chart' })])),
    ).toContain('empty')
    expect(rules(withElement('talk', {}))).toEqual([])
  })
})
