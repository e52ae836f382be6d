import { dataTableSchema } from '../../../core/data'
import { readAs, requireEditor } from '../../access'
import { keepTable } from '../../database/tables'
import { newId } from '../../new-id'

export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const table = { ...readAs(dataTableSchema, await readBody(event)), id: newId() }
  await keepTable(table, person.id)
  return { id: table.id }
})
