import { z } from 'zod'
import { amountSchema } from './amount'
import { bulletSchema, drawnIconSchema } from './bullet'
import { colorSchema } from '../../values'

const mark = z.discriminatedUnion('type', [
  z.object({ type: z.literal('bold') }),
  z.object({ type: z.literal('italic') }),
  z.object({ type: z.literal('underline') }),
  z.object({ type: z.literal('strike') }),
  z.object({ type: z.literal('color'), attrs: z.object({ color: colorSchema }) }),
  z.object({ type: z.literal('highlight'), attrs: z.object({ color: colorSchema }) }),
  z.object({ type: z.literal('size'), attrs: z.object({ factor: z.number().min(0.1).max(20) }) }),
  z.object({ type: z.literal('font'), attrs: z.object({ family: z.string().max(100) }) }),
  /** To an address, or to a slide of this deck as `#` and its id. */
  z.object({ type: z.literal('link'), attrs: z.object({ href: z.string().max(2000) }) }),
  /** A number of a table; its words are what it was when they were written, and what it is now stands in their place. */
  z.object({ type: z.literal('amount'), attrs: z.object({ of: amountSchema }) }),
  /** Words that matter, in the look that the theme has under this name. */
  z.object({ type: z.literal('accent'), attrs: z.object({ name: z.string().max(60) }) }),
])

const inline = z.discriminatedUnion('type', [
  z.object({ type: z.literal('text'), text: z.string().min(1).max(200_000), marks: z.array(mark).max(20).optional() }),
  z.object({ type: z.literal('break'), marks: z.array(mark).max(20).optional() }),
])

const paragraph = z.object({
  type: z.literal('paragraph'),
  attrs: z
    .object({
      /** 0 is plain text; 1 to 9 are levels of a list. */
      level: z.int().min(0).max(9).optional(),
      /** What of its bullet differs from that of its list; a plain text is a symbol. */
      bullet: z
        .union([z.string().max(8), bulletSchema.partial()])
        .nullable()
        .optional(),
      align: z.enum(['left', 'center', 'right']).nullable().optional(),
      /** Of a numbered line: counting begins anew with this number. */
      start: z.int().min(0).max(100_000).nullable().optional(),
      /** Of a line of a diagram: its icon, and whether it is the one that is emphasised. */
      icon: drawnIconSchema.nullable().optional(),
      highlighted: z.boolean().nullable().optional(),
    })
    .optional(),
  content: z.array(inline).max(20_000).optional(),
})

/** Text as ProseMirror JSON of our own small schema (see core/text/schema.ts). */
export const textDocSchema = z.object({ type: z.literal('doc'), content: z.array(paragraph).min(1).max(20_000) })

export type TextDoc = z.infer<typeof textDocSchema>
export type Paragraph = z.infer<typeof paragraph>
export type Inline = z.infer<typeof inline>
export type Mark = z.infer<typeof mark>
