import { describe, expect, it } from 'vitest'
import { infoOf, setRecord, applyChanges } from '../../core/model'
import { freshDeck, textElement } from '../../core/testing'
import { syllablesIn, syllablesOf } from './syllables'

describe('where words may be parted', () => {
  it.each([
    ['de', 'Hafenverwaltung', 'Ha-fen-ver-wal-tung'],
    ['de-AT', 'Schifffahrt', 'Schiff-fahrt'],
    ['en', 'transportation', 'trans-port-a-tion'],
    ['en-US', 'transportation', 'trans-porta-tion'],
    ['fr', 'embarcadère', 'em-bar-ca-dère'],
    ['es', 'embarcadero', 'em-bar-ca-de-ro'],
    ['sv', 'hamnförvaltning', 'hamn-för-valt-ning'],
    ['no', 'havneforvaltning', 'havne-for-valt-ning'],
    ['pl', 'przystaniowego', 'przy-sta-nio-we-go'],
  ])('in %s, %s is %s', (language, word, parts) => expect(syllablesOf(language, [word])[word]?.join('-')).toBe(parts))
  it('is not said of figures, short words, and languages that nobody knows here', () => {
    expect(syllablesOf('de', ['A7', 'Ufer', 'Hafen2031', '<b>Hafenamt'])).toEqual({})
    expect(syllablesOf('ja', ['Hafenverwaltung'])).toEqual({})
  })
  it('goes with a deck that plays where nothing can be asked, for all words that a place may be too narrow for', () => {
    const base = freshDeck()
    const slide = Object.keys(base.slides)[0]!
    const deck = applyChanges(base, [
      setRecord('info', 'info', { ...infoOf(base), language: 'de' }),
      { do: 'put', table: 'elements', record: textElement('a', slide, ['Die Hafenverwaltung am Ufer, die Laterne']) },
    ])
    const known = syllablesIn(deck)
    expect(known).toMatchObject({ hafenverwaltung: ['ha', 'fen', 'ver', 'wal', 'tung'], laterne: ['la', 'ter', 'ne'] })
    expect(Object.keys(known)).not.toContain('ufer')
  })
})
