import { z } from 'zod'
import { amountSchema } from './amount'
import { bulletSchema, drawnIconSchema } from './bullet'
import { chartSpecSchema, numberFormatSchema } from './chart'
import { clipFields } from './clip'
import { figureLookSchema } from './figure'
import {
  paintSchema,
  shadowSchema,
  strokeSchema,
  viewSchema,
  boxSchema,
  colorSchema,
  fractionSchema,
  hashSchema,
  idSchema,
  optionsSchema,
  orderSchema,
  secondsSchema,
  sizeSchema,
} from '../../values'
import { textDocSchema } from './text'
import { treatmentSchema } from './treatment'

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
  /** Hidden because the slide’s layout has no place for it: it takes the next one that there is for its kind. */
  waits: z.boolean().optional(),
  /** By variant: whether it shows there, whatever `hidden` says. */
  shows: z.record(idSchema, z.boolean()).optional(),
  locked: z.boolean().optional(),
  shadow: shadowSchema.nullable().optional(),
  /** Words for those who do not see it. */
  alt: z.string().max(2000).optional(),
  /** On a layout: the name of the place it keeps. On a slide: the place it fills. */
  placeholder: z.string().max(60).optional(),
  /** The group it belongs to. */
  parent: idSchema.optional(),
}

/** What varies in a shape, by name, as fractions. */
export const amountsSchema = z.record(z.string().max(40), z.number().min(-10).max(100))

/** What stands at the end of a line. */
export const lineEndSchema = z.enum(['none', 'arrow', 'solid', 'dot', 'ring', 'bar', 'diamond'])

/**
 * What a text can say by itself: the number of its slide, of its item, the deck's date or title, the chapter it stands in and its number,
 * the theme's footer.
 */
export const fieldSchema = z.enum(['slide-number', 'item-number', 'date', 'deck-title', 'chapter', 'chapter-number', 'footer'])

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
  /** `shrink` down to the style's least size; `grow` makes the box as high as its words; `fixed` does neither. */
  fit: z.enum(['shrink', 'grow', 'fixed']).optional(),
  panel: z
    .object({
      fill: paintSchema.nullable(),
      padding: z.number().min(0).max(400),
      radius: z.number().min(0).max(400),
      border: strokeSchema.nullable().optional(),
      /** A shape of core/shapes that the panel has, with what varies in it and how far its lines are off; absent is a rectangle. */
      shape: z.string().min(1).max(60).optional(),
      amounts: amountsSchema.optional(),
      rough: fractionSchema.optional(),
    })
    .nullable()
    .optional(),
  /** A line around every letter. */
  outline: strokeSchema.pick({ color: true, width: true }).nullable().optional(),
  /** What fills the letters in place of their colour. */
  paint: paintSchema.nullable().optional(),
  /** Columns side by side, with the gap between them in px of deck space. */
  columns: z
    .object({ count: z.int().min(1).max(12), gap: z.number().min(0).max(1000) })
    .nullable()
    .optional(),
  /** `auto`, by the first letter of each paragraph that has a direction. */
  direction: z.enum(['auto', 'ltr', 'rtl']).optional(),
  /** The words run along a line: an arc that bends up or down, a circle, a wave. `bend` −1 to 1. */
  along: z
    .object({ path: z.enum(['arc', 'circle', 'wave']), bend: z.number().min(-1).max(1) })
    .nullable()
    .optional(),
  /** Bullets of its levels, from level 1, in place of the style's; what is absent in one is the style's. */
  bullets: z.array(bulletSchema.partial()).max(9).optional(),
  /** What an empty placeholder says at work; never shown in play. */
  prompt: z.string().max(200).optional(),
  /** Texts of a slide with the same word here shrink together, so that they keep one size. */
  match: z.string().max(60).optional(),
  /** Words that follow from the deck, in place of `text`; see core/resolved/fields.ts. */
  field: fieldSchema.optional(),
  /** How the words of this part and of its item's text make one line of the outline. */
  joint: jointSchema.optional(),
})

/** The shape that a picture is seen through, of core/shapes by name, or words. `amounts` as of a shape. */
const frameSchema = z.object({
  shape: z.string().max(60),
  radius: z.number().min(0).max(1000).optional(),
  amounts: amountsSchema.optional(),
  words: z.string().max(60).optional(),
})

const pictureElement = z.object({
  ...base,
  kind: z.literal('picture'),
  /** SHA-256 of the picture's bytes; absent while the place is empty. */
  media: hashSchema.optional(),
  /** The picture's own size in its pixels. */
  natural: sizeSchema.optional(),
  /** On a slide that is there for rows: another picture for each, by the key of what the row is called; the others show `media`. */
  ofRows: z.record(z.string().max(200), z.object({ media: hashSchema, natural: sizeSchema.optional() })).optional(),
  frame: frameSchema.optional(),
  /** Its own place in the frame. */
  view: viewSchema.optional(),
  /** The point that matters, as fractions of the picture: crops keep it in sight. */
  focus: z.object({ x: fractionSchema, y: fractionSchema }).optional(),
  /** How it is shown otherwise than it is; parts that are absent are the theme's. */
  treatment: treatmentSchema.optional(),
  border: strokeSchema.nullable().optional(),
  /** As a place: a chart may fill it too. */
  anything: z.boolean().optional(),
  /** It shows the theme's logo, in the form that suits the ground beneath it, whole. */
  logo: z.boolean().optional(),
  prompt: z.string().max(200).optional(),
  /** It was found by the words beside it, and nobody has said yet that it stays. */
  proposed: z.boolean().optional(),
  /** What is drawn while it has no picture: letters on a colour. */
  instead: z.object({ words: z.string().max(20), fill: colorSchema, color: colorSchema }).optional(),
})

/** Where an end of a line holds on to an element: the middle of a side, or the side that suits. */
const holdOn = z.object({ element: idSchema, side: z.enum(['auto', 'left', 'right', 'top', 'bottom']) })

const shapeElement = z.object({
  ...base,
  kind: z.literal('shape'),
  /** A name of core/shapes. `line` is one that `line` describes. */
  shape: z.string().min(1).max(60),
  /** What varies in it, by name, as fractions; see core/shapes. */
  amounts: amountsSchema.optional(),
  /** Of a sector: where it begins and ends, degrees clockwise from the top, and the share of its radius that is left open. */
  sector: z.object({ from: z.number().min(0).max(360), until: z.number().min(0).max(360), hole: fractionSchema }).optional(),
  /** Of a rounded one, px of deck space. */
  radius: z.number().min(0).max(1000).optional(),
  /** Of a line: the points that it goes through, as fractions of its box, and how. Absent, it is level across its box. */
  line: z
    .object({
      way: z.enum(['straight', 'curve', 'elbow', 'freehand']),
      points: z
        .array(z.tuple([z.number(), z.number()]))
        .min(2)
        .max(5000),
    })
    .optional(),
  /** Of a line: what its ends hold on to; it then runs there by itself. */
  from: holdOn.nullable().optional(),
  to: holdOn.nullable().optional(),
  ends: z.object({ start: lineEndSchema, end: lineEndSchema }).optional(),
  /** How far its lines are off, as drawn without a ruler; absent is not at all. */
  rough: fractionSchema.optional(),
  fill: paintSchema.nullable().optional(),
  stroke: strokeSchema.nullable().optional(),
})

const chartElement = z.object({
  ...base,
  kind: z.literal('chart'),
  chart: chartSpecSchema.optional(),
  /** Lines that it draws where it names no table: what each is about, and its amount; see core/charts/lines.ts. */
  text: textDocSchema.optional(),
  prompt: z.string().max(200).optional(),
})
const iconElement = z.object({
  ...base,
  kind: z.literal('icon'),
  icon: drawnIconSchema,
  color: colorSchema.optional(),
  /** Multiple of the drawn weight of its lines. */ weight: z.number().min(0.1).max(6).optional(),
})
const diagramElement = z.object({
  ...base,
  kind: z.literal('diagram'),
  family: z.string().max(60),
  text: textDocSchema,
  options: optionsSchema.optional(),
})
/** How a column of a table is shown; what is absent follows from what it holds. */
const tableColumnSchema = z.object({
  align: z.enum(['left', 'center', 'right', 'decimal']).optional(),
  format: numberFormatSchema.optional(),
  /** Share of the table's width over what its words need: 1 is as they do. */
  wide: z.number().min(0.2).max(5).optional(),
})

/** The most rows and columns of a table whose cells are written by hand, and letters of a cell. */
export const mostWritten = { rows: 500, columns: 60, letters: 2000 }

const tableElement = z.object({
  ...base,
  kind: z.literal('table'),
  /** Where its rows come from; null where they are written in `cells`. */
  table: idSchema.nullable(),
  /** Rows as written, the first naming the columns. */
  cells: z
    .array(z.array(z.string().max(mostWritten.letters)).max(mostWritten.columns))
    .max(mostWritten.rows)
    .optional(),
  /** Numbers of tables of data in cells that are written, by the row and column of the cell, from 0: `2,1`. */
  amounts: z.record(z.string().regex(/^\d{1,3},\d{1,2}$/), amountSchema).optional(),
  /** Of a table of data: the columns shown, by name; empty for all. */
  columns: z.array(z.string().max(200)).max(200),
  /** By position among the columns that are shown. */
  looks: z.array(tableColumnSchema.nullable()).max(200).optional(),
  /** The names of the columns on top; on unless it is false. */
  head: z.boolean().optional(),
  /** Sums of numbers in a last row. */
  totals: z.boolean().optional(),
  /** Every other row on a tint; on unless it is false. */
  banding: z.boolean().optional(),
  rules: z.enum(['rows', 'grid', 'none']).optional(),
  color: colorSchema.optional(),
  /** Size of its words at most, px of deck space. */
  size: z.number().min(6).max(400).optional(),
})
const figureElement = z.object({
  ...base,
  kind: z.literal('figure'),
  pose: z.string().max(60),
  facing: z.enum(['left', 'right']).optional(),
  /** It stands for the speaker, and looks as the deck says the speaker does. */
  speaker: z.boolean().optional(),
  /** Its face moves with the voice that is heard; absent, as it stands for the speaker or not. */
  speaks: z.boolean().optional(),
  look: figureLookSchema.optional(),
})
const filmElement = z.object({
  ...base,
  kind: z.literal('film'),
  ...clipFields,
  /** The film's own size in its pixels. */
  natural: sizeSchema.optional(),
  /** `fill` cuts what does not fit its box, `whole` leaves room beside it. */
  fit: z.enum(['fill', 'whole']).optional(),
  frame: frameSchema.optional(),
  /** The still that stands for it until it plays, seconds into the file. */
  poster: secondsSchema.optional(),
  /**
   * It moves only within an area, whose corners are fractions of its box; all else is its still. `soft` is how far its edge fades, px of
   * deck space.
   */
  moving: z
    .object({
      points: z
        .array(z.tuple([z.number(), z.number()]))
        .min(3)
        .max(2000),
      soft: z.number().min(0).max(400),
    })
    .optional(),
})
const soundElement = z.object({ ...base, kind: z.literal('sound'), ...clipFields })
const liveElement = z.object({ ...base, kind: z.literal('live'), source: z.string().max(60), options: optionsSchema.optional() })
const groupElement = z.object({
  ...base,
  kind: z.literal('group'),
  /** The piece of the team's shelf that it is bound to, and the version of it that it shows. */
  piece: z.object({ id: idSchema, version: z.int().min(1) }).optional(),
})

export const elementSchema = z.discriminatedUnion('kind', [
  textElement,
  pictureElement,
  shapeElement,
  iconElement,
  chartElement,
  diagramElement,
  tableElement,
  figureElement,
  filmElement,
  soundElement,
  liveElement,
  groupElement,
])

export type Element = z.infer<typeof elementSchema>
/** An element of any kind without some of the fields that all kinds have. */
export type ElementWithout<K extends 'id' | 'owner' | 'order'> = Element extends infer E ? (E extends Element ? Omit<E, K> : never) : never
export type ElementKind = Element['kind']
/** All kinds of elements. */
export const elementKinds = elementSchema.options.map(option => option.shape.kind.value)
export type TextElement = z.infer<typeof textElement>
export type PictureElement = z.infer<typeof pictureElement>
export type ShapeElement = z.infer<typeof shapeElement>
export type ChartElement = z.infer<typeof chartElement>
export type IconElement = z.infer<typeof iconElement>
export type DiagramElement = z.infer<typeof diagramElement>
export type GroupElement = z.infer<typeof groupElement>
export type TableElement = z.infer<typeof tableElement>
export type TableColumn = z.infer<typeof tableColumnSchema>
export type FigureElement = z.infer<typeof figureElement>
export type FilmElement = z.infer<typeof filmElement>
export type SoundElement = z.infer<typeof soundElement>
/** What plays. */
export type ClipElement = FilmElement | SoundElement
export type LineEnd = z.infer<typeof lineEndSchema>
export type Field = z.infer<typeof fieldSchema>
export type Joint = z.infer<typeof jointSchema>
