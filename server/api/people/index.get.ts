import { requireViewer } from '../../access'
import { listPeople } from '../../database/people'

export default defineEventHandler(async event => {
  await requireViewer(event)
  return await listPeople()
})
