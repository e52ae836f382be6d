import { measurePath } from '../../shapes'
import type { Options } from '../../values'
import type { PartFrame } from '../part-frame'
import { clamp, colorOption, colorOptionOf, optionOf, type Effect, type OptionField } from './effect'

const turning: OptionField = { kind: 'boolean', name: 'turn', label: 'Turns along', initial: false }
const way = (name: 'x' | 'y', initial: number): OptionField => ({
  kind: 'number',
  name,
  label: name === 'x' ? 'Across' : 'Down',
  min: -10_000,
  max: 10_000,
  step: 8,
  unit: 'px',
  initial,
})

/** Puts a part where a path is after a share of it, counted from the path's beginning. */
function follow(part: PartFrame, data: string, progress: number, turn: boolean) {
  const path = measurePath(data)
  const start = path.at(0)
  const now = path.at(progress)
  part.x += now.x - start.x
  part.y += now.y - start.y
  if (turn) part.rotate += now.angle - start.angle
}

/** The path of a move along a line or an arc, from rest. */
export const lineOf = (x: number, y: number) => `M0 0L${x} ${y}`
/** A part of a circle: `bend` as a share of half the way, to the left of the way where above 0. */
export function arcOf(x: number, y: number, bend: number): string {
  const chord = Math.hypot(x, y)
  if (Math.abs(bend) < 0.01 || chord < 1) return lineOf(x, y)
  // A circle through both ends with the arrow s: r = s/2 + c²/(8 s).
  const arrow = (Math.abs(bend) * chord) / 2
  const radius = arrow / 2 + (chord * chord) / (8 * arrow)
  return `M0 0A${radius} ${radius} 0 ${Math.abs(bend) > 1 ? 1 : 0} ${bend > 0 ? 1 : 0} ${x} ${y}`
}

/** Along a straight line, and stays there. */
export const moveLine: Effect = {
  name: 'move-line',
  path: { of: options => lineOf(optionOf<number>(moveLine, options, 'x'), optionOf<number>(moveLine, options, 'y')), shape: 'line' },
  label: 'Move along a line',
  whats: ['move'],
  duration: 1,
  options: [way('x', 200), way('y', 0)],
  apply(part, progress, options) {
    part.x += optionOf<number>(moveLine, options, 'x') * progress
    part.y += optionOf<number>(moveLine, options, 'y') * progress
  },
}

const arcThrough = (options: Options) =>
  arcOf(optionOf<number>(moveArc, options, 'x'), optionOf<number>(moveArc, options, 'y'), optionOf<number>(moveArc, options, 'bend') / 100)

/** Along a part of a circle. */
export const moveArc: Effect = {
  name: 'move-arc',
  path: { of: arcThrough, shape: 'arc' },
  label: 'Move along an arc',
  whats: ['move'],
  duration: 1.2,
  options: [
    way('x', 400),
    way('y', 0),
    { kind: 'number', name: 'bend', label: 'Bends by', min: -200, max: 200, step: 5, unit: '%', initial: 50 },
    turning,
  ],
  apply(part, progress, options) {
    follow(part, arcThrough(options), progress, optionOf<boolean>(moveArc, options, 'turn'))
  },
}

/** Along any path, drawn or written as SVG path data. */
export const movePath: Effect = {
  name: 'move-path',
  path: { of: options => optionOf<string>(movePath, options, 'path'), shape: 'drawn' },
  label: 'Move along a path',
  whats: ['move'],
  duration: 2,
  options: [{ kind: 'path', name: 'path', label: 'Path', initial: 'M0 0C150 -200 350 200 500 0' }, turning],
  apply(part, progress, options) {
    follow(part, optionOf<string>(movePath, options, 'path'), progress, optionOf<boolean>(movePath, options, 'turn'))
  },
}

/** Turns about its middle, and stays so. */
export const spin: Effect = {
  name: 'spin',
  label: 'Turn',
  whats: ['move'],
  duration: 1,
  options: [{ kind: 'number', name: 'angle', label: 'By', min: -3600, max: 3600, step: 15, unit: '°', initial: 360 }],
  apply(part, progress, options) {
    part.rotate += optionOf<number>(spin, options, 'angle') * progress
  },
}

/** Becomes larger or smaller, across and down each by its own share. */
export const resize: Effect = {
  name: 'resize',
  label: 'Change size',
  whats: ['move'],
  duration: 0.8,
  options: [
    { kind: 'number', name: 'width', label: 'Width to', min: 1, max: 1000, step: 5, unit: '%', initial: 150 },
    { kind: 'number', name: 'height', label: 'Height to', min: 1, max: 1000, step: 5, unit: '%', initial: 150 },
  ],
  apply(part, progress, options) {
    part.scaleX *= Math.max(0, 1 + (optionOf<number>(resize, options, 'width') / 100 - 1) * progress)
    part.scaleY *= Math.max(0, 1 + (optionOf<number>(resize, options, 'height') / 100 - 1) * progress)
  },
}

/** Takes a colour, and keeps it. */
export const recolor: Effect = {
  name: 'recolor',
  label: 'Take a colour',
  whats: ['move'],
  duration: 0.8,
  options: [
    colorOptionOf('accent1'),
    { kind: 'number', name: 'amount', label: 'Strength', min: 5, max: 100, step: 5, unit: '%', initial: 100 },
  ],
  apply(part, progress, options) {
    const amount = clamp(progress) * (optionOf<number>(recolor, options, 'amount') / 100)
    if (amount > 0) part.tint = { color: colorOption(recolor, options, 'color'), amount }
  },
}

/** Becomes fainter, and stays so. */
export const soften: Effect = {
  name: 'soften',
  label: 'Step back',
  whats: ['move'],
  duration: 0.6,
  options: [{ kind: 'number', name: 'opacity', label: 'Opacity to', min: 0, max: 100, step: 5, unit: '%', initial: 30 }],
  apply(part, progress, options) {
    part.opacity *= 1 - clamp(progress) * (1 - optionOf<number>(soften, options, 'opacity') / 100)
  },
}
