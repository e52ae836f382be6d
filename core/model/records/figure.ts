import { z } from 'zod'
import { colorSchema } from '../../values'

/** How a drawn person looks: body, hair, clothes, colours of roles or of their own. */
export const figureLookSchema = z.object({
  body: z.enum(['slim', 'medium', 'broad', 'child']),
  skin: colorSchema,
  hair: z.object({ style: z.enum(['none', 'short', 'side', 'bob', 'long', 'bun', 'curls', 'cap', 'scarf']), color: colorSchema }),
  beard: z.boolean().optional(),
  glasses: z.boolean().optional(),
  top: z.object({ style: z.enum(['shirt', 'short sleeves', 'jacket', 'coat', 'dress', 'vest']), color: colorSchema }),
  /** What shows under a jacket or vest. */
  under: colorSchema.optional(),
  bottom: z.object({ style: z.enum(['trousers', 'shorts', 'skirt']), color: colorSchema }),
  shoes: colorSchema,
})

export type FigureLook = z.infer<typeof figureLookSchema>
