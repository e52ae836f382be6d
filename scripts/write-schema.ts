import { writeFileSync } from 'node:fs'
import { z } from 'zod'
import { dataTableSchema } from '../core/data'
import { deckSchema } from '../core/model'

/** Writes the published JSON Schemas of a deck file's parts. Run by `npm run schema`. */
const schemas = { 'docs/deck.schema.json': deckSchema, 'docs/table.schema.json': dataTableSchema }
for (const [file, schema] of Object.entries(schemas)) {
  const written = { $id: file.replace('docs/', 'https://hailbank.example/'), ...z.toJSONSchema(schema, { io: 'input' }) }
  writeFileSync(file, `${JSON.stringify(written, null, 2)}\n`)
}
