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
  /** What the table must have. */
  needs: readonly Need[]
  /** What its rows would need beside that and do not hold; null where they hold all. Asked only where the table has what is needed. */
  lacks?(room: StoryRoom): string | null
  /** How well it suits the rows, 0 to 1, and why, in a sentence. Asked only where nothing lacks. */
  suits(room: StoryRoom): { score: number; why: string }
  tell(room: StoryRoom): StorySlide[]
}

const sentence = (words: string) => words.replace(/\.$/, '')

/** Of more categories no story is told: they cannot be told apart. */
export const mostGroups = 60

/** What an outline can need of a table: whether it has it, and what it is called where it has not. */
const needs = {
  time: { has: ({ time }: StoryRoom) => !!time, called: 'a column of time' },
  months: { has: ({ time }: StoryRoom) => time?.grain === 'month' || time?.grain === 'quarter', called: 'a column of months or quarters' },
  groups: { has: ({ groups }: StoryRoom) => groups.length > 0, called: `a column of 2 to ${mostGroups} categories` },
  along: { has: ({ time, groups }: StoryRoom) => !!time || groups.length > 0, called: 'a column of time or of categories' },
  amount: { has: ({ amount }: StoryRoom) => !!amount, called: 'a column of amounts' },
  second: { has: ({ second }: StoryRoom) => !!second, called: 'a second column of amounts' },
} as const
export type Need = keyof typeof needs

/** What a table lacks for an outline; null where it has all. */
export function lackedBy(outline: StoryOutline, room: StoryRoom): string | null {
  const missing = outline.needs.find(need => !needs[need].has(room))
  return missing ? needs[missing].called : (outline.lacks?.(room) ?? null)
}

/** The first fact of one of some kinds, as a headline; `usual` where there is none. */
export function headline(facts: readonly Fact[], kinds: readonly string[], usual: string): string {
  const found = kinds.flatMap(kind => facts.filter(({ name }) => name === kind))[0]
  return found ? sentence(found.words) : usual.charAt(0).toUpperCase() + usual.slice(1)
}

/** The last moment of a table that runs in time: amounts of several moments are not added up. */
export const now = ({ time }: StoryRoom): Partial<ChartSpec> => (time ? { moment: { column: time.name, at: 'last' } } : {})

/** The columns of a chart, and nothing chosen beside. */
export function bare({ base }: StoryRoom, fields: Partial<ChartSpec>): ChartSpec {
  const { rule: _rule, series: _series, beside: _beside, largest: _largest, ...rest } = base
  return { ...rest, highlighted: [], order: 'data', ...fields }
}
