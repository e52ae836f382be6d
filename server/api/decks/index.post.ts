import { z } from 'zod'
import { languageSchema, purposeSchema } from '../../../core/model'
import { deckOfStarter, newDeck, starterNamed } from '../../../core/layouts'
import { readAs, refuse, requireEditor } from '../../access'
import { makeDeck } from '../../decks/make'
import { newId } from '../../new-id'

const input = z.object({
  title: z.string().trim().min(1).max(300),
  purpose: purposeSchema,
  language: languageSchema.default('en'),
  starter: z.string().max(60).optional(),
})

/** Makes a deck: empty, or from a starter. Answers with its id. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const asked = readAs(input, await readBody(event))
  const id = newId()
  const starter = asked.starter ? (starterNamed(asked.starter) ?? refuse(404, 'There is no such starter.')) : null
  const deck = starter ? deckOfStarter(starter, asked, { id: newId }) : newDeck(asked, { id: newId })
  await makeDeck(id, deck, person.id)
  return { id }
})
