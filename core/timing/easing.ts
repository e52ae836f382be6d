import { memoByRecords, type Easing } from '../values'

/** Progress of motion (1 at rest at the end; may overshoot) at a share of its time, 0 to 1. */
export type EasingFunction = (time: number) => number

export const namedEasings = {
  linear: { kind: 'linear' },
  'ease in': { kind: 'cubic-bezier', x1: 0.42, y1: 0, x2: 1, y2: 1 },
  'ease out': { kind: 'cubic-bezier', x1: 0.22, y1: 0.8, x2: 0.3, y2: 1 },
  'ease both ways': { kind: 'cubic-bezier', x1: 0.45, y1: 0, x2: 0.25, y2: 1 },
  'gently both ways': { kind: 'cubic-bezier', x1: 0.37, y1: 0, x2: 0.63, y2: 1 },
  overshoot: { kind: 'cubic-bezier', x1: 0.34, y1: 1.5, x2: 0.64, y2: 1 },
  spring: { kind: 'spring', stiffness: 180, damping: 14, mass: 1 },
  'five steps': { kind: 'steps', count: 5, jump: 'end' },
} as const satisfies Record<string, Easing>

export type EasingName = keyof typeof namedEasings

/** Solved by Newton's method with bisection where the slope is flat; W3C CSS Easing Functions Level 2, “cubic Bézier”. */
function cubicBezier(x1: number, y1: number, x2: number, y2: number): EasingFunction {
  const along = (t: number, a: number, b: number) => ((1 - 3 * b + 3 * a) * t + (3 * b - 6 * a)) * t * t + 3 * a * t
  const slope = (t: number) => 3 * (1 - 3 * x2 + 3 * x1) * t * t + 2 * (3 * x2 - 6 * x1) * t + 3 * x1
  return x => {
    if (x <= 0) return 0
    if (x >= 1) return 1
    let t = x
    for (let i = 0; i < 8; i++) {
      const error = along(t, x1, x2) - x
      if (Math.abs(error) < 1e-7) return along(t, y1, y2)
      const steep = slope(t)
      if (Math.abs(steep) < 1e-6) break
      t -= error / steep
    }
    let low = 0
    let high = 1
    t = x
    while (high - low > 1e-7) {
      if (along(t, x1, x2) < x) low = t
      else high = t
      t = (low + high) / 2
    }
    return along(t, y1, y2)
  }
}

/** W3C CSS Easing Functions Level 2, “step easing”. */
function steps(count: number, jump: 'start' | 'end' | 'none' | 'both'): EasingFunction {
  const jumps = jump === 'none' ? Math.max(1, count - 1) : jump === 'both' ? count + 1 : count
  return x => {
    if (x >= 1) return 1
    const step = Math.floor(Math.max(0, x) * count) + (jump === 'start' || jump === 'both' ? 1 : 0)
    return Math.min(1, Math.max(0, step / jumps))
  }
}

/**
 * A damped harmonic oscillator released at 0 and drawn to 1: x″ = −(k/m)(x − 1) − (c/m)x′. Its own time is scaled so
 * that what is left of the swing at the end of the duration is under a thousandth, and then it rests at 1.
 */
function spring(stiffness: number, damping: number, mass: number): EasingFunction {
  const natural = Math.sqrt(stiffness / mass)
  const ratio = Math.max(0.02, damping / (2 * Math.sqrt(stiffness * mass)))
  const left = (t: number): number => {
    if (ratio < 1) {
      const w = natural * Math.sqrt(1 - ratio * ratio)
      return Math.exp(-ratio * natural * t) * (Math.cos(w * t) + ((ratio * natural) / w) * Math.sin(w * t))
    }
    if (ratio === 1) return Math.exp(-natural * t) * (1 + natural * t)
    const root = natural * Math.sqrt(ratio * ratio - 1)
    const a = -ratio * natural + root
    const b = -ratio * natural - root
    return (b * Math.exp(a * t) - a * Math.exp(b * t)) / (b - a)
  }
  const slowest = ratio <= 1 ? ratio * natural : natural * (ratio - Math.sqrt(ratio * ratio - 1))
  const settled = 8 / slowest
  return x => (x <= 0 ? 0 : x >= 1 ? 1 : 1 - left(x * settled))
}

/** The function of an easing; the same record gives the same function. */
export const easingOf = memoByRecords(
  (easing: Easing) => [easing],
  (easing): EasingFunction => {
    if (easing.kind === 'cubic-bezier') return cubicBezier(easing.x1, easing.y1, easing.x2, easing.y2)
    if (easing.kind === 'steps') return steps(easing.count, easing.jump)
    if (easing.kind === 'spring') return spring(easing.stiffness, easing.damping, easing.mass)
    return time => Math.min(1, Math.max(0, time))
  },
)
