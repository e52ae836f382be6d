import { eachRow } from '../../../../core/amounts'
import { infoOf, type Deck } from '../../../../core/model'
import { filmOrderSchema, filmSize, formatWords, type FilmOrder } from '../../../../core/formats/film'
import { readAs, refuse, requireEditor } from '../../../access'
import { deckExists } from '../../../database/decks'
import { addJob } from '../../../database/jobs'
import { tablesById } from '../../../database/tables'
import { offerJob } from '../../../jobs/queue'
import { currentDeck } from '../../../live/rooms'

/** So many films are made at one order. */
const mostFilms = 200

/** What is to be filmed: the deck, or a slide of it for each of its rows, each with what it is called beside the deck’s title. */
async function filmed(deck: Deck, { each }: FilmOrder): Promise<{ deck: Deck; name: string }[]> {
  const rows = each ? deck.slides[each]?.rows : undefined
  if (!each || !rows) return [{ deck, name: '' }]
  const [table] = await tablesById([rows.table])
  const decks = eachRow(deck, each, id => (id === table?.id ? table : undefined))
  if (!decks.length) return refuse(400, 'This slide is there for no row: its table is gone, or none of its rows counts.')
  if (decks.length > mostFilms)
    return refuse(400, `This would be ${decks.length} films; at most ${mostFilms} are made at once. Let the slide be there for fewer rows.`)
  return decks
}

/** Orders a film of a deck as it stands now, or one for each row of a slide; answers with the job of the first. */
export default defineEventHandler(async event => {
  const person = await requireEditor(event)
  const id = getRouterParam(event, 'id')!
  const asked = readAs(filmOrderSchema, await readBody(event))
  if (!(await deckExists(id))) return refuse(404, 'There is no such deck.')
  const deck = await currentDeck(id)
  const order = asked.each ? { ...asked, from: asked.each, until: asked.each } : asked
  const size = filmSize(deck, order)
  const variant = order.variant ? deck.variants[order.variant]?.name : undefined
  const jobs: string[] = []
  for (const one of await filmed(deck, order)) {
    const title = [infoOf(deck).title, variant, one.name].filter(Boolean).join(' ')
    const job = await addJob({
      kind: 'film',
      deck: id,
      person: person.id,
      name: `${title} ${size.width} × ${size.height}, ${formatWords[order.format].label}`,
      input: { order, deck: one.deck, title },
    })
    await offerJob(job)
    jobs.push(job)
  }
  return { id: jobs[0]!, films: jobs.length }
})
