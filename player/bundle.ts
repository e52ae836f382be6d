import type { DataTable } from '#core/data'
import type { Deck } from '#core/deck'
import type { InkBook } from '#core/drawing'

/** All that a deck needs to be played, with nothing to fetch but its media. */
export interface PlayerBundle {
  deck: Deck
  tables: DataTable[]
  /** By SHA-256, where each media file is: an address, `blob:` or `data:`. */
  media: Record<string, string>
  /** By SHA-256, how long films and sounds are, seconds. */
  lengths: Record<string, number>
  /** What hands need to know that draw in it. */
  ink?: InkBook
  /** It stands in a page that holds its fonts itself. */
  alone?: true
  /** It is made into a film: `width` px wide, so many frames a second, with or without captions in the picture. */
  film?: { width: number, rate: number, captions: boolean }
}
