import { max, mean as meanOf, median as medianOf, min, sum as sumOf } from 'd3-array'
import type { Finding } from './finding'

const some = (values: readonly number[], measure: (values: readonly number[]) => number | undefined) =>
  values.length ? (measure(values) ?? null) : null

export const sum: Finding = { name: 'sum', label: 'the sum of', find: ({ values }) => some(values, sumOf) }
export const mean: Finding = { name: 'mean', label: 'the mean of', find: ({ values }) => some(values, meanOf) }
export const median: Finding = { name: 'median', label: 'the median of', find: ({ values }) => some(values, medianOf) }
export const least: Finding = { name: 'least', label: 'the least of', find: ({ values }) => some(values, min) }
export const most: Finding = { name: 'most', label: 'the greatest of', find: ({ values }) => some(values, max) }
export const count: Finding = { name: 'count', label: 'the number of rows', find: ({ rows }) => rows }
