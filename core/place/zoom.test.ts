import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { fittingScale, lookAt, wholeLook, zoomedAbout, type Look } from './zoom'

const area = { width: 1000, height: 640 }
const size = { width: 1920, height: 1080 }
const fitting = fittingScale(area, size)
/** Where a place of the slide stands on the screen, px from the middle of the area. */
const seen = ({ zoom, pan }: Look, place: { x: number; y: number }) => ({
  x: pan.x + (place.x - size.width / 2) * fitting * zoom,
  y: pan.y + (place.y - size.height / 2) * fitting * zoom,
})
const places = fc.record({ x: fc.double({ min: 0, max: 1920, noNaN: true }), y: fc.double({ min: 0, max: 1080, noNaN: true }) })
const zooms = fc.double({ min: 0.3, max: 8, noNaN: true }).filter(zoom => Math.abs(zoom - 1) > 0.05)

describe('looking at a slide', () => {
  it('fits it into its area with room about it, whichever side is the tight one', () => {
    expect(fittingScale({ width: 1008, height: 2000 }, size)).toBeCloseTo(0.5)
    expect(fittingScale({ width: 4000, height: 588 }, size)).toBeCloseTo(0.5)
    expect(fittingScale({ width: 0, height: 0 }, size)).toBe(0.02)
  })

  it('leaves under the pointer what lies under it, however often it is enlarged', () => {
    fc.assert(
      fc.property(places, fc.array(zooms, { minLength: 1, maxLength: 5 }), (place, wanted) => {
        let look = wholeLook
        const before = seen(look, place)
        for (const zoom of wanted) {
          const { x, y } = seen(look, place)
          // The pointer, as far from the slide's middle as it is now.
          look = zoomedAbout(look, zoom, fitting, { x: x - look.pan.x, y: y - look.pan.y })
          expect(look.zoom).toBeCloseTo(zoom)
        }
        const after = seen(look, place)
        expect(after.x).toBeCloseTo(before.x, 6)
        expect(after.y).toBeCloseTo(before.y, 6)
      }),
    )
  })

  it('leaves the middle of the area where it is when nothing is pointed at', () => {
    fc.assert(
      fc.property(zooms, zooms, (first, second) => {
        const look = zoomedAbout(wholeLook, first, fitting, { x: 40, y: -25 })
        const middle = { x: size.width / 2 - look.pan.x / (fitting * first), y: size.height / 2 - look.pan.y / (fitting * first) }
        const after = seen(zoomedAbout(look, second, fitting), middle)
        expect(after.x).toBeCloseTo(0, 6)
        expect(after.y).toBeCloseTo(0, 6)
      }),
    )
  })

  it('goes no further out than a quarter and no further in than eight px for one, and near the whole is the whole', () => {
    expect(zoomedAbout(wholeLook, 0.01, fitting).zoom).toBe(0.25)
    expect(zoomedAbout(wholeLook, 1000, fitting).zoom * fitting).toBeCloseTo(8)
    expect(zoomedAbout({ zoom: 3, pan: { x: 50, y: 9 } }, 1.01, fitting)).toEqual(wholeLook)
  })

  it('brings a box to fill four fifths of the area, in its middle', () => {
    fc.assert(
      fc.property(places, fc.integer({ min: 100, max: 900 }), fc.integer({ min: 100, max: 900 }), ({ x, y }, width, height) => {
        const box = { x, y, width, height, angle: 0 }
        const look = lookAt(box, area, size)
        const [from, to] = [seen(look, box), seen(look, { x: x + width, y: y + height })]
        expect((from.x + to.x) / 2).toBeCloseTo(0, 6)
        expect((from.y + to.y) / 2).toBeCloseTo(0, 6)
        expect(Math.max((to.x - from.x) / area.width, (to.y - from.y) / area.height)).toBeCloseTo(0.8, 6)
      }),
    )
    expect(lookAt({ x: 0, y: 0, width: 0, height: 0, angle: 0 }, area, size).zoom * fitting).toBeLessThanOrEqual(8)
  })
})
