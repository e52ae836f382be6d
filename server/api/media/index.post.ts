import { z } from 'zod'
import { readAs, refuse, requireEditor } from '../../access'
import { folderOfFile, nameOfFile, readBytes } from '../../body'
import { changeMedia } from '../../database/media'
import { checkPicture, checkUpload, pictureByteLimit } from '../../media/check'
import { keepChecked } from '../../media/keep'

const input = z.object({ name: nameOfFile('picture'), any: z.string().optional(), folder: folderOfFile })

/** Keeps a picture; with `any`, a film or sound too. Its bytes stay as they came, apart from an SVG, which is made harmless. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const { name, any, folder } = readAs(input, getQuery(event))
  const check = any === undefined ? checkPicture : checkUpload
  const checked = await check(await readBytes(event, pictureByteLimit, 'A file of media'), name)
  if (!checked.ok) return refuse(422, checked.message)
  const { row } = checked.value
  await keepChecked(checked.value, person.id)
  if (folder) await changeMedia(row.hash, { folder })
  return { hash: row.hash, width: row.width, height: row.height, type: row.type, seconds: row.seconds ?? null }
})
