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

/** Sound by the Web Audio API. `urlOf` says where a file can be loaded from. */
export function openSound(urlOf: (media: string) => string | undefined): SoundEngine {
  const context = new AudioContext({ latencyHint: 'interactive' })
  const buffers = new Map<string, AudioBuffer | 'coming' | 'broken'>()
  const voices = new Map<string, Voice>()
  void context.resume().catch(unheard)
  const touched = () => void context.resume().catch(unheard)
  for (const kind of ['pointerdown', 'keydown']) addEventListener(kind, touched, { capture: true })

  function bufferOf(media: string): AudioBuffer | null {
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

  /** Where in its file a sound is that has played so long. */
  function placeOf({ sounding: { span, loop } }: Heard, played: number): number {
    const into = loop && span.seconds > 0 ? ((played % span.seconds) + span.seconds) % span.seconds : played
    return span.from + into * span.speed
  }

  function begin(heard: Heard): Voice | null {
    const { sounding, played } = heard
    const { span, loop, media } = sounding
    const gain = context.createGain()
    gain.gain.value = heard.gain
    gain.connect(context.destination)
    // What is started now is heard when the loudspeaker has it.
    const ahead = played + (context.outputLatency || context.baseLatency || 0)
    const since = context.currentTime
    if (span.until - span.from <= longest && span.speed === 1) {
      const buffer = bufferOf(media)
      if (!buffer) return null
      const source = context.createBufferSource()
      source.buffer = buffer
      source.loop = loop
      source.loopStart = span.from
      source.loopEnd = Math.min(span.until, buffer.duration)
      source.connect(gain)
      source.start(0, Math.min(placeOf(heard, ahead), buffer.duration), ...(loop ? [] : [Math.max(0, span.until - placeOf(heard, ahead))]))
      return {
        gain,
        since,
        played,
        element: null,
        stop: () => {
          source.stop()
          gain.disconnect()
        },
      }
    }
    const url = urlOf(media)
    if (!url) return null
    const element = new Audio(url)
    element.playbackRate = span.speed
    element.currentTime = placeOf(heard, ahead)
    context.createMediaElementSource(element).connect(gain)
    void element.play().catch(unheard)
    return {
      gain,
      since,
      played,
      element,
      stop: () => {
        element.pause()
        element.removeAttribute('src')
        gain.disconnect()
      },
    }
  }

  function end(id: string) {
    voices.get(id)?.stop()
    voices.delete(id)
  }

  return {
    now: () => (context.state === 'running' ? context.currentTime : null),
    hear(heard, strict) {
      if (context.state !== 'running') return
      const wanted = new Set(heard.map(one => one.sounding.id))
      for (const id of voices.keys()) if (!wanted.has(id)) end(id)
      for (const one of heard) {
        const { id, span } = one.sounding
        const voice = voices.get(id)
        if (voice) {
          const apart = voice.element
            ? Math.abs(voice.element.currentTime - placeOf(one, one.played)) / span.speed
            : Math.abs(voice.played + context.currentTime - voice.since - one.played)
          if (strict && apart > tolerance * (voice.element ? 5 : 1)) end(id)
          else {
            voice.gain.gain.setTargetAtTime(one.gain, context.currentTime, glide)
            continue
          }
        }
        const begun = begin(one)
        if (begun) voices.set(id, begun)
      }
    },
    silence() {
      for (const id of [...voices.keys()]) end(id)
    },
    close() {
      for (const kind of ['pointerdown', 'keydown']) removeEventListener(kind, touched, { capture: true })
      for (const id of [...voices.keys()]) end(id)
      void context.close().catch(unheard)
    },
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
