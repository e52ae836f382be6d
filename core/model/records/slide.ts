import { z } from 'zod'
import { backdropSchema } from './backdrop'
import { captionsSchema } from './clip'
import {
  boxSchema,
  colorSchema,
  easingSchema,
  fractionSchema,
  guidesSchema,
  idSchema,
  optionsSchema,
  orderSchema,
  secondsSchema,
} from '../../values'

function isLanguage(tag: string) {
  try {
    return Intl.getCanonicalLocales(tag).length === 1
  } catch (error) {
    if (!(error instanceof RangeError)) throw error
    return false
  }
}

/** A language tag, BCP 47. */
export const languageSchema = z.string().min(2).max(35).refine(isLanguage, 'it is no language tag, such as en or pt-BR')

export const purposeSchema = z.enum(['talk', 'film', 'loop'])

export const transitionSchema = z.object({
  effect: z.string().max(60),
  duration: secondsSchema,
  easing: easingSchema,
  options: optionsSchema.optional(),
})

export const infoSchema = z.object({
  id: z.literal('info'),
  /** Format version, see core/model/upgrades. */
  format: z.int().min(1),
  title: z.string().max(300),
  purpose: purposeSchema,
  language: languageSchema,
  /** Who reads, and so how fast; see core/text/reading.ts. */
  audience: z.enum(['children', 'public', 'colleagues']),
  /** How far away it is read, in heights of the picture; see core/text/reading.ts. Absent is eight. */
  distance: z.number().min(1).max(30).optional(),
  /** The day it is about, for the date on its slides; ISO 8601, as 2026-04-02. */
  date: z.iso.date().optional(),
  /** Handed out as a form: only what fills placeholders can be changed on its slides. */
  form: z.boolean().optional(),
  /** How parts of a kind come and go in this deck, and slides come, unless something else is meant. */
  usual: z
    .object({
      enter: z.record(z.string().max(20), transitionSchema).optional(),
      exit: z.record(z.string().max(20), transitionSchema).optional(),
      transition: transitionSchema.optional(),
    })
    .optional(),
  /** Deck space, px. */
  size: z.object({ width: z.number().min(16).max(10_000), height: z.number().min(16).max(10_000) }),
})

/** A named rectangle on a board. */
export const viewOfBoardSchema = z.object({ id: idSchema, name: z.string().max(120), box: boxSchema })

/** The rows that a slide is there for: of a table, all, or those where a column has one of some values; in an order. */
export const slideRowsSchema = z.object({
  table: idSchema,
  where: z.object({ column: z.string().max(200), keys: z.array(z.string().max(200)).max(1000) }).optional(),
  order: z.object({ column: z.string().max(200), way: z.enum(['rising', 'falling']) }).optional(),
  /** How many at most, the first of them; absent is all. */
  most: z.int().min(1).max(1000).optional(),
})

export const slideSchema = z.object({
  id: idSchema,
  order: orderSchema,
  layout: idSchema,
  /** Its layout was chosen by hand: it stays where layouts are proposed for a whole deck. */
  layoutChosen: z.boolean().optional(),
  notes: z.string().max(200_000),
  skipped: z.boolean().optional(),
  /** The first slide of a chapter names it. */
  chapter: z.string().max(200).optional(),
  ground: colorSchema.optional(),
  backdrop: backdropSchema.optional(),
  guides: guidesSchema.optional(),
  /** Its items are the names of the deck's chapters or slides, kept current. */
  agenda: z.enum(['chapters', 'slides']).optional(),
  /** It is there once for each of some rows of a table, filled from it. */
  rows: slideRowsSchema.optional(),
  /** How the slide before becomes this one. Absent is a cut. */
  transition: transitionSchema.optional(),
  /** It is a board: how far it reaches from its top left, px of deck space. The picture shows a part of it, or all of it from afar. */
  board: z.object({ width: z.number().min(16).max(100_000), height: z.number().min(16).max(100_000) }).optional(),
  /** Of a board: what the picture can show of it, in the order of the telling. */
  views: z.array(viewOfBoardSchema).max(1000).optional(),
  /** Of a board: the view that it opens with; absent is all of it. */
  opens: idSchema.optional(),
})

export const holdSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('seconds'), seconds: secondsSchema }),
  z.object({ kind: z.literal('reading') }),
  z.object({ kind: z.literal('media') }),
  /**
   * Until a moment of a voice that begins on the slide has come: `at` seconds into its file. `seconds` is how long it holds where that
   * voice is not there.
   */
  z.object({ kind: z.literal('voice'), sound: idSchema, at: secondsSchema, seconds: secondsSchema }),
])

export const beatSchema = z.object({
  id: idSchema,
  slide: idSchema,
  order: orderSchema,
  name: z.string().max(120).optional(),
  /** The first beat of a slide starts as it opens, whatever stands here. */
  start: z.enum(['advance', 'self']),
  hold: holdSchema,
})

export const partsSchema = z.object({
  by: z.enum(['paragraph', 'line', 'word', 'letter', 'series', 'mark', 'item']),
  /** Seconds from the start of one part to the start of the next. */
  stagger: secondsSchema,
  /** Only these parts, by index; `to` is the last one, null for all that follow. */
  range: z.object({ from: z.int().min(0), to: z.int().min(0).nullable() }).optional(),
  backwards: z.boolean().optional(),
  /** By what they amount to, from the least or from the greatest on; absent as they stand. */
  order: z.enum(['rising', 'falling']).optional(),
})

export const cueSchema = z.object({
  id: idSchema,
  beat: idSchema,
  /** Null for the camera. */
  element: idSchema.nullable(),
  order: orderSchema,
  what: z.enum(['enter', 'emphasis', 'move', 'data', 'media', 'pose', 'exit', 'camera']),
  effect: z.string().max(60),
  options: optionsSchema,
  anchor: z.discriminatedUnion('to', [
    z.object({ to: z.literal('beat') }),
    z.object({ to: z.literal('start'), cue: idSchema }),
    z.object({ to: z.literal('end'), cue: idSchema }),
  ]),
  /** Seconds after the anchor. */
  delay: secondsSchema,
  /** Seconds that one part takes, once. */
  duration: secondsSchema,
  easing: easingSchema,
  /** Times in all, or until the slide ends. */
  repeat: z.union([z.int().min(1).max(10_000), z.literal('forever')]),
  /** Of what draws the eye or moves: every second time it runs back. */
  back: z.boolean().optional(),
  parts: partsSchema.optional(),
})

/** A named choice of what is shown: parts say for themselves whether they show in it (`element.shows`). */
export const variantSchema = z.object({ id: idSchema, order: orderSchema, name: z.string().min(1).max(120) })

export const soundSchema = z.object({
  id: idSchema,
  order: orderSchema,
  name: z.string().max(200),
  media: z.string().regex(/^[0-9a-f]{64}$/),
  use: z.enum(['bed', 'narration', 'effect']),
  /** From the opening of one slide to the end of another. */
  fromSlide: idSchema,
  untilSlide: idSchema,
  /** Seconds after that. */
  delay: secondsSchema,
  /** The stretch of the file that plays, seconds; absent are its ends. */
  from: secondsSchema.optional(),
  until: secondsSchema.optional(),
  volume: fractionSchema,
  /** Of a bed: what stays of its volume while somebody speaks; absent is 0.3. */
  duck: fractionSchema.optional(),
  captions: captionsSchema.optional(),
  fadeIn: secondsSchema,
  fadeOut: secondsSchema,
  loop: z.boolean(),
})

export type Info = z.infer<typeof infoSchema>
export type Purpose = z.infer<typeof purposeSchema>
export type Transition = z.infer<typeof transitionSchema>
export type BoardView = z.infer<typeof viewOfBoardSchema>
export type Slide = z.infer<typeof slideSchema>
export type SlideRows = z.infer<typeof slideRowsSchema>
export type Hold = z.infer<typeof holdSchema>
export type Beat = z.infer<typeof beatSchema>
export type Parts = z.infer<typeof partsSchema>
export type Cue = z.infer<typeof cueSchema>
export type Variant = z.infer<typeof variantSchema>
export type Sound = z.infer<typeof soundSchema>
