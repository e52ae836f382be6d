import { looksLikeWkt, readWkt } from '../../../maps'
import type { ColumnKind } from '../../table'
import { isLatitudeWord, isLongitudeWord } from '../languages'
import { mostOf, type KindOfColumn } from './kind'
import { numberReader } from './numbers'

/** Outlines as well-known text: areas, lines or points of a map. */
export const outline: KindOfColumn = {
  name: 'outline',
  readings: ({ written }) => {
    const many = written.filter(looksLikeWkt).length
    if (!many) return []
    return [
      {
        choice: { kind: 'outline' },
        type: 'text',
        marks: 'words',
        read: cell => (looksLikeWkt(cell) && readWkt(cell) ? cell.trim() : undefined),
        label: 'Outline on a map',
        words: 'An *outline* on a map, as well-known text',
        likely: many / written.length >= mostOf ? 0.99 : 0,
      },
    ]
  },
}

/** Half of a pair of degrees: named so, and within the ends of a sphere. */
const degrees = (name: ColumnKind, label: string, ends: number, isNamed: (name: string) => boolean): KindOfColumn => ({
  name,
  readings: ({ name: header, cells, numbers }) => {
    if (!isNamed(header) || !numbers.numbers || numbers.numbers < cells.length * mostOf) return []
    const sign = numbers.only[','] > numbers.only['.'] ? ',' : '.'
    const plain = numberReader(sign, 1, () => true)
    const read = (cell: string) => {
      const value = plain(cell.replace(/\s*°$/, ''))
      return value !== undefined && Math.abs(value) <= ends ? value : undefined
    }
    const fits = cells.filter(cell => read(cell) !== undefined).length >= cells.length * mostOf
    return [
      {
        choice: { kind: name },
        type: 'number',
        marks: 'numbers',
        unit: '°',
        read,
        label,
        words: `*${label}*, by the column’s name`,
        likely: fits ? 0.97 : 0,
      },
    ]
  },
})
export const latitude = degrees('latitude', 'Degrees north', 90, isLatitudeWord)
export const longitude = degrees('longitude', 'Degrees east', 360, isLongitudeWord)
