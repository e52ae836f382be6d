import { createWriteStream } from 'node:fs'
import { readFile, writeFile } from 'node:fs/promises'
import path from 'node:path'
import { pathToFileURL } from 'node:url'
import { strToU8, zipSync } from 'fflate'
import { mediaOf, type Deck } from '../../core/model'
import { filmDeck, filmSize, longestAnimation, type FilmOrder } from '../../core/formats/film'
import { writeSrt, writeVtt } from '../../core/formats/subtitles'
import { mediaByHash, mediaBytes } from '../database/media'
import { pageOf } from '../decks/offline'
import { openCaptor, type Captor, type FilmOutline } from './captor'
import { startEncoder, type Encoded } from './encode'
import { log } from '../log'
import { DecoderError, given, runDecoder } from '../media/ffmpeg'
import { packetsOf } from '../media/packets'
import { mixSound } from './mix'
import { Refused, type Progress } from '../jobs/progress'

/** Browsers that draw at once: a second one is worth half of the first, a third hardly anything. */
const captors = 2
/** Pictures that may be drawn ahead of the encoder. */
const ahead = 24

/** A film with longer stretches between its key frames, seconds, is slow to seek in: each picture would decode so much. */
const mostKeyGap = 0.5

/** A film's pictures with many key frames, at the same moments: the film itself where it has them already, or cannot be read. */
async function quickToSeek(file: string): Promise<string> {
  if (((await packetsOf(file, 'v:0'))?.keyGap ?? 0) <= mostKeyGap) return file
  const made = `${file}.quick.mp4`
  try {
    await runDecoder(
      'ffmpeg',
      [
        '-v',
        'error',
        '-nostdin',
        ...given(file),
        '-map',
        '0:v:0',
        '-an',
        '-c:v',
        'libx264',
        '-preset',
        'ultrafast',
        '-crf',
        '8',
        '-g',
        '6',
        '-bf',
        '0',
        '-pix_fmt',
        'yuv420p',
        '-fps_mode',
        'passthrough',
        '-enc_time_base',
        'demux',
        '-y',
        made,
      ],
      [path.dirname(file)],
      { timeout: 3600_000 },
    )
    return made
  } catch (error) {
    if (!(error instanceof DecoderError)) throw error
    log.warn({ err: error }, 'a film could not be made quick to seek in; it is used as it is')
    return file
  }
}

/** Writes the deck's page and media into a folder; answers with where each media file lies. */
export async function writeFilmPage(deck: Deck, order: FilmOrder, folder: string): Promise<{ page: string; files: Map<string, string> }> {
  const files = new Map<string, string>()
  const media: Record<string, string> = {}
  for (const hash of mediaOf(deck)) {
    const row = await mediaByHash(hash)
    if (!row) continue
    const file = path.join(folder, `${hash}.${row.extension}`)
    const output = createWriteStream(file)
    const failed = new Promise<never>((_, reject) => output.on('error', reject))
    // Heard by the writing below; a failure after it was all written is one of closing, and the film fails on the file.
    failed.catch((error: unknown) => log.warn({ media: hash, err: error }, 'a file for a film was not written'))
    for await (const part of mediaBytes(hash, 0, row.bytes - 1))
      if (!output.write(part)) await Promise.race([new Promise<void>(resolve => output.once('drain', () => resolve())), failed])
    await Promise.race([new Promise<void>(resolve => output.end(() => resolve())), failed])
    files.set(hash, file)
    media[hash] = path.basename(row.type.startsWith('video/') ? await quickToSeek(file) : file)
  }
  const page = path.join(folder, 'film.html')
  await writeFile(
    page,
    await pageOf(deck, media, 'file: data: blob:', {
      width: filmSize(deck, { shape: 'own', side: order.side }).width,
      rate: order.rate,
      captions: order.captions === 'picture',
    }),
  )
  return { page, files }
}

/** Draws frames by several captors, hands them on in order, at most `ahead` of whoever takes them. */
async function* drawn(pages: readonly Captor[], frames: readonly number[]): AsyncGenerator<{ frame: number; jpeg: Buffer }> {
  const made = new Map<number, Promise<Buffer>>()
  let next = 0
  let waiting: (() => void)[] = []
  const wake = () => {
    const woken = waiting
    waiting = []
    for (const go of woken) go()
  }
  let stopped = false
  let taken = 0
  const settle = new Map<number, { resolve(jpeg: Buffer): void; reject(error: unknown): void }>()
  for (const index of frames.keys()) {
    const promise = new Promise<Buffer>((resolve, reject) => settle.set(index, { resolve, reject }))
    // Thrown where its frame is taken, which may be later or never.
    promise.catch((_error: unknown) => {})
    made.set(index, promise)
  }
  const room = () => new Promise<void>(resolve => waiting.push(resolve))
  const workers = pages.map(async page => {
    while (!stopped && next < frames.length) {
      const index = next++
      while (!stopped && index >= taken + ahead) await room()
      if (stopped) return
      try {
        settle.get(index)!.resolve(await page.frame(frames[index]!, 'jpeg'))
      } catch (error) {
        settle.get(index)!.reject(error)
        return
      }
    }
  })
  try {
    for (const [index, frame] of frames.entries()) {
      const jpeg = await made.get(index)!
      made.delete(index)
      settle.delete(index)
      taken = index + 1
      wake()
      yield { frame, jpeg }
    }
  } finally {
    stopped = true
    wake()
    await Promise.allSettled(workers)
  }
}

/** Makes a film of a deck in a folder; answers with its file. */
export async function makeFilm(deck: Deck, order: FilmOrder, folder: string, progress: Progress): Promise<string> {
  const shown = filmDeck(deck, order)
  const size = filmSize(deck, order)
  await progress(0, 0, 'Laying out')
  const { page, files } = await writeFilmPage(shown, order, folder)
  const pages: Captor[] = []
  const open = async () => {
    const captor = await openCaptor(pathToFileURL(page).href, size, path.join(folder, `browser-${pages.length}`))
    pages.push(captor)
    return captor
  }
  try {
    const first = await open()
    const outline = await first.outline()
    if (!(outline.sounds.length > 0)) throw new Refused('No slide of it is played, so there is nothing to film. Choose other slides.')
    if (order.format === 'stills') return await makeStills(first, outline, order, folder, progress)
    if ((order.format === 'gif' || order.format === 'webp') && outline.sounds.length > longestAnimation)
      throw new Refused(
        `It runs ${Math.round(outline.sounds.length)} s. An animation of pictures may run ${longestAnimation} s: choose fewer ` +
          'slides, or MP4.',
      )
    const frames = Array.from({ length: outline.frames }, (_, frame) => frame).filter(frame => outline.repeats[frame] !== '1')
    if (frames.length > 60) while (pages.length < captors) await open()
    const film = await encodeFilm({ ...order, format: order.format }, { outline, frames, pages, size, files }, folder, progress)
    return order.captions === 'beside' && outline.captions.length ? await withCaptions(film, outline, folder) : film
  } finally {
    for (const captor of pages) captor.close()
  }
}

/** What a film is made of: its outline, the frames that are drawn, the pages that draw them, and the files that it is heard from. */
interface Footage {
  outline: FilmOutline
  frames: number[]
  pages: Captor[]
  size: { width: number; height: number }
  files: ReadonlyMap<string, string>
}

/** Draws and encodes; answers with the film's file. */
async function encodeFilm(order: FilmOrder & { format: Encoded }, footage: Footage, folder: string, progress: Progress): Promise<string> {
  const { outline, frames, pages, size, files } = footage
  await progress(0, outline.frames, 'Mixing the sound')
  const silent = order.format === 'gif' || order.format === 'webp'
  const sound = silent ? null : await mixSound(outline.sounds, outline.frames / order.rate, media => files.get(media), folder)
  const into = path.join(folder, `film.${order.format}`)
  const repeats = Array.from(outline.repeats, sign => sign === '1')
  const encoder = startEncoder({ format: order.format, rate: order.rate, size, repeats, sound, folder, into })
  try {
    for await (const { frame, jpeg } of drawn(pages, frames)) {
      await encoder.picture(frame, jpeg)
      await progress(frame + 1, outline.frames, 'Drawing')
    }
    await progress(outline.frames, outline.frames, 'Finishing the file')
    await encoder.end()
  } catch (error) {
    encoder.kill()
    throw error
  }
  return into
}

/** A film and its captions beside it, zipped. */
async function withCaptions(film: string, outline: FilmOutline, folder: string): Promise<string> {
  const zip = path.join(folder, 'film.zip')
  await writeFile(
    zip,
    zipSync({
      [path.basename(film)]: [new Uint8Array(await readFile(film)), { level: 0 }],
      'captions.vtt': strToU8(writeVtt(outline.captions)),
      'captions.srt': strToU8(writeSrt(outline.captions)),
    }),
  )
  return zip
}

/** A picture of every beat once all that moves in it has moved, zipped. */
async function makeStills(page: Captor, outline: FilmOutline, order: FilmOrder, folder: string, progress: Progress): Promise<string> {
  const entries: Record<string, [Uint8Array, { level: 0 }]> = {}
  for (const [index, { slide, beat, frame }] of outline.beats.entries()) {
    entries[`slide-${String(slide).padStart(3, '0')}-beat-${String(beat).padStart(2, '0')}.png`] = [
      new Uint8Array(await page.frame(frame, 'png')),
      { level: 0 },
    ]
    await progress(index + 1, outline.beats.length, 'Drawing')
  }
  const file = path.join(folder, 'stills.zip')
  await writeFile(file, zipSync(entries))
  return file
}
