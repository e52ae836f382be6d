import { requireEditor, refuse } from '../../access'
import { apart } from '../../apart'
import { readBytes } from '../../body'
import { keepTableText } from '../../database/tables'
import { newId } from '../../new-id'

const byteLimit = 128 * 1024 * 1024

/** Keeps a table of data. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const id = newId()
  const table = await apart('table', { bytes: await readBytes(event, byteLimit, 'A table'), id }, { seconds: 60, what: 'This table' })
  if (!table.ok) return refuse(400, table.message)
  await keepTableText({ id, ...table.value }, person.id)
  return { id }
})
