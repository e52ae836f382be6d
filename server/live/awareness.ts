import * as decoding from 'lib0/decoding'
import { z } from 'zod'
import { hexSchema, idSchema } from '../../core/values'
import { liveLimits } from '../../core/live'

/** What a browser says of who is there: the person, and what they look at. Null when they leave. */
const stateSchema = z
  .strictObject({ name: z.string().max(120), color: hexSchema, slide: idSchema.nullable(), selection: z.array(idSchema).max(200) })
  .nullable()

/**
 * The browsers that a message on who is here speaks for; null where it cannot be taken: too large, for too many, under another name
 * than that of who sends it, or about something else.
 */
export function clientsIn(update: Uint8Array, name: string): number[] | null {
  if (update.length > liveLimits.awareness) return null
  try {
    const decoder = decoding.createDecoder(update)
    const count = decoding.readVarUint(decoder)
    if (count > liveLimits.clients) return null
    const clients = []
    for (let index = 0; index < count; index++) {
      clients.push(decoding.readVarUint(decoder))
      decoding.readVarUint(decoder)
      const state = stateSchema.parse(JSON.parse(decoding.readVarString(decoder)))
      if (state && state.name !== name) return null
    }
    return clients
  } catch (error) {
    // What is no such message, is no JSON, or says something else.
    if (!(error instanceof Error)) throw error
    return null
  }
}
