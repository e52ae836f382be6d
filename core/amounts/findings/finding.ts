import type { AmountFinding } from '../../model'

/** The numbers that something is found in, in their order; those of one moment are one. */
export interface Found {
  /** Of each row that has a number. */
  values: readonly number[]
  /** Summed up by moment, in time; where the table has no time, of each row. */
  through: readonly number[]
  /** How many rows count. */
  rows: number
  /** What each of `values` is called. */
  names: readonly string[]
}

/** What an amount can say, one file each. */
export interface Finding {
  name: AmountFinding
  /** As a part of a sentence: “the sum of passengers”. */
  label: string
  /** Whether what it answers is above or below nothing, so that words can say which. */
  isChange?: true
  /** Whether it is a share, in hundredths. */
  isShare?: true
  /** Null where there is nothing to be found. */
  find(found: Found): number | string | null
}
