/**
 * Tables on slides: what stands in their cells, and how wide their columns are.
 *
 * @example
 * import { atDecimal, cellWords } from 'core/tables'
 *
 * atDecimal('1,234.50', 'en') // → ['1,234', '.50']
 * cellWords({ name: 'cars', type: 'text', values: ['Astrel', 'Quill'] }, undefined, 'en') // → ['Astrel', 'Quill']
 */
export * from './content'
export * from './element-table'
export * from './lay'
export * from './written'
