import { contrast, hexOf } from '../color'
import { framing, slot, textPlace, type Frame, type Item, type LayoutRoom, type Place } from '../families'
import type { ShapeElement, TextElement } from '../model'
import { seeded, type Color, type Role } from '../values'
import type { LookStyle } from './look'

/** A slide to compose on: its sides, how long a px of a slide of 1080 px is, and whether it stands upright or its ground is deep. */
export interface Sheet {
  room: LayoutRoom
  width: number
  height: number
  unit: number
  /** Higher than wide, or as high as wide: what stands side by side elsewhere stands one under the other. */
  isUpright: boolean
  /** The theme's ground is darker than its ink. */
  isDeep: boolean
  seed: number
}
const lightness = (hex: string) => contrast(hex, '#000000')
export function sheetOf(room: LayoutRoom): Sheet {
  const { width, height } = room.size
  const { palette, look } = room.theme
  return {
    room,
    width,
    height,
    unit: Math.min(width, height) / 1080,
    isUpright: height >= width,
    isDeep: lightness(palette.ground) < lightness(palette.ink),
    seed: (look?.seed ?? 0) / 100,
  }
}

/** A frame given in px of a slide of 1920 × 1080, in the shape of another one: places by its sides. */
export const framed = ({ width, height }: Pick<Sheet, 'width' | 'height'>, x: number, y: number, w: number, h: number): Frame => ({
  x: (x / 1920) * width,
  y: (y / 1080) * height,
  width: (w / 1920) * width,
  height: (h / 1080) * height,
})
/** All of the slide. */
export const whole = ({ width, height }: Pick<Sheet, 'width' | 'height'>): Frame => ({ x: 0, y: 0, width, height })

type Drawn = Partial<Pick<ShapeElement, 'fill' | 'stroke' | 'amounts' | 'shadow' | 'radius' | 'rough' | 'line' | 'opacity'>>
/**
 * A shape of a look. With an empty placeholder it stands on the layout alone; with one of its own (`framing`, `slot`) it is a part of each
 * slide, and can lie over its words and pictures.
 */
export const ornament = (placeholder: string, name: string, shape: string, frame: Frame, more: Drawn & { angle?: number }): Place => {
  const { angle = 0, ...drawn } = more
  return { kind: 'shape', placeholder, name, shape, box: { ...frame, angle }, ...drawn }
}
/** A level or upright rule. */
export const rule = (placeholder: string, name: string, frame: Frame, fill: Color) =>
  ornament(placeholder, name, 'rectangle', frame, { fill })

/** A text that a look sets by itself: the deck's title, a number. */
export const running = (
  name: string,
  field: NonNullable<TextElement['field']>,
  style: string,
  frame: Frame,
  more: Parameters<typeof textPlace>[4] = {},
) => textPlace('', name, style, frame, { field, ...more })

/** What chance has it that belongs to a thing, 0 to 1: always the same for a seed. `turn` tells what is asked of one thing apart. */
export const chance = ({ seed }: Pick<Sheet, 'seed'>, thing: number, turn: number) =>
  seeded(Math.round(seed * 100) + thing * 7919 + turn * 104_729)()

/** The number of an item, set by the place that it has. */
export const counted = (path: number | string, style: string, frame: Frame, more: Parameters<typeof textPlace>[4] = {}) =>
  textPlace(slot(path, 'count'), `Number ${path}`, style, frame, { field: 'item-number', vertical: 'middle', match: 'count', ...more })

/** Ink or ground, whichever is read better on a colour. */
export function over({ room }: Sheet, color: Color): Color {
  const { palette } = room.theme
  const hex = hexOf(color, palette)
  return { role: contrast(palette.ink, hex) >= contrast(palette.ground, hex) ? 'ink' : 'ground' }
}

/** A role moved as far as it takes to be read on a ground (#rrggbb, the theme's where absent), by `ratio` to 1. */
export function readable({ room }: Sheet, role: Role, on = room.ground ?? room.theme.palette.ground, ratio = 4.5): Color {
  const { palette } = room.theme
  const toLight = lightness(on) < 4.6
  for (let step = 0; step <= 20; step++) {
    const tint = (toLight ? 1 : -1) * step * 0.04
    const color: Color = tint ? { role, tint } : { role }
    if (contrast(hexOf(color, palette), on) >= ratio) return color
  }
  return { role: 'ink' }
}

/** The lead and the text of an item, each in its frame; where one is missing the other takes both. */
export function wordsOf(
  path: number | string,
  item: Item,
  name: string,
  lead: Frame,
  text: Frame,
  look: {
    color?: Color
    textColor?: Color
    style?: string
    textStyle?: string
    vertical?: TextElement['vertical']
    align?: TextElement['align']
  } = {},
): Place[] {
  const { color, textColor = color, style = 'lead', textStyle = 'body', vertical = 'top', align } = look
  const both = item.lead !== undefined && item.text !== undefined
  const all: Frame = {
    x: Math.min(lead.x, text.x),
    y: Math.min(lead.y, text.y),
    width: Math.max(lead.x + lead.width, text.x + text.width) - Math.min(lead.x, text.x),
    height: Math.max(lead.y + lead.height, text.y + text.height) - Math.min(lead.y, text.y),
  }
  const more = { vertical, ...(align ? { align } : {}) }
  return [
    ...(item.lead === undefined
      ? []
      : [textPlace(slot(path, 'lead'), name, style, both ? lead : all, { ...more, match: 'lead', ...(color ? { color } : {}) })]),
    ...(item.text === undefined
      ? []
      : [
          textPlace(slot(path, 'text'), `${name}, words`, textStyle, both ? text : all, {
            ...more,
            match: 'text',
            ...(textColor ? { color: textColor } : {}),
          }),
        ]),
  ]
}

/** A style of words: usual, least and greatest size. */
export const sized = (
  name: string,
  font: LookStyle['font'],
  [size, leastSize, mostSize]: readonly [usual: number, least: number, greatest: number],
  weight: number,
  more: Partial<LookStyle> = {},
): LookStyle => ({
  name,
  font,
  size,
  leastSize,
  mostSize,
  weight,
  lineHeight: 1.3,
  letterSpacing: 0,
  ...(name === 'Body' ? {} : { balanced: true }),
  ...more,
})

export { framing, slot }
