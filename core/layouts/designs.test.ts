import { describe, expect, it } from 'vitest'
import { removeSlides } from '../edits'
import { looks } from '../looks'
import { applyChanges, deckTheme, elementsOf, infoOf, readDeck, setRecord, slidesOf, type Deck } from '../model'
import { boundsOf, inside, overlap } from '../place'
import { shownElements, themeUnder } from '../resolved'
import { countingContext, freshDeck, timingContext } from '../testing'
import { layoutOfElement, roughMeasurer } from '../text'
import { rundown } from '../timing'
import {
  chooseLayout,
  designing,
  familyNamed,
  insertOutline,
  keepsLayout,
  layOut,
  mainLook,
  outlineOf,
  putLook,
  rankLooks,
  takeDesigns,
  threeLooks,
  wishFor,
  type Design,
  type OutlineSlide,
} from './index'

const slideOf = (title: string, ...lines: string[]): OutlineSlide => ({ title, lines: lines.map(text => ({ text, level: 1 })) })
const harbour = [
  slideOf('Spring timetable', 'Harbour office, 2 April'),
  slideOf('Three things change on 2 April', 'Astrel sails every hour', 'Quill gains a late boat', 'Low Sands waits for the bus'),
  slideOf('740 thousand crossed last season'),
  slideOf('How a timetable comes about', 'Count the riders', 'Draft two timetables', 'Ask crews and schools', 'Try one week in autumn'),
  slideOf('Ask at the quay desk', 'ferries@velmoor.example'),
]
function deckOf(outline: readonly OutlineSlide[], purpose: 'talk' | 'film' | 'loop' = 'talk'): Deck {
  const deck = freshDeck(purpose)
  const removed = applyChanges(deck, removeSlides(deck, { slides: slidesOf(deck).map(({ id }) => id) }))
  return applyChanges(removed, insertOutline(removed, { after: null, slides: outline }, countingContext('in')))
}
function designed(deck: Deck, look: string): Design {
  const work = designing(deck, { ...wishFor(deck, look, 4711), look }, countingContext(`d-${look}`), roughMeasurer)
  for (;;) {
    const step = work.next()
    if (step.done) return step.value
  }
}
const familiesOf = (deck: Deck) => slidesOf(deck).map(slide => deck.layouts[slide.layout]?.family)

describe('looks that suit a deck', () => {
  it('puts the one first whose subject the words are about, and names them as they are written', () => {
    const [first] = rankLooks(deckOf(harbour))
    expect(first!.look.name).toBe('soundings')
    expect(first!.reason).toMatch(/^“Harbour”, “sails” and 4 more words are about water\. /)
  })
  it.each([
    ['minute-book', slideOf('Haushalt und Prüfung', 'Der Rat hört den Bericht', 'Antrag des Vorstands zu den Kosten des Jahres')],
    ['lightwell', slideOf('La bibliothèque et ses livres', 'Une exposition sur l’histoire du musée', 'Les archives de la culture locale')],
    ['logbook', slideOf('Aves y árboles del bosque', 'Las plantas y especies de la naturaleza', 'Investigación con animales')],
  ])('finds %s by words of other languages, with their marks', (look, slide) => {
    expect(rankLooks(deckOf([slide]))[0]!.look.name).toBe(look)
  })
  it('names no word that the deck does not have', () => {
    for (const { reason } of rankLooks(deckOf(harbour)))
      for (const [, word] of reason.matchAll(/“([^”]+)”/g)) expect(JSON.stringify(harbour)).toContain(word)
  })
  it('shows three that differ, two of them in how they compose; rounds show every look once before any comes again', () => {
    const deck = deckOf(harbour)
    const rounds = [0, 1, 2, 3].map(round => threeLooks(deck, round))
    for (const three of rounds) expect(new Set(three.slice(0, 2).map(({ look }) => look.suits.manner)).size).toBe(2)
    expect(new Set(rounds.flat().map(({ look }) => look.name)).size).toBe(looks.length)
    expect(threeLooks(deck, 4).map(({ look }) => look.name)).toEqual(rounds[0]!.map(({ look }) => look.name))
  })
})

describe('a whole deck as a look would have it', () => {
  it.each(looks.map(({ name }) => name))('keeps every word in %s, and gives each slide a layout with room for its lines', look => {
    const deck = deckOf(harbour)
    const design = designed(deck, look)
    expect(readDeck(JSON.parse(JSON.stringify(design.deck)))).toMatchObject({ ok: true, value: { notes: [] } })
    expect(slidesOf(design.deck).map(slide => outlineOf(design.deck, slide))).toEqual(slidesOf(deck).map(slide => outlineOf(deck, slide)))
    for (const { room, count } of design.slides) if (room !== null) expect(room).toBeGreaterThanOrEqual(count)
    expect(applyChanges(deck, design.changes)).toEqual(design.deck)
    expect(deckTheme(design.deck).look?.name).toBe(look)
  })
  it('has no third of one family in a run where other layouts suit', () => {
    const alike = Array.from({ length: 6 }, (_, at) => slideOf(`What the crews asked for ${at + 1}`, 'Lights at the ramp', 'A roof', 'Tea'))
    const families = familiesOf(designed(deckOf([harbour[0]!, ...alike]), 'signpost').deck)
    for (let at = 2; at < families.length; at++) expect(families[at] === families[at - 1] && families[at] === families[at - 2]).toBe(false)
  })
  it('leaves the layout that was chosen by hand, until it may be proposed again', () => {
    const deck = deckOf(harbour)
    const slide = slidesOf(deck)[1]!.id
    const chosen = applyChanges(deck, [
      ...layOut(deck, { slide, family: familyNamed('stairs')! }, countingContext('by')),
      ...chooseLayout(deck, { slide, chosen: true }),
    ])
    const design = designed(chosen, 'soundings')
    expect(design.slides[1]).toMatchObject({ family: null, keeps: 'chosen', label: familyNamed('stairs')!.label })
    expect(familiesOf(design.deck)[1]).toBe('stairs')
    const freed = applyChanges(chosen, chooseLayout(chosen, { slide, chosen: false }))
    expect(keepsLayout(freed, freed.slides[slide]!)).toBeUndefined()
    expect(designed(freed, 'soundings').slides[1]!.family).not.toBeNull()
  })
  it('leaves slides that hold more than words as they stand', () => {
    const deck = deckOf(harbour)
    const slide = slidesOf(deck)[2]!.id
    const drawn = applyChanges(deck, [
      {
        do: 'put',
        table: 'elements',
        record: {
          id: 'arrow',
          owner: slide,
          order: 'z0',
          kind: 'shape',
          name: 'Arrow',
          shape: 'rectangle',
          box: { x: 100, y: 900, width: 80, height: 20, angle: 0 },
        },
      },
    ])
    const design = designed(drawn, 'lightwell')
    expect(design.slides[2]!.keeps).toBe('content')
    expect(elementsOf(design.deck, slide).find(({ id }) => id === 'arrow')?.box).toEqual(drawn.elements.arrow!.box)
  })
  it('keeps a team’s own colours and fonts, not those of the house or of a look', () => {
    const deck = deckOf(harbour)
    expect(wishFor(deck, 'signpost', 1)).toMatchObject({ ownColors: false, ownFonts: false })
    const worn = applyChanges(deck, putLook(deck, { look: 'soundings', seed: 1, ground: 'deep' }, countingContext('w')))
    expect(wishFor(worn, 'signpost', 1)).toMatchObject({ ownColors: false, ownFonts: false })
    const { palette } = deckTheme(deck)
    const own = applyChanges(deck, [setRecord('theme', 'theme', { palette: { ...palette, accent1: '#7a1fa2' } })])
    expect(wishFor(own, 'signpost', 1)).toMatchObject({ ownColors: true, ownFonts: false })
    expect(deckTheme(designed(own, 'signpost').deck).palette.accent1).toBe('#7a1fa2')
  })
  it('lets slides come as the look has them come, the first of a chapter in its own way', () => {
    const deck = deckOf([harbour[0]!, { ...slideOf('Where the boats go'), chapter: 'Boats' }, harbour[1]!])
    const { transitions } = looks.find(({ name }) => name === 'scissors')!
    expect(slidesOf(designed(deck, 'scissors').deck).map(slide => slide.transition)).toEqual([
      undefined,
      transitions.chapter,
      transitions.within,
    ])
    const own = deckOf([harbour[0]!, harbour[1]!])
    const kept = applyChanges(own, putLook(own, { look: 'scissors', seed: 1, ground: 'light', ownTransitions: true }, countingContext('k')))
    expect(slidesOf(kept).map(slide => slide.transition)).toEqual(slidesOf(own).map(slide => slide.transition))
    expect(Number.isFinite(rundown(designed(deck, 'scissors').deck, 'talk', timingContext).length)).toBe(true)
  })
})

describe('slides taken from several designs', () => {
  const deck = deckOf(harbour)
  const designs = ['soundings', 'signpost', 'lightwell'].map(look => designed(deck, look))
  const ids = slidesOf(deck).map(({ id }) => id)
  const takenBy = (...names: string[]) => new Map(ids.map((id, at) => [id, names[at % names.length]!]))
  const take = (...names: string[]) => applyChanges(deck, takeDesigns(deck, { designs, taken: takenBy(...names) }, countingContext('t')))

  it('is the design itself where all are taken from one', () => {
    expect(take('signpost')).toEqual(designs[1]!.deck)
  })
  it('takes theme and fonts of the look that most have, and keeps how the other composes its slide', () => {
    const mixed = take('soundings', 'soundings', 'soundings', 'signpost', 'soundings')
    expect(readDeck(JSON.parse(JSON.stringify(mixed)))).toMatchObject({ ok: true, value: { notes: [] } })
    expect(deckTheme(mixed)).toEqual(deckTheme(designs[0]!.deck))
    expect(mixed.layouts[mixed.slides[ids[3]!]!.layout]!.look).toBe('signpost')
    expect(themeUnder(mixed, ids[3]!).look?.name).toBe('signpost')
    expect(themeUnder(mixed, ids[3]!).palette).toEqual(deckTheme(mixed).palette)
    const boxes = (of: Deck, slide: string) =>
      shownElements(of, slide).flatMap(part => (part.placeholder?.startsWith('item') ? [[part.placeholder, Math.round(part.box.x)]] : []))
    expect(boxes(mixed, ids[3]!)).toEqual(boxes(designs[1]!.deck, ids[3]!))
    expect(outlineOf(mixed, mixed.slides[ids[3]!]!)).toEqual(outlineOf(deck, deck.slides[ids[3]!]!))
  })
  it('goes by the earliest where as many are taken from two', () => {
    expect(
      mainLook(
        deck,
        new Map([
          [ids[0]!, 'lightwell'],
          [ids[1]!, 'signpost'],
        ]),
      ),
    ).toBe('lightwell')
    expect(mainLook(deck, new Map())).toBeUndefined()
    expect(takeDesigns(deck, { designs, taken: new Map() }, countingContext('t'))).toEqual([])
  })
  it('is of one look again once a look is put on', () => {
    const mixed = take('soundings', 'soundings', 'soundings', 'signpost', 'soundings')
    const again = applyChanges(mixed, putLook(mixed, { look: 'lightwell', seed: 1, ground: 'light' }, countingContext('l')))
    expect(Object.values(again.layouts).every(({ look }) => look === undefined)).toBe(true)
    expect(new Set(Object.values(again.layouts).map(({ name }) => name.includes(', Signpost')))).toEqual(new Set([false]))
    expect(themeUnder(again, ids[3]!).look?.name).toBe('lightwell')
  })
  it.each(looks.map(({ name }) => name))('sets a slide of %s inside and unbroken in the fonts of another look', look => {
    const other = designs[look === 'soundings' ? 1 : 0]!
    const own = designed(deck, look)
    const taken = new Map(ids.map((id, at) => [id, at === 1 || at === 3 ? look : other.look.name]))
    const mixed = applyChanges(deck, takeDesigns(deck, { designs: [other, own], taken }, countingContext('m')))
    const { width, height } = infoOf(mixed).size
    for (const at of [1, 3]) {
      const words = shownElements(mixed, ids[at]!).filter(
        part => part.kind === 'text' && part.text.content.some(({ content }) => content?.length),
      )
      for (const part of words) {
        expect(inside(boundsOf(part.box), { left: 0, top: 0, right: width, bottom: height }, 1), part.name).toBe(true)
        if (part.kind === 'text') expect(layoutOfElement(mixed, part, roughMeasurer), part.name).toMatchObject({ fits: true, broken: null })
      }
      for (const [index, part] of words.entries()) {
        const { left, right, top, bottom } = boundsOf(part.box)
        const smaller = { left: left + 0.6, right: right - 0.6, top: top + 0.6, bottom: bottom - 0.6 }
        for (const next of words.slice(index + 1)) expect(overlap(smaller, boundsOf(next.box)), `${part.name} on ${next.name}`).toBe(false)
      }
    }
  })
})

describe('pictures that the team has of what slides say', () => {
  const plain = ['Astrel sails every hour', 'Quill gains a late boat', 'Low Sands waits']
  const deck = deckOf(['One', 'Two', 'Three', 'Four', 'Five', 'Six'].map(title => slideOf(title, ...plain)))
  const slides = slidesOf(deck)
  const found = (letter: string) => [{ hash: letter.repeat(64), width: 1600, height: 1000 }]
  const designed = (pictures: ReadonlyMap<string, readonly { hash: string; width: number; height: number }[]>) => {
    const work = designing(deck, { ...wishFor(deck, 'signpost', 7), look: 'signpost' }, countingContext('d'), roughMeasurer, pictures)
    let step = work.next()
    while (!step.done) step = work.next()
    return step.value
  }
  const shownIn = (made: Design) =>
    made.slides.flatMap(({ slide, family }, index) =>
      family?.pictured
        ? [[index, elementsOf(made.deck, slide).find(one => one.kind === 'picture' && one.proposed)?.name !== undefined]]
        : [],
    )
  it('stand beside plain words as proposals, and rest for three slides in between', () => {
    const pictures = new Map(slides.map(({ id }, index) => [id, found('abcdef'[index]!)]))
    const made = designed(pictures)
    expect(shownIn(made)).toEqual([
      [0, true],
      [4, true],
    ])
    expect(made.slides[0]!.reason).toContain('picture of what it says')
    expect(outlineOf(made.deck, made.deck.slides[slides[0]!.id]!).lines.map(({ text }) => text)).toEqual(plain)
  })
  it('are nowhere where there are none, and none comes twice', () => {
    expect(shownIn(designed(new Map()))).toEqual([])
    const same = designed(new Map(slides.map(({ id }) => [id, found('a')])))
    const media = slides.flatMap(({ id }) =>
      elementsOf(same.deck, id).flatMap(one => (one.kind === 'picture' && one.media ? [one.media] : [])),
    )
    expect(media).toEqual(['a'.repeat(64)])
  })
  it('do not push out what the lines are: steps, numbers and dates stay', () => {
    const dated = deckOf([slideOf('First', 'One'), slideOf('Four years', '2024 second berth', '2027 night boat', '2031 covered hall')])
    const second = slidesOf(dated)[1]!.id
    const work = designing(
      dated,
      { ...wishFor(dated, 'signpost', 7), look: 'signpost' },
      countingContext('d'),
      roughMeasurer,
      new Map([[second, found('a')]]),
    )
    let step = work.next()
    while (!step.done) step = work.next()
    expect(step.value.slides[1]!.family!.senses[0]).toBe('events')
  })
})
