import type { DataTable } from '#core/data'
import type { Deck } from '#core/model'
import type { InkBook } from '#core/drawing'
import type { Syllables } from '#core/text'

/** All that a deck needs to be played, with nothing to fetch but its media. */
export interface PlayerBundle {
  deck: Deck
  tables: DataTable[]
  /** By SHA-256, where each media file is: an address, `blob:` or `data:`. */
  media: Record<string, string>
  /** By SHA-256, how long films and sounds are, seconds. */
  lengths: Record<string, number>
  /** By SHA-256, how loud voices are, 100 values a second from 0 to 255 (in base64 where they were sent). */
  peaks?: Record<string, string | Uint8Array>
  /** What hands need to know that draw in it. */
  ink?: InkBook
  /** Where words may be parted that are too wide for their places, by word. */
  syllables?: Record<string, readonly string[]>
  /** It stands in a page that holds its fonts itself. */
  alone?: true
  /** It is made into a film: `width` px wide, so many frames a second, with or without captions in the picture. */
  film?: { width: number; rate: number; captions: boolean }
}

/** What a bundle says of how a word may be parted. */
export const syllablesIn =
  ({ syllables = {} }: PlayerBundle): Syllables =>
  word =>
    Object.hasOwn(syllables, word) ? syllables[word] : undefined

const decoded = new Map<string, Uint8Array>()

/** How loud a voice is; null where that is not known. */
export function peaksIn(bundle: PlayerBundle, hash: string): Uint8Array | null {
  const peaks = bundle.peaks?.[hash]
  if (typeof peaks !== 'string') return peaks ?? null
  let known = decoded.get(hash)
  if (!known) decoded.set(hash, (known = Uint8Array.from(atob(peaks), sign => sign.charCodeAt(0))))
  return known
}
