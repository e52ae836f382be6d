/** How a face moves with a voice, 0 to 1 each: how far the mouth is open, how high the brows are, how far the eyes are open. */
export interface Face {
  mouth: number
  brows: number
  eyes: number
}

export const restingFace: Face = { mouth: 0, brows: 0, eyes: 1 }

/** Loudness below this share of the voice's loudest is a pause. */
const pause = 0.08
/** An eye closes and opens again in so many seconds. */
const blink = 0.16

/**
 * A face at a moment of a voice: the mouth as wide as it is loud, the brows as loud as the last half second was on the
 * whole, and an eye that closes briefly when a pause begins. `loudness` tells how loud it is, 0 to 1, some seconds before.
 */
export function faceAt(loudness: (secondsBefore: number) => number): Face {
  const [now, before] = [loudness(0), loudness(0.03)]
  const steps = 10
  const mean = Array.from({ length: steps }, (_, index) => loudness((index * 0.5) / steps)).reduce((sum, one) => sum + one, 0) / steps
  // How long it has been silent, as far as that matters for a blink.
  let silent = 0
  while (silent < blink && loudness(silent) < pause) silent += 0.02
  const closing = silent > 0 && silent < blink && loudness(silent) >= pause ? Math.abs(1 - (2 * silent) / blink) : 1
  return {
    mouth: Math.min(1, Math.max(0, ((now + before) / 2 - pause) / (1 - pause)) ** 0.7),
    brows: Math.min(1, mean * 1.4),
    eyes: closing,
  }
}
