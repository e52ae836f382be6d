import {
  deckTheme,
  putRecord,
  setRecord,
  applyChanges,
  elementsOf,
  layoutsOf,
  mend,
  onlySlides,
  readDeck,
  slidesOf,
  type Change,
  type Deck,
  type Element,
  type TextElement,
} from '../model'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { checkConsistency } from '../checks'
import { takeSlides } from '../edits'
import { groundHex, shownElements, styleOf, themeUnder } from '../resolved'
import type { Color } from '../values'
import { familyNamed } from '../families'
import { houseTheme, insertOutline, insertSlide, layOut, outlineOf, putLook, setLayout, settleAgendas, setAgenda } from '../layouts'
import { schemes } from '../color'
import { countingContext, freshDeck, textElement } from '../testing'
import {
  addLayout,
  arrangeLayout,
  colorsInUse,
  departuresOf,
  duplicateLayout,
  fontsInUse,
  placesThatStay,
  putTheme,
  removeLayout,
  removeStyle,
  replaceColor,
  replaceFont,
  returnToStyle,
  slidesOfLayout,
  takeIntoStyle,
  themeDeckOf,
  turnIntoRole,
} from './index'

const context = countingContext('t')
const outlined = (count: number): Deck => {
  const deck = freshDeck()
  return applyChanges(
    deck,
    insertOutline(
      deck,
      {
        after: slidesOf(deck)[0]!.id,
        slides: Array.from({ length: count }, (_, index) => ({
          title: `Slide ${index}`,
          lines: [
            { text: 'A first line', level: 1 },
            { text: 'A second line', level: 1 },
          ],
        })),
      },
      context,
    ),
  )
}
const patch = (id: string, owner: string, fill: Color): Change =>
  putRecord('elements', {
    id,
    owner,
    order: 'a9',
    kind: 'shape',
    name: 'Patch',
    shape: 'rectangle',
    fill,
    box: { x: 0, y: 900, width: 90, height: 90, angle: 0 },
  })
const valid = (deck: Deck) => {
  const read = readDeck(JSON.parse(JSON.stringify(deck)))
  return read.ok ? read.value.notes : [read.message]
}

describe('colours in use', () => {
  const base = outlined(4)
  const deck = applyChanges(base, [
    ...slidesOf(base).map((slide, index) => patch(`p${index}`, slide.id, { hex: '#B5179E', ...(index ? {} : { alpha: 0.4 }) })),
    putRecord('elements', {
      ...textElement('w', slidesOf(base)[0]!.id, []),
      text: {
        type: 'doc',
        content: [
          { type: 'paragraph', content: [{ type: 'text', text: 'x', marks: [{ type: 'color', attrs: { color: { hex: '#b5179e' } } }] }] },
        ],
      },
    } as TextElement),
  ])

  it('are found in shapes and in words, whatever the case of their letters, and counted', () => {
    const [own] = colorsInUse(deck)
    expect(own).toMatchObject({ role: null, hex: '#b5179e', count: 6 })
    expect(own!.places.find(place => place.name === 'Patch')).toMatchObject({ element: 'p0', where: 'slide 1' })
  })

  it('are counted and replaced where they are seen: given by layouts, styles and kinds as well, and not twice', () => {
    const base = freshDeck()
    const slides = Array.from({ length: 3 }, (_, index) => ({
      title: `Slide ${index}`,
      lines: ['Boats', 'Quays', 'Crew'].map(text => ({ text: `${text}: more of them`, level: 1 })),
    }))
    let seen = applyChanges(base, insertOutline(base, { after: slidesOf(base)[0]!.id, slides }, context))
    for (const slide of slidesOf(seen).slice(1))
      seen = applyChanges(seen, layOut(seen, { slide: slide.id, family: familyNamed('cards-row')! }, context))
    const last = slidesOf(seen).at(-1)!.id
    seen = applyChanges(seen, [
      putRecord('elements', {
        id: 'rows',
        owner: last,
        kind: 'table',
        name: 'Rows',
        order: 'a8',
        table: null,
        columns: [],
        cells: [['Place'], ['Quay']],
      } as unknown as Element),
      putRecord('elements', {
        id: 'steps',
        owner: last,
        kind: 'diagram',
        name: 'Steps',
        order: 'a9',
        family: 'steps',
        text: { type: 'doc', content: [{ type: 'paragraph', content: [{ type: 'text', text: 'One' }] }] },
      } as unknown as Element),
      putRecord('elements', {
        id: 'bars',
        owner: last,
        kind: 'chart',
        name: 'Bars',
        order: 'aA',
        chart: {
          kind: 'bar',
          table: null,
          across: null,
          height: null,
          aggregate: 'sum',
          order: 'data',
          highlighted: [],
          color: { role: 'accent1' },
          highlightColor: { role: 'accent3' },
          format: { decimals: 0, scale: 'none', prefix: '', suffix: '' },
          labels: 'all',
          total: false,
        },
      } as unknown as Element),
    ])
    const use = (of: Deck, role: string) => colorsInUse(of).find(one => one.role === role)
    const before = use(seen, 'accent1')!
    for (const name of ['Rows', 'Steps', 'Bars'])
      expect(before.places.some(place => place.name === name && place.slide === last)).toBe(true)
    // What the family of the layout gives its cards is written on no slide.
    const given = before.places.filter(
      place =>
        place.slide &&
        place.element &&
        !JSON.stringify(seen.elements[place.element]).includes('accent1') &&
        !['Rows', 'Steps'].includes(place.name),
    )
    expect(given.length).toBeGreaterThan(0)
    const next = applyChanges(seen, replaceColor(seen, { from: { role: 'accent1' }, to: { role: 'accent5' } }))
    expect(use(next, 'accent1')?.count ?? 0).toBe(0)
    expect(use(next, 'accent5')!.count).toBe(before.count + (use(seen, 'accent5')?.count ?? 0))
    expect(shownElements(next, last).find(element => element.id === 'steps')).toMatchObject({ options: { role: 'accent5' } })
    expect(valid(next)).toEqual([])
    // Bullets are seen in the colour that the style gives them.
    const listed = applyChanges(base, [
      putRecord('elements', {
        ...textElement('points', slidesOf(base)[0]!.id, []),
        style: 'body',
        text: { type: 'doc', content: [{ type: 'paragraph', attrs: { level: 1 }, content: [{ type: 'text', text: 'One' }] }] },
      } as TextElement),
    ])
    const { role } = deckTheme(base).textStyles.body!.bullet.color as { role: 'accent1' }
    expect(use(listed, role)!.places.map(place => place.name)).toContain('points')
    expect(use(applyChanges(listed, replaceColor(listed, { from: { role }, to: { role: 'accent5' } })), role)?.count ?? 0).toBe(0)
    // A highlighted colour of a chart in which nothing is highlighted is not seen.
    expect(use(seen, 'accent3')?.places.some(place => place.name === 'Bars') ?? false).toBe(false)
  })

  it('that a diagram cannot be drawn in stay as they are, and are counted as staying', () => {
    const base = freshDeck()
    const slide = slidesOf(base)[0]!.id
    const seen = applyChanges(base, [
      putRecord('elements', {
        id: 'steps',
        owner: slide,
        kind: 'diagram',
        name: 'Steps',
        order: 'a9',
        family: 'steps',
        text: { type: 'doc', content: [{ type: 'paragraph', content: [{ type: 'text', text: 'One' }] }] },
      } as unknown as Element),
    ])
    expect(placesThatStay(seen, { from: { role: 'accent1' }, to: { hex: '#123456' } })).toBe(1)
    expect(placesThatStay(seen, { from: { role: 'accent1' }, to: { role: 'accent2' } })).toBe(0)
  })

  it('are replaced in exactly as many places as were counted, and keep their transparency', () => {
    const next = applyChanges(deck, replaceColor(deck, { from: { hex: '#b5179e' }, to: { role: 'accent4' } }))
    expect(colorsInUse(next).some(use => use.role === null)).toBe(false)
    expect(next.elements.p0).toMatchObject({ fill: { role: 'accent4', alpha: 0.4 } })
    expect(
      colorsInUse(next).find(use => use.role === 'accent4')!.count - (colorsInUse(deck).find(use => use.role === 'accent4')?.count ?? 0),
    ).toBe(6)
    expect(valid(next)).toEqual([])
  })

  it('become a role, and a role is replaced with its tints bound to the new one', () => {
    const named = applyChanges(deck, turnIntoRole(deck, { hex: '#b5179e', role: 'accent6' }))
    expect(deckTheme(named).palette.accent6).toBe('#b5179e')
    expect(named.elements.p1).toMatchObject({ fill: { role: 'accent6' } })
    const tinted = applyChanges(named, [patch('q', slidesOf(base)[1]!.id, { role: 'accent6', tint: 0.5, alpha: 0.3 })])
    expect(applyChanges(tinted, replaceColor(tinted, { from: { role: 'accent6' }, to: { role: 'accent1' } })).elements.q).toMatchObject({
      fill: { role: 'accent1', tint: 0.5, alpha: 0.3 },
    })
  })

  it('replacing any colour by any other and looking again finds none of it left', () => {
    fc.assert(
      fc.property(fc.constantFrom('ink', 'accent1', 'accent2', 'accent3') as fc.Arbitrary<'ink'>, role => {
        const next = applyChanges(deck, replaceColor(deck, { from: { role }, to: { hex: '#123456' } }))
        expect(colorsInUse(next).find(use => use.role === role)).toBeUndefined()
      }),
    )
  })
})

describe('fonts and styles', () => {
  it('a family is replaced in theme, styles and words, and counted before', () => {
    const base = outlined(1)
    const deck = applyChanges(base, [
      putRecord('elements', { ...textElement('w', slidesOf(base)[1]!.id, ['x']), family: 'Hanken Grotesk' } as TextElement),
    ])
    expect(fontsInUse(deck).find(use => use.family === 'Hanken Grotesk')!.count).toBe(2)
    const next = applyChanges(deck, replaceFont(deck, { from: 'Hanken Grotesk', to: 'Inter' }))
    expect(fontsInUse(next).map(use => use.family)).not.toContain('Hanken Grotesk')
    expect(deckTheme(next).fonts.body).toBe('Inter')
    expect(valid(next)).toEqual([])
  })

  it('a departure is counted, taken into the style, and then everything follows', () => {
    const base = outlined(2)
    const [, first, second] = slidesOf(base)
    const title = elementsOf(base, first!.id).find(element => element.placeholder === 'title')!
    const deck = applyChanges(base, [setRecord('elements', title.id, { size: 91, weight: 400 })])
    expect(departuresOf(deck).map(one => [one.style, Object.keys(one.fields)])).toEqual([['heading', ['size', 'weight']]])
    const taken = applyChanges(deck, takeIntoStyle(deck, { element: title.id }))
    expect(departuresOf(taken)).toEqual([])
    const other = shownElements(taken, second!.id).find(element => element.placeholder === 'title') as TextElement
    expect(styleOf(taken, other)).toMatchObject({ size: 91, weight: 400 })
    const returned = applyChanges(deck, returnToStyle(deck, { elements: [title.id] }))
    expect(returned.elements[title.id]).toEqual(base.elements[title.id])
  })

  it('a style that goes leaves its texts to another', () => {
    const base = outlined(1)
    const deck = applyChanges(base, [
      putRecord('elements', { ...textElement('w', slidesOf(base)[1]!.id, ['x']), style: 'quote' } as TextElement),
    ])
    const next = applyChanges(deck, removeStyle(deck, { style: 'quote', heir: 'body' }))
    expect((next.elements.w as TextElement).style).toBe('body')
    expect(deckTheme(next).textStyles.quote).toBeUndefined()
  })
})

describe('layouts', () => {
  it('are added, duplicated and removed, and slides that used one keep their words in another', () => {
    const base = outlined(2)
    const slide = slidesOf(base)[1]!
    const copied = applyChanges(base, duplicateLayout(base, { layout: slide.layout }, context))
    expect(layoutsOf(copied).length).toBe(layoutsOf(base).length + 1)
    const added = applyChanges(copied, addLayout(copied, { master: 'master', name: 'Own' }, context))
    expect(mend(added).notes).toEqual([])
    const using = slidesOfLayout(added, slide.layout).map(one => one.id)
    const gone = applyChanges(added, removeLayout(added, { layout: slide.layout, heir: 'layout-statement' }, context))
    expect(gone.layouts[slide.layout]).toBeUndefined()
    for (const id of using) {
      expect(gone.slides[id]!.layout).toBe('layout-statement')
      expect(outlineOf(gone, gone.slides[id]!)).toEqual(outlineOf(base, base.slides[id]!))
    }
    expect(valid(gone)).toEqual([])
  })

  it('one of one’s own arranges lines as a diagram within its place, and its slides’ words go into it', () => {
    const base = outlined(1)
    const added = applyChanges(base, addLayout(base, { master: 'master', name: 'Own' }, countingContext('own')))
    const slide = slidesOf(base)[1]!
    const moved = applyChanges(added, setLayout(added, { slide: slide.id, layout: 'own-1' }, context))
    const deck = applyChanges(moved, arrangeLayout(moved, { layout: 'own-1', family: familyNamed('cycle')! }, context))
    expect(outlineOf(deck, deck.slides[slide.id]!)).toEqual(outlineOf(base, slide))
    const place = elementsOf(deck, 'own-1').find(element => element.placeholder === 'items')!.box!
    for (const element of shownElements(deck, slide.id)) {
      if (!element.placeholder?.startsWith('item')) continue
      expect(element.box.y).toBeGreaterThanOrEqual(place.y - 1)
      expect(element.box.y + element.box.height).toBeLessThanOrEqual(place.y + place.height + 1)
    }
    expect(valid(deck)).toEqual([])
  })

  it('an agenda follows the slide names, and stays as it is once written by hand', () => {
    const base = outlined(2)
    const first = slidesOf(base)[0]!
    const laid = applyChanges(base, layOut(base, { slide: first.id, family: familyNamed('agenda')! }, context))
    const deck = applyChanges(laid, setAgenda(laid, { slide: first.id, from: 'slides' }, context))
    expect(outlineOf(deck, deck.slides[first.id]!).lines.map(line => line.text)).toEqual(['Slide 0', 'Slide 1'])
    const more = applyChanges(
      deck,
      insertOutline(deck, { after: slidesOf(deck).at(-1)!.id, slides: [{ title: 'Slide 2', lines: [] }] }, context),
    )
    const settled = applyChanges(more, settleAgendas(more, context))
    expect(outlineOf(settled, settled.slides[first.id]!).lines).toHaveLength(3)
    expect(settleAgendas(settled, context)).toEqual([])
    const byHand = applyChanges(settled, setAgenda(settled, { slide: first.id, from: null }, context))
    expect(outlineOf(byHand, byHand.slides[first.id]!).lines).toHaveLength(3)
  })
})

describe('whole themes', () => {
  const from = themeDeckOf(
    { ...outlined(0), theme: { theme: { ...houseTheme, palette: schemes[6]!.palette, margin: 140, footer: 'Quay' } } },
    'Flags',
  )

  it('stand on a shelf without slides, and dress a deck that keeps its words', () => {
    expect(slidesOf(from)).toEqual([])
    expect(valid(from)).toEqual([])
    const deck = outlined(3)
    const dressed = applyChanges(deck, putTheme(deck, { from }, context))
    expect(valid(dressed)).toEqual([])
    expect(dressed.theme.theme).toMatchObject({ name: 'Flags', margin: 140 })
    for (const slide of slidesOf(deck)) expect(outlineOf(dressed, dressed.slides[slide.id]!)).toEqual(outlineOf(deck, slide))
    const titles = slidesOf(dressed)
      .slice(1)
      .map(slide => shownElements(dressed, slide.id).find(element => element.placeholder === 'title')!.box.x)
    expect(new Set(titles)).toEqual(new Set([140]))
    const again = applyChanges(dressed, putTheme(dressed, { from }, context))
    expect(Object.keys(again.elements).length).toBe(Object.keys(dressed.elements).length)
  })

  it('bring the look that they wear along: its parts on the master, its layouts, and slides arranged by it', () => {
    const lines = ['Safety: two ramps', 'Speed: eight minutes', 'Space: a hall'].map(text => ({ text, level: 1 }))
    const bare = outlined(0)
    const family = familyNamed('lead-rows')!
    const { deck, slide } = insertSlide(
      bare,
      { after: slidesOf(bare).at(-1)!.id, family, outline: { title: 'What changes', lines } },
      context,
    )
    const worn = applyChanges(bare, putLook(bare, { look: 'soundings', ground: 'light', seed: 7 }, context))
    const dressed = applyChanges(deck, putTheme(deck, { from: themeDeckOf(worn, 'Water') }, context))
    expect(valid(dressed)).toEqual([])
    const shapes = (owner: string) => elementsOf(dressed, owner).flatMap(part => (part.kind === 'shape' ? [part.shape] : []))
    expect([shapes('master'), shapes(slide)]).toEqual([Array(3).fill('strata'), Array(3).fill('strata')])
    expect(outlineOf(dressed, dressed.slides[slide]!).lines).toEqual(lines)
    // The edge at the foot is not on the title slide, which has strata of its own.
    const title = shownElements(dressed, slidesOf(dressed)[0]!.id).filter(({ owner }) => owner === 'master')
    expect(title.filter(({ kind }) => kind === 'shape')).toEqual([])
  })

  it('slides of another deck come in this deck’s look, or bring their own along', () => {
    const other: Deck = { ...outlined(2), theme: { theme: { ...houseTheme, palette: schemes[2]!.palette } } }
    const wanted = slidesOf(other)
      .slice(1)
      .map(slide => slide.id)
    const deck = outlined(1)
    for (const look of ['ours', 'theirs'] as const) {
      const next = applyChanges(deck, takeSlides(deck, { from: onlySlides(other, wanted), after: slidesOf(deck)[0]!.id, look }, context))
      expect(valid(next)).toEqual([])
      const [, taken] = slidesOf(next)
      expect(outlineOf(next, taken!).title).toBe('Slide 0')
      expect(groundHex(next, taken!)).toBe(look === 'ours' ? houseTheme.palette.ground : schemes[2]!.palette.ground)
      expect(themeUnder(next, slidesOf(next).at(-1)!.id).palette).toEqual(houseTheme.palette)
    }
  })
})

describe('consistency', () => {
  const base = outlined(4)
  const slides = slidesOf(base).slice(1)
  const at = (x: number) => ({ x, y: 700, width: 300, height: 100, angle: 0 })
  const note = (id: string, owner: string, fields: object): Change =>
    putRecord('elements', { ...textElement(id, owner, ['x']), name: 'Note', ...fields } as never)
  const deck = applyChanges(base, [
    note('n0', slides[0]!.id, { box: at(100) }),
    note('n1', slides[1]!.id, { box: at(100) }),
    note('n2', slides[2]!.id, { box: at(100) }),
    note('n3', slides[3]!.id, { box: at(107), size: 44, color: { hex: '#c34d3c' }, family: 'Lora' }),
  ])
  const rules = (of: Deck) =>
    checkConsistency(of)
      .map(finding => finding.rule)
      .sort()

  it('says what nearly matches and does not, and each remedy puts it right', () => {
    expect(rules(deck)).toEqual(['near-color', 'near-place', 'near-size', 'odd-font'])
    let now = deck
    for (const finding of checkConsistency(deck)) now = applyChanges(now, finding.remedy!.changes(now, context))
    expect(rules(now)).toEqual([])
    expect(now.elements.n3).toMatchObject({ box: at(100), color: { role: 'accent6' } })
  })

  it('leaves alone what is plainly meant to differ', () => {
    const meant = applyChanges(base, [
      note('n0', slides[0]!.id, { box: at(100) }),
      note('n1', slides[1]!.id, { box: at(100) }),
      note('n2', slides[2]!.id, { box: at(600), size: 90 }),
    ])
    expect(rules(meant)).toEqual([])
  })
})
