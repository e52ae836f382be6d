import { stat } from 'node:fs/promises'
import path from 'node:path'
import { dropJobFile, writeJobFile } from '../database/job-files'
import { changeMedia, keepPeaks, type MediaRow } from '../database/media'
import { Refused, type Progress } from '../jobs/progress'
import { hashOfFile } from './hash-file'
import { probe, type Probe } from './clip'
import { DecoderError, given, startDecoder, words } from './ffmpeg'
import { peaksOf } from './listen'

/** Whether browsers play a file as it is, and seek in it exactly. */
export function isPlayable({ seconds, picture, sound }: Probe, type: string): boolean {
  if (seconds === null) return false
  if (!picture) return type.startsWith('audio/')
  const heard = sound?.codec ?? ''
  if (!picture.steady || !['yuv420p', 'yuvj420p'].includes(picture.pixels)) return false
  if (type === 'video/mp4') return picture.codec === 'h264' && ['', 'aac', 'mp3'].includes(heard)
  return type === 'video/webm' && ['vp8', 'vp9', 'av1'].includes(picture.codec) && ['', 'opus', 'vorbis'].includes(heard)
}

/** Pictures larger than this in a direction, px, are made smaller: no screen shows more. */
const largest = 3840

/** Runs ffmpeg and tells how many seconds of the film are done. */
function encode(
  folder: string,
  args: readonly string[],
  tell: (seconds: number) => Promise<void>,
): Promise<{ code: number; said: string }> {
  return new Promise((resolve, reject) => {
    const child = startDecoder('ffmpeg', ['-v', 'error', '-nostdin', '-progress', 'pipe:1', ...args], [folder], {
      stdio: ['ignore', 'pipe', 'pipe'],
    })
    let said = ''
    child.stderr!.on('data', (part: Buffer) => {
      said = (said + part.toString()).slice(-1000)
    })
    child.stdout!.on('data', (part: Buffer) => {
      const at = [...part.toString().matchAll(/out_time_us=(\d+)/g)].at(-1)
      if (at)
        tell(Number(at[1]) / 1e6).catch(error => {
          child.kill('SIGKILL')
          reject(error)
        })
    })
    child.on('error', reject)
    child.on('close', code => resolve({ code: code ?? 1, said }))
  })
}

/** H.264 at a steady rate where there is a picture, AAC where there is sound. */
const codecs = ({ picture, sound }: Probe): string[] => [
  ...(picture
    ? [
        ...words('-map 0:v:0 -vf'),
        `scale='trunc(min(iw,${largest})/2)*2':-2:flags=bicubic,format=yuv420p`,
        ...words('-fps_mode cfr -c:v libx264 -preset veryfast -crf 20 -g 30'),
      ]
    : ['-vn']),
  ...(sound ? words('-map 0:a:0 -c:a aac -b:a 192k') : []),
]

/** What a file holds; null where it cannot be read. */
export const probeIfReadable = (file: string): Promise<Probe | null> =>
  probe(file).catch((error: unknown) => {
    if (error instanceof DecoderError) return null
    throw error
  })

/**
 * Makes a film or sound that ffmpeg reads into one that browsers play: MP4 with H.264 and AAC, at a steady rate, or AAC
 * alone. What is broken halfway is kept up to there.
 */
export async function convertClip(
  job: { id: string; input: unknown; name: string },
  folder: string,
  progress: Progress,
): Promise<{ row: MediaRow; file: string; kept: () => Promise<void> }> {
  const { folder: shelf } = job.input as { folder: string }
  const source = path.join(folder, 'source')
  if (!(await writeJobFile(job.id, source))) throw new Refused(`“${job.name}” is not at hand any more. Choose the file once more.`)
  const before = await probeIfReadable(source)
  if (!before || (!before.picture && !before.sound))
    throw new Refused(`“${job.name}” holds nothing that can be played. Save it anew as MP4, WebM, WAV or MP3.`)
  const film = before.picture !== null
  const file = path.join(folder, film ? 'clip.mp4' : 'clip.m4a')
  const total = Math.ceil(before.seconds ?? 0)
  await progress(0, total, 'Making it playable')
  const { said } = await encode(folder, [...given(source), ...codecs(before), ...words('-movflags +faststart -y'), file], seconds =>
    progress(Math.min(Math.floor(seconds), total), total, 'Making it playable'),
  )
  const after = await probeIfReadable(file)
  if (!after?.seconds)
    throw new Refused(
      /no space left/i.test(said)
        ? 'The server’s disk is full. Make room on it, then try again; nothing that you made is lost.'
        : `“${job.name}” is damaged and cannot be played. Open it where it comes from and save it anew.`,
    )
  const type = film ? 'video/mp4' : 'audio/mp4'
  const row: MediaRow = {
    hash: await hashOfFile(file),
    name: job.name,
    type,
    extension: film ? 'mp4' : 'm4a',
    bytes: (await stat(file)).size,
    width: after.picture?.width ?? null,
    height: after.picture?.height ?? null,
    seconds: after.seconds,
  }
  return {
    row,
    file,
    kept: async () => {
      await keepPeaks(row.hash, await peaksOf(file))
      if (shelf) await changeMedia(row.hash, { folder: shelf })
      await dropJobFile(job.id)
    },
  }
}
