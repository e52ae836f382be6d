import sharp from 'sharp'
import { keepMediaStep, mediaStep, wholeMedia, type MediaRow } from '../database/media'
import { posterOf } from './clip'

/** Widths that pictures are made smaller to, px. */
const steps = [320, 640, 1280, 1920, 2560]

/** A picture at the least step that is at least so wide, made once; of a film, a still of it. Null where the file itself will do. */
export async function scaledMedia(row: MediaRow, wanted: number): Promise<{ type: string, content: Buffer } | null> {
  const width = steps.find(step => step >= wanted) ?? null
  const film = row.type.startsWith('video/')
  const drawn = row.type.startsWith('image/') && row.type !== 'image/svg+xml' && row.type !== 'image/gif'
  if (!width || !(film || (drawn && (row.width ?? 0) > width * 1.15))) return null
  const known = await mediaStep(row.hash, width)
  if (known) return known
  const whole = await wholeMedia(row.hash, row.bytes)
  const source = film ? await posterOf(whole, row.extension, row.seconds ?? 0) : whole
  if (!source) return null
  const content = await sharp(source, { limitInputPixels: 200_000_000, animated: false }).autoOrient().resize({ width, withoutEnlargement: true }).webp({ quality: 84 }).toBuffer()
  await keepMediaStep(row.hash, width, 'image/webp', content)
  return { type: 'image/webp', content }
}
