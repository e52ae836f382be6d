import { createHash } from 'node:crypto'
import * as fontkit from 'fontkit'
import { fileTypeFromBuffer } from 'file-type'
import wawoff2 from 'wawoff2'
import { failed, type Outcome } from '../../core/values'
import { packSpans } from '../../core/fonts'
import type { MediaRow } from '../database/media'

export const fontByteLimit = 30 * 1024 * 1024
const kinds: Readonly<Record<string, string>> = { 'font/woff2': 'woff2', 'font/ttf': 'ttf', 'font/otf': 'otf' }

/** What a font file says of itself. */
export interface FontInfo {
  family: string
  weight: number
  italic: boolean
  letters: number
  /** The code points that it has glyphs for, as `packSpans` writes them. */
  held: string
}

/** A font's tables, unpacked where they are packed: the reader fails on some packed ones. */
export async function openFont(bytes: Uint8Array): Promise<fontkit.Font> {
  const plain =
    Buffer.from(bytes.subarray(0, 4)).toString('latin1') === 'wOF2' ? Buffer.from(await wawoff2.decompress(bytes)) : Buffer.from(bytes)
  const font = fontkit.create(plain)
  if (!('unitsPerEm' in font)) throw new Error('a collection')
  return font
}

/** Looks into an uploaded font file: WOFF2, TrueType or OpenType that can be read, or a sentence. */
export async function checkFont(bytes: Uint8Array, name: string): Promise<Outcome<{ row: MediaRow; info: FontInfo }>> {
  const called = `“${name.slice(0, 120)}”`
  if (!bytes.length) return failed(`${called} is empty. Choose the file once more.`)
  if (bytes.length > fontByteLimit)
    return failed(`${called} has ${Math.round(bytes.length / 1048576)} MB; a font file may have 30 MB at most.`)
  const type = (await fileTypeFromBuffer(bytes))?.mime ?? ''
  if (!kinds[type])
    return failed(`${called} is no font file that can be read here${type ? ` (it holds ${type})` : ''}. WOFF2, TTF and OTF can.`)
  try {
    const font = await openFont(bytes)
    const os2 = (font as unknown as { 'OS/2'?: { usWeightClass?: number; fsSelection?: { italic?: boolean } } })['OS/2']
    const names = (font as unknown as { name?: { records?: { preferredFamily?: Record<string, string> } } }).name?.records?.preferredFamily
    const family = (names ? Object.values(names)[0] : undefined) ?? font.familyName
    if (!family || !font.characterSet.length) return failed(`${called} names no family or holds no letters, so nothing can be set in it.`)
    font.layout('Aa')
    const weight = Math.min(900, Math.max(100, Math.round((os2?.usWeightClass ?? 400) / 100) * 100))
    const hash = createHash('sha256').update(bytes).digest('hex')
    return {
      ok: true,
      value: {
        info: {
          family: family.slice(0, 100),
          weight,
          italic: os2?.fsSelection?.italic === true || font.italicAngle !== 0,
          letters: font.characterSet.length,
          held: packSpans(font.characterSet),
        },
        row: { hash, name: name.slice(0, 200), type, extension: kinds[type]!, bytes: bytes.length, width: null, height: null },
      },
    }
  } catch (error) {
    // Whatever the font's tables made its reader stumble over; it runs in a thread of its own.
    if (!(error instanceof Error)) throw error
    return failed(`${called} is damaged and cannot be read as a font. Take it once more from where it came.`)
  }
}
