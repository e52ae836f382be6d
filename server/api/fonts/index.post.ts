import { refuse, requireEditor } from '../../access'
import { readBytes } from '../../body'
import { keepFont } from '../../database/fonts'
import { keepMedia } from '../../database/media'
import { checkFont, fontByteLimit } from '../../fonts/check'

/** Keeps a font file for the team. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const name = String(getQuery(event).name ?? 'font')
  const checked = await checkFont(await readBytes(event, fontByteLimit, 'A font file'), name)
  if (!checked.ok) return refuse(422, checked.message)
  const { row, content, info } = checked.value
  await keepMedia(row, content, person.id)
  const font = { hash: row.hash, family: info.family, weight: info.weight, italic: info.italic }
  await keepFont(font, person.id)
  return { ...font, letters: info.letters }
})
