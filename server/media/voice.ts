import { readFile, writeFile } from 'node:fs/promises'
import path from 'node:path'
import { failed, type Outcome } from '../../core/values'
import { mediaByHash, wholeMedia, type MediaRow } from '../database/media'
import { checkClip } from './clip'
import { probeIfReadable } from './convert'
import { DecoderError, given, runDecoder } from './ffmpeg'
import { inFolder } from './in-file'

/** Loudness of speech: EBU R 128 programme loudness as streaming platforms level it, LUFS, and the highest true peak, dBTP. */
const levelled = 'loudnorm=I=-16:TP=-1.5:LRA=11'
/** Silence at both ends goes, but for a breath. */
const tidied =
  'silenceremove=start_periods=1:start_threshold=-45dB:start_silence=0.15,areverse,silenceremove=start_periods=1:start_threshold=-45dB:start_silence=0.25,areverse'

export interface VoiceInput {
  name: string
  level: boolean
  tidy: boolean
  /** A recording whose end, from a second on, this take is to replace. */
  onto?: { hash: string; at: number }
}

/**
 * Makes a recording of a voice ready: its ends tidied, its level evened, joined to what it is a new take of. FLAC, mono, so that no
 * millisecond is lost.
 */
export const makeVoice = (content: Uint8Array, input: VoiceInput): Promise<Outcome<{ row: MediaRow; content: Uint8Array }>> =>
  inFolder(async folder => {
    const take = path.join(folder, 'take')
    await writeFile(take, content)
    const facts = await probeIfReadable(take)
    if (!facts?.sound) return failed('Nothing was recorded that can be heard. Check the microphone, then record again.')
    const before = input.onto ? await mediaByHash(input.onto.hash) : undefined
    if (input.onto && !before) return failed('The recording that this take belongs to is not there any more. Record the whole anew.')
    const first = path.join(folder, 'before')
    if (before) await writeFile(first, await wholeMedia(before.hash, before.bytes))
    const ready = [
      'aformat=sample_rates=48000:channel_layouts=mono',
      ...(input.tidy ? [tidied] : []),
      ...(input.level ? [levelled, 'aformat=sample_rates=48000:channel_layouts=mono'] : []),
    ].join(',')
    const graph = before
      ? `[1:a]atrim=0:${input.onto!.at},asetpts=N/SR/TB,aformat=sample_rates=48000:channel_layouts=mono[a];` +
        `[0:a]${ready}[b];[a][b]concat=n=2:v=0:a=1[out]`
      : `[0:a]${ready}[out]`
    const made = path.join(folder, 'voice.flac')
    try {
      await runDecoder(
        'ffmpeg',
        [
          '-v',
          'error',
          '-nostdin',
          ...given(take),
          ...(before ? given(first) : []),
          '-filter_complex',
          graph,
          '-map',
          '[out]',
          '-c:a',
          'flac',
          '-y',
          made,
        ],
        [folder],
        { timeout: 120_000 },
      )
    } catch (error) {
      if (!(error instanceof DecoderError)) throw error
      return failed(
        /no space left/i.test(String(error))
          ? 'The server’s disk is full. Make room on it, then record again.'
          : 'The recording could not be read. Record it again.',
      )
    }
    const checked = await checkClip(await readFile(made), `${input.name}.flac`, 'audio/flac')
    return checked.ok || input.tidy === false ? checked : failed('Only silence was recorded. Check the microphone, then record again.')
  })
