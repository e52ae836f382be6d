import { z } from 'zod'

const cell = z.union([z.string().max(100_000), z.number(), z.null()])

/** A column: `number` holds numbers, `date` ISO 8601 days, `text` words; null where nothing stands. */
export const columnSchema = z.object({
  name: z.string().min(1).max(200),
  type: z.enum(['number', 'date', 'text']),
  values: z.array(cell),
})

export const dataTableSchema = z
  .object({
    id: z.string().regex(/^[A-Za-z0-9_-]{1,64}$/),
    name: z.string().min(1).max(200),
    columns: z.array(columnSchema).min(1).max(500),
  })
  .refine(table => table.columns.every(column => column.values.length === table.columns[0]!.values.length), 'the columns differ in length')

export type Column = z.infer<typeof columnSchema>
export type DataTable = z.infer<typeof dataTableSchema>

export const rowCount = (table: DataTable) => table.columns[0]?.values.length ?? 0
export const columnNamed = (table: DataTable, name: string | null) =>
  name === null ? undefined : table.columns.find(column => column.name === name)

/** The column that categories come from when none is named: the first of words or days, else the first. */
export const firstCategory = (table: DataTable) => table.columns.find(column => column.type !== 'number') ?? table.columns[0]!

/** The column that amounts come from when none is named: the first of numbers that is not the category. */
export const firstAmount = (table: DataTable) => table.columns.find(column => column.type === 'number' && column !== firstCategory(table))
