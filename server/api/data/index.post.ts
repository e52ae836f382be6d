import { z } from 'zod'
import { readAs, requireEditor } from '../../access'
import { nameOfFile, readBytes } from '../../body'
import { dataByteLimit, makeSource } from '../../tables/sources'

const query = z.object({ name: nameOfFile('Table.csv') })

/** Keeps a file of data as a table of the team, read as people leave them; its id stands for the version on air. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const { name } = readAs(query, getQuery(event))
  return await makeSource(await readBytes(event, dataByteLimit, 'A table'), name, person.id)
})
