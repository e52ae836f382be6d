/**
 * Captions as WebVTT and SubRip.
 *
 * @example
 * import { writeVtt } from 'core/formats/subtitles'
 *
 * writeVtt([{ from: 0, until: 1.5, text: 'Boats at six' }]) // → 'WEBVTT\n\n00:00:00.000 --> 00:00:01.500\nBoats at six\n'
 */
import { parseText } from 'media-captions'
import type { Caption } from '../../model'
import { failed, type Outcome } from '../../values'

const two = (value: number) => String(value).padStart(2, '0')
function clock(seconds: number, point: '.' | ','): string {
  const all = Math.max(0, Math.round(seconds * 1000))
  return `${two(Math.floor(all / 3_600_000))}:${two(Math.floor(all / 60_000) % 60)}:${two(Math.floor(all / 1000) % 60)}${point}${String(all % 1000).padStart(3, '0')}`
}
/** A blank line would end a caption, an arrow would begin one. */
const words = (text: string) =>
  text
    .split(/\r?\n/)
    .map(line => line.trim())
    .filter(Boolean)
    .join('\n')
    .replaceAll('-->', '→')
const escaped = (text: string) => words(text).replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;')

/** Captions as WebVTT (W3C), times in seconds. */
export const writeVtt = (captions: readonly Caption[]) =>
  `WEBVTT\n\n${captions.map(({ from, until, text }) => `${clock(from, '.')} --> ${clock(until, '.')}\n${escaped(text)}\n`).join('\n')}`

/** Captions as SubRip text. */
export const writeSrt = (captions: readonly Caption[]) =>
  captions.map(({ from, until, text }, index) => `${index + 1}\n${clock(from, ',')} --> ${clock(until, ',')}\n${words(text)}\n`).join('\n')

const plain = (text: string) =>
  text
    .replace(/<[^>]*>/g, '')
    .replaceAll('&lt;', '<')
    .replaceAll('&gt;', '>')
    .replaceAll('&nbsp;', ' ')
    .replaceAll('&amp;', '&')
    .trim()

/** Reads a file of captions, WebVTT or SubRip by its first line; marks of style are left out. Or one sentence. */
export async function readSubtitles(text: string, name: string): Promise<Outcome<Caption[]>> {
  const clean = text.replace(/^\uFEFF/, '').replace(/\r\n?/g, '\n')
  const type = /^WEBVTT/.test(clean) ? 'vtt' : 'srt'
  const { cues } = await parseText(clean, { type, errors: false })
  const captions = cues
    .map(cue => ({ from: cue.startTime, until: cue.endTime, text: plain(cue.text).slice(0, 1000) }))
    .filter(({ from, until, text: said }) => said && until > from && until <= 86_400)
  if (!captions.length) return failed(`“${name.slice(0, 120)}” holds no captions that can be read. WebVTT (.vtt) and SubRip (.srt) can.`)
  return { ok: true, value: captions.sort((a, b) => a.from - b.from).slice(0, 20_000) }
}
