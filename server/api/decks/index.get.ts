import { z } from 'zod'
import { purposeSchema } from '../../../core/model'
import { readAs, requireViewer } from '../../access'
import { countDecks, deckOrders, findDecks } from '../../database/decks'

const query = z.object({
  find: z.string().max(200).default(''),
  folder: z.string().max(120).optional(),
  purpose: purposeSchema.optional(),
  mine: z.stringbool().default(false),
  removed: z.stringbool().default(false),
  by: z.enum(deckOrders).default('changed'),
  from: z.coerce.number().int().min(0).max(1_000_000).default(0),
  count: z.coerce.number().int().min(1).max(100).default(24),
})

/** The decks of the team by words, folder, purpose and whose they are, some at a time, with what cards show; and how many are where. */
export default defineEventHandler(async event => {
  const person = await requireViewer(event)
  const { mine, ...asked } = readAs(query, getQuery(event))
  const [{ total, decks: items }, counts] = await Promise.all([findDecks({ ...asked, owner: mine ? person.id : undefined }), countDecks()])
  return { total, items, counts }
})
