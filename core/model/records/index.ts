import { z } from 'zod'
import { stateSchema } from './chart'
import { elementSchema } from './element'
import { beatSchema, cueSchema, infoSchema, slideSchema, soundSchema, variantSchema } from './slide'
import { layoutSchema, masterSchema, themeSchema } from './theme'
import { idSchema } from '../../values'

export * from './amount'
export * from './backdrop'
export * from './bullet'
export * from './chart'
export * from './clip'
export * from './element'
export * from './figure'
export * from './slide'
export * from './text'
export * from './theme'
export * from './treatment'

/** The schema of a record of each table. */
export const recordSchemas = {
  info: infoSchema,
  theme: themeSchema,
  masters: masterSchema,
  layouts: layoutSchema,
  slides: slideSchema,
  elements: elementSchema,
  beats: beatSchema,
  cues: cueSchema,
  sounds: soundSchema,
  states: stateSchema,
  variants: variantSchema,
} as const

/** A whole deck, as it stands in a file: flat tables of records by id. */
export const deckSchema = z.object({
  info: z.object({ info: infoSchema }),
  theme: z.object({ theme: themeSchema }),
  masters: z.record(idSchema, masterSchema),
  layouts: z.record(idSchema, layoutSchema),
  slides: z.record(idSchema, slideSchema),
  elements: z.record(idSchema, elementSchema),
  beats: z.record(idSchema, beatSchema),
  cues: z.record(idSchema, cueSchema),
  sounds: z.record(idSchema, soundSchema),
  states: z.record(idSchema, stateSchema),
  variants: z.record(idSchema, variantSchema).default({}),
})

export type TableName = keyof typeof recordSchemas
export type RecordOf<T extends TableName> = z.infer<(typeof recordSchemas)[T]>
export type AnyRecord = RecordOf<TableName>
export type Deck = { readonly [T in TableName]: Readonly<Record<string, RecordOf<T>>> }
export const tableNames = Object.keys(recordSchemas) as TableName[]
