import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { houseTheme } from '../layouts'
import { roughMeasurer } from '../text'
import { settleCategories, shorten } from './category-labels'
import { placeLabels, touch, type ChartRoom } from './index'

const room: ChartRoom = { width: 1200, height: 600, textSize: 28, fonts: houseTheme.fonts, measurer: roughMeasurer, language: 'en' }
const font = { size: 28, weight: 400 }
const measure = (text: string) => roughMeasurer.width(text, { family: '', size: font.size, weight: 400, italic: false })
const name = fc
  .string({ minLength: 1, maxLength: 30 })
  .map(text => text.replace(/\s+/g, ' ').trim())
  .filter(text => text !== '')

describe('a name that is too long', () => {
  it('is shortened to its room, to the longest beginning that fits, and says so', () => {
    fc.assert(
      fc.property(name, fc.integer({ min: 0, max: 600 }), (text, width) => {
        const made = shorten(text, width, measure)
        if (measure(text) <= width) expect(made).toBe(text)
        else if (made === '') expect(measure(`${text.slice(0, 1)}…`)).toBeGreaterThan(width)
        else {
          expect(measure(made)).toBeLessThanOrEqual(width)
          expect(made.endsWith('…')).toBe(true)
          expect(text.startsWith(made.slice(0, -1))).toBe(true)
        }
      }),
    )
  })
})

describe('names under an axis', () => {
  it('touch no neighbour, however many and however long', () => {
    fc.assert(
      fc.property(fc.array(name, { minLength: 1, maxLength: 60 }), names => {
        const step = room.width / names.length
        const setting = settleCategories(names, step, room, font)
        const shown = names.filter((_, index) => index % setting.every === 0)
        if (setting.angle === 0)
          for (const text of shown)
            for (const line of setting.lines(text)) expect(measure(line)).toBeLessThanOrEqual(Math.max(step * setting.every, 0) + 0.01)
        // Slanted lines clear each other across the slant.
        else expect(step * setting.every).toBeGreaterThanOrEqual(font.size * 1.25 * Math.SQRT2 - 0.01)
        expect(setting.height).toBeLessThanOrEqual(room.height * 0.45)
      }),
    )
  })

  it('stand on one line where they fit, on two where words part, slanted or thinned out only then', () => {
    expect(settleCategories(['Jan', 'Feb'], 400, room, font)).toMatchObject({ angle: 0, every: 1 })
    const two = settleCategories(['Port Harrow north', 'Low Sands south'], 170, room, font)
    expect([two.angle, two.lines('Port Harrow north')]).toEqual([0, ['Port Harrow', 'north']])
    expect(
      settleCategories(
        Array.from({ length: 20 }, () => 'Passengers'),
        60,
        room,
        font,
      ),
    ).toMatchObject({ angle: -45, every: 1 })
    expect(
      settleCategories(
        Array.from({ length: 200 }, () => 'Passengers'),
        6,
        room,
        font,
      ).every,
    ).toBeGreaterThan(20)
  })
})

describe('labels that are placed', () => {
  const rectangle = fc.record({
    x: fc.integer({ min: -50, max: 950 }),
    y: fc.integer({ min: -50, max: 550 }),
    width: fc.integer({ min: 1, max: 200 }),
    height: fc.integer({ min: 1, max: 90 }),
  })
  const candidates = fc.array(
    fc.record({ priority: fc.integer({ min: 0, max: 5 }), places: fc.array(rectangle, { minLength: 1, maxLength: 4 }) }),
    { maxLength: 30 },
  )
  const all = { x: 0, y: 0, width: 1000, height: 600 }

  it('lie within the room and on nothing; each is placed or left out, never both, and never lost', () => {
    fc.assert(
      fc.property(candidates, fc.array(rectangle, { maxLength: 6 }), (drawn, obstacles) => {
        const wanted = drawn.map((candidate, label) => ({ ...candidate, label }))
        const { placed, leftOut } = placeLabels(wanted, all, obstacles)
        expect([...placed.map(item => item.label), ...leftOut].sort((a, b) => a - b)).toEqual(wanted.map(item => item.label))
        placed.forEach(({ label, place }, index) => {
          expect(wanted[label]!.places).toContainEqual(place)
          expect(place.x >= 0 && place.y >= 0 && place.x + place.width <= 1000 && place.y + place.height <= 600).toBe(true)
          for (const obstacle of obstacles) expect(touch(place, obstacle)).toBe(false)
          for (const other of placed.slice(index + 1)) expect(touch(place, other.place)).toBe(false)
        })
      }),
    )
  })

  it('lose their place only to what is as important or more', () => {
    fc.assert(
      fc.property(candidates, drawn => {
        const wanted = drawn.map((candidate, label) => ({ ...candidate, label }))
        const { placed, leftOut } = placeLabels(wanted, all)
        const taken = (label: number) => placed.filter(item => wanted[item.label]!.priority >= wanted[label]!.priority)
        for (const label of leftOut) {
          for (const place of wanted[label]!.places) {
            const outside = place.x < 0 || place.y < 0 || place.x + place.width > 1000 || place.y + place.height > 600
            expect(outside || taken(label).some(item => touch(item.place, place))).toBe(true)
          }
        }
      }),
    )
  })
})
