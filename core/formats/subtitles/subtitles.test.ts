import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readSubtitles, writeSrt, writeVtt } from './index'

const captions = [
  { from: 0.5, until: 2, text: 'Good morning & welcome' },
  { from: 3.25, until: 3601.5, text: 'Two\nlines <here>' },
]

describe('captions as files', () => {
  it('are read as they were written, in both forms', async () => {
    for (const text of [
      writeVtt(captions),
      writeSrt(captions.map(caption => ({ ...caption, text: caption.text.replace('<here>', 'here') }))),
    ]) {
      const read = await readSubtitles(text, 'captions')
      expect(read.ok && read.value.map(({ from, until }) => [from, until])).toEqual([
        [0.5, 2],
        [3.25, 3601.5],
      ])
    }
    const read = await readSubtitles(writeVtt(captions), 'captions.vtt')
    expect(read.ok && read.value.map(({ text }) => text)).toEqual(captions.map(({ text }) => text))
  })
  it('keep their times to the millisecond whatever they are', async () => {
    await fc.assert(
      fc.asyncProperty(fc.integer({ min: 0, max: 80_000_000 }), fc.integer({ min: 1, max: 5_000_000 }), async (from, length) => {
        const read = await readSubtitles(writeSrt([{ from: from / 1000, until: (from + length) / 1000, text: 'x' }]), 'x.srt')
        expect(read.ok && [Math.round(read.value[0]!.from * 1000), Math.round(read.value[0]!.until * 1000)]).toEqual([from, from + length])
      }),
      { numRuns: 50 },
    )
  })
  it('from elsewhere: marks of style and place are left out, Windows line ends and a byte order mark do no harm', async () => {
    const read = await readSubtitles(
      '\uFEFFWEBVTT\r\n\r\nNOTE by hand\r\n\r\nfirst\r\n00:01.000 --> 00:02.500 align:start line:0\r\n<v Ines><b>Hello</b> there\r\n',
      'a.vtt',
    )
    expect(read.ok && read.value).toEqual([{ from: 1, until: 2.5, text: 'Hello there' }])
  })
  it('that are none get one sentence', async () => {
    expect(await readSubtitles('just words', 'words.srt')).toMatchObject({ ok: false, message: expect.stringContaining('words.srt') })
    expect(await readSubtitles('', 'empty.vtt')).toMatchObject({ ok: false })
  })
  it('cannot be broken out of by their own words', async () => {
    const read = await readSubtitles(writeVtt([{ from: 0, until: 1, text: 'a\n\n00:05.000 --> 00:06.000\nb' }]), 'a.vtt')
    expect(read.ok && read.value).toHaveLength(1)
  })
})
