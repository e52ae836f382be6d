import { expected } from '#core/values'
import type { Heard } from '#core/timing'

/** Lets be heard what a deck’s sound plan says, and keeps the time while it does. */
export interface SoundEngine {
  /** Seconds of the sound clock while it runs; null where sound cannot lead, as before anybody has touched the page. */
  now(): number | null
  /** What is to be heard right now. `strict`: what has drifted is put right; else what plays goes on as it does. */
  hear(heard: readonly Heard[], strict: boolean): void
  silence(): void
  close(): void
}

/** Of what is longer than this, seconds, the file is played as it comes instead of being held decoded in memory. */
const longest = 900
/** Sound that has drifted further than this from where it should be, seconds, is put right. */
const tolerance = 0.03
/** Changes of volume take so long, seconds, lest they crackle. */
const glide = 0.015

/** A sound that is being heard. */
interface Voice {
  gain: GainNode
  /** Seconds of the clock at which `played` had been played. */
  since: number
  played: number
  element: HTMLAudioElement | null
  stop(): void
}

/** A context that is closed already, or a browser that wants to be touched first: it is tried again when it is. */
const unheard = expected('InvalidStateError', 'NotAllowedError', 'AbortError', 'NotSupportedError')

/** Where in its file a sound is that has played so long, seconds. */
function placeOf({ sounding: { span, loop } }: Heard, played: number): number {
  const into = loop && span.seconds > 0 ? ((played % span.seconds) + span.seconds) % span.seconds : played
  return span.from + into * span.speed
}

/** Files as decoded sound: fetched when first asked for, null until they are here and where they are none. */
function decodedFiles(context: AudioContext, urlOf: (media: string) => string | undefined) {
  const buffers = new Map<string, AudioBuffer | 'coming' | 'broken'>()
  return (media: string): AudioBuffer | null => {
    const known = buffers.get(media)
    if (known && typeof known !== 'string') return known
    const url = known ? undefined : urlOf(media)
    if (url) {
      buffers.set(media, 'coming')
      void fetch(url)
        .then(answer => answer.arrayBuffer())
        .then(bytes => context.decodeAudioData(bytes))
        .then(buffer => buffers.set(media, buffer))
        .catch((error: unknown) => {
          // A file that is not there, or is no sound.
          if (!(error instanceof TypeError || error instanceof DOMException)) throw error
          buffers.set(media, 'broken')
        })
    }
    return null
  }
}

/** A stretch of decoded sound, from `place` seconds of its file on. */
function playBuffer(context: AudioContext, { sounding: { span, loop } }: Heard, buffer: AudioBuffer, place: number, gain: GainNode) {
  const source = context.createBufferSource()
  source.buffer = buffer
  source.loop = loop
  source.loopStart = span.from
  source.loopEnd = Math.min(span.until, buffer.duration)
  source.connect(gain)
  source.start(0, Math.min(place, buffer.duration), ...(loop ? [] : [Math.max(0, span.until - place)]))
  return () => source.stop()
}

/** A file played as it comes, from `place` seconds on. */
function playElement(context: AudioContext, { sounding: { span } }: Heard, url: string, place: number, gain: GainNode) {
  const element = new Audio(url)
  element.playbackRate = span.speed
  element.currentTime = place
  context.createMediaElementSource(element).connect(gain)
  void element.play().catch(unheard)
  return element
}

/** Sound by the Web Audio API. `urlOf` says where a file can be loaded from. */
export const openSound = (urlOf: (media: string) => string | undefined): SoundEngine => new WebAudioEngine(urlOf)

class WebAudioEngine implements SoundEngine {
  readonly #context = new AudioContext({ latencyHint: 'interactive' })
  readonly #voices = new Map<string, Voice>()
  readonly #bufferOf: (media: string) => AudioBuffer | null

  constructor(readonly urlOf: (media: string) => string | undefined) {
    this.#bufferOf = decodedFiles(this.#context, urlOf)
    this.#touched()
    for (const kind of ['pointerdown', 'keydown']) addEventListener(kind, this.#touched, { capture: true })
  }

  now() {
    return this.#context.state === 'running' ? this.#context.currentTime : null
  }

  hear(heard: readonly Heard[], strict: boolean) {
    if (this.#context.state !== 'running') return
    const wanted = new Set(heard.map(one => one.sounding.id))
    for (const id of this.#voices.keys()) if (!wanted.has(id)) this.#end(id)
    for (const one of heard) {
      const { id } = one.sounding
      const voice = this.#voices.get(id)
      if (voice && !(strict && this.#hasDrifted(voice, one))) {
        voice.gain.gain.setTargetAtTime(one.gain, this.#context.currentTime, glide)
        continue
      }
      this.#end(id)
      const begun = this.#begin(one)
      if (begun) this.#voices.set(id, begun)
    }
  }

  silence() {
    for (const id of [...this.#voices.keys()]) this.#end(id)
  }

  close() {
    for (const kind of ['pointerdown', 'keydown']) removeEventListener(kind, this.#touched, { capture: true })
    this.silence()
    void this.#context.close().catch(unheard)
  }

  #touched = () => void this.#context.resume().catch(unheard)

  #hasDrifted(voice: Voice, heard: Heard): boolean {
    const { element, played, since } = voice
    if (element) return Math.abs(element.currentTime - placeOf(heard, heard.played)) / heard.sounding.span.speed > tolerance * 5
    return Math.abs(played + this.#context.currentTime - since - heard.played) > tolerance
  }

  /** Starts a sound where it should be by now; null where its file is not here. */
  #begin(heard: Heard): Voice | null {
    const context = this.#context
    const { span, media } = heard.sounding
    const buffer = span.until - span.from <= longest && span.speed === 1 ? this.#bufferOf(media) : undefined
    const url = buffer === undefined ? this.urlOf(media) : undefined
    if (!buffer && !url) return null
    const gain = context.createGain()
    gain.gain.value = heard.gain
    gain.connect(context.destination)
    // What is started now is heard when the loudspeaker has it.
    const place = placeOf(heard, heard.played + (context.outputLatency || context.baseLatency || 0))
    const voice = { gain, since: context.currentTime, played: heard.played }
    if (buffer) {
      const stop = playBuffer(context, heard, buffer, place, gain)
      return {
        ...voice,
        element: null,
        stop() {
          stop()
          gain.disconnect()
        },
      }
    }
    const element = playElement(context, heard, url!, place, gain)
    return {
      ...voice,
      element,
      stop() {
        element.pause()
        element.removeAttribute('src')
        gain.disconnect()
      },
    }
  }

  #end(id: string) {
    this.#voices.get(id)?.stop()
    this.#voices.delete(id)
  }
}

/** Time that passes: by the sound clock where it runs, else by the page’s. */
export function openClock(engine: () => SoundEngine | null) {
  let sound: number | null = null
  let page = performance.now() / 1000
  /** Seconds since it was last asked. */
  return (): number => {
    const [now, clock] = [performance.now() / 1000, engine()?.now() ?? null]
    const passed = sound !== null && clock !== null ? clock - sound : now - page
    page = now
    sound = clock
    return Math.max(0, passed)
  }
}
