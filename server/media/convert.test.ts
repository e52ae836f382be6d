import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, truncateSync, statSync } from 'node:fs'
import os from 'node:os'
import path from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { spokenIn } from '../../core/sound'
import { checkMedia } from './check-media'
import { checkClip, probe } from './clip'
import { isPlayable } from './convert'
import { peaksOf } from './listen'
import { makeVoice } from './voice'

let folder: string
const at = (name: string) => path.join(folder, name)
const ffmpeg = (...args: string[]) => execFileSync('ffmpeg', ['-v', 'error', ...args])
beforeAll(() => {
  folder = mkdtempSync(path.join(os.tmpdir(), 'hailbank-test-'))
  ffmpeg('-f', 'lavfi', '-i', 'testsrc2=s=320x180:r=25:d=2', '-f', 'lavfi', '-i', 'sine=d=2', '-c:v', 'libx264', '-pix_fmt', 'yuv420p', '-c:a', 'aac', '-y', at('plain.mp4'))
  ffmpeg('-f', 'lavfi', '-i', 'testsrc2=s=321x181:r=25:d=2', '-c:v', 'mpeg4', '-y', at('odd.avi'))
  ffmpeg('-f', 'lavfi', '-i', 'testsrc2=s=320x180:r=25:d=1', '-c:v', 'libx264', '-pix_fmt', 'yuv444p', '-y', at('colours.mp4'))
  ffmpeg('-f', 'lavfi', '-i', 'sine=d=1.2', '-af', 'adelay=800,apad=pad_dur=0.9', '-y', at('voice.wav'))
  ffmpeg('-f', 'lavfi', '-i', 'anullsrc', '-t', '1', '-y', at('silence.wav'))
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

describe('a film that is brought', () => {
  it('is kept as it is where browsers play it, and made anew where they would not', async () => {
    expect(isPlayable(await probe(at('plain.mp4')), 'video/mp4')).toBe(true)
    expect(isPlayable(await probe(at('odd.avi')), 'video/x-msvideo')).toBe(false)
    expect(isPlayable(await probe(at('colours.mp4')), 'video/mp4')).toBe(false)
    expect(isPlayable({ seconds: null, picture: null, sound: { codec: 'opus' } }, 'audio/webm')).toBe(false)
  })
  it('is known by its length, size and how loud it is; one without sound has no loudness', async () => {
    expect(await probe(at('plain.mp4'))).toMatchObject({ picture: { width: 320, height: 180, steady: true }, sound: { codec: 'aac' } })
    expect((await peaksOf(at('plain.mp4')))!.length).toBeGreaterThan(190)
    expect(await peaksOf(at('odd.avi'))).toBeNull()
  })
  it('within a deck’s file is taken for what it is, whatever it is called', async () => {
    const checked = await checkMedia(readFileSync(at('plain.mp4')), 'clip', 'mp4')
    expect(checked.ok && checked.value.row).toMatchObject({ type: 'video/mp4', width: 320 })
    expect(checked.ok && checked.value.row.seconds).toBeGreaterThan(1.9)
    expect(await checkMedia(new Uint8Array([1, 2, 3]), 'clip.mp4', 'mp4')).toMatchObject({ ok: false })
  })
  it('broken halfway still tells what can be read of it, or says in a sentence that it cannot', async () => {
    truncateSync(at('odd.avi'), Math.round(statSync(at('odd.avi')).size / 2))
    expect((await probe(at('odd.avi'))).picture).toBeTruthy()
    const half = readFileSync(at('plain.mp4')).subarray(0, 3000)
    expect(await checkClip(half, 'half.mp4', 'video/mp4')).toMatchObject({ ok: false, message: expect.stringContaining('“half.mp4” is damaged') })
  })
})

describe('a voice that was recorded', () => {
  const take = () => readFileSync(at('voice.wav'))
  it('loses the silence at its ends, but for a breath', async () => {
    const made = await makeVoice(take(), { name: 'Voice', level: false, tidy: true })
    expect(made.ok && made.value.row.seconds).toBeGreaterThan(1.2)
    expect(made.ok && made.value.row.seconds).toBeLessThan(1.8)
  })
  it('of nothing but silence, or of nothing at all, gets one sentence', async () => {
    expect(await makeVoice(readFileSync(at('silence.wav')), { name: 'Voice', level: false, tidy: true })).toMatchObject({ ok: false, message: expect.stringContaining('Check the microphone') })
    expect(await makeVoice(new Uint8Array([1, 2, 3]), { name: 'Voice', level: true, tidy: true })).toMatchObject({ ok: false })
  })
  it('is heard where it is: its peaks say when somebody speaks', async () => {
    const [spoken] = spokenIn((await peaksOf(at('voice.wav')))!)
    expect(Math.abs(spoken!.from - 0.8)).toBeLessThan(0.03)
    expect(Math.abs(spoken!.until - 2)).toBeLessThan(0.05)
  })
})
