import { requireViewer } from '../../access'
import { mayEdit } from '../../database/people'
import { watchedFaults } from '../../database/sources'
import { services } from '../../tables/services'
import { watchedFolder } from '../../tables/watched'

/**
 * The folder whose files are tables (null where none is watched), what is wrong with files in it, and where the addresses begin that tables
 * may follow; the folder and the addresses for editors only.
 */
export default defineEventHandler(async event => {
  const person = await requireViewer(event)
  const folder = watchedFolder()
  const faults = folder ? (await watchedFaults()).map(({ file, fault }) => ({ file, fault })) : []
  return { folder: mayEdit(person.role) ? folder : null, faults, services: mayEdit(person.role) ? services() : [] }
})
