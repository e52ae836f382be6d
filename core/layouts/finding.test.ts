import { describe, expect, it } from 'vitest'
import { families, familyNamed } from '../families'
import { applyChanges, deckTheme, putRecord, readDeck, slidesOf, type Deck } from '../model'
import { duplicateLayout } from '../themes'
import { countingContext, freshDeck } from '../testing'
import {
  insertOutline,
  ownLayouts,
  ownLayoutsFor,
  propose,
  startersFor,
  surroundingsIn,
  threeLooks,
  wantedFamilies,
  withLayout,
} from './index'

describe('layouts that somebody has made', () => {
  const base = withLayout(freshDeck(), familyNamed('people-row')!).deck
  const deck = applyChanges(base, duplicateLayout(base, { layout: 'layout-people-row' }, countingContext('own')))
  const [own] = ownLayouts(deck)
  it('are found by what they are called and by what they are for, in other languages too', () => {
    for (const purpose of ['people', 'team', 'équipe', 'our staff', own!.name]) expect(ownLayoutsFor(deck, purpose), purpose).toEqual([own])
  })
  it('are not found by what they are not, and all there where nothing is asked for', () => {
    expect(ownLayoutsFor(deck, 'opening hours')).toEqual([])
    expect(ownLayoutsFor(deck, ' ')).toEqual([own])
  })
})

it('starters are found by when one takes them, what they say and how they are laid out', () => {
  expect(startersFor('volunteers')[0]!.name).toBe('volunteers')
  expect(startersFor('incident')[0]!.name).toBe('incident')
  expect(startersFor('year in numbers')[0]!.name).toBe('year-in-numbers')
  expect(startersFor('zzzz')).toEqual([])
  expect(startersFor('').length).toBeGreaterThan(5)
})

describe('a look that proposes some layouts only', () => {
  const limited = (names: string[]): Deck => {
    const deck = freshDeck()
    return applyChanges(deck, [putRecord('theme', { ...deckTheme(deck), layouts: names })])
  }
  const words = {
    title: 'What changes',
    lines: ['Safety: two ramps', 'Speed: eight minutes'].map(text => ({ text, level: 1 })),
    first: false,
    last: false,
  }
  it('proposes these, best first, and no others', () => {
    const wanted = ['list', 'lead-rows', 'chart']
    const proposed = propose(words, surroundingsIn(limited(wanted))).map(({ family }) => family.name)
    expect(proposed[0]).toBe('lead-rows')
    expect([...proposed].sort()).toEqual([...wanted].sort())
  })
  it('lays out pasted lines in these alone', () => {
    const deck = limited(['list', 'statement'])
    const slides = ['One', 'Two', 'Three'].map(title => ({ title, lines: words.lines }))
    const made = applyChanges(deck, insertOutline(deck, { after: slidesOf(deck)[0]!.id, slides }, countingContext('in')))
    const used = slidesOf(made)
      .slice(1)
      .map(({ layout }) => made.layouts[layout]!.family)
    expect(used.every(family => ['list', 'statement'].includes(family))).toBe(true)
  })
  it('proposes all where none of its names is known, so that there is always one', () => {
    expect(wantedFamilies(['gone'])).toBe(families)
    expect(propose(words, { wanted: ['gone'] })).toHaveLength(propose(words).length)
    // Bars are drawn to scale of amounts only; where they are all that is wanted, they are better than nothing.
    expect(propose(words, { wanted: ['ranking'] }).map(({ family }) => family.name)).toEqual(['ranking'])
  })
  it('is read back, and does not keep looks from being proposed', () => {
    const deck = limited(['list'])
    const read = readDeck(JSON.parse(JSON.stringify(deck)))
    expect(read.ok && deckTheme(read.value.deck).layouts).toEqual(['list'])
    expect(threeLooks(deck, 0)).toHaveLength(3)
  })
})
