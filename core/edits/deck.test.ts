import {
  infoOf,
  deckTheme,
  dropRecord,
  putRecord,
  setRecord,
  applyChanges,
  beatsOf,
  cuesOf,
  elementsOf,
  formatVersion,
  mend,
  paragraphTexts,
  readDeck,
  slidesOf,
  textOf,
  type Deck,
  type TextElement,
} from '../model'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { setLayout } from '../layouts'
import { anyDeck, beat, countingContext, cue, freshDeck, textElement } from '../testing'
import { shownElements, styleOf } from '../resolved'
import { orderAt, ordersAt } from '../values'
import { addSlide } from './add-slide'
import { buildOnAdvance } from './build-on-advance'
import { duplicateElements } from './duplicate-elements'
import { duplicateSlide } from './duplicate-slide'
import { moveSlide } from './move-slides'
import { removeBeat } from './remove-beat'
import { removeElements } from './remove-elements'
import { removeSlides } from './remove-slides'
import { stackElements } from './restack'

const deckWithSlides = (count: number) => {
  const context = countingContext('s')
  let deck = freshDeck()
  for (let index = 0; index < count; index++)
    deck = applyChanges(deck, addSlide(deck, { after: slidesOf(deck).at(-1)!.id, layout: 'layout-list' }, context))
  return deck
}

describe('reading a deck', () => {
  it('reads what it wrote, for any deck', () => {
    fc.assert(
      fc.property(anyDeck, deck => {
        const read = readDeck(JSON.parse(JSON.stringify(deck)))
        expect(read.ok && read.value.deck).toEqual(JSON.parse(JSON.stringify(deck)))
      }),
      { numRuns: 40 },
    )
  })

  it('brings a deck of the first format version up to today’s', () => {
    const { states: _, sounds: __, ...old } = structuredClone(freshDeck()) as never as Record<string, unknown>
    old.info = { info: { id: 'info', format: 1, title: 'Old', purpose: 'talk', language: 'en', size: { width: 1920, height: 1080 } } }
    const read = readDeck(old)
    expect(read.ok && infoOf(read.value.deck).format).toBe(formatVersion)
  })

  it.each([
    ['a deck of a newer version', { info: { info: { format: formatVersion + 1 } } }, /newer Hailbank/],
    ['what is no deck', [1, 2], /not a deck/],
    ['nothing', null, /not a deck/],
    ['a language that is none', { ...freshDeck(), info: { info: { ...freshDeck().info.info, language: 'not_one!' } } }, /no language tag/],
    [
      'a record that is damaged',
      { ...freshDeck(), slides: { x: { id: 'x', order: 'a0', layout: 'layout-list', notes: 7 } } },
      /damaged at slides › x › notes/,
    ],
    ['a record under another’s id', { ...freshDeck(), masters: { other: { id: 'master', order: 'a0', name: 'M' } } }, /masters › other/],
  ])('says in a sentence what is wrong with %s', (_, json, words) => {
    const read = readDeck(json)
    expect(!read.ok && read.message).toMatch(words)
  })
})

describe('mending', () => {
  it('leaves a whole deck as it is, the very same object', () => {
    fc.assert(
      fc.property(anyDeck, deck => {
        expect(mend(deck).deck).toBe(deck)
      }),
      { numRuns: 30 },
    )
  })

  it('leaves nothing that refers to what is gone, whichever records are lost, and then has nothing more to mend', () => {
    fc.assert(
      fc.property(anyDeck, fc.array(fc.nat(200), { maxLength: 12 }), (deck, picks) => {
        const all = (['slides', 'elements', 'beats', 'cues', 'layouts'] as const).flatMap(table =>
          Object.keys(deck[table]).map(id => dropRecord(table, id)),
        )
        const lost = applyChanges(
          deck,
          picks.map(pick => all[pick % all.length]!),
        )
        const { deck: whole } = mend(lost)
        for (const found of Object.values(whole.cues)) {
          expect(whole.beats[found.beat]).toBeDefined()
          expect(whole.elements[found.element!]).toBeDefined()
          if (found.anchor.to !== 'beat') expect(whole.cues[found.anchor.cue]?.beat).toBe(found.beat)
        }
        for (const slide of Object.values(whole.slides)) {
          expect(whole.layouts[slide.layout]).toBeDefined()
          expect(beatsOf(whole, slide.id).length).toBeGreaterThan(0)
        }
        expect(mend(whole).notes).toEqual([])
      }),
      { numRuns: 60 },
    )
  })
})

describe('order', () => {
  it('puts a new thing exactly where it was asked for, again and again', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(30), { maxLength: 60 }), places => {
        const list: { id: string; order: string }[] = []
        const wanted: string[] = []
        places.forEach((place, index) => {
          const at = Math.min(place, list.length)
          list.splice(at, 0, { id: `i${index}`, order: orderAt(list, at) })
          wanted.splice(at, 0, `i${index}`)
        })
        expect([...list].sort((a, b) => (a.order < b.order ? -1 : 1)).map(item => item.id)).toEqual(wanted)
      }),
    )
  })

  it('steps over siblings that two people gave the same place', () => {
    const orders = ordersAt([{ order: 'a0' }, { order: 'a0' }, { order: 'a1' }], 1, 2)
    expect(orders.every(order => order > 'a0' && order < 'a1')).toBe(true)
  })
})

describe('edits', () => {
  it('moves a slide and keeps the others in their order', () => {
    fc.assert(
      fc.property(fc.nat(5), fc.nat(5), (from, to) => {
        const deck = deckWithSlides(5)
        const ids = slidesOf(deck).map(slide => slide.id)
        const moved = slidesOf(applyChanges(deck, moveSlide(deck, { slide: ids[from]!, index: to }))).map(slide => slide.id)
        const wanted = ids.filter((_, index) => index !== from)
        wanted.splice(to, 0, ids[from]!)
        expect(moved).toEqual(wanted)
      }),
    )
  })

  it('removes a slide with everything on it, and mending finds nothing left behind', () => {
    fc.assert(
      fc.property(anyDeck, deck => {
        const next = applyChanges(deck, removeSlides(deck, { slides: ['s0'] }))
        expect(Object.values(next.elements).some(element => element.owner === 's0')).toBe(false)
        expect(mend(next).notes).toEqual([])
      }),
      { numRuns: 40 },
    )
  })

  it('duplicates a slide so that the copy moves alike and shares no record', () => {
    fc.assert(
      fc.property(anyDeck, deck => {
        const next = applyChanges(deck, duplicateSlide(deck, { slide: 's0' }, countingContext('copy')))
        const order = slidesOf(next).map(slide => slide.id)
        expect(order[order.indexOf('s0') + 1]).toBe('copy-1')
        const shape = (slide: string) =>
          beatsOf(next, slide).map(item =>
            cuesOf(next, item.id).map(({ what, effect, delay, duration }) => ({ what, effect, delay, duration })),
          )
        expect(shape('copy-1')).toEqual(shape('s0'))
        expect(mend(next).notes).toEqual([])
      }),
      { numRuns: 40 },
    )
  })

  it('removing an element takes its cues with it', () => {
    const base = freshDeck()
    const [slide] = slidesOf(base)
    const [first] = beatsOf(base, slide!.id)
    const deck = applyChanges(base, [
      putRecord('elements', textElement('a', slide!.id, ['A'])),
      putRecord('cues', cue({ id: 'c', beat: first!.id, element: 'a' })),
    ])
    const next = applyChanges(deck, removeElements(deck, { elements: ['a'] }))
    expect(next.cues.c).toBeUndefined()
    expect(mend(next).notes).toEqual([])
  })

  it('removing a beat keeps its cues, in the beat before', () => {
    const base = freshDeck()
    const [slide] = slidesOf(base)
    const [first] = beatsOf(base, slide!.id)
    const deck = applyChanges(base, [
      putRecord('elements', textElement('a', slide!.id, ['A'])),
      putRecord('beats', beat({ id: 'b2', slide: slide!.id, order: 'b00' })),
      putRecord('cues', cue({ id: 'c', beat: 'b2', element: 'a' })),
    ])
    const next = applyChanges(deck, removeBeat(deck, { beat: 'b2' }))
    expect(next.cues.c!.beat).toBe(first!.id)
    expect(removeBeat(next, { beat: first!.id })).toEqual([])
  })

  it('builds parts on advance, using beats that are there and making those that are missing', () => {
    const base = freshDeck()
    const [slide] = slidesOf(base)
    const [first] = beatsOf(base, slide!.id)
    const deck = applyChanges(base, [
      putRecord('elements', textElement('a', slide!.id, ['1', '2', '3'])),
      putRecord('beats', beat({ id: 'b2', slide: slide!.id, order: 'b00' })),
    ])
    const input = {
      element: 'a',
      after: first!.id,
      count: 3,
      by: 'paragraph' as const,
      start: 'advance' as const,
      cue: { effect: 'fade', options: {}, duration: 0.5, easing: { kind: 'linear' as const } },
    }
    const next = applyChanges(deck, buildOnAdvance(deck, input, countingContext('x')))
    expect(beatsOf(next, slide!.id)).toHaveLength(4)
    expect(
      beatsOf(next, slide!.id)
        .flatMap(item => cuesOf(next, item.id))
        .map(item => item.parts?.range),
    ).toEqual([
      { from: 0, to: 0 },
      { from: 1, to: 1 },
      { from: 2, to: null },
    ])
    const again = applyChanges(next, buildOnAdvance(next, input, countingContext('y')))
    expect(Object.keys(again.cues)).toHaveLength(3)
    expect(beatsOf(again, slide!.id)).toHaveLength(4)
  })

  it('another layout keeps the words, and keeps on the slide what it has no place for', () => {
    const deck = deckWithSlides(1)
    const slide = slidesOf(deck)[1]!
    const body = elementsOf(deck, slide.id).find(element => element.placeholder === 'body')!
    const written = applyChanges(deck, [setRecord('elements', body.id, { text: textOf(['kept']) })])
    const charted = applyChanges(written, setLayout(written, { slide: slide.id, layout: 'layout-chart' }, countingContext('c')))
    expect(
      elementsOf(charted, slide.id)
        .map(element => element.placeholder)
        .sort(),
    ).toEqual(['body', 'chart', 'title'])
    expect(paragraphTexts((charted.elements[body.id] as TextElement).text)).toEqual(['kept'])
    const back = applyChanges(charted, setLayout(charted, { slide: slide.id, layout: 'layout-list' }, countingContext('d')))
    expect(
      elementsOf(back, slide.id)
        .map(element => element.placeholder)
        .sort(),
    ).toEqual(['body', 'title'])
  })

  it('restacks, and duplicates away from the placeholder', () => {
    const deck = deckWithSlides(1)
    const slide = slidesOf(deck)[1]!
    const [back, front] = elementsOf(deck, slide.id)
    const swapped = applyChanges(deck, stackElements(deck, { elements: [back!.id], way: 'forward' }))
    expect(elementsOf(swapped, slide.id).map(element => element.id)).toEqual([front!.id, back!.id])
    const copied = applyChanges(
      deck,
      duplicateElements(deck, { elements: [back!.id], slide: slide.id, offset: { x: 40, y: 40 } }, countingContext('n')),
    )
    const shown = shownElements(copied, slide.id)
    const [original, copy] = [shown.find(element => element.id === back!.id)!, shown.find(element => element.id === 'n-1')!]
    expect([copy.box.x - original.box.x, copy.box.y - original.box.y, copy.placeholder]).toEqual([40, 40, undefined])
  })
})

describe('inheritance', () => {
  const place = (deck: Deck) =>
    shownElements(deck, slidesOf(deck)[1]!.id).find(element => element.placeholder === 'title') as TextElement & { box: { x: number } }

  it('a slide’s element stands where its layout says, until it says otherwise, and again when it no longer does', () => {
    const deck = deckWithSlides(1)
    const title = place(deck)
    expect(title.box.x).toBe((deck.elements['layout-list-title'] as TextElement).box!.x)
    const moved = applyChanges(deck, [
      setRecord('elements', 'layout-list-title', { box: { x: 300, y: 0, width: 500, height: 90, angle: 0 } }),
    ])
    expect(place(moved).box.x).toBe(300)
    const own = applyChanges(moved, [setRecord('elements', title.id, { box: { x: 7, y: 0, width: 500, height: 90, angle: 0 } })])
    expect(place(own).box.x).toBe(7)
    expect(place(applyChanges(own, [setRecord('elements', title.id, { box: undefined })])).box.x).toBe(300)
  })

  it('a change of a text style shows on every text of it', () => {
    const deck = deckWithSlides(1)
    const theme = deckTheme(deck)
    const larger = applyChanges(deck, [
      setRecord('theme', 'theme', { textStyles: { ...theme.textStyles, heading: { ...theme.textStyles.heading!, size: 90 } } }),
    ])
    expect(styleOf(larger, place(larger)).size).toBe(90)
  })

  it('the master’s parts are on every slide, pinned', () => {
    const deck = deckWithSlides(3)
    for (const slide of slidesOf(deck)) expect(shownElements(deck, slide.id)[0]).toMatchObject({ id: 'master-rule', pinned: true })
  })
})
