import { describe, expect, it } from 'vitest'
import { dataTableSchema } from '../../core/data'
import { placeFinder, readWkt, shippedMaps } from '../../core/maps'
import { shippedTable } from './shipped'

const columnOf = async (id: string, name: string) => (await shippedTable(id))!.columns.find(column => column.name === name)!.values

describe('a map that ships', () => {
  it.each(shippedMaps.map(({ id }) => id))('%s is a table whose every row has an outline', async id => {
    const table = dataTableSchema.parse(await shippedTable(id))
    const outlines = table.columns.at(-1)!
    expect(outlines.kind).toBe('outline')
    expect(outlines.values.every(value => readWkt(String(value))?.type.endsWith('Polygon'))).toBe(true)
  })
  it('has every country once by its code, those that share a number apart', async () => {
    const codes = (await columnOf('world-50', 'code')).filter(code => code !== null)
    expect(new Set(codes).size).toBe(codes.length)
    expect(codes.length).toBeGreaterThan(230)
    const names = await columnOf('world-50', 'name')
    expect((await columnOf('world-50', 'code'))[names.indexOf('Australia')]).toBe('AU')
  })
  it('is found by names in other languages', async () => {
    const [names, codes] = [await columnOf('world-110', 'name'), await columnOf('world-110', 'code')]
    const finder = placeFinder(names.map((name, at) => [String(name), String(codes[at] ?? '')]))
    const found = ['Niederlande', 'Czech Republic', 'République tchèque', 'Ivory Coast', 'GBR', 'Suomi', 'Finlandia'].map(name => {
      const at = finder.find(name)
      return at === undefined ? null : names[at]
    })
    expect(found).toEqual(['Netherlands', 'Czechia', 'Czechia', 'Côte d’Ivoire', 'United Kingdom', null, 'Finland'])
  })
  it('is none of another id', () => {
    expect(shippedTable('world-1')).toBeUndefined()
  })
})
