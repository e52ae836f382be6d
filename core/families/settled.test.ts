import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { houseTheme } from '../layouts'
import { families, familyNamed, settled, type Item, type Place } from './index'

const room = { theme: houseTheme, size: { width: 1920, height: 1080 } }
const area = { x: 110, y: 258, width: 1700, height: 712 }
const item = (lead: string, text: string): Item => ({ lead, text, under: [] })
const few = [item('Now', 'eight minutes to load'), item('In spring', 'four minutes')]
const long = 'four minutes to load, and no queue to the bridge on any day of the week but Friday '.repeat(8)
const cards = (places: readonly Place[]) => places.filter(({ name }) => name.startsWith('Card'))
const end = ({ box }: Place) => box.y + box.height
const arranged = (family: string, items: readonly Item[]) => familyNamed(family)!.arrange!(items, area, room)

describe('a block of items', () => {
  it('of cards with few words hugs them: equal, lower than the area, a little above its middle', () => {
    const before = arranged('before-after', few)
    const after = settled(before, few, area, room)
    expect(cards(before).every(card => card.box.height === area.height)).toBe(true)
    const [first, second] = cards(after)
    expect(first!.box.height).toBeLessThan(area.height * 0.6)
    expect(second!.box.height).toBe(first!.box.height)
    const [over, under] = [first!.box.y - area.y, area.y + area.height - end(first!)]
    expect(over).toBeGreaterThan(40)
    expect(over).toBeLessThan(under)
    const arrow = after.find(({ name }) => name === 'Arrow')!
    expect(arrow.box.y + arrow.box.height / 2).toBeCloseTo(first!.box.y + first!.box.height / 2, 6)
  })
  it('of cards with many words stays as high as they need', () => {
    const many = [item('Now', long), item('In spring', 'four minutes')]
    const before = arranged('before-after', many)
    expect(settled(before, many, area, room)).toEqual(before)
  })
  it('ends where its words do, not where their boxes end', () => {
    const items = ['Crews', 'Boats', 'Quays'].map(lead => item(lead, 'six of them'))
    const before = arranged('pillars', items)
    expect(Math.max(...before.map(end))).toBeGreaterThan(area.y + area.height * 0.95)
    const [was, is] = [before, settled(before, items, area, room)].map(places => Math.min(...places.map(({ box }) => box.y)))
    expect(is!).toBeGreaterThan(was! + 60)
  })
  it('stays within its area, keeps its parts and their widths, whatever the family and its words', () => {
    const arranging = families.filter(({ arrange }) => arrange)
    const words = fc.array(fc.constantFrom('boat', 'quay', 'timetable', 'a', 'harbour master', '12', 'Low Sands'), {
      minLength: 1,
      maxLength: 12,
    })
    const anyItem = fc.record({
      lead: words.map(all => all.join(' ')),
      text: fc.option(
        words.map(all => all.join(' ')),
        { nil: undefined },
      ),
    })
    fc.assert(
      fc.property(fc.constantFrom(...arranging), fc.array(anyItem, { minLength: 1, maxLength: 8 }), (family, given) => {
        const items = given.map(one => ({ ...one, under: [] }))
        const before = family.arrange!(items, area, room)
        const after = settled(before, items, area, room)
        expect(after.map(({ placeholder, box }) => [placeholder, box.x, box.width])).toEqual(
          before.map(({ placeholder, box }) => [placeholder, box.x, box.width]),
        )
        const floor = Math.max(area.y + area.height, ...before.map(end)) + 1
        for (const place of after) {
          expect(place.box.height).toBeGreaterThan(0)
          expect(end(place)).toBeLessThanOrEqual(floor)
        }
      }),
      { numRuns: 300 },
    )
  })
})
