import path from 'node:path'
import { createInterface } from 'node:readline'
import { given, startDecoder } from './ffmpeg'

/** What the packets of a film or sound say, which its head may not. */
export interface Packets {
  /** Where the last one ends, seconds: a file that was cut off ends before its head says. */
  until: number
  /** The longest stretch without a key frame, seconds; 0 for sounds. Seeking decodes up to so much. */
  keyGap: number
}

/** Reads through a file without decoding it; null where nothing in it can be read. */
export async function packetsOf(file: string, stream: 'v:0' | 'a:0'): Promise<Packets | null> {
  const child = startDecoder(
    'ffprobe',
    ['-v', 'error', '-select_streams', stream, '-show_entries', 'packet=pts_time,duration_time,flags', '-of', 'csv=p=0', ...given(file)],
    [path.dirname(file)],
    { stdio: ['ignore', 'pipe', 'ignore'], timeout: 120_000 },
  )
  const failed = new Promise<never>((_, reject) => child.on('error', reject))
  const read = (async () => {
    let first = Infinity
    let until = -Infinity
    let lastKey = -Infinity
    let keyGap = 0
    for await (const line of createInterface({ input: child.stdout! })) {
      const [at, length, flags] = line.split(',')
      const seconds = Number(at)
      if (!Number.isFinite(seconds)) continue
      first = Math.min(first, seconds)
      until = Math.max(until, seconds + (Number(length) || 0))
      if (!flags?.startsWith('K')) continue
      if (Number.isFinite(lastKey)) keyGap = Math.max(keyGap, seconds - lastKey)
      lastKey = seconds
    }
    if (!Number.isFinite(until)) return null
    return { until: until - Math.min(0, first), keyGap: stream === 'a:0' ? 0 : Math.max(keyGap, until - lastKey) }
  })()
  return await Promise.race([read, failed])
}

/** A file whose packets end so much before its head says, seconds, was cut off. */
const tolerance = 0.75

/** The second at which a film or sound breaks off although its head promises so many seconds; null where it is whole. */
export function cutAt(packets: Packets | null, seconds: number): number | null {
  const until = packets?.until ?? 0
  return until < seconds - Math.max(tolerance, seconds * 0.02) ? until : null
}
