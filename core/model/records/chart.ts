import { z } from 'zod'
import { colorSchema, idSchema, optionsSchema, orderSchema } from '../../values'

/** A number as a reader sees it; see core/data/format.ts. */
export const numberFormatSchema = z.object({
  decimals: z.int().min(0).max(6).nullable(),
  scale: z.enum(['none', 'thousands', 'millions', 'auto', 'percent']),
  prefix: z.string().max(20),
  suffix: z.string().max(40),
})

/** How one of many is found anew in whatever rows there are; `next` is the second greatest. */
const findingSchema = z.enum(['most', 'next', 'least', 'first', 'last', 'rise', 'fall'])

/**
 * Which rows of a table with several moments a chart shows: the column that says when, and the first moment, the last, or one by its key.
 */
const momentSchema = z.object({
  column: z.string().max(200),
  at: z.enum(['first', 'last', 'named']),
  key: z.string().max(200).optional(),
  /** Whether the moment is written large in the chart; absent is yes. */
  told: z.boolean().optional(),
  /** How the chart goes to it from another moment: from moment to moment, or slower where places are exchanged; absent is evenly. */
  goes: z.enum(['steps', 'slower']).optional(),
})

/** A level that amounts are compared with: a number, or what the amounts of the chart come to; `until` makes it a band. */
const referenceSchema = z.object({
  at: z.union([z.number(), z.enum(['mean', 'median', 'most', 'least'])]),
  until: z.number().optional(),
  /** What is written at its end; empty, what it is and its amount. */
  words: z.string().max(120),
})

/** Words about one amount of a chart: they stand where it does, and come and go with it. */
const chartNoteSchema = z.object({
  /** The category, and where there are several series, the series; by their keys. */
  key: z.string().max(200),
  series: z.string().max(200).optional(),
  words: z.string().max(300),
})

/** What a chart draws from its table. */
export const chartSpecSchema = z.object({
  /** A kind of core/charts by name; one that is not known is drawn as bars. */
  kind: z.string().min(1).max(60),
  table: idSchema.nullable(),
  /** Names of columns; null chooses the first that suits. */
  across: z.string().max(200).nullable(),
  height: z.string().max(200).nullable(),
  /** The column whose values part each mark into one for each of them; absent or null for none. */
  series: z.string().max(200).nullable().optional(),
  /** More columns of amounts beside `height`: each is a series of its own. */
  beside: z.array(z.string().max(200)).max(60).optional(),
  /** A second amount that places a mark across, and one that sizes it, where a kind takes them. */
  along: z.string().max(200).nullable().optional(),
  size: z.string().max(200).nullable().optional(),
  /** The table whose outlines it is drawn on, where its kind is a map; absent, it has outlines or degrees of its own. */
  map: idSchema.nullable().optional(),
  aggregate: z.enum(['sum', 'mean', 'least', 'most', 'count']),
  /**
   * How many categories are drawn, the largest; all others become one, “the rest”, and are not drawn where the chart shows a moment. Absent
   * is all.
   */
  largest: z.int().min(1).max(1000).optional(),
  /** The only categories that are drawn, by key and by what is found anew; absent is all. */
  only: z.object({ keys: z.array(z.string().max(200)).max(1000), found: z.array(findingSchema).max(7) }).optional(),
  /** The only rows that are drawn are those of a moment; absent is all. */
  moment: momentSchema.optional(),
  order: z.enum(['data', 'rising', 'falling', 'name']),
  /** Keys of the category column, or of the series, whose marks are highlighted. */
  highlighted: z.array(z.string().max(200)).max(10_000),
  /** What is highlighted beside those, found anew in whatever rows there are; absent is nothing. */
  rule: findingSchema.optional(),
  /**
   * On a slide that is there for rows: what its row is called across, which is highlighted too; it is found anew for each row, so that any
   * words ask for it. Absent is not.
   */
  ofRow: z.string().max(200).optional(),
  /** Absent: by the theme, all others quiet where some are highlighted. */
  color: colorSchema.optional(),
  highlightColor: colorSchema.optional(),
  format: numberFormatSchema,
  labels: z.enum(['all', 'highlighted', 'none']),
  references: z.array(referenceSchema).max(12).optional(),
  notes: z.array(chartNoteSchema).max(40).optional(),
  /**
   * Labels that were moved by hand, by their keys: how far each stands from its mark (one that belongs to none, from its usual place), in
   * its own sizes.
   */
  moved: z
    .record(z.string().max(500), z.object({ x: z.number().min(-200).max(200), y: z.number().min(-200).max(200) }))
    .refine(moved => Object.keys(moved).length <= 500, 'more than 500 labels are moved')
    .optional(),
  /** Whether colours are told apart by patterns too; absent is no. */
  patterns: z.boolean().optional(),
  total: z.boolean(),
  /** What its kind offers beside; see the kind's own file. */
  options: optionsSchema.optional(),
})

/** A choice of rows, order and emphasis that a data cue can move a chart to. */
export const stateSchema = z.object({
  id: idSchema,
  element: idSchema,
  order: orderSchema,
  /** What it is called; empty, it is called by what it shows. */
  name: z.string().max(120),
  /** Where it differs from the chart as composed. */
  chart: chartSpecSchema.partial(),
  /** What the chart as composed has and it has not, by the names of the fields. */
  without: z.array(z.string().max(40)).max(40).optional(),
})

export type ChartSpec = z.infer<typeof chartSpecSchema>
export type Reference = z.infer<typeof referenceSchema>
export type ChartNote = z.infer<typeof chartNoteSchema>
export type Finding = z.infer<typeof findingSchema>
export type NumberFormat = z.infer<typeof numberFormatSchema>
export type State = z.infer<typeof stateSchema>

/** The ids of the tables that a chart, or a state of one, is drawn from: its rows, and the outlines of its map. */
export const tablesDrawn = ({ table, map }: Partial<ChartSpec> = {}): string[] => [table, map].flatMap(id => id ?? [])
