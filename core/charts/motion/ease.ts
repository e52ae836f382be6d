/** A share held between 0 and 1. */
export const clamp = (share: number) => Math.min(1, Math.max(0, share))

/** Slow at both ends, of a share that is held between 0 and 1. */
export function slowEnds(share: number): number {
  const held = clamp(share)
  return held * held * (3 - 2 * held)
}

export const evenly = (share: number) => share
