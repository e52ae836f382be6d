import { failed, type Outcome } from '../../core/values'
import { apart } from '../apart'
import type { MediaRow } from '../database/media'
import { checkUpload } from './check'

const fontExtensions = new Set(['woff2', 'ttf', 'otf'])

/** Looks into a media file of any kind that a deck carries, by what its extension says it should be. */
export async function checkMedia(
  bytes: Uint8Array,
  called: string,
  extension: string,
): Promise<Outcome<{ row: MediaRow; content: Uint8Array }>> {
  if (!fontExtensions.has(extension)) return await checkUpload(bytes, called)
  const font = await apart('font', { bytes, name: called }, { seconds: 15, what: `The font ${called}` })
  return font.ok ? { ok: true, value: { row: font.value.row, content: bytes } } : failed(font.message)
}
