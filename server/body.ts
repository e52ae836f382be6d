import { z } from 'zod'
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

/** What a file that is brought is called, as a query says it; what is longer than can be kept is cut. */
export const nameOfFile = (usual: string) =>
  z
    .string()
    .default(usual)
    .transform(name => name.slice(0, 200))
/** The folder of Media that a file goes into; empty for none. */
export const folderOfFile = z
  .string()
  .default('')
  .transform(folder => folder.trim().slice(0, 120))
