import { describe, expect, it } from 'vitest'
import { checkSlide } from '../checks'
import { looks } from '../looks'
import {
  applyChanges,
  deckTheme,
  elementsOf,
  infoOf,
  putRecord,
  readDeck,
  setRecord,
  slidesOf,
  textOf,
  type Deck,
  type Element,
} from '../model'
import { boundsOf, inside, overlap } from '../place'
import { shownElements, type ShownElement } from '../resolved'
import { countingContext, freshDeck, timingContext } from '../testing'
import { layoutOfElement, roughMeasurer } from '../text'
import { rundown } from '../timing'
import { familyNamed } from '../families'
import { insertSlide, outlineOf, putLook, refit, type LookWish } from './index'

const lines: Readonly<Record<string, readonly string[]>> = {
  plain: ['Second berth', 'Night boat begins', 'Shore power for all', 'A covered hall'],
  led: ['Safety: two ramps instead of one', 'Speed: eight minutes', 'Space: a hall for the queue', 'Light: at every gate'],
  dated: ['2022 second berth opens', '2025 night boat', '2028: shore power', '2031 covered hall'],
  counted: ['318 k riders last season', '96.4 % of boats on time', '4 routes', '11 min longest wait'],
  said: ['“The boat is the best part of my day.” Mara Ellin, rides since 2019'],
  few: ['Ines Rahm, harbour office', '2 April, covered hall'],
}
const samplesOf: Readonly<Record<string, string>> = {
  title: 'few',
  chapter: 'few',
  statement: 'few',
  contact: 'few',
  chart: 'few',
  'picture-full': 'few',
  quote: 'said',
  'numbers-row': 'counted',
  'number-single': 'counted',
  'timeline-row': 'dated',
  list: 'plain',
  'list-columns': 'plain',
}
const wish = (look: string, ground: 'light' | 'deep' = 'light'): LookWish => ({ look, ground, seed: 4711 })

/** A deck with one slide of a family, in a look, with so many lines. */
function worn(look: string, family: string, count: number, more: Partial<LookWish> = {}, size = { width: 1920, height: 1080 }) {
  const context = countingContext(`${look}-${family}`)
  const base = freshDeck()
  const deck: Deck = { ...base, info: { info: { ...infoOf(base), size } } }
  const own = lines[samplesOf[family] ?? 'led']!
  const outline = {
    title: 'What changes on the quay',
    lines: Array.from({ length: count }, (_, index) => ({ text: own[index % own.length]!, level: 1 })),
  }
  const { deck: made, slide } = insertSlide(deck, { after: slidesOf(deck)[0]!.id, family: familyNamed(family)!, outline }, context)
  const changes = putLook(made, { ...wish(look), ...more }, context)
  return { before: made, deck: applyChanges(made, changes), slide, outline, context }
}
const texts = (elements: readonly ShownElement[]) =>
  elements.filter(element => element.kind === 'text' && !element.pinned && element.text.content.some(({ content }) => content?.length))

describe.each(looks.map(look => [look.name, look] as const))('the look %s', (name, look) => {
  const cases = Object.keys(look.dresses).flatMap(family => (['light', 'deep'] as const).map(ground => [family, ground] as const))
  it.each(cases)('sets %s on %s ground: words inside, apart and in contrast, none of them broken', (family, ground) => {
    const isLines = ['title', 'chapter', 'statement', 'contact', 'chart', 'picture-full'].includes(family)
    const best = look.dresses[family]!.best ?? familyNamed(family)!.best
    const counts = isLines ? [0, 2] : [Math.max(1, best[0]), Math.min(7, best[1])]
    for (const count of counts) {
      const { deck, slide, outline } = worn(name, family, family === 'quote' ? 1 : count, { ground })
      expect(outlineOf(deck, deck.slides[slide]!).lines).toEqual(outline.lines)
      const shown = shownElements(deck, slide)
      const own = texts(shown)
      expect(own.length).toBeGreaterThan(0)
      for (const element of own) {
        expect(inside(boundsOf(element.box), { left: 0, top: 0, right: 1920, bottom: 1080 }, 1), `${element.name} of ${count}`).toBe(true)
        if (element.kind !== 'text') continue
        const layout = layoutOfElement(deck, element, roughMeasurer)
        expect([element.name, layout.fits, layout.broken]).toEqual([element.name, true, null])
      }
      own.forEach((a, index) => {
        for (const b of own.slice(index + 1)) {
          const { left, right, top, bottom } = boundsOf(a.box)
          const smaller = { left: left + 0.6, right: right - 0.6, top: top + 0.6, bottom: bottom - 0.6 }
          expect(overlap(smaller, boundsOf(b.box)), `${a.name} and ${b.name} of ${count}`).toBe(false)
        }
      })
      // The fullest stands on all that the others stand on.
      if (count !== counts.at(-1)) continue
      const plan = rundown(deck, 'talk', timingContext).slides.find(entry => entry.slide === slide)!
      const findings = checkSlide(deck, plan, timingContext).filter(({ rule, unmeasured }) => rule === 'contrast' && !unmeasured)
      expect(findings.map(({ message }) => message)).toEqual([])
    }
  })

  it('holds many more lines than it is best with: in its own rows or plain ones, none outside, over another or broken', () => {
    for (const family of ['list', 'lead-rows', 'cards-row', 'steps-row', 'numbers-row', 'timeline-row']) {
      const { deck, slide, outline } = worn(name, family, 15)
      expect(outlineOf(deck, deck.slides[slide]!).lines).toEqual(outline.lines)
      const own = texts(shownElements(deck, slide))
      expect(own.length).toBeGreaterThan(15)
      for (const [index, a] of own.entries()) {
        expect(inside(boundsOf(a.box), { left: 0, top: 0, right: 1920, bottom: 1080 }, 1), `${family}: ${a.name}`).toBe(true)
        if (a.kind === 'text') expect([family, a.name, layoutOfElement(deck, a, roughMeasurer).broken]).toEqual([family, a.name, null])
        const { left, right, top, bottom } = boundsOf(a.box)
        const smaller = { left: left + 0.6, right: right - 0.6, top: top + 0.6, bottom: bottom - 0.6 }
        for (const b of own.slice(index + 1)) expect(overlap(smaller, boundsOf(b.box)), `${family}: ${a.name}, ${b.name}`).toBe(false)
      }
    }
  })

  it('is read back as it was put on, and taken off again leaves the words', () => {
    for (const family of Object.keys(look.dresses)) {
      const { deck, slide, outline, context } = worn(name, family, 3)
      const read = readDeck(JSON.parse(JSON.stringify(deck)))
      expect(read.ok && read.value.deck).toEqual(deck)
      const off = applyChanges(deck, putLook(deck, { ...wish(name), look: null }, context))
      expect([deckTheme(off).look, outlineOf(off, off.slides[slide]!).lines]).toEqual([undefined, outline.lines])
    }
  })

  it.each([
    [1440, 1080],
    [1080, 1080],
    [1080, 1920],
  ])('stands in %i × %i too: every word inside and none broken', (width, height) => {
    for (const family of Object.keys(look.dresses)) {
      const { deck, slide } = worn(name, family, family === 'quote' ? 1 : 3, {}, { width, height })
      for (const element of texts(shownElements(deck, slide))) {
        expect(inside(boundsOf(element.box), { left: 0, top: 0, right: width, bottom: height }, 1), `${family}: ${element.name}`).toBe(true)
        if (element.kind === 'text')
          expect([family, element.name, layoutOfElement(deck, element, roughMeasurer).broken]).toEqual([family, element.name, null])
      }
    }
  })
})

describe('putting a look on', () => {
  it('keeps what was placed by hand, and the deck’s colours and fonts where that is wished', () => {
    const { before, slide, context } = worn('soundings', 'lead-rows', 3)
    const title = elementsOf(before, slide).find(({ placeholder }) => placeholder === 'title')!
    const box = { x: 700, y: 40, width: 900, height: 90, angle: 0 }
    const moved = applyChanges(before, [setRecord('elements', title.id, { box })])
    const own = { ...wish('soundings'), ownColors: true, ownFonts: true }
    const now = applyChanges(moved, putLook(moved, own, context))
    expect(now.elements[title.id]!.box).toEqual(box)
    expect([deckTheme(now).palette, deckTheme(now).fonts]).toEqual([deckTheme(before).palette, deckTheme(before).fonts])
    expect(deckTheme(now).look).toEqual({ name: 'soundings', seed: 4711 })
    const deep = deckTheme(applyChanges(moved, putLook(moved, { ...own, ground: 'deep' }, context))).palette
    expect([deep.ground, deep.accent1]).not.toEqual([deckTheme(before).palette.ground, deckTheme(before).palette.accent1])
  })

  it('leaves what a team has put on its master and layouts, but no second number beside the look’s own', () => {
    const { before, context } = worn('soundings', 'title', 1)
    const part = (id: string, owner: string, more: object) =>
      putRecord('elements', {
        id,
        owner,
        name: id,
        order: 'b0',
        box: { x: 90, y: 980, width: 300, height: 40, angle: 0 },
        ...more,
      } as Element)
    const text = textOf(['Harbour'])
    const own = applyChanges(before, [
      part('harbour', 'master', { kind: 'text', text }),
      part('badge', 'layout-title', { kind: 'text', text }),
      part('number', 'master', { kind: 'text', text, field: 'slide-number' }),
    ])
    const now = applyChanges(own, putLook(own, wish('soundings'), context))
    expect([now.elements.harbour, now.elements.badge]).toEqual([own.elements.harbour, own.elements.badge])
    const numbers = elementsOf(now, 'master').filter(element => element.kind === 'text' && element.field === 'slide-number')
    expect(numbers.map(({ id }) => id)).not.toContain('number')
    expect([numbers.length, now.elements['master-rule']]).toEqual([1, undefined])
    // What is a team’s own stands on slides too on which the look’s parts of the master do not.
    expect(shownElements(now, slidesOf(now)[0]!.id).map(({ id }) => id)).toEqual(expect.arrayContaining(['harbour', 'badge']))
    const off = applyChanges(now, putLook(now, { ...wish('soundings'), look: null }, context))
    expect(elementsOf(off, 'master').map(({ id }) => id)).toEqual(expect.arrayContaining(['master-rule', 'harbour']))
  })

  it.each(looks.map(({ name }) => name))(
    'has no word of %s on every slide lie on what a team has put there, and one number in all',
    look => {
      const { before, context } = worn(look, 'title', 1)
      const all = (id: string, y: number, more: object) =>
        putRecord('elements', {
          id,
          owner: 'master',
          name: id,
          order: 'b0',
          kind: 'text',
          text: textOf([]),
          box: { x: 0, y, width: 1920, height: 50, angle: 0 },
          ...more,
        } as Element)
      const own = applyChanges(before, [
        all('foot', 990, { field: 'footer' }),
        all('head', 30, {}),
        all('number', 1040, { field: 'slide-number' }),
      ])
      const parts = elementsOf(applyChanges(own, putLook(own, wish(look), context)), 'master').filter(part => part.kind === 'text')
      expect(parts.map(({ id }) => id)).toEqual(expect.arrayContaining(['foot', 'head']))
      expect(parts.filter(part => part.kind === 'text' && part.field === 'slide-number')).toHaveLength(1)
      const looks = parts.filter(({ id }) => id.startsWith('master-part'))
      for (const part of looks)
        for (const id of ['foot', 'head'])
          expect(overlap(boundsOf(part.box!), boundsOf(own.elements[id]!.box!)), `${part.name} on ${id}`).toBe(false)
    },
  )

  it('takes bullets away where a look sets the lines plain, and gives them back', () => {
    const { before, deck, slide, context } = worn('soundings', 'picture-full', 2)
    const levels = (of: Deck) => {
      const body = elementsOf(of, slide).find(({ placeholder }) => placeholder === 'body')!
      return body.kind === 'text' ? body.text.content.map(({ attrs }) => attrs?.level ?? 0) : []
    }
    const off = applyChanges(deck, putLook(deck, { ...wish('soundings'), look: null }, context))
    expect([levels(before), levels(deck), levels(off)]).toEqual([
      [1, 1],
      [0, 0],
      [1, 1],
    ])
  })

  it('draws its ornaments anew in another shape', () => {
    const { deck } = worn('lightwell', 'title', 1)
    const tall = refit(deck, { width: 1080, height: 1920 })
    const band = (of: Deck) => elementsOf(of, 'layout-title').find(({ name }) => name === 'Band')!.box!
    expect(band(deck).height).toBe(1080)
    expect(band(tall).height).toBeLessThan(1200)
    expect(band(tall).width).toBeGreaterThan(700)
  })
})
