import { open, type FileHandle } from 'node:fs/promises'
import path from 'node:path'
import { given, startDecoder } from '../media/ffmpeg'
import { gainAt, playedAt, type SoundPlan, type Sounding } from '../../core/timing'

/** Samples a second, and how many channels. */
export const sampleRate = 48_000
const channels = 2
/** Gains are reckoned at the ends of so many samples, and go straight between. */
const step = 480
const blockSamples = sampleRate

/** Decodes the stretch of a file that plays, at its speed, to 32-bit floats; false where it has no sound. */
function decode(source: string, sounding: Sounding, into: string): Promise<boolean> {
  const { from, until, speed } = sounding.span
  // Right after a place that was sought, some codecs are silent: they are begun earlier, and that is cut off again.
  const early = Math.max(0, from - 2)
  const tempo =
    speed === 1 ? '' : speed < 0.5 ? `,atempo=0.5,atempo=${speed / 0.5}` : speed > 2 ? `,atempo=2,atempo=${speed / 2}` : `,atempo=${speed}`
  const args = [
    '-v',
    'error',
    '-nostdin',
    '-ss',
    String(early),
    ...given(source),
    '-map',
    '0:a:0',
    '-af',
    `atrim=start=${from - early}:end=${until - early},asetpts=PTS-STARTPTS${tempo}`,
    '-ar',
    String(sampleRate),
    '-ac',
    String(channels),
    '-f',
    'f32le',
    '-y',
    into,
  ]
  return new Promise(resolve => {
    const child = startDecoder('ffmpeg', args, [path.dirname(source), path.dirname(into)], { stdio: 'ignore' })
    child.on('error', () => resolve(false))
    child.on('close', code => resolve(code === 0))
  })
}

interface Voice {
  sounding: Sounding
  file: FileHandle
  /** Samples in the decoded file. */
  length: number
}

/** Adds what a voice lets be heard in some samples from `first` on. */
async function add(plan: SoundPlan, { sounding, file, length }: Voice, first: number, mixed: Float32Array) {
  const frames = mixed.length / channels
  const begin = Math.max(0, Math.round(sounding.start * sampleRate) - first)
  const end = Math.min(frames, Math.round(sounding.end * sampleRate) - first)
  if (begin >= end || !length) return
  const offset = Math.round(playedAt(sounding, (first + begin) / sampleRate) * sampleRate)
  const whole = sounding.loop ? Math.max(1, Math.round(sounding.span.seconds * sampleRate)) : length
  let at = begin
  let place = sounding.loop ? ((offset % whole) + whole) % whole : offset
  while (at < end) {
    const run = Math.min(end - at, whole - place)
    if (run <= 0) {
      if (!sounding.loop) return
      place = 0
      continue
    }
    const readable = Math.max(0, Math.min(run, length - place))
    if (readable > 0 && place >= 0) {
      const bytes = Buffer.alloc(readable * channels * 4)
      await file.read(bytes, 0, bytes.length, place * channels * 4)
      const samples = new Float32Array(bytes.buffer, bytes.byteOffset, readable * channels)
      for (let from = 0; from < readable; from += step) {
        const count = Math.min(step, readable - from)
        const second = (first + at + from) / sampleRate
        const a = gainAt(plan, sounding, second)
        const b = gainAt(plan, sounding, Math.min(second + count / sampleRate, sounding.end - 1e-9))
        for (let index = 0; index < count; index++) {
          const gain = a + ((b - a) * index) / count
          for (let channel = 0; channel < channels; channel++)
            mixed[(at + from + index) * channels + channel]! += samples[(from + index) * channels + channel]! * gain
        }
      }
    }
    at += run
    place += run
    if (sounding.loop && place >= whole) place = 0
  }
}

/** Above this a sum is bent softly instead of cut, so that several voices at once do not crackle. */
const knee = 0.9
const soften = (value: number) =>
  Math.abs(value) <= knee ? value : Math.sign(value) * (knee + (1 - knee) * Math.tanh((Math.abs(value) - knee) / (1 - knee)))

function wavHead(frames: number): Buffer {
  const head = Buffer.alloc(44)
  const bytes = Math.min(0xffffffff - 36, frames * channels * 4)
  head.write('RIFF', 0)
  head.writeUInt32LE(36 + bytes, 4)
  head.write('WAVEfmt ', 8)
  head.writeUInt32LE(16, 16)
  head.writeUInt16LE(3, 20)
  head.writeUInt16LE(channels, 22)
  head.writeUInt32LE(sampleRate, 24)
  head.writeUInt32LE(sampleRate * channels * 4, 28)
  head.writeUInt16LE(channels * 4, 32)
  head.writeUInt16LE(32, 34)
  head.write('data', 36)
  head.writeUInt32LE(bytes, 40)
  return head
}

/**
 * Mixes everything that is heard into a WAV file (32-bit floats, 48 kHz, stereo), every sound exactly in its place, block by
 * block, so that an hour needs no more memory than a second. `fileOf` says where a media file lies. Null where nothing is heard.
 */
export async function mixSound(
  plan: SoundPlan,
  seconds: number,
  fileOf: (media: string) => string | undefined,
  folder: string,
): Promise<string | null> {
  const voices: Voice[] = []
  for (const [index, sounding] of plan.soundings.entries()) {
    const source = fileOf(sounding.media)
    const decoded = path.join(folder, `voice-${index}.f32`)
    if (!source || sounding.volume === 0 || !(await decode(source, sounding, decoded))) continue
    const file = await open(decoded)
    voices.push({ sounding, file, length: Math.floor((await file.stat()).size / (channels * 4)) })
  }
  if (!voices.some(voice => voice.length)) return null
  const into = path.join(folder, 'sound.wav')
  const output = await open(into, 'w')
  const frames = Math.round(seconds * sampleRate)
  await output.write(wavHead(frames))
  for (let first = 0; first < frames; first += blockSamples) {
    const mixed = new Float32Array(Math.min(blockSamples, frames - first) * channels)
    for (const voice of voices) await add(plan, voice, first, mixed)
    for (let index = 0; index < mixed.length; index++) mixed[index] = soften(mixed[index]!)
    await output.write(Buffer.from(mixed.buffer))
  }
  await output.close()
  for (const { file } of voices) await file.close()
  return into
}
