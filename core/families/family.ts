import type { DrawnIcon, Element, PictureElement, ShapeElement, TextElement, Theme } from '../model'
import type { Split } from '../phrases'
import type { Box, Color } from '../values'

/** A place that a layout keeps, as the element its slides inherit from. */
export type Place = Element extends infer E
  ? E extends Element
    ? Omit<E, 'id' | 'owner' | 'order'> & { box: Box; placeholder: string }
    : never
  : never

/** A rectangle, px of deck space. */
export type Frame = Omit<Box, 'angle'>

/** What slides are composed on, px of deck space. */
export interface Page {
  width: number
  height: number
  /** Its language is written from right to left, and all that stands on it is turned as in a mirror. */
  runsLeft?: boolean
}

export interface LayoutRoom {
  theme: Theme
  size: Page
  /** The colour beneath (#rrggbb); absent is the theme's plain ground. */
  ground?: string
  /** Where the theme's look has a slide's title and what stands below it; absent, both follow from the margin. */
  frames?: { head: Frame; body: Frame }
}

/** What the lines of a slide can be. */
export type Sense =
  | 'opening'
  | 'chapter'
  | 'statement'
  | 'list'
  | 'points'
  | 'events'
  | 'steps'
  | 'cycle'
  | 'shares'
  | 'hierarchy'
  | 'comparison'
  | 'number'
  | 'saying'
  | 'people'
  | 'questions'
  | 'places'
  | 'next'
  | 'agenda'
  | 'figures'
  | 'pictures'
  | 'ranking'
  | 'position'
  | 'funnel'
  | 'cause'
  | 'growth'
  | 'hours'
  | 'standout'

/** One of the things that stand on a slide: its words by slot, and in a tree the things under it. */
export interface Item {
  readonly lead?: string
  readonly text?: string
  readonly under: readonly Item[]
}

/**
 * A family of layouts: one way to place a slide's words that re-flows from one item to as many as are readable. `lines`
 * stand in one text; `items` have a part of their own each, with what is indented beneath it; in a `tree` every line has.
 */
export interface LayoutFamily {
  name: string
  label: string
  /** The sense that it shows best first, then others that it suits. */
  senses: readonly Sense[]
  /** Words that someone may look for it by. */
  finds: string
  content: 'lines' | 'items' | 'tree'
  split?: Split
  /** Where a line goes that cannot be parted; the lead where absent. */
  whole?: 'text'
  /** How many items it looks best with. */
  best: readonly [number, number]
  /**
   * What it draws to scale: amounts beside names, moments on a line, amounts over moments, amounts that fall from level to level, amounts
   * beside names or moments. It is offered only where all lines have them; absent, it draws nothing to scale.
   */
  trueTo?: 'amounts' | 'moments' | 'growth' | 'levels' | 'chart'
  /** The ground of its slides where it is not the master's. */
  ground?: Color
  /** A picture is half of what it shows: it is proposed for plain words where the team has one of what they say. */
  pictured?: boolean
  /** The family, by name, that a slide is laid out in once nobody has a picture for it: places without one close up. */
  closesTo?: string
  /** What a look has on every slide (a running title, rules, an edge) does not stand on these: they are pages of their own. */
  bare?: boolean
  /** What its items come in with. */
  entrance?: { effect: string; options?: Readonly<Record<string, string | number | boolean>> }
  /** The places that its layout keeps, whatever the slide says. */
  places(room: LayoutRoom): Place[]
  /** The places of a slide's items within `area`. Pure; items may be any number. */
  arrange?(items: readonly Item[], area: Frame, room: LayoutRoom): Place[]
}

type TextMore = Partial<Pick<TextElement, 'vertical' | 'color' | 'align' | 'prompt' | 'match' | 'field' | 'size'>>

/** A text place. */
export const textPlace = (placeholder: string, name: string, style: string, frame: Frame, more: TextMore = {}): Place => ({
  kind: 'text',
  placeholder,
  name,
  style,
  box: { ...frame, angle: 0 },
  text: { type: 'doc', content: [{ type: 'paragraph' }] },
  ...more,
})

/** A picture place. */
export const picturePlace = (
  placeholder: string,
  name: string,
  frame: Frame,
  prompt = 'Drop a picture here',
  shape?: 'circle' | 'rounded',
  more: Pick<PictureElement, 'instead'> = {},
): Place => ({
  kind: 'picture',
  placeholder,
  name,
  box: { ...frame, angle: 0 },
  prompt,
  ...(shape ? { frame: { shape, radius: 24 } } : {}),
  ...more,
})

/** What stands where no icon has been found yet: a plain disc. */
export const noIcon: DrawnIcon = { name: '', view: [24, 24], paths: [{ d: 'M12 5a7 7 0 1 0 0 14a7 7 0 1 0 0 -14z' }] }

/** An icon place: what is drawn there follows from the words beside it. */
export const iconPlace = (placeholder: string, name: string, frame: Frame, color: Color): Place => ({
  kind: 'icon',
  placeholder,
  name,
  icon: noIcon,
  color,
  box: { ...frame, angle: 0 },
})

type ShapeMore = {
  fill?: ShapeElement['fill']
  stroke?: { color: Color; width: number }
  radius?: number
  angle?: number
  sector?: { from: number; until: number; hole: number }
}

/** A shape that belongs to the layout, not to the words. */
export const shapePlace = (
  placeholder: string,
  name: string,
  shape: 'rectangle' | 'rounded' | 'ellipse' | 'triangle' | 'line' | 'chevron' | 'sector',
  frame: Frame,
  { angle = 0, ...more }: ShapeMore,
): Place => ({
  kind: 'shape',
  placeholder,
  name,
  shape,
  box: { ...frame, angle },
  ...more,
})

/** The usual place of a title at the head of a slide. */
export const headTitle = ({ theme, size, frames }: LayoutRoom, width?: number) => {
  const usual = { x: theme.margin, y: theme.margin * 0.8, width: size.width - 2 * theme.margin, height: size.height * 0.12 }
  const frame = frames?.head ?? usual
  return textPlace(
    'title',
    'Title',
    'heading',
    { ...frame, width: Math.min(width ?? Infinity, frame.width) },
    { vertical: frames ? 'top' : 'middle', prompt: 'What this slide says' },
  )
}

/** What is left below a head title. */
export const below = ({ theme, size, frames }: LayoutRoom): Frame => {
  if (frames) return frames.body
  const y = theme.margin * 0.8 + size.height * 0.157
  return { x: theme.margin, y, width: size.width - 2 * theme.margin, height: size.height - y - theme.margin }
}

/** All that a slide leaves to its words and pictures, the title among them. */
export const within = ({ theme: { margin }, size, frames }: LayoutRoom): Frame => {
  if (!frames) return { x: margin, y: margin, width: size.width - 2 * margin, height: size.height - 2 * margin }
  const { head, body } = frames
  return { x: body.x, y: head.y, width: body.width, height: body.y + body.height - head.y }
}

/** The area that a layout gives to its items. */
export const itemsPlace = (frame: Frame): Place => ({ kind: 'group', placeholder: 'items', name: 'Items', box: { ...frame, angle: 0 } })

/** A head title and all below it for the items. */
export const titleAndItems = (room: LayoutRoom) => [headTitle(room), itemsPlace(below(room))]

/** The name of an item's place: `item2-lead`, in a tree `item2-1-lead`. Paths count from 1. */
export const slot = (path: number | string, name: string) => `item${path}-${name}`

/** A decoration of the whole arrangement: `frame-line`. */
export const framing = (name: string) => `frame-${name}`
/** Whether a place is such a decoration. */
export const isFraming = (placeholder: string | undefined) => placeholder?.startsWith('frame-') ?? false
