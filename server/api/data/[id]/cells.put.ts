import { readAs, requireEditor } from '../../../access'
import { cellsSchema, writeCells } from '../../../tables/cells'
import { sourceAsked } from '../../../tables/sources'

/** Writes cells of a typed table as a chart shows them; answers with why it is held where it would break what draws the table. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const source = await sourceAsked(getRouterParam(event, 'id')!)
  const { version, cells } = readAs(cellsSchema, await readBody(event))
  return await writeCells(source, version, cells, person.id)
})
