import { z } from 'zod'
import { textDocSchema } from './text'
import { boxSchema, colorSchema, fractionSchema, hashSchema, idSchema, optionsSchema, orderSchema, secondsSchema, sizeSchema } from './values'

/** A number as a reader sees it; see core/data/format.ts. */
export const numberFormatSchema = z.object({
  decimals: z.int().min(0).max(6).nullable(),
  scale: z.enum(['none', 'thousands', 'millions', 'auto', 'percent']),
  prefix: z.string().max(20),
  suffix: z.string().max(40),
})

const base = {
  id: idSchema,
  /** A slide, layout or master. */
  owner: idSchema,
  name: z.string().max(200),
  order: orderSchema,
  /** Absent where the layout's placeholder of the same name decides. */
  box: boxSchema.optional(),
  flip: z.object({ across: z.boolean(), down: z.boolean() }).optional(),
  opacity: fractionSchema.optional(),
  hidden: z.boolean().optional(),
  locked: z.boolean().optional(),
  /** Words for those who do not see it. */
  alt: z.string().max(2000).optional(),
  /** On a layout: the name of the place it keeps. On a slide: the place it fills. */
  placeholder: z.string().max(60).optional(),
  /** The group it belongs to. */
  parent: idSchema.optional(),
}

const stroke = z.object({ color: colorSchema, width: z.number().min(0).max(500), dash: z.array(z.number().min(0).max(1000)).max(8).optional() })

/** What a text can say by itself: the number of its slide, of its item, the deck's date or title, the chapter it stands in, the theme's footer. */
export const fieldSchema = z.enum(['slide-number', 'item-number', 'date', 'deck-title', 'chapter', 'footer'])

/**
 * `words` stand between the parts of an outline line: “: ” in “Astrel: hourly”. A line feed means that the second part
 * is a line of its own at the same level. `last`: this part is the line's end, not its start.
 */
export const jointSchema = z.object({ words: z.string().max(20), last: z.boolean().optional() })

const textElement = z.object({
  ...base,
  kind: z.literal('text'),
  text: textDocSchema,
  style: z.string().max(60).optional(),
  align: z.enum(['left', 'center', 'right']).optional(),
  vertical: z.enum(['top', 'middle', 'bottom']).optional(),
  color: colorSchema.optional(),
  /** Own size, px of deck space, where it differs from its style's. */
  size: z.number().min(4).max(1000).optional(),
  /** Own weight, family, spacing and case, where they differ from its style's. */
  weight: z.int().min(100).max(900).optional(),
  family: z.string().min(1).max(100).optional(),
  lineHeight: z.number().min(0.5).max(4).optional(),
  letterSpacing: z.number().min(-0.5).max(2).optional(),
  case: z.enum(['upper', 'lower', 'none']).optional(),
  /** `shrink` down to the style's least size; `fixed` never. */
  fit: z.enum(['shrink', 'fixed']).optional(),
  panel: z.object({ fill: colorSchema, padding: z.number().min(0).max(400), radius: z.number().min(0).max(400) }).optional(),
  /** What an empty placeholder says at work; never shown in play. */
  prompt: z.string().max(200).optional(),
  /** Texts of a slide with the same word here shrink together, so that they keep one size. */
  match: z.string().max(60).optional(),
  /** Words that follow from the deck, in place of `text`; see core/deck/fields.ts. */
  field: fieldSchema.optional(),
  /** How the words of this part and of its item's text make one line of the outline. */
  joint: jointSchema.optional(),
})

const pictureElement = z.object({
  ...base,
  kind: z.literal('picture'),
  /** SHA-256 of the picture's bytes; absent while the place is empty. */
  media: hashSchema.optional(),
  /** The picture's own size in its pixels. */
  natural: sizeSchema.optional(),
  frame: z.object({ shape: z.enum(['rectangle', 'rounded', 'circle']), radius: z.number().min(0).max(1000) }).optional(),
  /** Which point of the picture (fractions) stands in the frame's middle as far as it can, and how much it is enlarged over just filling the frame. */
  view: z.object({ x: fractionSchema, y: fractionSchema, zoom: z.number().min(1).max(20) }).optional(),
  /** As a place: a chart may fill it too. */
  anything: z.boolean().optional(),
  /** It shows the theme's logo, in the form that suits the ground beneath it, whole. */
  logo: z.boolean().optional(),
  prompt: z.string().max(200).optional(),
})

const shapeElement = z.object({
  ...base,
  kind: z.literal('shape'),
  shape: z.enum(['rectangle', 'rounded', 'ellipse', 'triangle', 'line', 'chevron', 'sector']),
  /** Of a sector: where it begins and ends, degrees clockwise from the top, and the share of its radius that is left open. */
  sector: z.object({ from: z.number().min(0).max(360), until: z.number().min(0).max(360), hole: fractionSchema }).optional(),
  radius: z.number().min(0).max(1000).optional(),
  fill: colorSchema.nullable().optional(),
  stroke: stroke.nullable().optional(),
})

/** What a chart draws from its table. */
export const chartSpecSchema = z.object({
  kind: z.literal('bar'),
  table: idSchema.nullable(),
  /** Names of columns; null chooses the first that suits. */
  across: z.string().max(200).nullable(),
  height: z.string().max(200).nullable(),
  aggregate: z.enum(['sum', 'mean', 'least', 'most', 'count']),
  order: z.enum(['data', 'rising', 'falling', 'name']),
  /** Keys of the category column whose marks are lit. */
  lit: z.array(z.string().max(200)).max(10_000),
  color: colorSchema,
  litColor: colorSchema,
  format: numberFormatSchema,
  labels: z.enum(['all', 'lit', 'none']),
  total: z.boolean(),
})

const chartElement = z.object({ ...base, kind: z.literal('chart'), chart: chartSpecSchema.optional(), prompt: z.string().max(200).optional() })
const iconElement = z.object({ ...base, kind: z.literal('icon'), icon: z.string().max(120), color: colorSchema.optional() })
const diagramElement = z.object({ ...base, kind: z.literal('diagram'), family: z.string().max(60), text: textDocSchema, options: optionsSchema.optional() })
const tableElement = z.object({ ...base, kind: z.literal('table'), table: idSchema.nullable(), columns: z.array(z.string().max(200)).max(200), options: optionsSchema.optional() })
const figureElement = z.object({ ...base, kind: z.literal('figure'), pose: z.string().max(60), wardrobe: optionsSchema.optional() })
const filmElement = z.object({ ...base, kind: z.literal('film'), media: hashSchema.optional(), from: secondsSchema.optional(), until: secondsSchema.optional(), loop: z.boolean().optional(), volume: fractionSchema.optional() })
const soundElement = z.object({ ...base, kind: z.literal('sound'), media: hashSchema.optional(), from: secondsSchema.optional(), until: secondsSchema.optional(), loop: z.boolean().optional(), volume: fractionSchema.optional() })
const liveElement = z.object({ ...base, kind: z.literal('live'), source: z.string().max(60), options: optionsSchema.optional() })
const groupElement = z.object({ ...base, kind: z.literal('group') })

export const elementSchema = z.discriminatedUnion('kind', [
  textElement, pictureElement, shapeElement, iconElement, chartElement, diagramElement,
  tableElement, figureElement, filmElement, soundElement, liveElement, groupElement,
])

/** A choice of rows, order and emphasis that a data cue can move a chart to. */
export const stateSchema = z.object({
  id: idSchema,
  element: idSchema,
  order: orderSchema,
  name: z.string().max(120),
  chart: chartSpecSchema.partial(),
})

export type Element = z.infer<typeof elementSchema>
export type ElementKind = Element['kind']
export type TextElement = z.infer<typeof textElement>
export type PictureElement = z.infer<typeof pictureElement>
export type ShapeElement = z.infer<typeof shapeElement>
export type ChartElement = z.infer<typeof chartElement>
export type ChartSpec = z.infer<typeof chartSpecSchema>
export type Field = z.infer<typeof fieldSchema>
export type Joint = z.infer<typeof jointSchema>
export type NumberFormat = z.infer<typeof numberFormatSchema>
export type State = z.infer<typeof stateSchema>
