/**
 * JPEG pictures with the times at which they are to be seen, as a Matroska stream (RFC 9559): a picture that stands for
 * many frames is written, read and decoded once.
 */
const id = (hex: string) => Buffer.from(hex, 'hex')
/** A size as an EBML variable integer of eight bytes (RFC 8794). */
function size(value: number): Buffer {
  const bytes = Buffer.alloc(8)
  bytes.writeBigUInt64BE(BigInt(value) | (1n << 56n))
  return bytes
}
const unknownSize = Buffer.from('01ffffffffffffff', 'hex')
const element = (name: string, ...content: Buffer[]) => {
  const body = Buffer.concat(content)
  return Buffer.concat([id(name), size(body.length), body])
}
function number(value: number): Buffer {
  const bytes = Buffer.alloc(8)
  bytes.writeBigUInt64BE(BigInt(Math.round(value)))
  return bytes
}

/** Units of time in a second. */
const units = 10_000

/** What stands before all pictures of a film of so many frames a second. */
export const matroskaHead = ({ width, height }: { width: number; height: number }, rate: number): Buffer =>
  Buffer.concat([
    element(
      '1a45dfa3',
      element('4286', number(1)),
      element('42f7', number(1)),
      element('42f2', number(4)),
      element('42f3', number(8)),
      element('4282', Buffer.from('matroska')),
      element('4287', number(4)),
      element('4285', number(2)),
    ),
    id('18538067'),
    unknownSize,
    element(
      '1549a966',
      element('2ad7b1', number(1e9 / units)),
      element('4d80', Buffer.from('hailbank')),
      element('5741', Buffer.from('hailbank')),
    ),
    element(
      '1654ae6b',
      element(
        'ae',
        element('d7', number(1)),
        element('73c5', number(1)),
        element('83', number(1)),
        element('23e383', number(1e9 / rate)),
        element('86', Buffer.from('V_MJPEG')),
        element('e0', element('b0', number(width)), element('ba', number(height))),
      ),
    ),
  ])

/** One picture, seen from `seconds` on. */
export const matroskaPicture = (seconds: number, jpeg: Buffer): Buffer =>
  element('1f43b675', element('e7', number(seconds * units)), element('a3', Buffer.from([0x81, 0, 0, 0x80]), jpeg))

/**
 * Writes pictures, each seen from its frame until the next one’s. The last frame before a change is written out: an encoder
 * that fills a gap to a steady rate lets it end half a frame early.
 */
export function pictureWriter(rate: number, write: (bytes: Buffer) => Promise<void>) {
  let last: { frame: number; jpeg: Buffer } | null = null
  const repeat = async (frame: number) => {
    if (last && frame > last.frame) await write(matroskaPicture(frame / rate, last.jpeg))
  }
  return {
    async picture(frame: number, jpeg: Buffer) {
      await repeat(frame - 1)
      await write(matroskaPicture(frame / rate, jpeg))
      last = { frame, jpeg }
    },
    /** Lets the last picture be seen to the end of a film of so many frames. */
    end: (frames: number) => repeat(frames - 1),
  }
}
