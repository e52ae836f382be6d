import { z } from 'zod'
import { idSchema } from '../../../core/values'
import { themeDeckOf } from '../../../core/themes'
import { readAs, refuse, requireEditor } from '../../access'
import { deckExists } from '../../database/decks'
import { keepTheme } from '../../database/themes'
import { currentDeck } from '../../live/rooms'
import { newId } from '../../new-id'

const input = z.object({ deck: idSchema, name: z.string().trim().min(1).max(120), replaces: idSchema.optional() })

/** Keeps a deck's look as a theme on the shelf, as a new one or in place of one that is there. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const asked = readAs(input, await readBody(event))
  if (!(await deckExists(asked.deck))) return refuse(404, 'There is no such deck.')
  const id = asked.replaces ?? newId()
  await keepTheme({ id, name: asked.name, content: themeDeckOf(await currentDeck(asked.deck), asked.name), person: person.id })
  return { id }
})
