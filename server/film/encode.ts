import { spawn } from 'node:child_process'
import { writeFile } from 'node:fs/promises'
import path from 'node:path'
import type { FilmOrder } from '../../core/formats/film'
import { filmParts, type FilmPart } from '../../core/timing'
import { words } from '../media/ffmpeg'
import { matroskaHead, pictureWriter } from './matroska'

export type Encoded = Exclude<FilmOrder['format'], 'stills'>

const toVideo = 'scale=in_range=full:out_range=tv:in_color_matrix=bt601:out_color_matrix=bt709,format=yuv420p'
const bt709 = ['-colorspace', 'bt709', '-color_primaries', 'bt709', '-color_trc', 'bt709', '-color_range', 'tv']

/**
 * How ffmpeg writes the pictures of each format. Parts of a film are joined as they are, so nothing in them may look ahead beyond their
 * end.
 */
function pictureCodec(format: Encoded): string[] {
  if (format === 'mp4') return ['-vf', toVideo, ...bt709, ...words('-c:v libx264 -preset veryfast -crf 20 -bf 0 -x264-params stitchable=1')]
  if (format === 'webm')
    return ['-vf', toVideo, ...bt709, ...words('-c:v libvpx-vp9 -deadline realtime -cpu-used 8 -row-mt 1 -tile-columns 2 -crf 32 -b:v 0')]
  if (format === 'gif')
    return ['-filter_complex', 'split[a][b];[a]palettegen=stats_mode=diff[p];[b][p]paletteuse=dither=bayer:bayer_scale=4', '-loop', '0']
  return words('-c:v libwebp_anim -q:v 78 -compression_level 3 -loop 0')
}
const soundCodec = (format: Encoded) => words(format === 'mp4' ? '-c:a aac -b:a 192k -movflags +faststart' : '-c:a libopus -b:a 160k')

interface Running {
  /** Hands ffmpeg some bytes of its input; resolves once it can take more. */
  write(bytes: Buffer): Promise<void>
  /** Resolves once its file is whole; rejects with what ffmpeg said. */
  end(): Promise<void>
  kill(): void
}

function run(args: readonly string[]): Running {
  const child = spawn('ffmpeg', ['-v', 'error', ...args], { stdio: ['pipe', 'ignore', 'pipe'] })
  let said = ''
  child.stderr.on('data', (part: Buffer) => {
    said = (said + part.toString()).slice(-2000)
  })
  const ended = new Promise<void>((resolve, reject) => {
    child.on('error', reject)
    child.on('close', code => (code === 0 ? resolve() : reject(new Error(said.trim() || `the encoder ended with ${code}`))))
  })
  // Whoever writes or ends hears of it; until then it has been heard here.
  ended.catch((error: Error) => {
    said ||= error.message
  })
  child.stdin.on('error', (error: Error) => {
    said ||= error.message
  })
  return {
    async write(bytes) {
      if (!child.stdin.destroyed && !child.stdin.write(bytes))
        await Promise.race([new Promise<void>(resolve => child.stdin.once('drain', () => resolve())), ended])
    },
    async end() {
      child.stdin.end()
      await ended
    },
    kill: () => void child.kill('SIGKILL'),
  }
}

export interface Encoder {
  /** Takes the next picture that is not the one before; resolves once more can be taken. */
  picture(frame: number, jpeg: Buffer): Promise<void>
  /** Resolves once the film is whole. */
  end(): Promise<void>
  kill(): void
}

export interface EncoderInput {
  format: Encoded
  rate: number
  size: { width: number; height: number }
  /** A frame each: whether it shows the picture of the frame before. */
  repeats: readonly boolean[]
  /** A WAV file, or null for none. */
  sound: string | null
  folder: string
  into: string
}

/**
 * Encodes a film of exactly so many frames. Of a long hold one second is encoded, and then stands in the film as often as it
 * lasts; animations of pictures, which need all of theirs at once, are encoded in one go.
 */
export const startEncoder = (input: EncoderInput): Encoder => new PartwiseEncoder(input)

class PartwiseEncoder implements Encoder {
  readonly #input: EncoderInput
  readonly #film: boolean
  readonly #parts: readonly FilmPart[]
  /** What the film is joined of, in order. */
  readonly #list: { file: string; frames: number }[] = []
  /** The part that is next, or under way. */
  #at = 0
  #running: { part: FilmPart; encoder: Running; writer: ReturnType<typeof pictureWriter> } | null = null
  #last: Buffer | null = null

  constructor(input: EncoderInput) {
    this.#input = input
    this.#film = input.format === 'mp4' || input.format === 'webm'
    this.#parts = this.#film ? filmParts(input.repeats, input.rate) : [{ kind: 'drawn', from: 0, until: input.repeats.length }]
  }

  async picture(frame: number, jpeg: Buffer) {
    await this.#goTo(frame)
    const part = this.#parts[this.#at]!
    const running = this.#running ?? (await this.#begin(part, frame > part.from ? this.#last : null))
    await running.writer.picture(frame - part.from, jpeg)
    this.#last = jpeg
  }

  async end() {
    const { repeats, rate, folder, format, sound, into } = this.#input
    await this.#goTo(repeats.length)
    if (!this.#film) return
    const names = path.join(folder, 'parts.txt')
    await writeFile(names, this.#list.map(({ file, frames }) => `file '${file}'\nduration ${(frames / rate).toFixed(6)}\n`).join(''))
    const heard = sound ? ['-i', sound, ...words('-map 0:v -map 1:a'), ...soundCodec(format)] : []
    const quiet = !sound && format === 'mp4' ? words('-movflags +faststart') : []
    await run([...words('-f concat -safe 0 -i'), names, ...heard, ...quiet, ...words('-c:v copy -y'), into]).end()
  }

  kill() {
    this.#running?.encoder.kill()
  }

  #fileOf(index: number) {
    return this.#film ? path.join(this.#input.folder, `part-${index}.${this.#input.format}`) : this.#input.into
  }

  /** Begins the part that is next; `first`: the picture that it opens with. */
  async #begin(part: FilmPart, first: Buffer | null) {
    const { format, rate, size } = this.#input
    const frames = framesOf(part, rate)
    const encoder = run([
      ...words('-f matroska -i -'),
      ...pictureCodec(format),
      ...words(`-fps_mode cfr -r ${rate} -frames:v ${frames} -an -y`),
      this.#fileOf(this.#at),
    ])
    const running = { part, encoder, writer: pictureWriter(rate, encoder.write) }
    this.#running = running
    await encoder.write(matroskaHead(size, rate))
    if (first) await running.writer.picture(0, first)
    return running
  }

  async #close() {
    if (!this.#running) return
    const { part, encoder, writer } = this.#running
    await writer.end(framesOf(part, this.#input.rate))
    await encoder.end()
    this.#running = null
  }

  /** Goes on to the part that a frame stands in; what lies between shows the last picture. */
  async #goTo(frame: number) {
    for (let part = this.#parts[this.#at]; part && part.until <= frame; part = this.#parts[this.#at]) {
      // A part that shows nothing new of its own is a hold, or what was left of one.
      if (part.kind === 'held' || !this.#running) await this.#begin(part, this.#last)
      await this.#close()
      const entry = { file: this.#fileOf(this.#at), frames: framesOf(part, this.#input.rate) }
      for (let time = 0; time < (part.kind === 'held' ? part.times : 1); time++) this.#list.push(entry)
      this.#at++
    }
  }
}

/** How many frames of a part are encoded: of a hold, a second. */
const framesOf = (part: FilmPart, rate: number) => (part.kind === 'held' ? rate : part.until - part.from)
