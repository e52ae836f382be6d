import { z } from 'zod'
import { readAs, refuse, requireEditor } from '../../access'
import { changeMedia, mediaItem } from '../../database/media'

const input = z.object({
  name: z.string().trim().min(1).max(200).optional(),
  folder: z
    .string()
    .trim()
    .max(120)
    .regex(/^[^/]*(\/[^/]+)*$/, 'a folder is written as Harbour or Harbour/Boats')
    .optional(),
  tags: z.array(z.string().trim().min(1).max(60)).max(60).optional(),
  rights: z.string().trim().max(1000).optional(),
  credit: z.string().trim().max(300).optional(),
})

/** Gives a media file another name, folder, tags, rights or credit line. */
export default defineEventHandler(async event => {
  await requireEditor(event)
  const hash = getRouterParam(event, 'hash')!
  if (!(await mediaItem(hash))) return refuse(404, 'There is no such file in Media.')
  const asked = readAs(input, await readBody(event))
  await changeMedia(hash, { ...asked, ...(asked.tags ? { tags: [...new Set(asked.tags)] } : {}) })
  return await mediaItem(hash)
})
