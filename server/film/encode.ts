import { spawn } from 'node:child_process'
import { writeFile } from 'node:fs/promises'
import path from 'node:path'
import type { FilmOrder } from '../../core/formats/film'
import { filmParts, type FilmPart } from '../../core/timing'
import { matroskaHead, pictureWriter } from './matroska'

export type Encoded = Exclude<FilmOrder['format'], 'stills'>

const toVideo = 'scale=in_range=full:out_range=tv:in_color_matrix=bt601:out_color_matrix=bt709,format=yuv420p'
const bt709 = ['-colorspace', 'bt709', '-color_primaries', 'bt709', '-color_trc', 'bt709', '-color_range', 'tv']

/**
 * How ffmpeg writes the pictures of each format. Parts of a film are joined as they are, so nothing in them may look ahead beyond their
 * end.
 */
function pictureCodec(format: Encoded): string[] {
  if (format === 'mp4')
    return ['-vf', toVideo, ...bt709, '-c:v', 'libx264', '-preset', 'veryfast', '-crf', '20', '-bf', '0', '-x264-params', 'stitchable=1']
  if (format === 'webm')
    return [
      '-vf',
      toVideo,
      ...bt709,
      '-c:v',
      'libvpx-vp9',
      '-deadline',
      'realtime',
      '-cpu-used',
      '8',
      '-row-mt',
      '1',
      '-tile-columns',
      '2',
      '-crf',
      '32',
      '-b:v',
      '0',
    ]
  if (format === 'gif')
    return ['-filter_complex', 'split[a][b];[a]palettegen=stats_mode=diff[p];[b][p]paletteuse=dither=bayer:bayer_scale=4', '-loop', '0']
  return ['-c:v', 'libwebp_anim', '-q:v', '78', '-compression_level', '3', '-loop', '0']
}
const soundCodec = (format: Encoded) =>
  format === 'mp4' ? ['-c:a', 'aac', '-b:a', '192k', '-movflags', '+faststart'] : ['-c:a', 'libopus', '-b:a', '160k']

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

export interface EncoderWish {
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
export function startEncoder({ format, rate, size, repeats, sound, folder, into }: EncoderWish): Encoder {
  const film = format === 'mp4' || format === 'webm'
  const parts: FilmPart[] = film ? filmParts(repeats, rate) : [{ kind: 'drawn', from: 0, until: repeats.length }]
  const list: { file: string; frames: number }[] = []
  let at = 0
  let running: { part: FilmPart; encoder: Running; writer: ReturnType<typeof pictureWriter> } | null = null
  let last: Buffer | null = null

  async function begin(part: FilmPart, frames: number, file: string) {
    const encoder = run([
      '-f',
      'matroska',
      '-i',
      '-',
      ...pictureCodec(format),
      '-fps_mode',
      'cfr',
      '-r',
      String(rate),
      '-frames:v',
      String(frames),
      '-an',
      '-y',
      file,
    ])
    running = { part, encoder, writer: pictureWriter(rate, encoder.write) }
    await encoder.write(matroskaHead(size, rate))
    return running
  }
  async function close() {
    if (!running) return
    const { part, encoder, writer } = running
    await writer.end(part.kind === 'held' ? rate : part.until - part.from)
    await encoder.end()
    running = null
  }
  const fileOf = (index: number) => (film ? path.join(folder, `part-${index}.${format}`) : into)

  /** Goes on to the part that a frame stands in; what lies between shows the last picture. */
  async function goTo(frame: number) {
    while (at < parts.length && parts[at]!.until <= frame) {
      const part = parts[at]!
      if (part.kind === 'held') {
        const unit = await begin(part, rate, fileOf(at))
        await unit.writer.picture(0, last!)
        await close()
        for (let time = 0; time < part.times; time++) list.push({ file: fileOf(at), frames: rate })
      } else {
        // A part that shows nothing new of its own is what was left of a hold.
        if (!running) await (await begin(part, part.until - part.from, fileOf(at))).writer.picture(0, last!)
        await close()
        list.push({ file: fileOf(at), frames: part.until - part.from })
      }
      at++
    }
  }
  return {
    async picture(frame, jpeg) {
      await goTo(frame)
      const part = parts[at]!
      if (!running) {
        const begun = await begin(part, part.until - part.from, fileOf(at))
        if (frame > part.from && last) await begun.writer.picture(0, last)
      }
      await running!.writer.picture(frame - part.from, jpeg)
      last = jpeg
    },
    async end() {
      await goTo(repeats.length)
      if (!film) return
      const names = path.join(folder, 'parts.txt')
      await writeFile(names, list.map(({ file, frames }) => `file '${file}'\nduration ${(frames / rate).toFixed(6)}\n`).join(''))
      const joined = run([
        '-f',
        'concat',
        '-safe',
        '0',
        '-i',
        names,
        ...(sound
          ? ['-i', sound, '-map', '0:v', '-map', '1:a', ...soundCodec(format)]
          : format === 'mp4'
            ? ['-movflags', '+faststart']
            : []),
        '-c:v',
        'copy',
        '-y',
        into,
      ])
      await joined.end()
    },
    kill: () => running?.encoder.kill(),
  }
}
