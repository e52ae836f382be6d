import { describe, expect, it } from 'vitest'
import type { DataTable } from '../data'
import { houseTheme } from '../layouts'
import { roughMeasurer } from '../text'
import { liftedOut, newChart, type ChartRoom } from './index'

/** Two fields beside each other on the equator, the second twice as wide as high. */
const map: DataTable = {
  id: 'fields',
  name: 'fields',
  columns: [
    { name: 'field', type: 'text', kind: 'place', values: ['Marsh', 'Long Field'] },
    { name: 'outline', type: 'text', kind: 'outline', values: ['POLYGON((0 0,1 0,1 1,0 1,0 0))', 'POLYGON((1 0,3 0,3 1,1 1,1 0))'] },
    { name: 'cards', type: 'number', values: [4, 9] },
  ],
}
const room: ChartRoom = { width: 900, height: 500, textSize: 28, fonts: houseTheme.fonts, measurer: roughMeasurer, language: 'en' }
const lift = (label: string) =>
  liftedOut({ ...newChart('fields'), kind: 'map-areas', across: 'field', height: 'cards' }, map, room, {
    key: label,
    label,
    fill: '#12615c',
  })

describe('a place lifted out of a map', () => {
  it('is a drawing of its outline alone, as wide as it is and as large as there is room for', () => {
    const made = lift('Long Field')!
    expect(made.width / made.height).toBeCloseTo(2, 1)
    expect(made.width).toBeGreaterThan(1000)
    expect(made.svg.match(/<path /g)).toHaveLength(1)
    expect(made.svg).toContain('fill="#12615c"')
    expect(made.svg.match(/M/g)).toHaveLength(1)
  })

  it('is none where the map has no such place', () => expect(lift('Nowhere')).toBeNull())
})
