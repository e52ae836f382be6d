import { z } from 'zod'
import { colorSchema, hexSchema, idSchema, orderSchema, roleNames, type Role } from './values'

/** Which of the theme's three families a style is set in. */
export const fontRoleSchema = z.enum(['display', 'body', 'mono'])

export const textStyleSchema = z.object({
  name: z.string().min(1).max(60),
  font: fontRoleSchema,
  /** px of deck space. */
  size: z.number().min(4).max(1000),
  /** The least size that text of this style may shrink to, px of deck space. */
  leastSize: z.number().min(4).max(1000),
  weight: z.int().min(100).max(900),
  /** Multiple of the size. */
  lineHeight: z.number().min(0.5).max(4),
  /** Multiple of the size. */
  letterSpacing: z.number().min(-0.5).max(2),
  /** Space after a paragraph, multiple of the size. */
  paragraphSpacing: z.number().min(0).max(4),
  color: colorSchema,
  align: z.enum(['left', 'center', 'right']),
  bullet: z.object({ symbol: z.string().max(8), color: colorSchema }),
})

const palette = z.object(Object.fromEntries(roleNames.map(role => [role, hexSchema])) as Record<Role, typeof hexSchema>)

export const themeSchema = z.object({
  id: z.literal('theme'),
  name: z.string().max(120),
  palette,
  fonts: z.object({ display: z.string().max(100), body: z.string().max(100), mono: z.string().max(100) }),
  textStyles: z.record(z.string().max(60), textStyleSchema),
  ground: colorSchema,
  /** Clear space at the slide's edge, px of deck space. */
  margin: z.number().min(0).max(1000),
})

export const masterSchema = z.object({ id: idSchema, order: orderSchema, name: z.string().max(120), ground: colorSchema.optional() })

export const layoutSchema = z.object({
  id: idSchema,
  order: orderSchema,
  master: idSchema,
  name: z.string().max(120),
  /** The entry of core/layouts that placed its placeholders. */
  family: z.string().max(60),
  ground: colorSchema.optional(),
})

export type TextStyle = z.infer<typeof textStyleSchema>
export type Theme = z.infer<typeof themeSchema>
export type Master = z.infer<typeof masterSchema>
export type Layout = z.infer<typeof layoutSchema>
