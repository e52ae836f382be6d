/**
 * Numbers that a text has from a table.
 *
 * @example
 * import { amountIn } from 'core/amounts'
 * import { seasons } from 'core/testing'
 *
 * const format = { decimals: null, scale: 'none', prefix: '', suffix: '' } as const
 * amountIn({ table: 'seasons', column: 'crossings', find: 'sum', format }, seasons, 'en')?.words // → '23,000'
 */
export * from './amount'
export { findings, findingNamed, type Finding } from './findings'
export * from './resolve'
export * from './rows'
