import { z } from 'zod'
import { readAs, refuse, requireEditor } from '../../access'
import { apart } from '../../apart'
import { nameOfFile, readBytes } from '../../body'
import { keepFont } from '../../database/fonts'
import { keepMedia } from '../../database/media'
import { fontByteLimit } from '../../fonts/check'

const input = z.object({ name: nameOfFile('font') })

/** Keeps a font file for the team. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const { name } = readAs(input, getQuery(event))
  const content = await readBytes(event, fontByteLimit, 'A font file')
  const checked = await apart('font', { bytes: content, name }, { seconds: 15, what: 'This font' })
  if (!checked.ok) return refuse(422, checked.message)
  const { row, info } = checked.value
  await keepMedia(row, content, person.id)
  const font = { hash: row.hash, family: info.family, weight: info.weight, italic: info.italic, held: info.held }
  await keepFont(font, person.id)
  return { ...font, letters: info.letters }
})
