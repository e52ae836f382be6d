/**
 * How written rows become a table: every guess in words, and a person's decisions against it.
 */
export * from './choices'
export type { ColumnReading, Offer } from './column'
export type { WrittenRows } from './frame'
export type { ReadingNote } from './notes'
export * from './read'
export type { TotalRow } from './totals'
export { oneAmount, type WrittenAmount } from './one-amount'
export { takeApart } from './written-number'
export { ordersOf, readDate, type Grain, type WrittenDate } from './written-date'
export { readClock, readDuration } from './written-time'
