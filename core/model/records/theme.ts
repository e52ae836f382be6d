import { z } from 'zod'
import { backdropSchema } from './backdrop'
import { bulletSchema } from './bullet'
import { figureLookSchema } from './figure'
import { treatmentSchema } from './treatment'
import { colorSchema, guidesSchema, hashSchema, hexSchema, idSchema, orderSchema, roleNames, sizeSchema, type Role } from '../../values'

/** Which of the theme's three families a style is set in. */
export const fontRoleSchema = z.enum(['display', 'body', 'mono'])

export const textStyleSchema = z.object({
  name: z.string().min(1).max(60),
  font: fontRoleSchema,
  /** A family of its own in place of the theme's. */
  family: z.string().min(1).max(100).optional(),
  /** px of deck space. */
  size: z.number().min(4).max(1000),
  /** The least size that text of this style may shrink to, px of deck space. */
  leastSize: z.number().min(4).max(1000),
  /** The greatest size that text of this style may grow to where it has the room, px of deck space; absent, it does not grow. */
  mostSize: z.number().min(4).max(1000).optional(),
  weight: z.int().min(100).max(900),
  italic: z.boolean().optional(),
  /** What the unit of a number (%, km, million) is set in, a share of the size; absent, it is as large as the number. */
  units: z.number().min(0.1).max(1).optional(),
  /** Its lines are of about the same length, so that no short word is left alone on the last. */
  balanced: z.boolean().optional(),
  /** How its letters are shown, whatever was typed. */
  case: z.enum(['upper', 'lower']).optional(),
  /** Multiple of the size. */
  lineHeight: z.number().min(0.5).max(4),
  /** Multiple of the size. */
  letterSpacing: z.number().min(-0.5).max(2),
  /** Space after a paragraph, multiple of the size. */
  paragraphSpacing: z.number().min(0).max(4),
  color: colorSchema,
  align: z.enum(['left', 'center', 'right']),
  bullet: bulletSchema,
  /** Bullets of the second level and deeper, in order; the last goes for all below it. */
  deeperBullets: z.array(bulletSchema).max(8).optional(),
})

const palette = z.object(Object.fromEntries(roleNames.map(role => [role, hexSchema])) as Record<Role, typeof hexSchema>)

const logoFormSchema = z.object({ media: hashSchema, natural: sizeSchema })

/** A logo in a form for light grounds and one for dark; either stands in for the other where it is missing. */
export const logoSchema = z.object({
  onLight: logoFormSchema.optional(),
  onDark: logoFormSchema.optional(),
  /** Clear space around it, as a share of its height. */
  clear: z.number().min(0).max(2),
  /** The least height that it may be shown in, px of deck space. */
  least: z.number().min(0).max(1000),
})

/**
 * A face of a family that the team brought itself. `held`: the code points that its file has glyphs for, as `packSpans` writes them; absent
 * where they are not known.
 */
export const fontFaceSchema = z.object({
  family: z.string().min(1).max(100),
  media: hashSchema,
  weight: z.int().min(1).max(1000),
  italic: z.boolean().optional(),
  held: z.string().max(60_000).optional(),
})

/** How words that matter stand out; what is absent stays as it is around them. */
export const accentSchema = z.object({
  name: z.string().min(1).max(60),
  color: colorSchema.optional(),
  highlight: colorSchema.optional(),
  weight: z.int().min(100).max(900).optional(),
  italic: z.boolean().optional(),
  underline: z.boolean().optional(),
  /** Multiple of the size. */
  size: z.number().min(0.5).max(3).optional(),
})

/** The art direction that a deck's layouts stand in: its name in core/looks, and what its ornaments are reckoned from. */
export const wornLookSchema = z.object({ name: z.string().max(60), seed: z.int().min(0).max(9999) })

const themeFields = {
  name: z.string().max(120),
  palette,
  fonts: z.object({ display: z.string().max(100), body: z.string().max(100), mono: z.string().max(100) }),
  /** Faces of families that do not ship with the application. */
  faces: z.array(fontFaceSchema).max(200).optional(),
  textStyles: z.record(z.string().max(60), textStyleSchema),
  ground: colorSchema,
  backdrop: backdropSchema.optional(),
  /** Clear space at the slide's edge, px of deck space. */
  margin: z.number().min(0).max(1000),
  logo: logoSchema.optional(),
  /** Looks of words that matter, by the name that texts mark them with. */
  accents: z.record(z.string().max(60), accentSchema).optional(),
  /** One treatment for all pictures of the deck, so that they belong together. */
  pictures: treatmentSchema.optional(),
  /** Absent, layouts stand as their families have them. */
  look: wornLookSchema.optional(),
  /** The families of layouts that are proposed, by name; absent, all are. */
  layouts: z.array(z.string().min(1).max(60)).min(1).max(200).optional(),
  /** How the figure that stands for the speaker looks, on every slide. */
  speaker: figureLookSchema.optional(),
  /** What stands at the foot of every slide. */
  footer: z.string().max(300).optional(),
}

export const themeSchema = z.object({ id: z.literal('theme'), ...themeFields })

export const masterSchema = z.object({
  id: idSchema,
  order: orderSchema,
  name: z.string().max(120),
  ground: colorSchema.optional(),
  backdrop: backdropSchema.optional(),
  /** Lines to compose by, px of deck space: x of upright ones, y of level ones. */
  guides: guidesSchema.optional(),
  /** A theme of its own, for slides that came from another deck in their own look. */
  theme: themeSchema.optional(),
})

export const layoutSchema = z.object({
  id: idSchema,
  order: orderSchema,
  master: idSchema,
  name: z.string().max(120),
  /** The entry of core/layouts that placed its placeholders. */
  family: z.string().max(60),
  ground: colorSchema.optional(),
  backdrop: backdropSchema.optional(),
  /** Lines to compose by, px of deck space: x of upright ones, y of level ones. */
  guides: guidesSchema.optional(),
  /** The look that composes it, in the theme's colours, fonts and sizes; absent is the one that the theme wears. */
  look: z.string().max(60).optional(),
  /** Parts of the master that do not stand on its slides. */
  without: z.array(idSchema).max(200).optional(),
})

export type TextStyle = z.infer<typeof textStyleSchema>
export type WornLook = z.infer<typeof wornLookSchema>
export type Accent = z.infer<typeof accentSchema>
export type Theme = z.infer<typeof themeSchema>
export type Logo = z.infer<typeof logoSchema>
export type FontFaceFile = z.infer<typeof fontFaceSchema>
export type Master = z.infer<typeof masterSchema>
export type Layout = z.infer<typeof layoutSchema>
