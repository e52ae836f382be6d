/**
 * Tables of data: read, formatted and summed up.
 *
 * @example
 * import { formatNumber, readCsv, readNumber } from 'core/data'
 *
 * readNumber('1.234,5', ',') // → 1234.5
 * readNumber('n/a', '.') // → null
 * const read = readCsv(new TextEncoder().encode('route;cars\nAstrel;120\nQuill;80'), 'cars.csv', 'cars')
 * read.ok && read.value.table.columns.map(column => column.values) // → [['Astrel', 'Quill'], [120, 80]]
 */
export * from './csv'
export * from './file'
export * from './format'
export * from './moments'
export * from './numbers'
export * from './reading'
export * from './rows'
export * from './summarise'
export * from './table'
export * from './through-time'
export * from './versions'
export * from './write-csv'
export * from './pins'
