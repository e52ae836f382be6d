import { infoOf } from '../../../../core/model'
import { filmOrderSchema, filmSize, formatWords } from '../../../../core/formats/film'
import { readAs, refuse, requireEditor } from '../../../access'
import { deckExists } from '../../../database/decks'
import { addJob } from '../../../database/jobs'
import { offerJob } from '../../../jobs/queue'
import { currentDeck } from '../../../live/rooms'

/** Orders a film of a deck as it stands now. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const id = getRouterParam(event, 'id')!
  const order = readAs(filmOrderSchema, await readBody(event))
  if (!(await deckExists(id))) return refuse(404, 'There is no such deck.')
  const deck = await currentDeck(id)
  const size = filmSize(deck, order)
  const variant = order.variant ? deck.variants[order.variant]?.name : undefined
  const title = [infoOf(deck).title, variant].filter(Boolean).join(' ')
  const job = await addJob({
    kind: 'film',
    deck: id,
    person: person.id,
    name: `${title} ${size.width} × ${size.height}, ${formatWords[order.format].label}`,
    input: { order, deck, title },
  })
  await offerJob(job)
  return { id: job }
})
