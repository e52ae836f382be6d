import type { Caption, Deck } from '../model'
import type { SoundPlan } from '../timing'

/** The captions of everything that is heard, along a deck’s time, in order; what would be shown for less than a blink is left out. */
export function captionTrack(deck: Deck, plan: SoundPlan): Caption[] {
  return plan.soundings
    .flatMap(sounding => {
      const record = sounding.element ? deck.elements[sounding.element] : deck.sounds[sounding.id]
      const captions = record && 'captions' in record ? record.captions : undefined
      if (!captions) return []
      const time = (seconds: number) => sounding.start - sounding.played + (seconds - sounding.span.from) / sounding.span.speed
      return captions
        .map(({ from, until, text }) => ({ from: Math.max(sounding.start, time(from)), until: Math.min(sounding.end, time(until)), text }))
        .filter(caption => caption.until - caption.from > 0.05)
    })
    .sort((a, b) => a.from - b.from)
}

/** The words to read at a second; several that are said at once stand on lines of their own. */
export const captionAt = (track: readonly Caption[], seconds: number): string =>
  track
    .filter(({ from, until }) => seconds >= from && seconds < until)
    .map(({ text }) => text)
    .join('\n')
