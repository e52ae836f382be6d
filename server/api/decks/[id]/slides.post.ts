import { z } from 'zod'
import { takeSlides } from '../../../../core/edits'
import { onlySlides, slidesOf } from '../../../../core/model'
import { idSchema } from '../../../../core/values'
import { readAs, refuse, requireEditor } from '../../../access'
import { deckExists } from '../../../database/decks'
import { currentDeck, roomOf } from '../../../live/rooms'
import { newId } from '../../../new-id'

const input = z.object({ from: idSchema, slides: z.array(idSchema).min(1).max(5000), look: z.enum(['ours', 'theirs']) })

/** Copies slides of one deck to the end of another. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const id = getRouterParam(event, 'id')!
  const asked = readAs(input, await readBody(event))
  if (!(await deckExists(id)) || !(await deckExists(asked.from))) return refuse(404, 'There is no such deck.')
  const from = onlySlides(await currentDeck(asked.from), asked.slides)
  if (!slidesOf(from).length) return refuse(404, 'These slides are gone from their deck.')
  const room = await roomOf(id)
  const deck = room.deck()
  await room.apply(takeSlides(deck, { from, after: slidesOf(deck).at(-1)?.id ?? null, look: asked.look }, { id: newId }), person)
  return { slides: slidesOf(from).length }
})
