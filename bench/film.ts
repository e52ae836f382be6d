import { setRecord, applyChanges, beatsOf, slidesOf, type Deck } from '../core/model'
import { mkdtempSync, rmSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { pathToFileURL } from 'node:url'
import { writeFile } from 'node:fs/promises'
import { filmDeck, type FilmOrder } from '../core/formats/film'
import { startPostgres } from '../scripts/postgres.mjs'
import { buildIfChanged } from '../scripts/build.mjs'
import { prepareDatabase } from '../scripts/serve.mjs'
import { closeDatabase } from '../server/database/connection'
import { pageOf } from '../server/decks/offline'
import { openCaptor } from '../server/film/captor'
import { makeFilm } from '../server/film/make'
import { deckOf } from './decks'
import { finish, report } from './report'

await buildIfChanged(console.log)
const database = await startPostgres('.hailbank/bench', {})
await prepareDatabase(database.url, () => {})
process.env.DATABASE_URL = database.url
const folder = mkdtempSync(path.join(os.tmpdir(), 'hailbank-bench-'))
const order: FilmOrder = { format: 'mp4', rate: 30, shape: 'own', side: 720, captions: 'none', from: null, until: null, variant: null }

/** One slide of 12 elements, all of which move for so many seconds, and then hold. */
function filmOf(moving: number, hold: number): Deck {
  const deck = deckOf(1, 12, 12, 1)
  const slide = slidesOf(deck)[1]!.id
  return filmDeck(
    applyChanges(deck, [
      ...Object.values(deck.cues).map(cue => setRecord('cues', cue.id, { delay: 0, duration: moving })),
      ...beatsOf(deck, slide).map(beat => setRecord('beats', beat.id, { hold: { kind: 'seconds' as const, seconds: hold } })),
    ]),
    { ...order, from: slide, until: slide },
  )
}

/** Seconds that making a film takes. */
async function made(deck: Deck, name: string): Promise<number> {
  const place = path.join(folder, name)
  await import('node:fs/promises').then(fs => fs.mkdir(place))
  const start = performance.now()
  await makeFilm(deck, order, place, async () => {})
  return (performance.now() - start) / 1000
}

try {
  const seconds = 6
  const deck = filmOf(seconds, 0)
  const page = path.join(folder, 'page.html')
  await writeFile(page, await pageOf(deck, {}, 'file: data: blob:', { width: 1280, rate: 30, captions: false }))
  const captor = await openCaptor(pathToFileURL(page).href, { width: 1280, height: 720 }, path.join(folder, 'browser'))
  await captor.frame(0, 'jpeg')
  const start = performance.now()
  for (let frame = 0; frame < seconds * 30; frame++) await captor.frame(frame, 'jpeg')
  const bare = (performance.now() - start) / 1000
  captor.close()
  console.log(`        one browser alone draws ${((seconds * 30) / bare).toFixed(1)} frames a second at 1280 × 720`)
  const allMotion = await made(deck, 'motion')
  report('a film of nothing but motion, encoded, against one browser’s bare capture of its frames', allMotion / bare, 1.8, 'times')
  const long = await made(filmOf(seconds, seconds * 9), 'holds')
  report('a film of 90 % holds, ten times as long, against one of all motion', long / allMotion, 1.35, 'times')
  report('its still second, against a moving one', (100 * Math.max(0, long - allMotion)) / (seconds * 9) / (allMotion / seconds), 2, '%')
} finally {
  rmSync(folder, { recursive: true, force: true })
  await closeDatabase()
  database.stop()
}
finish()
