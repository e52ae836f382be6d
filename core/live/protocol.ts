import * as decoding from 'lib0/decoding'
import * as encoding from 'lib0/encoding'

/**
 * Messages of a live document's socket, each one binary frame: a kind and its content.
 * - `state`: a state vector; the browser answers with an `update` of what the server lacks, the server with a `whole`.
 * - `whole`: all that the browser lacks, in Yjs' second encoding, which is half as large and read twice as fast.
 * - `update`: a numbered Yjs update. From the browser it is counted from 1 and answered with `kept` once it is on disk;
 *   from the server its number is 0.
 * - `kept`: every update up to this number is on disk.
 * - `awareness`: who is here and what they have selected.
 * - `refused`: a sentence for the person; the update with this number was not taken, and nothing after it is until the browser has
 *   begun anew with the document as the server has it.
 * - `note`: a sentence for the person about the document as a whole.
 * - `bounds`: whether a form holds this person to its places.
 * - `beat`: sent by the browser every few seconds and answered with the same; who hears none for a while knows that the other is gone.
 */
export type LiveMessage =
  | { kind: 'state'; vector: Uint8Array }
  | { kind: 'update'; number: number; update: Uint8Array }
  | { kind: 'kept'; number: number }
  | { kind: 'awareness'; update: Uint8Array }
  | { kind: 'refused'; number: number; message: string }
  | { kind: 'whole'; update: Uint8Array }
  | { kind: 'note'; message: string }
  | { kind: 'bounds'; form: boolean }
  | { kind: 'beat' }

const kinds = ['state', 'update', 'kept', 'awareness', 'refused', 'whole', 'note', 'beat', 'bounds'] as const

export function encodeMessage(message: LiveMessage): Uint8Array {
  const encoder = encoding.createEncoder()
  encoding.writeVarUint(encoder, kinds.indexOf(message.kind))
  if ('number' in message) encoding.writeVarUint(encoder, message.number)
  if (message.kind === 'state') encoding.writeVarUint8Array(encoder, message.vector)
  if (message.kind === 'update' || message.kind === 'awareness' || message.kind === 'whole')
    encoding.writeVarUint8Array(encoder, message.update)
  if (message.kind === 'refused' || message.kind === 'note') encoding.writeVarString(encoder, message.message)
  if (message.kind === 'bounds') encoding.writeVarUint(encoder, message.form ? 1 : 0)
  return encoding.toUint8Array(encoder)
}

/** Null for bytes that are no message. */
export function decodeMessage(bytes: Uint8Array): LiveMessage | null {
  try {
    const decoder = decoding.createDecoder(bytes)
    const kind = kinds[decoding.readVarUint(decoder)]
    const number = kind === 'update' || kind === 'kept' || kind === 'refused' ? decoding.readVarUint(decoder) : 0
    if (kind === 'state') return { kind, vector: decoding.readVarUint8Array(decoder) }
    if (kind === 'update') return { kind, number, update: decoding.readVarUint8Array(decoder) }
    if (kind === 'whole') return { kind, update: decoding.readVarUint8Array(decoder) }
    if (kind === 'awareness') return { kind, update: decoding.readVarUint8Array(decoder) }
    if (kind === 'kept') return { kind, number }
    if (kind === 'refused') return { kind, number, message: decoding.readVarString(decoder) }
    if (kind === 'note') return { kind, message: decoding.readVarString(decoder) }
    if (kind === 'bounds') return { kind, form: decoding.readVarUint(decoder) === 1 }
    if (kind === 'beat') return { kind }
    return null
  } catch (error) {
    // Bytes that end too soon, or numbers that are none.
    if (!(error instanceof Error)) throw error
    return null
  }
}
