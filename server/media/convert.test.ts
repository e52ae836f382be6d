import { execFileSync } from 'node:child_process'
import { copyFileSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, truncateSync, statSync, writeFileSync } from 'node:fs'
import net from 'node:net'
import os from 'node:os'
import path from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { spokenIn } from '../../core/sound'
import { checkMedia } from './check-media'
import { checkClip, probe, stillOf } from './clip'
import { isPlayable } from './convert'
import { containers, DecoderError, isConfined, runDecoder } from './ffmpeg'
import { peaksOf } from './listen'
import { packetsOf } from './packets'
import { makeVoice } from './voice'

let folder: string
const at = (name: string) => path.join(folder, name)
const ffmpeg = (...args: string[]) => execFileSync('ffmpeg', ['-v', 'error', ...args])
beforeAll(() => {
  folder = mkdtempSync(path.join(os.tmpdir(), 'hailbank-test-'))
  ffmpeg(
    '-f',
    'lavfi',
    '-i',
    'testsrc2=s=320x180:r=25:d=2',
    '-f',
    'lavfi',
    '-i',
    'sine=d=2',
    '-c:v',
    'libx264',
    '-pix_fmt',
    'yuv420p',
    '-c:a',
    'aac',
    '-y',
    at('plain.mp4'),
  )
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
    expect(await checkClip(half, 'half.mp4', 'video/mp4')).toMatchObject({
      ok: false,
      message: expect.stringContaining('“half.mp4” is damaged'),
    })
  })
  it('cut off in its middle is found out, although its head still promises all of it', async () => {
    ffmpeg('-i', at('plain.mp4'), '-c', 'copy', '-movflags', '+faststart', '-y', at('quick.mp4'))
    const whole = readFileSync(at('quick.mp4'))
    expect(await checkClip(whole, 'whole.mp4', 'video/mp4')).toMatchObject({ ok: true })
    const cut = await checkClip(whole.subarray(0, Math.round(whole.length / 2)), 'cut.mp4', 'video/mp4')
    expect(cut).toMatchObject({
      ok: false,
      message: expect.stringMatching(/^“cut\.mp4” breaks off at [01]\.\d of the 2\.0 s that it promises/),
    })
  })
  it('tells how far apart its key frames are', async () => {
    ffmpeg(
      '-f',
      'lavfi',
      '-i',
      'testsrc2=s=160x90:r=25:d=6',
      '-c:v',
      'libx264',
      '-g',
      '1000',
      '-pix_fmt',
      'yuv420p',
      '-y',
      at('sparse.mp4'),
    )
    expect((await packetsOf(at('sparse.mp4'), 'v:0'))!.keyGap).toBeCloseTo(6, 1)
    expect(await packetsOf(at('voice.wav'), 'a:0')).toMatchObject({ keyGap: 0 })
  })
})

describe('a file that only names other files', () => {
  const secret = () => at('plain.mp4')
  const scheme = () => `file://${secret()}`
  const lists: readonly [string, () => string][] = [
    ['list.m3u8', () => `#EXTM3U\n#EXT-X-TARGETDURATION:5\n#EXT-X-MEDIA-SEQUENCE:0\n#EXTINF:2,\n${scheme()}\n#EXT-X-ENDLIST\n`],
    ['beside.m3u8', () => '#EXTM3U\n#EXT-X-TARGETDURATION:5\n#EXTINF:2,\nplain.mp4\n#EXT-X-ENDLIST\n'],
    [
      'keyed.m3u8',
      () =>
        `#EXTM3U\n#EXT-X-TARGETDURATION:5\n#EXT-X-KEY:METHOD=AES-128,URI="${scheme()}"\n#EXTINF:2,\nsubfile,,start,0,end,0,,:${secret()}\n#EXT-X-ENDLIST\n`,
    ],
    [
      'list.mpd',
      () =>
        '<?xml version="1.0"?><MPD xmlns="urn:mpeg:dash:schema:mpd:2011" type="static" mediaPresentationDuration="PT2S" ' +
        'profiles="urn:mpeg:dash:profile:isoff-main:2011"><Period><AdaptationSet mimeType="video/mp4"><Representation id="1" ' +
        `bandwidth="1" codecs="avc1.640028"><BaseURL>${scheme()}</BaseURL></Representation></AdaptationSet></Period></MPD>`,
    ],
    ['list.ffconcat', () => `ffconcat version 1.0\nfile '${secret()}'\n`],
    ['list.txt', () => `file '${secret()}'\n`],
    ['list.sdp', () => 'v=0\no=- 0 0 IN IP4 127.0.0.1\ns=x\nc=IN IP4 127.0.0.1\nt=0 0\nm=video 5004 RTP/AVP 96\na=rtpmap:96 H264/90000\n'],
    [
      'ASSETMAP.xml',
      () =>
        '<?xml version="1.0"?><CompositionPlaylist ' +
        `xmlns="http://www.smpte-ra.org/schemas/2067-3/2016"><Id>urn:uuid:1</Id><BaseURL>${scheme()}</BaseURL></CompositionPlaylist>`,
    ],
    ['list.idx', () => '# VobSub index file, v7\nsize: 320x180\nid: en, index: 0\ntimestamp: 00:00:01:000, filepos: 000000000\n'],
    ['list.ffmeta', () => ';FFMETADATA1\ntitle=x\n'],
    ['frame%03d.png', () => 'not a picture'],
    [
      'list.svg',
      () => `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink"><image xlink:href="${scheme()}"/></svg>`,
    ],
    ['list.pls', () => `[playlist]\nFile1=${scheme()}\nNumberOfEntries=1\n`],
    ['list.asx', () => `<asx version="3.0"><entry><ref href="${scheme()}"/></entry></asx>`],
    ['list.smil', () => `<smil><body><video src="${scheme()}"/></body></smil>`],
  ]
  it.each(lists)('is refused and nothing of what it names is read: %s', async (name, content) => {
    writeFileSync(at(name), content())
    await expect(probe(at(name))).rejects.toThrow(DecoderError)
    expect(await peaksOf(at(name))).toBeNull()
    expect(await packetsOf(at(name), 'v:0')).toBeNull()
    expect(await stillOf(readFileSync(at(name)), 'mp4', 0)).toBeNull()
  })
  it('is refused as every kind that ffmpeg knows beside those that are let in', () => {
    const known = execFileSync('ffmpeg', ['-hide_banner', '-demuxers'])
      .toString()
      .split('\n')
      .flatMap(line => /^ D\S*\s+(\S+)/.exec(line)?.[1] ?? [])
    expect(known).toContain('hls')
    // The names of readers that open other files, sessions, devices or patterns of names.
    const opening = [
      'hls',
      'dash',
      'concat',
      'concatf',
      'imf',
      'sdp',
      'rtp',
      'rtsp',
      'image2',
      'lavfi',
      'tty',
      'vobsub',
      'webm_dash_manifest',
      'ffmetadata',
      'v4l2',
      'alsa',
      'x11grab',
      'fbdev',
      'kmsgrab',
      'sap',
      'live_flv',
      'avisynth',
      'libopenmpt',
      'mpsub',
    ]
    const allowed = new Set<string>(containers)
    expect(opening.filter(name => allowed.has(name))).toEqual([])
    expect(containers.filter(name => !known.some(names => names.split(',').includes(name)))).toEqual([])
  })
  it('could not reach anything if it were read: a decoder sees its own folder alone, and no network', async () => {
    if (!isConfined()) return expect(existsSync('/usr/bin/bwrap')).toBe(false)
    const inside = path.join(folder, 'own')
    mkdirSync(inside)
    copyFileSync(secret(), path.join(inside, 'seen.mp4'))
    const open = (file: string) => runDecoder('ffprobe', ['-v', 'error', '-i', file], [inside], { timeout: 20_000 })
    await expect(open(path.join(inside, 'seen.mp4'))).resolves.toBeTruthy()
    await expect(open(secret())).rejects.toThrow(/No such file/)
    await expect(open('/etc/passwd')).rejects.toThrow(/No such file/)
    const server = net.createServer(socket => socket.end()).listen(0, '127.0.0.1')
    await new Promise(resolve => server.once('listening', resolve))
    await expect(open(`tcp://127.0.0.1:${(server.address() as net.AddressInfo).port}`)).rejects.toThrow(/refused|unreachable|denied/i)
    server.close()
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
    expect(await makeVoice(readFileSync(at('silence.wav')), { name: 'Voice', level: false, tidy: true })).toMatchObject({
      ok: false,
      message: expect.stringContaining('Check the microphone'),
    })
    expect(await makeVoice(new Uint8Array([1, 2, 3]), { name: 'Voice', level: true, tidy: true })).toMatchObject({ ok: false })
  })
  it('is heard where it is: its peaks say when somebody speaks', async () => {
    const [spoken] = spokenIn((await peaksOf(at('voice.wav')))!)
    expect(Math.abs(spoken!.from - 0.8)).toBeLessThan(0.03)
    expect(Math.abs(spoken!.until - 2)).toBeLessThan(0.05)
  })
})
