import { spawn } from 'node:child_process'
import type { FilmOrder } from '../../core/formats/film'

const toVideo = 'scale=in_range=full:out_range=tv:in_color_matrix=bt601:out_color_matrix=bt709,format=yuv420p'
const bt709 = ['-colorspace', 'bt709', '-color_primaries', 'bt709', '-color_trc', 'bt709', '-color_range', 'tv']

/** How ffmpeg writes each format, from the pictures on its input and the sound beside them. */
function codecs(format: Exclude<FilmOrder['format'], 'stills'>): string[] {
  if (format === 'mp4') return ['-vf', toVideo, ...bt709, '-c:v', 'libx264', '-preset', 'veryfast', '-crf', '20', '-c:a', 'aac', '-b:a', '192k', '-movflags', '+faststart']
  if (format === 'webm') return ['-vf', toVideo, ...bt709, '-c:v', 'libvpx-vp9', '-deadline', 'realtime', '-cpu-used', '8', '-row-mt', '1', '-tile-columns', '2', '-crf', '32', '-b:v', '0', '-c:a', 'libopus', '-b:a', '160k']
  if (format === 'gif') return ['-filter_complex', 'split[a][b];[a]palettegen=stats_mode=diff[p];[b][p]paletteuse=dither=bayer:bayer_scale=4', '-loop', '0']
  return ['-c:v', 'libwebp_anim', '-q:v', '78', '-compression_level', '3', '-loop', '0']
}

export interface Encoder {
  /** Hands ffmpeg some bytes of its input; resolves once it can take more. */
  write(bytes: Buffer): Promise<void>
  /** Resolves once the file is whole; rejects with what ffmpeg said. */
  end(): Promise<void>
  kill(): void
}

/** Encodes pictures that come as Matroska to a film of exactly so many frames. */
export function startEncoder(order: { format: Exclude<FilmOrder['format'], 'stills'>, rate: number, frames: number, sound: string | null, into: string }): Encoder {
  const { format, rate, frames, sound, into } = order
  const heard = sound && (format === 'mp4' || format === 'webm')
  const child = spawn('ffmpeg', [
    '-v', 'error', '-f', 'matroska', '-i', '-', ...(heard ? ['-i', sound] : []), ...codecs(format),
    '-fps_mode', 'cfr', '-r', String(rate), '-frames:v', String(frames), ...(heard ? ['-map', '0:v', '-map', '1:a', '-shortest'] : ['-an']), '-y', into,
  ], { stdio: ['pipe', 'ignore', 'pipe'] })
  let said = ''
  child.stderr.on('data', (part: Buffer) => { said = (said + part.toString()).slice(-2000) })
  const ended = new Promise<void>((resolve, reject) => {
    child.on('error', reject)
    child.on('close', code => (code === 0 ? resolve() : reject(new Error(said.trim() || `the encoder ended with ${code}`))))
  })
  ended.catch(() => {})
  child.stdin.on('error', () => {})
  return {
    async write(bytes) {
      if (!child.stdin.destroyed && !child.stdin.write(bytes)) await Promise.race([new Promise<void>(resolve => child.stdin.once('drain', () => resolve())), ended])
    },
    async end() {
      child.stdin.end()
      await ended
    },
    kill: () => void child.kill('SIGKILL'),
  }
}
