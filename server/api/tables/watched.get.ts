import { requireViewer } from '../../access'
import { mayEdit } from '../../database/people'
import { watchedFaults } from '../../database/sources'
import { watchedFolder } from '../../tables/watched'

/** The folder whose files are tables (its path for editors only; null where none is watched), and what is wrong with files in it. */
export default defineEventHandler(async event => {
  const person = await requireViewer(event)
  const folder = watchedFolder()
  const faults = folder ? (await watchedFaults()).map(({ file, fault }) => ({ file, fault })) : []
  return { folder: mayEdit(person.role) ? folder : null, faults }
})
