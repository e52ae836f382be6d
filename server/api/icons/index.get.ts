import { z } from 'zod'
import { readAs, requireViewer } from '../../access'
import { shippedIcons } from '../../icons/shipped'

const input = z.object({
  find: z.string().max(200).default(''),
  from: z.coerce.number().int().min(0).max(100_000).default(0),
  count: z.coerce.number().int().min(1).max(200).default(96),
})

/** Icons by word and meaning, some at a time. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const { find, from, count } = readAs(input, getQuery(event))
  return shippedIcons(find, from, count)
})
