import { closeDatabase, database } from '../server/database/connection'
import { keepMedia } from '../server/database/media'
import { addPerson } from '../server/database/people'
import { addLoop, setLoopItems } from '../server/database/screens'
import { keepTable } from '../server/database/tables'
import { makeDeck } from '../server/decks/make'
import { publishDeck } from '../server/decks/publish'
import { checkPicture } from '../server/media/check'
import { newId } from '../server/new-id'
import { hashOf } from '../server/passwords'
import { briefing, hallLoop, tenSeasons } from './decks'
import { makePictures } from './pictures'
import { crossings, punctuality, sailings } from './tables'

const people = [
  { name: 'Ines Rahm', email: 'ines@velmoor.example', role: 'editor' },
  { name: 'Tomas Marr', email: 'tomas@velmoor.example', role: 'editor' },
  { name: 'Vera Holm', email: 'vera@velmoor.example', role: 'viewer' },
] as const

const screens = [
  ['screen-hall', 'Hall, above the desk', 'loop-hall'], ['screen-quay', 'Quay 2 gate', 'loop-hall'], ['screen-cafe', 'Café wall', 'loop-quiet'],
  ['screen-ticket', 'Ticket window', 'loop-hall'], ['screen-lanes', 'Car lanes totem', null], ['screen-crew', 'Crew room', null],
] as const

/** Puts the harbour into a database in which nobody is yet. */
async function load() {
  const [{ count }] = await database()<[{ count: number }]>`select count(*)::int as count from people`
  if (count > 0) return
  console.log('  loading the demo: Velmoor Harbour')
  const passwordHash = await hashOf('harbour-demo')
  const [ines] = await Promise.all(people.map(person => addPerson({ ...person, passwordHash })))
  const author = ines!.id
  for (const table of [crossings(), punctuality(), sailings()]) await keepTable(table, author)
  const pictures = []
  for (const { name, bytes } of await makePictures()) {
    const checked = await checkPicture(bytes, name)
    if (!checked.ok) throw new Error(checked.message)
    await keepMedia(checked.value.row, checked.value.content, author)
    pictures.push({ hash: checked.value.row.hash, width: checked.value.row.width!, height: checked.value.row.height! })
  }
  const hall = hallLoop(pictures)
  const film = tenSeasons(pictures)
  await makeDeck('demo-hall', hall, author)
  await makeDeck('demo-seasons', film, author)
  await makeDeck('demo-briefing', briefing(pictures), author)
  await publishDeck('demo-hall', hall, author)
  await publishDeck('demo-seasons', film, author)
  await addLoop('loop-hall', 'Hall loop')
  await addLoop('loop-quiet', 'Sea and slow loop')
  await setLoopItems('loop-hall', [{ id: newId(), deck: 'demo-hall' }])
  await setLoopItems('loop-quiet', [{ id: newId(), deck: 'demo-seasons' }, { id: newId(), deck: 'demo-hall' }])
  const sql = database()
  for (const [id, name, loop] of screens) await sql`insert into screens (id, name, token, loop) values (${id}, ${name}, ${newId() + newId()}, ${loop})`
}

await load().finally(closeDatabase)
