import { z } from 'zod'
import { readAs, refuse, requireEditor } from '../../access'
import { nameOfFile, readBytes } from '../../body'
import { fontByteLimit } from '../../fonts/check'
import { takeFont } from '../../fonts/take'

const input = z.object({ name: nameOfFile('font') })

/** Keeps a font file for the team. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const { name } = readAs(input, getQuery(event))
  const content = await readBytes(event, fontByteLimit, 'A font file')
  const kept = await takeFont(content, name, person.id)
  return kept.ok ? kept.value : refuse(422, kept.message)
})
