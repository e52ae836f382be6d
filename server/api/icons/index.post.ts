import { z } from 'zod'
import { readAs, refuse, requireEditor } from '../../access'
import { apart } from '../../apart'
import { nameOfFile, readBytes } from '../../body'

const input = z.object({ name: nameOfFile('icon') })

/** Reads an SVG of a person's own as an icon. */
export default defineEventHandler(async event => {
  await requireEditor(event)
  const bytes = await readBytes(event, 1024 * 1024, 'An icon')
  const icon = await apart(
    'icon',
    { text: Buffer.from(bytes).toString('utf8'), name: readAs(input, getQuery(event)).name },
    { seconds: 5, what: 'This drawing' },
  )
  return icon.ok ? icon.value : refuse(422, icon.message)
})
