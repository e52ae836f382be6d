import { describeMedia, keepMedia, keepPeaks, type MediaRow } from '../database/media'
import { describePicture } from './describe'
import { inFile } from './in-file'
import { peaksOf } from './listen'

/** Keeps a checked file with what it is found by: of a picture its colours, of a film or sound how loud it is. */
export async function keepChecked({ row, content }: { row: MediaRow; content: Uint8Array }, person: string | null) {
  await keepMedia(row, content, person)
  if (row.type.startsWith('image/')) await describeMedia(row.hash, await describePicture(content))
  else if (row.seconds) await keepPeaks(row.hash, await inFile(content, row.extension, peaksOf))
}
