import { Readable } from 'node:stream'
import { z } from 'zod'
import { readAs, refuse, requireViewerOrScreen } from '../../access'
import { mediaByHash, mediaBytes } from '../../database/media'
import { scaledMedia } from '../../media/steps'

/** `width` in px of the picture asked for; `at` in seconds of a film. */
const input = z.object({ width: z.coerce.number().positive().optional(), at: z.coerce.number().min(0).optional() })

/** A media file, whole or a range of it; with `width`, a picture made smaller. Its content never changes, so it may be kept for good. */
export default defineEventHandler(async event => {
  await requireViewerOrScreen(event)
  const row = await mediaByHash(getRouterParam(event, 'hash')!)
  if (!row) return refuse(404, 'There is no such picture.')
  setHeaders(event, {
    'content-type': row.type,
    'accept-ranges': 'bytes',
    'cache-control': 'private, max-age=31536000, immutable',
    etag: `"${row.hash}"`,
    'x-content-type-options': 'nosniff',
    'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'; img-src data:; sandbox",
  })
  if (getHeader(event, 'if-none-match') === `"${row.hash}"`) {
    setResponseStatus(event, 304)
    return null
  }
  const { width, at } = readAs(input, getQuery(event))
  const scaled = width ? await scaledMedia(row, width, at ?? null) : null
  if (scaled) {
    setHeaders(event, { 'content-type': scaled.type, etag: `"${row.hash}-${width}-${at ?? ''}"` })
    return scaled.content
  }
  let from = 0
  let to = row.bytes - 1
  const asked = /^bytes=(\d*)-(\d*)$/.exec(getHeader(event, 'range') ?? '')
  if (asked && (asked[1] || asked[2])) {
    from = asked[1] ? Number(asked[1]) : Math.max(0, row.bytes - Number(asked[2]))
    to = asked[1] && asked[2] ? Math.min(Number(asked[2]), row.bytes - 1) : row.bytes - 1
    if (from > to || from >= row.bytes) {
      setHeader(event, 'content-range', `bytes */${row.bytes}`)
      return refuse(416, 'There are no such bytes.')
    }
    setResponseStatus(event, 206)
    setHeader(event, 'content-range', `bytes ${from}-${to}/${row.bytes}`)
  }
  setHeader(event, 'content-length', to - from + 1)
  return sendStream(event, Readable.from(mediaBytes(row.hash, from, to)))
})
