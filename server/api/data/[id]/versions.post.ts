import { z } from 'zod'
import { readAs, requireEditor } from '../../../access'
import { nameOfFile, readBytes } from '../../../body'
import { addVersion, dataByteLimit, sourceAsked } from '../../../tables/sources'

const query = z.object({ name: nameOfFile('Table.csv') })

/** Keeps a file as the next version of a table. It goes on air unless it would break what draws the table: then it is held, with why. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const source = await sourceAsked(getRouterParam(event, 'id')!)
  const { name } = readAs(query, getQuery(event))
  return await addVersion(source, await readBytes(event, dataByteLimit, 'A table'), name, person.id)
})
