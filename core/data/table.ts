import { z } from 'zod'
import { grains } from './reading/written-date'

/** An outline of many islands is the longest that a cell holds, characters. */
const cell = z.union([z.string().max(2_000_000), z.number(), z.null()])

/** What a column is about, beyond how its values are kept. */
export const columnKinds = [
  'number',
  'money',
  'percent',
  'date',
  'time',
  'duration',
  'yes-no',
  'place',
  'outline',
  'latitude',
  'longitude',
  'category',
  'code',
  'text',
] as const
export type ColumnKind = (typeof columnKinds)[number]

/**
 * A column: `number` holds numbers (shares as 0.96, durations in seconds), `date` moments in the form of ISO 8601 at their grain (2031,
 * 2031-Q2, 2031-04, 06:15), `text` words, outlines as well-known text; null where nothing stands.
 */
export const columnSchema = z.object({
  name: z.string().min(1).max(200),
  type: z.enum(['number', 'date', 'text']),
  kind: z.enum(columnKinds).optional(),
  /** A currency as it is written, or a unit’s symbol. */
  unit: z.string().min(1).max(40).optional(),
  grain: z.enum(grains).optional(),
  /** A question that has to be answered before anything draws the column: which of two days is meant. */
  open: z.string().min(1).max(300).optional(),
  values: z.array(cell),
})

export const dataTableSchema = z
  .object({
    id: z.string().regex(/^[A-Za-z0-9_-]{1,64}$/),
    name: z.string().min(1).max(200),
    /** Of a table that the team keeps: which of its versions these are the rows of. */
    version: z.string().max(64).optional(),
    columns: z.array(columnSchema).min(1).max(500),
  })
  .refine(table => table.columns.every(column => column.values.length === table.columns[0]!.values.length), 'the columns differ in length')

export type Column = z.infer<typeof columnSchema>
export type DataTable = z.infer<typeof dataTableSchema>

export const rowCount = (table: DataTable) => table.columns[0]?.values.length ?? 0
export const columnNamed = (table: DataTable, name: string | null) =>
  name === null ? undefined : table.columns.find(column => column.name === name)

/** Whether a column runs in time: moments, or whole numbers that are years. */
export const isTime = ({ type, values }: Column) =>
  type === 'date' ||
  (type === 'number' &&
    values.length > 0 &&
    values.every(value => typeof value === 'number' && Number.isInteger(value) && value > 1500 && value < 2200))

/** Whether a column says where something lies: an outline, or half of a pair of degrees. It is drawn on a map, and by nothing else. */
export const isWhere = ({ kind }: Pick<Column, 'kind'>) => kind === 'outline' || kind === 'latitude' || kind === 'longitude'

/** The column that categories come from when none is named: the first of words or days, else the first. */
export const firstCategory = (table: DataTable) =>
  table.columns.find(column => column.type !== 'number' && !isWhere(column)) ?? table.columns[0]!

/** The column that amounts come from when none is named: the first of numbers that is not the category. */
export const firstAmount = (table: DataTable) =>
  table.columns.find(column => column.type === 'number' && !isWhere(column) && column !== firstCategory(table))
