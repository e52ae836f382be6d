import { clamp, optionOf, type Effect, type OptionField } from './effect'
import type { PartFrame } from '../part-frame'

const times = (initial: number): OptionField => ({
  kind: 'number',
  name: 'times',
  label: 'Times',
  min: 1,
  max: 12,
  step: 1,
  unit: '',
  initial,
})

/** An emphasis that swings to and fro about rest, less and less. */
function swinging(
  name: string,
  label: string,
  input: {
    duration: number
    amount: OptionField & { kind: 'number' }
    times: number
    move(part: PartFrame, by: number, amount: number): void
  },
): Effect {
  const effect: Effect = {
    name,
    label,
    whats: ['emphasis'],
    duration: input.duration,
    pace: 'linear',
    options: [input.amount, times(input.times)],
    apply(part, progress, options) {
      if (progress <= 0 || progress >= 1) return
      const swing = Math.sin(progress * Math.round(optionOf<number>(effect, options, 'times')) * 2 * Math.PI) * (1 - progress)
      input.move(part, swing, optionOf<number>(effect, options, input.amount.name))
    },
  }
  return effect
}

const angle = (initial: number) => ({
  kind: 'number' as const,
  name: 'angle',
  label: 'By',
  min: 1,
  max: 90,
  step: 1,
  unit: '°',
  initial,
})

/** Wobbles about its middle. */
export const wobble = swinging('wobble', 'Wobble', {
  duration: 0.9,
  amount: angle(6),
  times: 3,
  move(part, by, amount) {
    part.rotate += by * amount
  },
})

/** Shakes its head. */
export const shake = swinging('shake', 'Shake', {
  duration: 0.7,
  amount: { kind: 'number', name: 'way', label: 'By', min: 2, max: 400, step: 2, unit: 'px', initial: 24 },
  times: 4,
  move(part, by, amount) {
    part.x += by * amount
  },
})

/** Swings like a sign that hangs from its upper edge. */
export const swing = swinging('swing', 'Swing', {
  duration: 1.6,
  amount: angle(12),
  times: 2,
  move(part, by, amount) {
    part.originX = 0.5
    part.originY = 0
    part.rotate += by * amount
  },
})

/** Leans towards the viewer on one side and then the other. */
export const lean = swinging('lean', 'Lean to and fro', {
  duration: 1.4,
  amount: angle(18),
  times: 1,
  move(part, by, amount) {
    part.turnY += by * amount
  },
})

/** Hops up and lands, each hop lower. */
export const hop: Effect = {
  name: 'hop',
  label: 'Hop',
  whats: ['emphasis'],
  duration: 0.9,
  pace: 'linear',
  options: [{ kind: 'number', name: 'height', label: 'As high as', min: 2, max: 1000, step: 2, unit: 'px', initial: 40 }, times(2)],
  apply(part, progress, options) {
    if (progress <= 0 || progress >= 1) return
    const hops = Math.round(optionOf<number>(hop, options, 'times'))
    const at = (progress * hops) % 1
    part.y -= 4 * at * (1 - at) * optionOf<number>(hop, options, 'height') * 0.6 ** Math.floor(progress * hops)
  },
}

/** Dims and lights up again; its flashes are held to three a second. */
export const blink: Effect = {
  name: 'blink',
  label: 'Dim and light up',
  whats: ['emphasis'],
  duration: 1.2,
  pace: 'linear',
  options: [{ kind: 'number', name: 'amount', label: 'Down by', min: 10, max: 100, step: 5, unit: '%', initial: 70 }, times(2)],
  flashes: options => Math.round(optionOf<number>(blink, options, 'times')),
  apply(part, progress, options) {
    const dip = Math.sin(clamp(progress) * Math.round(optionOf<number>(blink, options, 'times')) * Math.PI) ** 2
    part.opacity *= 1 - (optionOf<number>(blink, options, 'amount') / 100) * dip
  },
}
