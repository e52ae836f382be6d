import { refuse, requireEditor } from '../../access'
import { readBytes } from '../../body'
import { keepMedia } from '../../database/media'
import { checkPicture, pictureByteLimit } from '../../media/check'

export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const name = String(getQuery(event).name ?? 'picture')
  const checked = await checkPicture(await readBytes(event, pictureByteLimit, 'A picture'), name)
  if (!checked.ok) return refuse(422, checked.message)
  await keepMedia(checked.value.row, checked.value.content, person.id)
  const { hash, width, height } = checked.value.row
  return { hash, width, height }
})
