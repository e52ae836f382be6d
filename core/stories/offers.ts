import { amountsIn, chosenColumns, factsOf, proposedChart, shapeOfData, type ChartRoom } from '../charts'
import { isTime, type DataTable } from '../data'
import { memoByRecords } from '../values'
import { storyOutlines } from './catalogue'
import { lackedBy, mostGroups, type StoryOutline, type StoryRoom, type StorySlide } from './story'

/** A story offered for a table: how well its outline suits, why, and its slides. */
export interface StoryOffer {
  outline: StoryOutline
  score: number
  why: string
  slides: readonly StorySlide[]
}

/** So many facts end a story. */
const mostFacts = 4

/** What is known of a table that a story is told of. */
export function storyRoom(
  table: DataTable,
  room: Pick<ChartRoom, 'language' | 'fonts' | 'measurer'>,
  maps: readonly DataTable[] = [],
): StoryRoom {
  const base = proposedChart(table)
  const open = table.columns.filter(column => !column.open)
  const distinct = (values: readonly unknown[]) => new Set(values).size
  const named = open.filter(({ type, values }) => type === 'text' && distinct(values) > 1 && distinct(values) <= mostGroups)
  const groups = named.filter(({ kind }) => kind !== 'code' && kind !== 'text')
  const time = open.find(column => isTime(column) && distinct(column.values) > 1) ?? null
  const amounts = amountsIn(table, time)
  return {
    table,
    base: { ...base, height: amounts[0]?.name ?? null },
    amount: amounts[0] ?? null,
    second: amounts[1] ?? null,
    time,
    groups: groups.length ? groups : named,
    shape: memoByRecords(
      spec => [spec],
      spec => shapeOfData(spec, table, room.language, maps),
    ),
    facts: memoByRecords(
      spec => [spec],
      spec => factsOf(spec, table, room),
    ),
  }
}

/** What a chart shows, and where it is from, as the line under it. */
function captionOf({ chart }: StorySlide, table: DataTable): string {
  const { height, across } = chosenColumns(chart ?? proposedChart(table), table)
  const words = `${height?.name ?? 'rows'} by ${across.name}`
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}. From ${table.name}.`
}

/** The slide that ends a story: what else its rows hold, as sentences. */
function ending(room: StoryRoom, told: readonly StorySlide[]): StorySlide[] {
  const titles = new Set(told.map(({ title }) => title))
  const words = room.facts(room.base).map(fact => fact.words.replace(/\.$/, ''))
  const lines = words.filter(one => !titles.has(one)).slice(0, mostFacts)
  return lines.length > 1 ? [{ title: 'What the figures say', lines }] : []
}

/**
 * The stories that a table can be told in, best first, and those that lack something, with what. Every headline and line is computed from
 * the rows. `maps` are those of the team that names are looked for on.
 */
export function storiesFor(
  table: DataTable,
  chart: Pick<ChartRoom, 'language' | 'fonts' | 'measurer'>,
  maps: readonly DataTable[] = [],
): { offers: StoryOffer[]; lacking: { outline: StoryOutline; lacks: string }[] } {
  const room = storyRoom(table, chart, maps)
  const offers: StoryOffer[] = []
  const lacking: { outline: StoryOutline; lacks: string }[] = []
  for (const outline of storyOutlines) {
    const lacks = lackedBy(outline, room)
    if (lacks !== null) {
      lacking.push({ outline, lacks })
      continue
    }
    const slides = outline.tell(room).map(slide => ({ caption: captionOf(slide, table), ...slide }))
    offers.push({ outline, ...outline.suits(room), slides: [...slides, ...ending(room, slides)] })
  }
  return { offers: offers.sort((a, b) => b.score - a.score), lacking }
}
