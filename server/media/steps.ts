import { keepMediaStep, mediaStep, wholeMedia, type MediaRow } from '../database/media'
import { log } from '../log'
import { stillOf } from './clip'
import { openPicture } from './picture'

/** Widths that pictures are made smaller to, px. */
const steps = [320, 640, 1280, 1920, 2560]

/**
 * A picture at the least step that is at least so wide, made once; of a film, a still of it at a second, or at a third of it. Null where
 * the file itself will do.
 */
export async function scaledMedia(
  row: MediaRow,
  wanted: number,
  at: number | null = null,
): Promise<{ type: string; content: Buffer } | null> {
  const width = steps.find(step => step >= wanted) ?? (at === null ? null : steps.at(-1)!)
  const film = row.type.startsWith('video/')
  const drawn = row.type.startsWith('image/') && row.type !== 'image/svg+xml' && row.type !== 'image/gif'
  if (!width || !(film || (drawn && (row.width ?? 0) > width * 1.15))) return null
  const seconds = film ? Math.min(at ?? (row.seconds ?? 0) / 3, Math.max(0, (row.seconds ?? 0) - 0.1)) : 0
  const atMs = film && at !== null ? Math.round(seconds * 1000) : -1
  const known = await mediaStep(row.hash, width, atMs)
  if (known) return known
  const whole = await wholeMedia(row.hash, row.bytes)
  const source = film ? await stillOf(whole, row.extension, seconds) : whole
  if (!source) return null
  const content = await openPicture(source)
    .resize({ width, withoutEnlargement: true })
    .webp({ quality: 84 })
    .toBuffer()
    .catch((error: Error) => {
      // A browser may still show what is whole of it.
      log.warn({ media: row.hash, err: error }, 'a picture could not be made smaller')
      return null
    })
  if (!content) return null
  await keepMediaStep(row.hash, width, atMs, 'image/webp', content)
  return { type: 'image/webp', content }
}
