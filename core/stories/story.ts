import type { Fact, TableShape } from '../charts'
import type { Column, DataTable } from '../data'
import type { ChartSpec } from '../model'

/** A slide of a story: a chart that is told in states, or lines of words. */
export interface StorySlide {
  title: string
  /** The line under the chart. */
  caption?: string
  chart?: ChartSpec
  /** What the chart goes to, one beat each. */
  states?: readonly ChartSpec[]
  lines?: readonly string[]
  notes?: string
}

/** What is known of the table that a story is told of. */
export interface StoryRoom {
  table: DataTable
  /** The chart that a choice begins with: its columns, and how its rows are gathered. */
  base: ChartSpec
  /** The first column of amounts, of time, and those of categories that are no codes. */
  amount: Column | null
  second: Column | null
  time: Column | null
  groups: readonly Column[]
  shape(spec: ChartSpec): TableShape
  /** What the rows of a chart hold, most surprising first. */
  facts(spec: ChartSpec): readonly Fact[]
}

/** An outline of a story that a table drops into, one file each. */
export interface StoryOutline {
  name: string
  label: string
  /** What it tells, whatever the table. */
  about: string
  /** What the table would need and has not; null where it has all. */
  lacks(room: StoryRoom): string | null
  /** How well it suits the rows, 0 to 1, and why, in a sentence. Asked only where nothing lacks. */
  suits(room: StoryRoom): { score: number; why: string }
  tell(room: StoryRoom): StorySlide[]
}

const sentence = (words: string) => words.replace(/\.$/, '')

/** The first fact of one of some kinds, as a headline; `usual` where there is none. */
export function headline(facts: readonly Fact[], kinds: readonly string[], usual: string): string {
  const found = kinds.flatMap(kind => facts.filter(({ name }) => name === kind))[0]
  return found ? sentence(found.words) : usual
}

/** The last moment of a table that runs in time: amounts of several moments are not added up. */
export const now = ({ time }: StoryRoom): Partial<ChartSpec> => (time ? { moment: { column: time.name, at: 'last' } } : {})

/** The columns of a chart, and nothing chosen beside. */
export function bare({ base }: StoryRoom, fields: Partial<ChartSpec>): ChartSpec {
  const { rule: _rule, series: _series, beside: _beside, largest: _largest, ...rest } = base
  return { ...rest, highlighted: [], order: 'data', ...fields }
}
