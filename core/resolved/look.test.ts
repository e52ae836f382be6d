import { deckTheme, putRecord, setRecord, applyChanges, slidesOf, type Backdrop, type Change, type Deck, type TextElement } from '../model'
import { describe, expect, it } from 'vitest'
import { contrast } from '../color'
import { countingContext, freshDeck, textElement } from '../testing'
import { addSlide } from '../edits'
import { backdropOf, fillOfGround, groundHex, groundOf, shownElements, styleOf, themeOf, themeSeen } from './inherit'

const [light, dark] = ['a', 'b'].map(letter => ({ media: letter.repeat(64), natural: { width: 300, height: 84 } }))
const base: Deck = (() => {
  const deck = freshDeck()
  return applyChanges(deck, addSlide(deck, { after: slidesOf(deck)[0]!.id, layout: 'layout-list' }, countingContext('k')))
})()
const [title, list] = slidesOf(base)
const set = (table: 'theme' | 'masters' | 'layouts' | 'slides' | 'info', id: string, fields: object): Change =>
  setRecord(table, id, fields as Record<string, unknown>)

describe('a ground', () => {
  const texture = { kind: 'paper' as const, strength: 0.5 }
  const gradient: Backdrop['fill'] = {
    kind: 'linear',
    angle: 90,
    stops: [
      { color: { hex: '#000000' }, at: 0 },
      { color: { hex: '#202020' }, at: 1 },
    ],
  }

  it('takes each part from the nearest that says something', () => {
    const deck = applyChanges(base, [
      set('theme', 'theme', { backdrop: { texture, vignette: 0.3 } }),
      set('masters', 'master', { backdrop: { vignette: null } }),
      set('slides', list!.id, { backdrop: { fill: gradient } }),
    ])
    expect(backdropOf(deck, deck.slides[list!.id]!)).toEqual({ fill: gradient, texture, vignette: null, border: null })
    expect(backdropOf(deck, deck.slides[title!.id]!).fill).toBeNull()
  })

  it('whoever chooses a plain colour chooses no fill with it', () => {
    const deck = applyChanges(base, [
      set('theme', 'theme', { backdrop: { fill: gradient } }),
      set('slides', list!.id, { ground: { role: 'accent2' } }),
    ])
    expect(backdropOf(deck, deck.slides[list!.id]!).fill).toBeNull()
    expect(groundOf(deck, deck.slides[list!.id]!)).toEqual({ role: 'accent2' })
  })

  it('that is deep turns ink and ground, so that words are read on it', () => {
    const deck = applyChanges(base, [set('slides', list!.id, { backdrop: { fill: gradient } })])
    const slide = deck.slides[list!.id]!
    expect(contrast(groundHex(deck, slide), '#101010')).toBeLessThan(1.2)
    expect(contrast(themeOf(deck, slide).palette.ink, groundHex(deck, slide))).toBeGreaterThan(7)
    expect(themeOf(base, base.slides[list!.id]!)).toBe(base.theme.theme)
    // What a hand is shown to choose from is what will be seen there, also on a layout that is edited.
    expect(themeSeen(deck, slide.id)).toBe(themeOf(deck, slide))
    expect(themeSeen(applyChanges(base, [set('layouts', slide.layout, { backdrop: { fill: gradient } })]), slide.layout).palette.ink).toBe(
      deckTheme(base).palette.ground,
    )
  })

  it('says what covers its plain colour and from where, and nothing of what a plain colour nearer by has put away', () => {
    const deck = applyChanges(base, [set('theme', 'theme', { backdrop: { fill: gradient } })])
    expect(fillOfGround(deck, deck.slides[list!.id]!)).toEqual({ fill: gradient, from: 'theme' })
    const own = applyChanges(deck, [set('slides', list!.id, { backdrop: { fill: gradient } })])
    expect(fillOfGround(own, own.slides[list!.id]!)!.from).toBe('slide')
    const plain = applyChanges(deck, [set('slides', list!.id, { ground: { role: 'accent2' } })])
    expect(fillOfGround(plain, plain.slides[list!.id]!)).toBeNull()
  })
})

describe('a logo', () => {
  const part: Change = putRecord('elements', {
    id: 'logo',
    owner: 'master',
    order: 'a5',
    kind: 'picture',
    name: 'Logo',
    logo: true,
    box: { x: 1600, y: 980, width: 200, height: 60, angle: 0 },
  })
  const deck = applyChanges(base, [part, set('theme', 'theme', { logo: { onLight: light, onDark: dark, clear: 0.3, least: 40 } })])
  const shown = (of: Deck, slide: string) => shownElements(of, slide).find(element => element.id === 'logo')

  it('shows the form for the ground beneath it, whole, pinned, at its edge', () => {
    expect(shown(deck, title!.id)).toMatchObject({ media: dark!.media, pinned: true })
    const logo = shown(deck, list!.id)!
    expect(logo).toMatchObject({ media: light!.media })
    expect(logo.box.width / logo.box.height).toBeCloseTo(300 / 84, 3)
    expect(logo.box.x + logo.box.width).toBeCloseTo(1800, 3)
  })

  it('one form serves for both, none shows nothing, and a layout may do without', () => {
    const one = applyChanges(deck, [set('theme', 'theme', { logo: { onLight: light, clear: 0.3, least: 40 } })])
    expect(shown(one, title!.id)).toMatchObject({ media: light!.media })
    expect(shown(applyChanges(deck, [set('theme', 'theme', { logo: undefined })]), list!.id)).toBeUndefined()
    const without = applyChanges(deck, [set('layouts', 'layout-list', { without: ['logo'] })])
    expect(shown(without, list!.id)).toBeUndefined()
    expect(shown(without, title!.id)).toBeDefined()
  })

  it('is never lower than its least height', () => {
    const low = applyChanges(deck, [set('theme', 'theme', { logo: { onLight: light, clear: 0.3, least: 58 } })])
    expect(shown(low, list!.id)!.box.height).toBeGreaterThanOrEqual(56)
  })
})

describe('what follows from the deck', () => {
  const field = (name: string) => ({ ...textElement(`f-${name}`, 'master', ['']), field: name, order: 'a4' })
  const deck = applyChanges(base, [
    ...['slide-number', 'date', 'deck-title', 'footer', 'chapter'].map((name): Change => putRecord('elements', field(name) as never)),
    set('theme', 'theme', { footer: 'Quay' }),
    set('info', 'info', { date: '2026-04-02', language: 'de' }),
    set('slides', list!.id, { chapter: 'Boote' }),
  ])
  const words = (slide: string) =>
    Object.fromEntries(
      shownElements(deck, slide)
        .filter((element): element is TextElement & typeof element => element.kind === 'text' && !!element.field)
        .map(element => [element.field, JSON.stringify(element.text).match(/"text":"([^"]*)"/)?.[1] ?? '']),
    )

  it('says number, date in the deck’s language, title, footer and chapter on each slide', () => {
    expect(words(list!.id)).toEqual({
      'slide-number': '2',
      date: '2. April 2026',
      'deck-title': 'Spring timetable',
      footer: 'Quay',
      chapter: 'Boote',
    })
    expect(words(title!.id)).toMatchObject({ 'slide-number': '1', chapter: '' })
  })
})

describe('a layout or master on the stage', () => {
  it('shows its own parts to be edited, and its master’s pinned', () => {
    const shown = shownElements(base, 'layout-list')
    expect(shown.find(element => element.placeholder === 'title')).toMatchObject({ pinned: false })
    expect(shown.find(element => element.id === 'master-rule')).toMatchObject({ pinned: true })
    expect(shownElements(base, 'master').map(element => [element.id, element.pinned])).toEqual([['master-rule', false]])
  })

  it('a part’s own weight, font and case go over its style’s', () => {
    const element = { ...textElement('w', list!.id, ['x']), weight: 300, family: 'Lora', case: 'upper' } as TextElement
    expect(styleOf(base, element)).toMatchObject({ weight: 300, family: 'Lora', case: 'upper', size: 46 })
  })
})
