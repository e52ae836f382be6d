import { createHash } from 'node:crypto'
import path from 'node:path'
import { failed, type Outcome, secondsWords } from '../../core/values'
import type { MediaRow } from '../database/media'
import { DecoderError, given, runDecoder } from './ffmpeg'
import { inFile } from './in-file'
import { cutAt, packetsOf } from './packets'

/** What browsers play, by the type that the bytes say they are. */
export const clipTypes: Readonly<Record<string, string>> = {
  'video/mp4': 'mp4',
  'video/webm': 'webm',
  'audio/mpeg': 'mp3',
  'audio/wav': 'wav',
  'audio/vnd.wave': 'wav',
  'audio/ogg': 'ogg',
  'audio/opus': 'ogg',
  'application/ogg': 'ogg',
  'audio/flac': 'flac',
  'audio/x-flac': 'flac',
  'audio/x-m4a': 'm4a',
  'audio/mp4': 'm4a',
}

/** What ffprobe says of a file. */
export interface Probe {
  seconds: number | null
  /** Null where there is no moving picture: the cover of a record is none. */
  picture: { width: number; height: number; codec: string; pixels: string; steady: boolean } | null
  sound: { codec: string } | null
}

interface Probed {
  format?: { duration?: string }
  streams?: {
    codec_type: string
    codec_name?: string
    pix_fmt?: string
    width?: number
    height?: number
    r_frame_rate?: string
    avg_frame_rate?: string
    disposition?: { attached_pic?: number }
  }[]
}

const rate = (words = '0/1') => {
  const [over, under] = words.split('/').map(Number)
  return under ? over! / under : 0
}

/** Looks into a file; throws `DecoderError` where it cannot be read, or is none of the kinds that are let in. */
export async function probe(file: string): Promise<Probe> {
  const { stdout } = await runDecoder(
    'ffprobe',
    [
      '-v',
      'error',
      '-show_entries',
      'format=duration:stream=codec_type,codec_name,pix_fmt,width,height,r_frame_rate,avg_frame_rate:stream_disposition=attached_pic',
      '-of',
      'json',
      ...given(file),
    ],
    [path.dirname(file)],
    { timeout: 30_000, mostBytes: 1 << 22 },
  )
  const { format, streams = [] } = JSON.parse(stdout.toString()) as Probed
  const seconds = Number(format?.duration)
  const picture = streams.find(stream => stream.codec_type === 'video' && !stream.disposition?.attached_pic)
  const sound = streams.find(stream => stream.codec_type === 'audio')
  const [drawn, mean] = [rate(picture?.r_frame_rate), rate(picture?.avg_frame_rate)]
  return {
    seconds: Number.isFinite(seconds) && seconds > 0 ? seconds : null,
    picture:
      picture?.width && picture.height
        ? {
            width: picture.width,
            height: picture.height,
            codec: picture.codec_name ?? '',
            pixels: picture.pix_fmt ?? '',
            steady: mean > 0 && Math.abs(drawn - mean) / mean < 0.02,
          }
        : null,
    sound: sound ? { codec: sound.codec_name ?? '' } : null,
  }
}

/** The sentence on a file that was cut off. */
export const brokenOff = (called: string, at: number, seconds: number) =>
  `${called} breaks off at ${at.toFixed(1)} of the ${secondsWords(seconds)} that it promises: it was not copied whole. Take it ` +
  'once more from where it comes.'

/** Looks into a film or sound: its length and size as ffprobe reads them, or a sentence. */
export async function checkClip(content: Uint8Array, name: string, type: string): Promise<Outcome<{ row: MediaRow; content: Uint8Array }>> {
  const called = `“${name.slice(0, 120)}”`
  try {
    const { seconds, picture, sound, broken } = await inFile(content, clipTypes[type]!, async file => {
      const facts = await probe(file)
      return {
        ...facts,
        broken: facts.seconds === null ? null : cutAt(await packetsOf(file, facts.picture ? 'v:0' : 'a:0'), facts.seconds),
      }
    })
    if (seconds === null || (!picture && !sound))
      return failed(`${called} holds nothing that can be played. Save it anew as MP4, WebM, WAV or MP3.`)
    if (broken !== null) return failed(brokenOff(called, broken, seconds))
    const film = type.startsWith('video/') && picture
    return {
      ok: true,
      value: {
        content,
        row: {
          hash: createHash('sha256').update(content).digest('hex'),
          name: name.slice(0, 200),
          type:
            film || !type.startsWith('video/')
              ? type.replace('audio/vnd.wave', 'audio/wav').replace('application/ogg', 'audio/ogg')
              : type.replace('video/', 'audio/'),
          extension: clipTypes[type]!,
          bytes: content.length,
          width: film ? picture.width : null,
          height: film ? picture.height : null,
          seconds,
        },
      },
    }
  } catch (error) {
    if (!(error instanceof DecoderError)) throw error
    return failed(`${called} is damaged and cannot be played. Open it where it comes from and save it anew.`)
  }
}

/** A still of a film at a second, as JPEG; null where none can be made. */
export async function stillOf(content: Uint8Array, extension: string, seconds: number): Promise<Buffer | null> {
  try {
    return await inFile(content, extension, async file => {
      const { stdout } = await runDecoder(
        'ffmpeg',
        [
          '-v',
          'error',
          '-nostdin',
          '-ss',
          String(seconds),
          ...given(file),
          '-frames:v',
          '1',
          '-f',
          'image2pipe',
          '-c:v',
          'mjpeg',
          '-q:v',
          '3',
          'pipe:1',
        ],
        [path.dirname(file)],
        { timeout: 20_000 },
      )
      return stdout.length ? stdout : null
    })
  } catch (error) {
    if (!(error instanceof DecoderError)) throw error
    return null
  }
}
