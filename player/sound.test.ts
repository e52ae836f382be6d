import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Heard } from '#core/timing'
import { openClock, openSound, type SoundEngine } from './sound'

/** What the page's sound is made of, as far as it is asked here: it notes what was started, where, for how long, and what was stopped. */
class FakeContext {
  static last: FakeContext
  state: 'running' | 'suspended' | 'closed' = 'running'
  currentTime = 0
  outputLatency = 0
  baseLatency = 0
  destination = {}
  started: { place: number; seconds: number | undefined; loop: boolean; loopStart: number; loopEnd: number; stopped: boolean }[] = []
  gains: { value: number; towards: number | null; connected: boolean }[] = []
  elements: FakeAudio[] = []
  resumed = 0
  constructor() {
    FakeContext.last = this
  }
  resume() {
    this.resumed++
    return Promise.resolve()
  }
  close() {
    this.state = 'closed'
    return Promise.resolve()
  }
  decodeAudioData = (bytes: ArrayBuffer) =>
    bytes.byteLength ? Promise.resolve({ duration: 60 }) : Promise.reject(new DOMException('no sound', 'EncodingError'))
  createGain() {
    const gain = { value: 0, towards: null as number | null, connected: false }
    this.gains.push(gain)
    return {
      gain: Object.assign(gain, { setTargetAtTime: (value: number) => void (gain.towards = value) }),
      connect: () => void (gain.connected = true),
      disconnect: () => void (gain.connected = false),
    }
  }
  createBufferSource() {
    const note = { place: 0, seconds: undefined as number | undefined, loop: false, loopStart: 0, loopEnd: 0, stopped: false }
    const source = {
      buffer: null,
      loop: false,
      loopStart: 0,
      loopEnd: 0,
      connect: () => {},
      start: (_when: number, place: number, seconds?: number) => {
        this.started.push(note)
        Object.assign(note, { place, seconds, loop: source.loop, loopStart: source.loopStart, loopEnd: source.loopEnd })
      },
      stop: () => void (note.stopped = true),
    }
    return source
  }
  createMediaElementSource(element: FakeAudio) {
    this.elements.push(element)
    return { connect: () => {} }
  }
}
class FakeAudio {
  playbackRate = 1
  currentTime = 0
  paused = true
  constructor(readonly src: string) {}
  play() {
    this.paused = false
    return Promise.resolve()
  }
  pause() {
    this.paused = true
  }
  removeAttribute() {}
}

const files = new Map([
  ['voice', new Uint8Array(8)],
  ['broken', new Uint8Array(0)],
])
const asked: string[] = []
let engine: SoundEngine
beforeEach(() => {
  asked.length = 0
  vi.stubGlobal('AudioContext', FakeContext)
  vi.stubGlobal('Audio', FakeAudio)
  vi.stubGlobal('addEventListener', () => {})
  vi.stubGlobal('removeEventListener', () => {})
  vi.stubGlobal('fetch', (url: string) => {
    asked.push(url)
    const bytes = files.get(url.slice('/media/'.length))
    return bytes ? Promise.resolve(new Response(bytes)) : Promise.reject(new TypeError('not there'))
  })
  engine = openSound(media => (media === 'nowhere' ? undefined : `/media/${media}`))
})
afterEach(() => {
  engine.close()
  vi.unstubAllGlobals()
})

type Span = Heard['sounding']['span']
const sound = (played: number, { media = 'voice', loop = false, gain = 1, id = 'one', span = {} as Partial<Span> } = {}): Heard =>
  ({
    sounding: { id, media, loop, span: { from: 2, until: 12, speed: 1, seconds: 10, ...span } },
    played,
    gain,
  }) as Heard
const context = () => FakeContext.last
const loaded = () => new Promise(resolve => setTimeout(resolve, 5))
/** Hears it once its file is here. */
async function hear(heard: Heard, strict = true) {
  engine.hear([heard], strict)
  await loaded()
  engine.hear([heard], strict)
}

describe('sound', () => {
  it('begins where it should be by now, once its file is here, and is fetched once', async () => {
    engine.hear([sound(0)], true)
    expect(context().started).toEqual([])
    await loaded()
    engine.hear([sound(3)], true)
    expect(context().started).toMatchObject([{ place: 5, seconds: 7, stopped: false }])
    engine.hear([sound(3)], true)
    expect(context().started).toHaveLength(1)
    expect(asked).toEqual(['/media/voice'])
  })

  it('begins as much ahead as the loudspeaker is late', async () => {
    context().outputLatency = 0.2
    await hear(sound(3))
    expect(context().started[0]!.place).toBeCloseTo(5.2)
  })

  it('goes round from where it is within its loop', async () => {
    await hear(sound(23, { loop: true }))
    expect(context().started).toMatchObject([{ place: 5, seconds: undefined, loop: true, loopStart: 2, loopEnd: 12 }])
  })

  it('is put right when it has drifted and is asked to be strict, else goes on as it does', async () => {
    await hear(sound(0))
    context().currentTime = 1
    engine.hear([sound(1.02)], true)
    expect(context().started).toHaveLength(1)
    engine.hear([sound(1.2)], false)
    expect(context().started).toHaveLength(1)
    engine.hear([sound(1.2)], true)
    expect(context().started).toMatchObject([{ stopped: true }, { place: 3.2, stopped: false }])
  })

  it('changes its volume without starting anew', async () => {
    await hear(sound(0, { gain: 0.8 }))
    expect(context().gains).toMatchObject([{ value: 0.8, connected: true }])
    engine.hear([sound(0, { gain: 0.3 })], true)
    expect(context().gains).toMatchObject([{ towards: 0.3, connected: true }])
  })

  it('ends what is not to be heard any more, and all of it when it is silent', async () => {
    engine.hear([sound(0), sound(0, { id: 'two' })], true)
    await loaded()
    engine.hear([sound(0), sound(0, { id: 'two' })], true)
    engine.hear([sound(0, { id: 'two' })], true)
    expect(context().started.map(one => one.stopped)).toEqual([true, false])
    engine.silence()
    expect(context().started.map(one => one.stopped)).toEqual([true, true])
    expect(context().gains.every(gain => !gain.connected)).toBe(true)
  })

  it('is played as it comes where it is long or has another speed, and put right in wider steps', async () => {
    await hear(sound(4, { span: { from: 10, until: 2000, seconds: 1990 } }))
    await hear(sound(4, { id: 'fast', span: { speed: 2 } }))
    const [fast] = context().elements.slice(-1)
    expect(fast).toMatchObject({ src: '/media/voice', playbackRate: 2, currentTime: 10, paused: false })
    expect(context().started).toEqual([])
    const before = context().elements.length
    fast!.currentTime = 10.2
    engine.hear([sound(4, { id: 'fast', span: { speed: 2 } })], true)
    expect(context().elements).toHaveLength(before)
    fast!.currentTime = 11
    engine.hear([sound(4, { id: 'fast', span: { speed: 2 } })], true)
    expect(context().elements).toHaveLength(before + 1)
    expect(fast!.paused).toBe(true)
  })

  it('stays silent for a file that is not there or is no sound, and asks for it once', async () => {
    for (const media of ['broken', 'missing', 'nowhere']) {
      await hear(sound(0, { media, id: media }))
      await loaded()
      engine.hear([sound(1, { media, id: media })], true)
    }
    expect(context().started).toEqual([])
    expect(asked).toEqual(['/media/broken', '/media/missing'])
  })

  it('leads the time while its clock runs, and hears nothing before that', async () => {
    await hear(sound(0))
    context().state = 'suspended'
    expect(engine.now()).toBeNull()
    engine.hear([], true)
    expect(context().started[0]!.stopped).toBe(false)
    context().state = 'running'
    context().currentTime = 8
    expect(engine.now()).toBe(8)
  })
})

describe('the clock of what is played', () => {
  it('goes by the sound where that runs, else by the page, and never back', () => {
    let page = 1000
    let heard: number | null = null
    vi.stubGlobal('performance', { now: () => page })
    const passed = openClock(() => ({ now: () => heard }) as SoundEngine)
    page += 500
    expect(passed()).toBeCloseTo(0.5)
    heard = 7
    page += 500
    // The first time that sound runs there is nothing of it to compare with.
    expect(passed()).toBeCloseTo(0.5)
    heard = 7.25
    page += 900
    expect(passed()).toBeCloseTo(0.25)
    heard = 6
    expect(passed()).toBe(0)
    heard = null
    page += 300
    expect(passed()).toBeCloseTo(0.3)
  })
})
