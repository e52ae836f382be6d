import { execFile } from 'node:child_process'
import { mkdtemp, rm, writeFile } from 'node:fs/promises'
import os from 'node:os'
import path from 'node:path'
import { promisify } from 'node:util'
import { createHash } from 'node:crypto'
import { failed, type Outcome } from '../../core/deck'
import type { MediaRow } from '../database/media'

const run = promisify(execFile)

/** What browsers play, by the type that the bytes say they are. */
export const clipTypes: Readonly<Record<string, string>> = {
  'video/mp4': 'mp4', 'video/webm': 'webm', 'audio/mpeg': 'mp3', 'audio/wav': 'wav', 'audio/vnd.wave': 'wav', 'audio/ogg': 'ogg', 'audio/opus': 'ogg', 'application/ogg': 'ogg', 'audio/flac': 'flac', 'audio/x-flac': 'flac', 'audio/x-m4a': 'm4a', 'audio/mp4': 'm4a',
}

interface Probed { format?: { duration?: string }, streams?: { codec_type: string, width?: number, height?: number }[] }

/** Looks into a film or sound: its length and size as ffprobe reads them, or a sentence. */
export async function checkClip(content: Uint8Array, name: string, type: string): Promise<Outcome<{ row: MediaRow, content: Uint8Array }>> {
  const called = `“${name.slice(0, 120)}”`
  const folder = await mkdtemp(path.join(os.tmpdir(), 'hailbank-clip-'))
  try {
    const file = path.join(folder, `clip.${clipTypes[type]}`)
    await writeFile(file, content)
    const { stdout } = await run('ffprobe', ['-v', 'error', '-protocol_whitelist', 'file', '-show_entries', 'format=duration:stream=codec_type,width,height', '-of', 'json', file], { timeout: 20_000, maxBuffer: 1 << 20 })
    const probed = JSON.parse(stdout) as Probed
    const seconds = Number(probed.format?.duration)
    const picture = probed.streams?.find(stream => stream.codec_type === 'video')
    if (!probed.streams?.length || !Number.isFinite(seconds) || seconds <= 0) return failed(`${called} holds nothing that can be played. Save it anew as MP4, WebM, WAV or MP3.`)
    const film = type.startsWith('video/') && picture
    return {
      ok: true, value: {
        content, row: {
          hash: createHash('sha256').update(content).digest('hex'), name: name.slice(0, 200), type: film || !type.startsWith('video/') ? type.replace('audio/vnd.wave', 'audio/wav').replace('application/ogg', 'audio/ogg') : type.replace('video/', 'audio/'), extension: clipTypes[type]!, bytes: content.length,
          width: film ? picture.width ?? null : null, height: film ? picture.height ?? null : null, seconds,
        },
      },
    }
  } catch {
    return failed(`${called} is damaged and cannot be played. Open it where it comes from and save it anew.`)
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
}

/** A still of a film at a third of its length, as JPEG; null where none can be made. */
export async function posterOf(content: Uint8Array, extension: string, seconds: number): Promise<Buffer | null> {
  const folder = await mkdtemp(path.join(os.tmpdir(), 'hailbank-clip-'))
  try {
    const file = path.join(folder, `clip.${extension}`)
    await writeFile(file, content)
    const { stdout } = await run('ffmpeg', ['-v', 'error', '-protocol_whitelist', 'file,pipe', '-ss', String(seconds / 3), '-i', file, '-frames:v', '1', '-f', 'image2pipe', '-c:v', 'mjpeg', '-q:v', '4', '-'], { timeout: 20_000, maxBuffer: 1 << 25, encoding: 'buffer' })
    return stdout.length ? stdout : null
  } catch {
    return null
  } finally {
    await rm(folder, { recursive: true, force: true })
  }
}
