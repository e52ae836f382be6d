import { z } from 'zod'
import { languageSchema, purposeSchema } from '../../../core/deck'
import { newDeck } from '../../../core/layouts'
import { readAs, requireEditor } from '../../access'
import { makeDeck } from '../../decks/make'
import { newId } from '../../new-id'

const wish = z.object({ title: z.string().trim().min(1).max(300), purpose: purposeSchema, language: languageSchema.default('en') })

export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const asked = readAs(wish, await readBody(event))
  const id = newId()
  await makeDeck(id, newDeck(asked, { id: newId }), person.id)
  return { id }
})
