/**
 * What every demo deck shows at many moments, so that two states of the code can be told apart:
 *
 *     npm run moments -- keep before.json      # in the one
 *     npm run moments -- compare before.json   # in the other
 *
 * Of each deck 200 frames, spread over its rundown as a film, are kept as the numbers that `frameAt` answers with, and 200 pictures, shared
 * out among the decks, as a digest of the PNG that the stage draws. `compare` prints each moment that differs, and fails if any does.
 * Pictures need Chromium and ffmpeg, and the same machine for both states; `--frames` leaves them out.
 */
import { createHash } from 'node:crypto'
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { pathToFileURL } from 'node:url'
import { mediaOf, type Deck } from '../core/model'
import { inkOf } from '../core/drawing'
import { tablesOf } from '../core/formats/deck-file'
import { frameAt, momentAt, rundown, type TimingContext } from '../core/timing'
import { closeDatabase } from '../server/database/connection'
import { nameDecks, snapshotOf } from '../server/database/decks'
import { mediaLengths } from '../server/database/media'
import { tablesById } from '../server/database/tables'
import { inkBookOf } from '../server/decks/ink'
import { openCaptor } from '../server/film/captor'
import { writeFilmPage } from '../server/film/make'
import { serverMeasurer } from '../server/measure/measurer'
import { buildIfChanged } from './build.mjs'
import { startPostgres } from './postgres.mjs'
import { prepareDatabase } from './serve.mjs'

const frames = 200
const pictures = 200
const rate = 25

interface Kept {
  deck: string
  records: string
  frames: string[]
  pictures: Record<number, string>
}

const digest = (content: string | Buffer) => createHash('sha256').update(content).digest('hex').slice(0, 16)
/** As JSON, maps as their entries and sets as their values. */
const written = (value: unknown) =>
  JSON.stringify(value, (_, part: unknown) => (part instanceof Map || part instanceof Set ? [...part] : part))

async function framesOf(deck: Deck): Promise<string[]> {
  const [tables, lengths] = [await tablesById(tablesOf(deck)), await mediaLengths(mediaOf(deck))]
  const context: TimingContext = {
    measurer: serverMeasurer(),
    table: id => tables.find(table => table.id === id),
    mediaLength: hash => lengths[hash],
    ink: inkOf(await inkBookOf(deck, tables, lengths)),
  }
  const plan = rundown(deck, 'film', context)
  const scores = new Map(plan.slides.map(({ slide, score }) => [slide, score]))
  return Array.from({ length: frames }, (_, index) => {
    const moment = momentAt(plan, (plan.length * index) / frames)!
    return digest(written([moment, frameAt(scores.get(moment.slide)!, moment)]))
  })
}

async function picturesOf(deck: Deck, count: number): Promise<Record<number, string>> {
  const folder = mkdtempSync(path.join(os.tmpdir(), 'hailbank-moments-'))
  try {
    const { page } = await writeFilmPage(
      deck,
      { format: 'mp4', side: 540, rate, captions: 'none', shape: 'own', from: null, until: null, variant: null },
      folder,
    )
    const captor = await openCaptor(pathToFileURL(page).href, { width: 960, height: 540 }, folder)
    try {
      const outline = await captor.outline()
      const made: Record<number, string> = {}
      for (let index = 0; index < count; index++) {
        const frame = Math.floor((outline.frames * index) / count)
        made[frame] = digest(await captor.frame(frame, 'png'))
      }
      return made
    } finally {
      captor.close()
    }
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

async function look(withPictures: boolean): Promise<Kept[]> {
  const home = '.hailbank/moments'
  mkdirSync(home, { recursive: true })
  if (withPictures) await buildIfChanged(console.log)
  const cluster = await startPostgres(home, { fresh: true })
  process.env.DATABASE_URL = cluster.url
  try {
    await prepareDatabase(cluster.url, () => {})
    const kept: Kept[] = []
    const decks = (await nameDecks()).map(({ id }) => id).sort()
    for (const id of decks) {
      const deck = (await snapshotOf(id))!
      kept.push({
        deck: id,
        records: digest(written(deck)),
        frames: await framesOf(deck),
        pictures: withPictures ? await picturesOf(deck, Math.ceil(pictures / decks.length)) : {},
      })
      console.log(`  ${id}: ${frames} frames, ${Object.keys(kept.at(-1)!.pictures).length} pictures`)
    }
    return kept
  } finally {
    await closeDatabase()
    await cluster.stop()
  }
}

function differences(before: readonly Kept[], after: readonly Kept[]): string[] {
  return before.flatMap(was => {
    const is = after.find(({ deck }) => deck === was.deck)
    if (!is) return [`${was.deck}: it is not there any more`]
    return [
      ...(was.records === is.records ? [] : [`${was.deck}: its records`]),
      ...was.frames.flatMap((frame, index) => (frame === is.frames[index] ? [] : [`${was.deck}: frame ${index} of ${frames}`])),
      ...Object.entries(is.pictures).flatMap(([frame, picture]) =>
        was.pictures[Number(frame)] === picture ? [] : [`${was.deck}: the picture of film frame ${frame}`],
      ),
    ]
  })
}

const [verb, file, ...how] = process.argv.slice(2)
if (!file || (verb !== 'keep' && verb !== 'compare')) {
  console.error('Say what to do: npm run moments -- keep FILE, or npm run moments -- compare FILE.')
  process.exit(2)
}
const now = await look(!how.includes('--frames'))
if (verb === 'keep') {
  writeFileSync(file, JSON.stringify(now, null, 1))
} else {
  const found = differences(JSON.parse(readFileSync(file, 'utf8')) as Kept[], now)
  for (const one of found) console.log(one)
  console.log(
    found.length
      ? `${found.length} moments differ.`
      : `${now.length} decks show the same, at ${frames} moments and ` +
          `${now.reduce((sum, { pictures }) => sum + Object.keys(pictures).length, 0)} pictures.`,
  )
  process.exitCode = found.length ? 1 : 0
}
