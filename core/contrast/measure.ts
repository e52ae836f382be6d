import { largeTextRatio, textRatio, type Raster } from '../color'
import { extentOf, type Deck, type Slide, type TextElement } from '../model'
import { themeOf, type ShownElement } from '../resolved'
import { boundsOf, overlap } from '../place'
import type { Measurer } from '../text'
import { beneath, mediaOfLayers, panelOf, type Layer, type Rgba } from './beneath'
import { over, painter, type PixelsAt } from './paint'
import { boundsOfWords, onSlide, wordsOf, type Words } from './words'

/**
 * The pixels of a media file, small: of a picture one, of a film those of several moments. Undefined while they are on their way,
 * null where there are none to be had.
 */
export type Pixels = (media: string, film: boolean) => readonly Raster[] | null | undefined

/** How words stand out from what is seen beneath them. */
export interface Contrast {
  /** The ratio of WCAG 2.2 that all but the worst twentieth of the pixels beneath the worst stretch of words reach, 1 to 21. */
  ratio: number
  /** What that stretch needs: 3 for large words, 4.5 for others. */
  needed: number
  /** The share of its pixels that stay below that, 0 to 1. */
  below: number
  /** The stretch itself. */
  words: string
  /** What most of it is seen on: as hex, and whether that is the same all over. */
  ground: string
  isPlain: boolean
  /** Whether a picture or film lies beneath. */
  onPicture: boolean
  /** What lies beneath and was not looked at, as words of a sentence. */
  unseen: readonly string[]
}

export interface ContrastInput {
  deck: Deck
  slide: Slide
  /** What the slide shows, in its stacking. */
  elements: readonly ShownElement[]
  element: TextElement & ShownElement
  size: { width: number; height: number }
  measurer: Measurer
  pixels: Pixels
}

const linear = (value: number) => (value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4)
/** Relative luminance by WCAG 2.2, of channels 0 to 1. */
export const luminanceOfRgba = ({ r, g, b }: Rgba) => 0.2126 * linear(r) + 0.7152 * linear(g) + 0.0722 * linear(b)
const ratioOf = (a: number, b: number) => (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05)
const hexOfRgba = ({ r, g, b }: Rgba) =>
  `#${[r, g, b]
    .map(value =>
      Math.round(value * 255)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`

/**
 * Large is from 18 pt, or from 14 pt if bold (WCAG 2.2, 1.4.3); on a slide of 1080 px these are 2.4 % of its height and four fifths of
 * that.
 */
export function neededFor(words: Pick<Words, 'size' | 'weight'>, height: number): number {
  const large = words.size >= height * 0.024 || (words.weight >= 700 && words.size >= height * 0.019)
  return large ? largeTextRatio : textRatio
}

/** Places of a stretch that are looked at: as many as tell, whatever its size. */
const columns = 40
const rows = 10

/**
 * How a text stands out, on the pixels that are seen: through its own opacity, on its panel and markings, over all layers beneath.
 * Undefined while pixels of a picture are on their way; null where no words are to be seen, on the slide or at all.
 */
export function contrastOf(input: ContrastInput): Contrast | null | undefined {
  const { deck, slide, element, pixels } = input
  const words = wordsOf(deck, slide, element, input.measurer)
  if (!words.length) return null
  const extent = extentOf(deck, slide.id)
  const { layers, unseen } = beneath(deck, slide, input.elements, element, extent)
  const panel = panelOf(element, themeOf(deck, slide).palette)
  // Of what is drawn from marks, what the words themselves lie over.
  const place = boundsOfWords(deck, slide, element, input.measurer)
  const unmeasured = unseen.filter(other => place && overlap(boundsOf(other.box), place))
  const needed = mediaOfLayers(panel ? [...layers, panel] : layers)
  const rasters = new Map<string, readonly Raster[]>()
  for (const { media, film } of needed) {
    const found = pixels(media, film)
    if (found === undefined) return undefined
    if (found) rasters.set(media, found)
  }
  const lost = needed.filter(({ media }) => !rasters.has(media))
  const moments = Math.max(1, ...[...rasters.values()].map(list => list.length))
  let worst: Contrast | null = null
  for (let moment = 0; moment < moments; moment++) {
    const at: PixelsAt = media => {
      const list = rasters.get(media)
      return list ? list[Math.min(moment, list.length - 1)]! : null
    }
    for (const stretch of words) {
      const found = stretchContrast(stretch, element, layers, panel, at, extent, input.size.height)
      if (!found) continue
      if (!worst || found.ratio / found.needed < worst.ratio / worst.needed)
        worst = {
          ...found,
          onPicture: needed.length > 0,
          unseen: [...unmeasured.map(other => `“${other.name}”`), ...(lost.length ? ['a picture that is not at hand'] : [])],
        }
    }
  }
  return worst
}

function stretchContrast(
  words: Words,
  element: TextElement & ShownElement,
  layers: readonly Layer[],
  panel: Layer | null,
  pixels: PixelsAt,
  extent: { width: number; height: number },
  height: number,
): Omit<Contrast, 'onPicture' | 'unseen'> | null {
  const seen = painter(layers, pixels)
  const panelled = panel ? painter([panel], pixels) : null
  const opacity = element.opacity ?? 1
  const needed = neededFor(words, height)
  const ratios: number[] = []
  const grounds = new Map<string, number>()
  const [across, down] = [
    Math.max(2, Math.min(columns, Math.round(words.place.width / 5))),
    Math.max(2, Math.min(rows, Math.round(words.place.height / 5))),
  ]
  for (let row = 0; row < down; row++) {
    for (let column = 0; column < across; column++) {
      const { x, y } = onSlide(
        element,
        words.place.x + ((column + 0.5) / across) * words.place.width,
        words.place.y + ((row + 0.5) / down) * words.place.height,
      )
      // Beyond the slide's edge nothing is seen, of the words neither.
      if (x < 0 || y < 0 || x > extent.width || y > extent.height) continue
      const under = seen(x, y)
      // Panel, marking and letters are laid on together, with the opacity of the text.
      let inner = panelled ? panelled(x, y, under) : under
      if (words.marking) inner = over(words.marking, inner)
      const ground = over({ ...inner, a: 1 }, under, opacity)
      const letter = over({ ...over(words.color, inner), a: 1 }, under, opacity)
      ratios.push(ratioOf(luminanceOfRgba(letter), luminanceOfRgba(ground)))
      const hex = hexOfRgba(ground)
      grounds.set(hex, (grounds.get(hex) ?? 0) + 1)
    }
  }
  if (!ratios.length) return null
  ratios.sort((a, b) => a - b)
  const [ground] = [...grounds].reduce((most, entry) => (entry[1] > most[1] ? entry : most))
  return {
    ratio: ratios[Math.min(ratios.length - 1, Math.floor(ratios.length / 20))]!,
    needed,
    below: ratios.filter(ratio => ratio < needed).length / ratios.length,
    words: words.text,
    ground,
    isPlain: grounds.size === 1,
  }
}
