import type { ShownElement } from '../resolved'
import type { Id } from '../values'
import { above, mediaOfLayers, type Rgba } from './beneath'
import type { ContrastInput } from './measure'
import { painter } from './paint'
import { onSlide, wordsOf } from './words'

/** How much of a text's worst stretch of words is hidden by what lies over it. */
export interface Covered {
  /** 0 to 1: the share of the stretch's area, by how much of it shows through. */
  share: number
  /** What hides the most of it. */
  by: ShownElement
  words: string
}

const black: Rgba = { r: 0, g: 0, b: 0, a: 1 }
const white: Rgba = { r: 1, g: 1, b: 1, a: 1 }
const [columns, rows] = [24, 4]

/**
 * How far elements above a text hide its words, on the pixels (a picture may be transparent in places), of those that `counts`.
 * Undefined while pixels are on their way; null where nothing is hidden.
 */
export function coveredBy(input: Omit<ContrastInput, 'size'>, counts: (id: Id) => boolean = () => true): Covered | null | undefined {
  const over = above(input.deck, input.slide, input.elements, input.element).filter(({ by }) => counts(by.id))
  if (!over.length) return null
  const raster = new Map<string, ReturnType<typeof input.pixels>>()
  for (const { media, film } of mediaOfLayers(over.flatMap(({ layers }) => layers))) {
    const found = input.pixels(media, film)
    if (found === undefined) return undefined
    raster.set(media, found)
  }
  // Where a picture is not at hand it shows a plate, which hides what lies beneath.
  const whole = { width: 1, height: 1, data: new Uint8ClampedArray([128, 128, 128, 255]) }
  let worst: Covered | null = null
  for (const stretch of wordsOf(input.deck, input.slide, input.element, input.measurer)) {
    for (const { by, layers } of over) {
      const seen = painter(layers, media => raster.get(media)?.[0] ?? whole)
      let hidden = 0
      for (let row = 0; row < rows; row++) {
        for (let column = 0; column < columns; column++) {
          const { x, y } = onSlide(
            input.element,
            stretch.place.x + ((column + 0.5) / columns) * stretch.place.width,
            stretch.place.y + ((row + 0.5) / rows) * stretch.place.height,
          )
          // What shows through is how far black and white beneath it still differ.
          hidden += 1 - (seen(x, y, white).g - seen(x, y, black).g)
        }
      }
      const share = hidden / (columns * rows)
      if (share > (worst?.share ?? 0)) worst = { share, by, words: stretch.text }
    }
  }
  return worst && worst.share > 0.005 ? worst : null
}
