import { z } from 'zod'
import { readAs, requireViewer } from '../../access'
import { allMedia } from '../../database/media'
import { alikeMedia, findMedia } from '../../media/find'

const query = z.object({
  find: z.string().max(200).default(''),
  kind: z.enum(['picture', 'film', 'sound']).optional(),
  folder: z.string().max(120).optional(),
  tag: z.string().max(60).optional(),
  color: z
    .string()
    .regex(/^#[0-9a-fA-F]{6}$/, 'a colour is written as #12615c')
    .optional(),
  from: z.coerce.number().int().min(0).max(1_000_000).default(0),
  count: z.coerce.number().int().min(1).max(300).default(60),
  alike: z.string().optional(),
})

/** The team's media by word, kind, folder, tag and colour, some at a time; with `alike`, groups of pictures that look alike. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const asked = readAs(query, getQuery(event))
  const all = await allMedia()
  const counted = (names: readonly string[]) =>
    [...names.reduce((map, name) => map.set(name, (map.get(name) ?? 0) + 1), new Map<string, number>())]
      .map(([name, count]) => ({ name, count }))
      .sort((a, b) => a.name.localeCompare(b.name))
  const folders = counted(all.map(item => item.folder).filter(Boolean))
  const tags = counted(all.flatMap(item => item.tags))
  if (asked.alike !== undefined) {
    const groups = alikeMedia(all)
    return { total: groups.length, items: groups.flat(), groups: groups.map(group => group.map(item => item.hash)), folders, tags }
  }
  const found = findMedia(all, asked)
  return { total: found.length, items: found.slice(asked.from, asked.from + asked.count), groups: [], folders, tags }
})
