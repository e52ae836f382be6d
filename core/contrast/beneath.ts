import { colorMatrix, hexOf, treatmentOf, type Palette } from '../color'
import type { Deck, FilmElement, PictureElement, ShapeElement, Slide, TextElement } from '../model'
import { backdropOf, groundOf, themeOf, type ShownElement } from '../resolved'
import type { Box, Color, Paint } from '../values'
import { boundsOf, cropOf, overlap, viewOf, type Crop } from '../place'
import { coversBox, outlineOf, panelOutline, pointsAlong } from '../shapes'

export interface Size {
  width: number
  height: number
}

/** A colour with its transparency, channels and alpha 0 to 1. */
export interface Rgba {
  r: number
  g: number
  b: number
  a: number
}

/** What a layer is painted with; places are px of the layer's own box. */
export type Filling =
  | { kind: 'plain'; color: Rgba }
  | { kind: 'linear'; angle: number; stops: readonly { color: Rgba; at: number }[] }
  | { kind: 'radial'; x: number; y: number; stops: readonly { color: Rgba; at: number }[] }
  /** Top left, top right, bottom right, bottom left. */
  | { kind: 'corners'; colors: readonly Rgba[] }
  | { kind: 'picture'; media: string; film: boolean; crop: Crop; matrix: readonly number[] | null; over: readonly Shade[] }

/** A colour over a picture: all of it, or fading out from a side. */
export interface Shade {
  color: Rgba
  from?: 'left' | 'right' | 'top' | 'bottom'
  share?: number
}

export interface Layer {
  /** px of deck space. */
  box: Box
  filling: Filling
  opacity: number
  /** Closed outlines within the box, px from its top left; null is the whole box. */
  within: readonly (readonly [number, number])[] | null
}

/** What is seen beneath an element, and what of it nobody can paint here. */
export interface Beneath {
  layers: Layer[]
  /** Elements that lie beneath the words and are drawn from marks: they are not looked at. */
  unseen: ShownElement[]
}

export function rgbaOf(color: Color, palette: Palette): Rgba {
  const hex = hexOf(color, palette)
  const part = (at: number) => Number.parseInt(hex.slice(at, at + 2), 16) / 255
  return { r: part(1), g: part(3), b: part(5), a: color.alpha ?? 1 }
}

const stopsOf = (stops: readonly { color: Color; at: number }[], palette: Palette) =>
  stops.map(({ color, at }) => ({ color: rgbaOf(color, palette), at }))

/** A paint as what fills a box of a size. */
export function fillingOf(paint: Paint, palette: Palette, size: Size): Filling {
  if (!('kind' in paint)) return { kind: 'plain', color: rgbaOf(paint, palette) }
  if (paint.kind === 'picture')
    return {
      kind: 'picture',
      media: paint.media,
      film: false,
      crop: cropOf(paint.natural, size, paint.view ?? { x: 0.5, y: 0.5, zoom: 1 }),
      matrix: null,
      over: [],
    }
  return paint.kind === 'linear'
    ? { kind: 'linear', angle: paint.angle, stops: stopsOf(paint.stops, palette) }
    : { kind: 'radial', x: paint.x, y: paint.y, stops: stopsOf(paint.stops, palette) }
}

/** The slide's ground: its colour, then what fills it. */
function groundLayers(deck: Deck, slide: Slide, palette: Palette, size: Size): Layer[] {
  const box = { x: 0, y: 0, ...size, angle: 0 }
  const whole = (filling: Filling): Layer => ({ box, filling, opacity: 1, within: null })
  const layers = [whole({ kind: 'plain', color: rgbaOf(groundOf(deck, slide), palette) })]
  const { fill, vignette } = backdropOf(deck, slide)
  if (fill?.kind === 'corners') layers.push(whole({ kind: 'corners', colors: fill.colors.map(color => rgbaOf(color, palette)) }))
  else if (fill?.kind === 'picture') {
    layers.push(
      whole({
        kind: 'picture',
        media: fill.media,
        film: false,
        crop: cropOf(fill.natural, size, fill.view ?? { x: 0.5, y: 0.5, zoom: 1 }),
        matrix: colorMatrix({ colour: fill.colour }, palette),
        over: fill.veil ? [{ color: rgbaOf(fill.veil, palette) }] : [],
      }),
    )
  } else if (fill) layers.push(whole(fillingOf(fill, palette, size)))
  // Its darkest is at the corners; as the stage draws it, it begins at 45 % of the way and ends beyond the edge.
  if (vignette)
    layers.push(
      whole({
        kind: 'radial',
        x: 0.5,
        y: 0.5,
        stops: [
          { color: { r: 0, g: 0, b: 0, a: 0 }, at: 0.45 },
          { color: { r: 0, g: 0, b: 0, a: vignette * 0.6 }, at: 1 },
        ],
      }),
    )
  return layers
}

/** Points of outlines that were asked for, by the outline: what a look draws lies beneath many words. */
const pointsKnown = new Map<string, ReturnType<typeof pointsAlong>>()
const mostKnown = 500
function outlinePoints(outline: string) {
  const found = pointsKnown.get(outline) ?? pointsAlong(outline, 10)
  if (pointsKnown.size >= mostKnown) pointsKnown.clear()
  pointsKnown.set(outline, found)
  return found
}

type Pictures = Parameters<typeof treatmentOf>[1]

function layersOfPicture(element: PictureElement & ShownElement, palette: Palette, pictures: Pictures): Layer[] {
  const { box, media, natural } = element
  if (!media || !natural) return []
  const look = element.logo ? null : treatmentOf(element.treatment, pictures)
  const over: Shade[] = [
    ...(look?.tint ? [{ color: { ...rgbaOf(look.tint.color, palette), a: look.tint.strength } }] : []),
    ...(look?.shade ? [{ color: rgbaOf(look.shade.color, palette), from: look.shade.side, share: look.shade.share }] : []),
  ]
  const crop = cropOf(natural, box, viewOf(element))
  const framed = element.frame && element.frame.shape !== 'rectangle' && !element.frame.words ? outlineOf(element.frame, box) : null
  return [
    {
      box,
      opacity: element.opacity ?? 1,
      filling: { kind: 'picture', media, film: false, crop, matrix: colorMatrix(look, palette), over },
      within: framed === null ? null : outlinePoints(framed),
    },
  ]
}

function layersOfFilm({ box, media, natural, opacity }: FilmElement & ShownElement): Layer[] {
  if (!media) return []
  const crop = cropOf(natural ?? { width: box.width, height: box.height }, box, { x: 0.5, y: 0.5, zoom: 1 })
  return [{ box, opacity: opacity ?? 1, filling: { kind: 'picture', media, film: true, crop, matrix: null, over: [] }, within: null }]
}

function layersOfShape(element: ShapeElement & ShownElement, palette: Palette): Layer[] {
  // A line or an outline is too thin to carry words.
  if (!element.fill || element.shape === 'line') return []
  const { box } = element
  const fillsBox = coversBox(element.shape) && element.shape !== 'ellipse'
  const within = fillsBox ? null : outlinePoints(outlineOf(element, box))
  return [{ box, opacity: element.opacity ?? 1, filling: fillingOf(element.fill, palette, box), within }]
}

/** What an element adds to the picture of the slide; null of what is drawn from marks, and an empty list of what shows nothing. */
function layersOfElement(element: ShownElement, palette: Palette, pictures: Pictures): Layer[] | null {
  if (element.kind === 'picture') return layersOfPicture(element, palette, pictures)
  if (element.kind === 'film') return layersOfFilm(element)
  if (element.kind === 'shape') return layersOfShape(element, palette)
  if (element.kind === 'group' || element.kind === 'sound') return []
  if (element.kind !== 'text') return null
  const layer = panelOf(element, palette)
  return layer ? [{ ...layer, opacity: element.opacity ?? 1 }] : []
}

/** Everything that is seen beneath an element of a slide, back to front; `elements` is what the slide shows in its stacking. */
export function beneath(deck: Deck, slide: Slide, elements: readonly ShownElement[], element: ShownElement, size: Size): Beneath {
  const theme = themeOf(deck, slide)
  const bounds = boundsOf(element.box)
  const layers = groundLayers(deck, slide, theme.palette, size)
  const unseen: ShownElement[] = []
  for (const other of elements) {
    if (other.id === element.id) break
    if (other.hidden || !overlap(boundsOf(other.box), bounds)) continue
    const own = layersOfElement(other, theme.palette, theme.pictures)
    if (own) layers.push(...own)
    else unseen.push(other)
  }
  return { layers, unseen }
}

/**
 * What elements of a slide that lie above another paint over it, with the element that each layer is of; what is drawn from marks shows
 * what lies beneath, and is left out.
 */
export function above(
  deck: Deck,
  slide: Slide,
  elements: readonly ShownElement[],
  element: ShownElement,
): { by: ShownElement; layers: Layer[] }[] {
  const theme = themeOf(deck, slide)
  const bounds = boundsOf(element.box)
  return elements
    .slice(elements.findIndex(other => other.id === element.id) + 1)
    .filter(other => !other.hidden && overlap(boundsOf(other.box), bounds))
    .map(other => ({ by: other, layers: layersOfElement(other, theme.palette, theme.pictures) ?? [] }))
    .filter(({ layers }) => layers.length > 0)
}

/** The panel of a text, as a layer; null where it has none. Its opacity is that of the text, which is laid on with it. */
export function panelOf({ box, panel }: TextElement & ShownElement, palette: Palette): Layer | null {
  if (!panel?.fill) return null
  const outline = panelOutline(panel, box)
  return { box, filling: fillingOf(panel.fill, palette, box), opacity: 1, within: outline === null ? null : outlinePoints(outline) }
}

/** The media whose pixels some layers need. */
export const mediaOfLayers = (layers: readonly Layer[]) =>
  layers.flatMap(({ filling }) => (filling.kind === 'picture' ? [{ media: filling.media, film: filling.film }] : []))
