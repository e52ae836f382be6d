import { seeded } from '../core/values'

const hertz = 22_050
/** A sound as its amplitude, −1 to 1, at a second. */
export interface Sound {
  seconds: number
  at(second: number, noise: () => number): number
}

/** A sound as WAV, 16 bit, one channel. */
export function wav({ seconds: length, at }: Sound, seed: number): Buffer {
  const random = seeded(seed)
  const noise = () => random() * 2 - 1
  const count = Math.round(length * hertz)
  const bytes = Buffer.alloc(44 + count * 2)
  bytes.write('RIFF', 0)
  bytes.writeUInt32LE(36 + count * 2, 4)
  bytes.write('WAVEfmt ', 8)
  bytes.writeUInt32LE(16, 16)
  bytes.writeUInt16LE(1, 20)
  bytes.writeUInt16LE(1, 22)
  bytes.writeUInt32LE(hertz, 24)
  bytes.writeUInt32LE(hertz * 2, 28)
  bytes.writeUInt16LE(2, 32)
  bytes.writeUInt16LE(16, 34)
  bytes.write('data', 36)
  bytes.writeUInt32LE(count * 2, 40)
  for (let index = 0; index < count; index++)
    bytes.writeInt16LE(Math.round(Math.max(-1, Math.min(1, at(index / hertz, noise))) * 32_000), 44 + index * 2)
  return bytes
}
