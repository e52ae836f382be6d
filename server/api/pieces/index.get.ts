import { z } from 'zod'
import { readAs, requireViewer } from '../../access'
import { findPieces, piecesById } from '../../database/pieces'

const query = z.object({
  find: z.string().max(200).default(''),
  from: z.coerce.number().int().min(0).max(1_000_000).default(0),
  count: z.coerce.number().int().min(1).max(100).default(24),
  ids: z.string().max(20_000).optional(),
})

/** Pieces of the team's shelf by word, some at a time; with `ids`, those very ones. */
export default defineEventHandler(async event => {
  await requireViewer(event)
  const { find, from, count, ids } = readAs(query, getQuery(event))
  if (ids !== undefined) {
    const pieces = await piecesById(
      ids
        .split(',')
        .filter(id => /^[A-Za-z0-9_-]{1,64}$/.test(id))
        .slice(0, 500),
    )
    return { total: pieces.length, pieces }
  }
  const found = await findPieces(find, from, count)
  return { total: found[0]?.total ?? 0, pieces: found.map(({ total: _, ...piece }) => piece) }
})
