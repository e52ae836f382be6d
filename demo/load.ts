import { themeDeckOf } from '../core/themes'
import { database } from '../server/database/connection'
import { changeMedia, soundOf } from '../server/database/media'
import { addPerson } from '../server/database/people'
import { addLoop, setLoopItems } from '../server/database/screens'
import { sourceById } from '../server/database/sources'
import { keepTable } from '../server/database/tables'
import { makeBySteps } from '../server/tables/made'
import { addVersion, makeSource } from '../server/tables/sources'
import { boardingsByShore, boardingsWithoutStops, officeTables } from './office-tables'
import { keepTheme } from '../server/database/themes'
import { makeDeck } from '../server/decks/make'
import { publishDeck } from '../server/decks/publish'
import { checkUpload } from '../server/media/check'
import { keepChecked } from '../server/media/keep'
import { newId, newToken } from '../server/new-id'
import { hashOf } from '../server/passwords'
import { fourRoutes } from './routes'
import { briefing, hallLoop, routeRace, seasonReview, seasonsVoice, tenSeasons, type DemoPicture } from './decks'
import { makeClips } from './clips'
import { makeIllustrations } from './illustrations'
import { makeLogo } from './logo'
import { makePictures } from './pictures'
import { voiceOf } from './voice'
import { crossings, punctuality, sailings } from './tables'

const people = [
  { name: 'Ines Rahm', email: 'ines@velmoor.example', role: 'admin' },
  { name: 'Tomas Marr', email: 'tomas@velmoor.example', role: 'editor' },
  { name: 'Vera Holm', email: 'vera@velmoor.example', role: 'viewer' },
] as const

const screens = [
  ['screen-hall', 'Hall, above the desk', 'loop-hall'],
  ['screen-quay', 'Quay 2 gate', 'loop-hall'],
  ['screen-cafe', 'Café wall', 'loop-quiet'],
  ['screen-ticket', 'Ticket window', 'loop-hall'],
  ['screen-lanes', 'Car lanes totem', null],
  ['screen-crew', 'Crew room', null],
] as const

/** Whether there is something to do: nobody is there yet, or loading was broken off before anybody could see it. */
async function begin(): Promise<boolean> {
  const sql = database()
  const [{ count }] = await sql<[{ count: number }]>`select count(*)::int as count from people`
  const marks = (await sql<{ name: string }[]>`select name from migrations where name like 'demo %'`).map(row => row.name)
  if (marks.includes('demo begun') && !marks.includes('demo loaded')) {
    // What is half there goes, and it begins again.
    await sql`truncate people, decks, data_tables, media, loops, screens, themes, pieces, jobs cascade`
  } else if (count > 0) return false
  await sql`insert into migrations (name) values ('demo begun') on conflict do nothing`
  return true
}

/** A file as the harbour's desk would bring it. */
interface Brought {
  name: string
  bytes: Uint8Array
  folder?: string
  tags?: string[]
}

async function keepFile({ name, bytes, folder = 'Harbour', tags = [] }: Brought, author: string): Promise<DemoPicture> {
  const checked = await checkUpload(bytes, name)
  if (!checked.ok) throw new Error(checked.message)
  const { row } = checked.value
  await keepChecked(checked.value, author)
  await changeMedia(row.hash, {
    folder,
    tags,
    credit: row.type.startsWith('image/') ? 'Pictures: harbour desk, Velmoor' : 'Sound and film: harbour desk, Velmoor',
    rights: 'Made by the harbour’s own desk; free within the harbour.',
  })
  return { hash: row.hash, width: row.width!, height: row.height! }
}

/** Pictures, clips, sounds and the logo. */
async function loadMedia(author: string) {
  const keep = (file: Brought) => keepFile(file, author)
  let bed = ''
  for (const one of [...(await makeClips()), ...(await makeIllustrations())]) {
    const { hash } = await keep(one)
    if (one.name.startsWith('Quiet bed')) bed = hash
  }
  const voice = (await keep({ name: 'Voice of the seasons.wav', folder: 'Voices', tags: ['voice'], bytes: voiceOf(seasonsVoice, 77) })).hash
  const peaks = (await soundOf(voice))!.peaks!
  const pictures: DemoPicture[] = []
  for (const picture of await makePictures()) pictures.push(await keep({ ...picture, tags: ['photograph'] }))
  const formOf = async (form: 'light' | 'dark') => {
    const { hash, width, height } = await keep({ ...makeLogo(form), folder: 'Logo', tags: ['logo'] })
    return { media: hash, natural: { width, height } }
  }
  const logo = { onLight: await formOf('light'), onDark: await formOf('dark'), clear: 0.3, least: 40 }
  return { pictures, logo, bed, voice: { hash: voice, peaks } }
}

async function loadDecks(author: string) {
  const { pictures, logo, bed, voice } = await loadMedia(author)
  const hall = hallLoop(pictures)
  const film = tenSeasons(pictures, logo, { bed, voice })
  const talk = briefing(pictures, logo)
  await makeDeck('demo-routes', fourRoutes(pictures, logo), author)
  await makeDeck('demo-race', routeRace(logo), author)
  await makeDeck('demo-review', seasonReview(), author)
  await makeDeck('demo-hall', hall, author)
  await makeDeck('demo-seasons', film, author)
  await makeDeck('demo-briefing', talk, author)
  await keepTheme({ id: 'theme-harbour', name: 'Velmoor Harbour', content: themeDeckOf(talk, 'Velmoor Harbour'), person: author })
  await publishDeck('demo-hall', hall, author)
  await publishDeck('demo-seasons', film, author)
}

async function loadScreens() {
  await addLoop('loop-hall', 'Hall loop')
  await addLoop('loop-quiet', 'Sea and slow loop')
  await setLoopItems('loop-hall', [{ id: newId(), deck: 'demo-hall' }])
  await setLoopItems('loop-quiet', [
    { id: newId(), deck: 'demo-seasons' },
    { id: newId(), deck: 'demo-hall' },
  ])
  for (const [id, name, loop] of screens)
    await database()`insert into screens (id, name, token, loop) values (${id}, ${name}, ${newToken()}, ${loop})`
}

async function loadOfficeTables(person: string) {
  const bytes = (text: string) => new TextEncoder().encode(text)
  for (const { id, fileName, text } of officeTables()) await makeSource(bytes(text), fileName, person, id)
  const next = boardingsWithoutStops()
  await addVersion((await sourceById(next.id))!, bytes(next.text), next.fileName, person)
  await makeBySteps((await sourceById('demo-by-day'))!, 'Boardings by shore', boardingsByShore, person, 'demo-by-shore')
}

/** Puts the harbour into a database in which nobody is yet. */
export async function loadDemo() {
  if (!(await begin())) return
  console.log('  loading the demo: Velmoor Harbour')
  const passwordHash = await hashOf('harbour-demo')
  const [ines] = await Promise.all(people.map(person => addPerson({ ...person, passwordHash })))
  for (const table of [crossings(), punctuality(), sailings()]) await keepTable(table, ines!.id)
  await loadOfficeTables(ines!.id)
  await loadDecks(ines!.id)
  await loadScreens()
  await database()`insert into migrations (name) values ('demo loaded') on conflict do nothing`
}
