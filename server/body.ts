import type { H3Event } from 'h3'
import { refuse } from './access'

/** Reads a request's bytes, ending as soon as they are more than `limit`. `what` names them in the refusal. */
export async function readBytes(event: H3Event, limit: number, what: string): Promise<Uint8Array> {
  const tooLarge = () => refuse(413, `${what} may have ${Math.round(limit / 1048576)} MB at most.`)
  if (Number(event.node.req.headers['content-length'] ?? 0) > limit) tooLarge()
  const parts: Buffer[] = []
  let size = 0
  for await (const part of event.node.req as AsyncIterable<Buffer>) {
    size += part.length
    if (size > limit) tooLarge()
    parts.push(part)
  }
  return Buffer.concat(parts)
}
