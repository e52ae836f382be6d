import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { textOf, type TextDoc } from '../model'
import { freshDeck, timingContext } from '../testing'
import { diagramFamilies, diagramParts, drawDiagram, flat, readItems, type ItemDrawing } from './index'

const words = fc
  .array(fc.constantFrom('quay', 'ferry', 'tide', 'harbour office', 'crossing', 'Is it calm?', 'berth'), { minLength: 1, maxLength: 3 })
  .map(parts => parts.join(' '))
/** An outline of up to 14 lines whose levels step down by one at most. */
const outline = fc.array(fc.record({ text: words, down: fc.integer({ min: -2, max: 1 }) }), { minLength: 1, maxLength: 14 }).map(lines => {
  let level = 1
  return textOf(
    lines.map((line, index) => {
      level = index ? Math.max(1, Math.min(4, level + line.down)) : 1
      return { text: `${line.text} ${index}`, level }
    }),
  )
})
const sizes = fc.record({ width: fc.integer({ min: 300, max: 1800 }), height: fc.integer({ min: 240, max: 1000 }) })

const slack = 1.5
const apart = (a: ItemDrawing['place'], b: ItemDrawing['place']) =>
  a.x + a.width <= b.x + slack || b.x + b.width <= a.x + slack || a.y + a.height <= b.y + slack || b.y + b.height <= a.y + slack
const round = new Set(['ring', 'hub'])
/** Circles stand apart though the squares around them may not. */
const circlesApart = (a: ItemDrawing['place'], b: ItemDrawing['place']) =>
  Math.hypot(a.x + a.width / 2 - b.x - b.width / 2, a.y + a.height / 2 - b.y - b.height / 2) >= (a.width + b.width) / 2 - slack
const within = (inner: ItemDrawing['place'], outer: ItemDrawing['place']) =>
  inner.x >= outer.x - slack &&
  inner.y >= outer.y - slack &&
  inner.x + inner.width <= outer.x + outer.width + slack &&
  inner.y + inner.height <= outer.y + outer.height + slack

describe.each(diagramFamilies.map(family => [family.name, family] as const))('the family %s', (name, family) => {
  it('keeps everything inside its box', () => {
    fc.assert(
      fc.property(outline, sizes, (text, size) => {
        const box = { x: 0, y: 0, ...size }
        for (const item of family.draw(readItems(text), size, {}).items) {
          expect(within(item.place, box), `${item.item.words} ${JSON.stringify(item.place)} in ${JSON.stringify(size)}`).toBe(true)
          for (const place of item.texts)
            expect(within(place.place, box), `words of ${item.item.words} ${JSON.stringify(place.place)} in ${JSON.stringify(size)}`).toBe(
              true,
            )
        }
      }),
      { numRuns: 60 },
    )
  })

  it('lays no two parts over each other', () => {
    fc.assert(
      fc.property(outline, sizes, (text, size) => {
        const items = family.draw(readItems(text), size, {}).items.filter(item => item.place.width > 0)
        for (const [index, a] of items.entries()) {
          for (const b of items.slice(index + 1)) {
            const holds = within(a.place, b.place) || within(b.place, a.place)
            const clear = family.overlaps
              ? a.texts.every(one => b.texts.every(other => apart(one.place, other.place)))
              : (holds && name === 'lanes') || (round.has(name) ? circlesApart(a.place, b.place) : apart(a.place, b.place))
            expect(
              clear,
              `${a.item.words} ${JSON.stringify(a.place)} and ${b.item.words} ${JSON.stringify(b.place)} in ${JSON.stringify(size)}`,
            ).toBe(true)
          }
        }
      }),
      { numRuns: 60 },
    )
  })

  it('loses no words: every line is a part, or stands in one', () => {
    fc.assert(
      fc.property(outline, text => {
        const drawing = family.draw(readItems(text), { width: 1600, height: 900 }, {})
        const parts = new Set(drawing.items.map(item => item.item.paragraph))
        expect(parts.size).toBe(drawing.items.length)
        for (const item of drawing.items) expect(item.texts.some(place => place.what === 'head')).toBe(true)
        const shown = new Set(parts)
        for (const item of drawing.items)
          if (item.texts.some(place => place.what === 'below')) for (const child of flat(item.item.children)) shown.add(child.paragraph)
        expect(text.content.filter(paragraph => paragraph.content && !shown.has(paragraph))).toEqual([])
      }),
      { numRuns: 60 },
    )
  })

  it('keeps items that were there in their order when one is added at the end', () => {
    fc.assert(
      fc.property(outline, words, (text, added) => {
        const more: TextDoc = { ...text, content: [...text.content, textOf([{ text: added, level: 1 }]).content[0]!] }
        const before = diagramParts(text, name)
        const after = diagramParts(more, name)
        expect(after.filter(paragraph => before.includes(paragraph))).toEqual(before)
        expect(after.length).toBeGreaterThanOrEqual(before.length)
      }),
      { numRuns: 40 },
    )
  })
})

describe('a diagram on a slide', () => {
  it('sets all heads in one size, lights one item and dims the others', () => {
    const deck = freshDeck()
    const owner = Object.keys(deck.slides)[0]!
    const text: TextDoc = {
      type: 'doc',
      content: ['Low Sands', 'Quill', 'A much longer name of a route that needs room'].map((line, index) => ({
        type: 'paragraph' as const,
        attrs: { level: 1, ...(index === 1 ? { highlighted: true } : {}) },
        content: [{ type: 'text' as const, text: line }],
      })),
    }
    const element = {
      id: 'd',
      owner,
      kind: 'diagram' as const,
      name: 'Routes',
      order: 'a0',
      family: 'ring',
      text,
      box: { x: 0, y: 0, width: 700, height: 500, angle: 0 },
      pinned: false,
    }
    const drawn = drawDiagram(deck, element, timingContext.measurer)
    expect(new Set(drawn.items.map(item => item.texts[0]!.size)).size).toBe(1)
    const [first, second, third] = drawn.items.map(item => item.shapes[0]!.fill)
    expect(first).toBe(third)
    expect(second).not.toBe(first)
    expect(drawn.items.map(item => item.part)).toEqual([0, 1, 2])
  })
})
