import { hexOf, hexOver, type Palette } from '../color'
import type { FigureLook } from '../model'
import type { Color } from '../values'
import type { Body, Joints, Point, Pose } from './skeleton'

/** A part of a drawn figure: its outline in px, and the colour it is filled with (#rrggbb). */
export interface FigurePart {
  name: string
  d: string
  fill: string
  stroke?: { color: string; width: number }
}

const n = (value: number) => Math.round(value * 100) / 100 + 0
export const at = (point: Point) => `${n(point.x)} ${n(point.y)}`
export const shift = (point: Point, x: number, y: number): Point => ({ x: point.x + x, y: point.y + y })
/** A bone with a roundness at both ends. */
export function bone(from: Point, to: Point, r1: number, r2: number): string {
  const angle = Math.atan2(to.y - from.y, to.x - from.x)
  const [x, y] = [-Math.sin(angle), Math.cos(angle)]
  return (
    `M${at(shift(from, x * r1, y * r1))}L${at(shift(to, x * r2, y * r2))}A${n(r2)} ${n(r2)} 0 0 0 ` +
    `${at(shift(to, -x * r2, -y * r2))}L${at(shift(from, -x * r1, -y * r1))}A${n(r1)} ${n(r1)} 0 0 0 ` +
    `${at(shift(from, x * r1, y * r1))}Z`
  )
}
export const disc = (center: Point, rx: number, ry = rx) =>
  `M${at(shift(center, -rx, 0))}A${n(rx)} ${n(ry)} 0 1 1 ${at(shift(center, rx, 0))}A${n(rx)} ${n(ry)} 0 1 1 ${at(shift(center, -rx, 0))}Z`
export const polygon = (points: readonly Point[]) => `M${points.map(at).join('L')}Z`
/** A closed curve through points (Catmull-Rom as cubic curves). */
export function smooth(points: readonly Point[]): string {
  const get = (index: number) => points[(index + points.length) % points.length]!
  return `M${at(points[0]!)}${points
    .map((from, index) => {
      const [before, to, after] = [get(index - 1), get(index + 1), get(index + 2)]
      return (
        `C${at({ x: from.x + (to.x - before.x) / 6, y: from.y + (to.y - before.y) / 6 })} ` +
        `${at({ x: to.x - (after.x - from.x) / 6, y: to.y - (after.y - from.y) / 6 })} ${at(to)}`
      )
    })
    .join('')}Z`
}

/** Turns a place given about the head (x the way it faces, y down) with the head. */
export function aboutHead(joints: Joints): (x: number, y: number) => Point {
  const turn = ((joints.lean + joints.nod) * Math.PI) / 180
  return (x, y) => ({
    x: joints.head.x + x * Math.cos(turn) - y * Math.sin(turn),
    y: joints.head.y + x * Math.sin(turn) + y * Math.cos(turn),
  })
}

/** Points of the trunk given as shares of its height from hip to neck and px aside. */
export function aboutTrunk(joints: Joints): (up: number, aside: number) => Point {
  const turn = (joints.lean * Math.PI) / 180
  return (up, aside) => ({
    x: joints.hip.x + (joints.neck.x - joints.hip.x) * up + Math.cos(turn) * aside,
    y: joints.hip.y + (joints.neck.y - joints.hip.y) * up + Math.sin(turn) * aside,
  })
}

/** Who is drawn: how they look and stand, in units of the body, and what colours their things have. */
export interface Sitter {
  look: FigureLook
  pose: Pose
  body: Body
  joints: Joints
  /** A colour as #rrggbb. */
  hex(color: Color): string
  /** A colour darkened, as in the shade; `by` 0 to 1. */
  darker(color: string, by?: number): string
}

/** The colour of lines: eyes, brows, the mouth. */
export const ink = '#1d2a2f'

export const sitterOf = (look: FigureLook, pose: Pose, body: Body, joints: Joints, palette: Palette): Sitter => ({
  look,
  pose,
  body,
  joints,
  hex: color => hexOf(color, palette),
  darker: (color, by = 0.18) => hexOver({ hex: '#10191c', alpha: by }, color, palette),
})
