import {
  putRecord,
  setRecord,
  applyChanges,
  elementsOf,
  mend,
  plainText,
  textOf,
  variantsOf,
  type Change,
  type Deck,
  type Element,
  type TextElement,
} from '../model'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { contrast, hexOf } from '../color'
import { countingContext, freshDeck } from '../testing'
import { groupsAround, inVariant, leavesOf, membersOf, onlyVariant, shownElement, shownElements, themeSeen } from '../resolved'
import { addElement } from './add-element'
import { clip, pasteClipping, pastedTops } from './clipping'
import { groupElements, ungroupElements } from './group-elements'
import { lookOf, putLook } from './pick-look'
import { pieceOf, putPiece, renewPiece } from './pieces'
import { placeElements } from './place-elements'
import { removeElements } from './remove-elements'
import { replaceMedia } from './replace-media'
import { findText, replaceText } from './replace-text'
import { restackTo, stackElements } from './restack'
import { addVariant, setShows } from './variants'
import { wordsInShape } from './words-in-shape'

const slideOf = (deck: Deck) => Object.keys(deck.slides)[0]!
const box = (x: number, y: number, width = 100, height = 80) => ({ x, y, width, height, angle: 0 })
/** A deck with so many squares in a row on its slide. */
function squares(count: number): { deck: Deck; ids: string[] } {
  let deck = freshDeck()
  const ids = Array.from({ length: count }, (_, index) => `s${index}`)
  ids.forEach((id, index) => {
    deck = applyChanges(
      deck,
      addElement(deck, {
        element: {
          id,
          owner: slideOf(deck),
          kind: 'shape',
          name: `Square ${index}`,
          shape: 'rectangle',
          fill: { role: 'accent1' },
          box: box(index * 150, 100),
        } as never,
      }),
    )
  })
  return { deck, ids }
}
const after = (deck: Deck, changes: readonly Change[]) => applyChanges(deck, changes)
const own = (deck: Deck, ids: readonly string[]) =>
  elementsOf(deck, slideOf(deck))
    .filter(element => ids.includes(element.id))
    .map(element => element.id)

describe('groups', () => {
  it('stand around their members, are pressed as one, and open again without moving anything', () => {
    const { deck, ids } = squares(4)
    const grouped = after(deck, groupElements(deck, { elements: ids.slice(0, 3) }, countingContext('g')))
    expect(shownElement(grouped, 'g-1')!.box).toMatchObject({ x: 0, y: 100, width: 400, height: 80 })
    expect(leavesOf(grouped, ['g-1'])).toEqual(ids.slice(0, 3))
    const nested = after(grouped, groupElements(grouped, { elements: ['g-1', 's3'] }, countingContext('h')))
    expect(groupsAround(nested, 's0')).toEqual(['h-1', 'g-1'])
    const opened = after(nested, ungroupElements(nested, { groups: ['h-1'] }))
    expect(opened.elements['h-1']).toBeUndefined()
    expect(own(opened, ['g-1', 's3'])).toEqual(['g-1', 's3'])
    for (const id of ids) expect(shownElement(opened, id)!.box).toEqual(shownElement(deck, id)!.box)
  })

  it('without members are gone, and a group that would hold itself is mended', () => {
    const { deck, ids } = squares(2)
    const grouped = after(deck, groupElements(deck, { elements: ids }, countingContext('g')))
    expect(after(grouped, removeElements(grouped, { elements: ids })).elements['g-1']).toBeUndefined()
    const twisted = { ...grouped, elements: { ...grouped.elements, 'g-1': { ...grouped.elements['g-1']!, parent: 'g-1' } as Element } }
    expect(shownElements(mend(twisted).deck, slideOf(twisted)).filter(element => ids.includes(element.id))).toHaveLength(2)
  })

  it('stacking takes parts together past the next one, or to the end, whatever their places in the order', () => {
    const ways = fc.constantFrom('forward' as const, 'back' as const, 'front' as const, 'behind' as const)
    fc.assert(
      fc.property(
        fc.integer({ min: 2, max: 8 }),
        fc.array(fc.nat(), { minLength: 1, maxLength: 4 }),
        ways,
        fc.boolean(),
        (count, picks, way, tied) => {
          const { deck: made, ids } = squares(count)
          // Two people who add at the same time may give the same place: then their ids tell which lies in front,
          // and nothing can come between.
          const deck = tied ? after(made, [setRecord('elements', ids[1]!, { order: made.elements[ids[0]!]!.order })]) : made
          const before = own(deck, ids)
          const moving = before.filter((_, index) => picks.some(pick => pick % count === index))
          const others = before.filter(id => !moving.includes(id))
          const order = own(after(deck, stackElements(deck, { elements: moving, way })), ids)
          const at = (list: readonly string[], id: string) => list.slice(0, list.indexOf(id)).filter(one => others.includes(one)).length
          const under = order.indexOf(moving[0]!)
          expect(order.filter(id => others.includes(id))).toEqual(others)
          const expected = {
            forward: Math.min(others.length, at(before, moving[0]!) + 1),
            back: Math.max(0, at(before, moving.at(-1)!) - 1),
            front: others.length,
            behind: 0,
          }[way]
          expect(order.slice(under, under + moving.length)).toEqual(moving)
          if (!tied) expect(under).toBe(expected)
        },
      ),
    )
  })

  it('restacking puts parts just before or behind another, in their own order, in any arrangement', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 8 }),
        fc.nat(),
        fc.nat(),
        fc.constantFrom('front' as const, 'behind' as const),
        (count, a, b, where) => {
          const { deck, ids } = squares(count)
          const [moving, target] = [ids[a % count]!, ids[b % count]!]
          fc.pre(moving !== target)
          const order = own(after(deck, restackTo(deck, { elements: [moving], target, where })), ids)
          expect(order.indexOf(moving) - order.indexOf(target)).toBe(where === 'front' ? 1 : -1)
          expect(order.filter(id => id !== moving)).toEqual(ids.filter(id => id !== moving))
        },
      ),
    )
  })
})

describe('lines that hold on', () => {
  it('follow what they hold, and are let go of when it is taken away', () => {
    const { deck } = squares(2)
    const held = after(
      deck,
      addElement(deck, {
        element: {
          id: 'line',
          owner: slideOf(deck),
          kind: 'shape',
          name: 'Line',
          shape: 'line',
          stroke: { color: { role: 'ink' }, width: 4 },
          from: { element: 's0', side: 'right' },
          to: { element: 's1', side: 'left' },
          box: box(0, 0),
        } as never,
      }),
    )
    expect(shownElement(held, 'line')!.box).toMatchObject({ x: 100, y: 140, width: 50 })
    const moved = after(held, placeElements(held, { boxes: { s1: box(800, 600) } }))
    const line = shownElement(moved, 'line')!.box
    expect([line.x + line.width, line.y + line.height]).toEqual([800, 640])
    const gone = after(held, removeElements(held, { elements: ['s1'] }))
    expect(gone.elements.line).toMatchObject({ from: { element: 's0' } })
    expect((gone.elements.line as { to?: unknown }).to).toBeUndefined()
  })
})

describe('what is copied', () => {
  it('is pasted with its groups, its lines and its motion, under fresh ids, as often as wanted', () => {
    const { deck, ids } = squares(3)
    const grouped = after(deck, groupElements(deck, { elements: ids.slice(0, 2) }, countingContext('g')))
    const clipping = clip(grouped, ['g-1', 's2'])!
    let at = grouped
    for (let round = 0; round < 3; round++) {
      const changes = pasteClipping(at, { clipping, owner: slideOf(at), offset: { x: 40, y: 0 } }, countingContext(`c${round}`))
      expect(pastedTops(at, changes)).toHaveLength(2)
      at = after(at, changes)
    }
    expect(elementsOf(at, slideOf(at)).filter(element => element.kind === 'shape')).toHaveLength(12)
    expect(new Set(Object.keys(at.elements)).size).toBe(Object.keys(at.elements).length)
    expect(clip(grouped, ['nobody'])).toBeNull()
  })

  it('as a look goes onto others of its kind whole, onto other kinds as far as they share it', () => {
    const { deck } = squares(2)
    const dressed = after(deck, [
      setRecord('elements', 's0', { fill: { hex: '#aa3311' }, opacity: 0.5, shadow: { color: { role: 'ink' }, x: 0, y: 4, blur: 8 } }),
    ])
    const put = after(dressed, putLook(dressed, { look: lookOf(dressed.elements.s0!), elements: ['s1'] }))
    expect(put.elements.s1).toMatchObject({ fill: { hex: '#aa3311' }, opacity: 0.5 })
    expect(put.elements.s1!.box).toEqual(deck.elements.s1!.box)
  })
})

describe('variants', () => {
  it('show and hide for themselves alone; one delivered says nothing of the others', () => {
    const { deck } = squares(2)
    const made = after(deck, addVariant(deck, { name: 'Winter' }, countingContext('v')))
    const hidden = after(made, setShows(made, { elements: ['s0'], variant: 'v-1', shows: false }))
    expect(shownElements(hidden, slideOf(hidden)).some(element => element.id === 's0')).toBe(true)
    expect(shownElements(inVariant(hidden, 'v-1'), slideOf(hidden)).some(element => element.id === 's0')).toBe(false)
    const alone = onlyVariant(hidden, 'v-1')
    expect(variantsOf(alone)).toEqual([])
    expect(alone.elements.s0).toMatchObject({ hidden: true })
    expect(JSON.stringify(alone.elements)).not.toContain('shows')
  })
})

describe('words through the deck', () => {
  const written = (lines: string[]) => {
    const deck = freshDeck()
    return after(
      deck,
      addElement(deck, {
        element: { id: 't', owner: slideOf(deck), kind: 'text', name: 'Text', text: textOf(lines), box: box(0, 0, 600, 300) } as never,
      }),
    )
  }
  it('are found and replaced, told by capitals and whole words where wanted, and the count is told', () => {
    const deck = written(['Ferry and ferryman', 'The FERRY leaves'])
    expect(findText(deck, { words: 'ferry' }).find(match => match.element === 't')!.count).toBe(3)
    expect(findText(deck, { words: 'ferry', wholeWords: true }).find(match => match.element === 't')!.count).toBe(2)
    expect(findText(deck, { words: 'ferry', exactCase: true }).find(match => match.element === 't')!.count).toBe(1)
    const { changes, count } = replaceText(deck, { words: 'ferry', by: 'boat', wholeWords: true, elements: ['t'] })
    expect(count).toBe(2)
    expect(plainText((after(deck, changes).elements.t as TextElement).text)).toBe('boat and ferryman\nThe boat leaves')
  })
  it('replaced as plain text would be, whatever runs they stand in', () => {
    const runs = fc.array(fc.record({ text: fc.stringMatching(/^[ab ]{1,6}$/), bold: fc.boolean() }), { minLength: 1, maxLength: 6 })
    fc.assert(
      fc.property(runs, fc.stringMatching(/^[ab]{1,3}$/), fc.stringMatching(/^[xyz]{0,4}$/), (list, words, by) => {
        const deck = written(['x'])
        const content = list.map(run => ({
          type: 'text' as const,
          text: run.text,
          ...(run.bold ? { marks: [{ type: 'bold' as const }] } : {}),
        }))
        const set = after(deck, [setRecord('elements', 't', { text: { type: 'doc', content: [{ type: 'paragraph', content }] } })])
        const made = after(set, replaceText(set, { words, by, exactCase: true, elements: ['t'] }).changes)
        expect(plainText((made.elements.t as TextElement).text)).toBe(
          list
            .map(run => run.text)
            .join('')
            .replaceAll(words, by),
        )
      }),
    )
  })
})

describe('media in a deck', () => {
  it('are replaced wherever they stand, with their own size, and nothing else changes', () => {
    const { deck } = squares(1)
    const [a, b] = ['a'.repeat(64), 'b'.repeat(64)]
    const shown = after(deck, [
      putRecord('elements', {
        id: 'p',
        owner: slideOf(deck),
        kind: 'picture',
        name: 'P',
        order: 'a9',
        media: a,
        natural: { width: 10, height: 10 },
        view: { x: 0.2, y: 0.3, zoom: 2 },
        box: box(0, 0),
      }),
      setRecord('elements', 's0', { fill: { kind: 'picture', media: a, natural: { width: 10, height: 10 } } }),
    ])
    const made = after(shown, replaceMedia(shown, { from: a, to: b, natural: { width: 30, height: 20 } }))
    expect(made.elements.p).toEqual({ ...shown.elements.p, media: b, natural: { width: 30, height: 20 } })
    expect(made.elements.s0).toMatchObject({ fill: { media: b, natural: { width: 30, height: 20 } } })
    expect(replaceMedia(made, { from: a, to: b, natural: null })).toEqual([])
  })
})

describe('pieces', () => {
  it('bound stand as a group that follows the newest version where it stands; free follow nothing', () => {
    const { deck, ids } = squares(3)
    const content = pieceOf(deck, ids.slice(0, 2))!
    const piece = { id: 'piece', name: 'Pair', tags: [], content, version: 1 }
    const put = after(deck, putPiece(deck, { piece, owner: slideOf(deck), bound: true }, countingContext('p')))
    const group = put.elements['p-1']!
    expect(membersOf(put, group.id)).toHaveLength(2)
    const moved = after(
      put,
      placeElements(put, {
        boxes: Object.fromEntries(
          membersOf(put, group.id).map(member => [member.id, { ...member.box!, x: member.box!.x + 500, y: member.box!.y + 300 }]),
        ),
      }),
    )
    const newer = { ...piece, version: 2, content: pieceOf(deck, ids)! }
    const renewed = after(moved, renewPiece(moved, { piece: newer }, countingContext('q')))
    expect(membersOf(renewed, group.id)).toHaveLength(3)
    expect(shownElement(renewed, group.id)!.box).toMatchObject({ x: 500, y: 400 })
    expect(renewed.elements[group.id]).toMatchObject({ piece: { id: 'piece', version: 2 } })
    expect(renewPiece(renewed, { piece: newer }, countingContext('r'))).toEqual([])
    const free = after(deck, putPiece(deck, { piece, owner: slideOf(deck), bound: false }, countingContext('f')))
    expect(renewPiece(free, { piece: newer }, countingContext('n'))).toEqual([])
  })
})

describe('words in a shape', () => {
  it('are those of a text with its outline, fill and line, under the same id, and stand out on its fill', () => {
    const { deck } = squares(2)
    const shaped = after(deck, [
      setRecord('elements', 's0', { shape: 'ellipse', fill: { hex: '#0a1c20' }, stroke: { color: { role: 'ink' }, width: 4 } }),
    ])
    const made = after(shaped, wordsInShape(shaped, { shape: 's0' }))
    expect(mend(made).notes).toEqual([])
    const { kind, panel, box: place, order } = made.elements.s0 as TextElement
    const seen = (of: Deck, id: string) => hexOf((of.elements[id] as TextElement).color!, themeSeen(of, slideOf(of)).palette)
    expect([kind, place, order]).toEqual(['text', shaped.elements.s0!.box, shaped.elements.s0!.order])
    expect(panel).toMatchObject({ shape: 'ellipse', fill: { hex: '#0a1c20' }, border: { width: 4 } })
    expect(contrast(seen(made, 's0'), '#0a1c20')).toBeGreaterThan(10)
    const light = after(deck, [setRecord('elements', 's1', { fill: { hex: '#f4f4f0' } })])
    expect(contrast(seen(after(light, wordsInShape(light, { shape: 's1' })), 's1'), '#f4f4f0')).toBeGreaterThan(10)
  })

  it('are none in a line, a slice of a ring, or what is no shape', () => {
    const { deck } = squares(1)
    for (const shape of ['line', 'sector']) {
      const lined = after(deck, [setRecord('elements', 's0', { shape })])
      expect(wordsInShape(lined, { shape: 's0' })).toEqual([])
    }
    expect(wordsInShape(deck, { shape: 'gone' })).toEqual([])
  })
})
