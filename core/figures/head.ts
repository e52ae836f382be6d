import type { Face } from './face'
import { aboutHead, aboutTrunk, at, bone, disc, ink, smooth, type FigurePart, type Sitter } from './outlines'

type Expression = NonNullable<Sitter['pose']['face']>

/** Draws about the head: places in shares of its radius. */
const headOf = ({ joints, body }: Sitter) => {
  const place = aboutHead(joints)
  const r = body.head
  return { r, spot: (x: number, y: number) => place(x * r, y * r) }
}

/** The mouth: opened by the voice, else as the pose has it. */
function mouthOf(sitter: Sitter, expression: Expression, { mouth }: Face): FigurePart {
  const { r, spot } = headOf(sitter)
  if (mouth > 0.04) return { name: 'mouth', d: disc(spot(0.42, 0.47), r * (0.2 - 0.05 * mouth), r * (0.03 + 0.17 * mouth)), fill: ink }
  if (expression === 'open') return { name: 'mouth', d: disc(spot(0.42, 0.46), r * 0.17, r * 0.14), fill: ink }
  const bend = spot(0.44, expression === 'smile' ? 0.66 : 0.46)
  return {
    name: 'mouth',
    d: `M${at(spot(0.16, 0.42))}Q${at(bend)} ${at(spot(0.7, 0.38))}`,
    fill: 'none',
    stroke: { color: ink, width: r * 0.1 },
  }
}

function browsOf(sitter: Sitter, { brows }: Face): FigurePart {
  const { r, spot } = headOf(sitter)
  const up = 0.1 * brows
  return {
    name: 'brow',
    d: `M${at(spot(0.04, -0.3 - up))}L${at(spot(0.3, -0.34 - up))}` + `M${at(spot(0.56, -0.34 - up))}L${at(spot(0.82, -0.28 - up))}`,
    fill: 'none',
    stroke: { color: ink, width: r * 0.075 },
  }
}

function beardOf(sitter: Sitter, color: string): FigurePart {
  const { spot } = headOf(sitter)
  const points = [
    spot(-0.5, 0.3),
    spot(-0.2, 0.94),
    spot(0.4, 1.1),
    spot(0.86, 0.7),
    spot(0.92, 0.2),
    spot(0.62, 0.3),
    spot(0.4, 0.26),
    spot(0, 0.3),
  ]
  return { name: 'beard', d: smooth(points), fill: color }
}

function glassesOf(sitter: Sitter): FigurePart {
  const { r, spot } = headOf(sitter)
  return {
    name: 'glasses',
    d:
      disc(spot(0.16, -0.04), r * 0.22) +
      disc(spot(0.7, -0.04), r * 0.22) +
      `M${at(spot(0.38, -0.06))}L${at(spot(0.48, -0.06))}` +
      `M${at(spot(-0.06, -0.06))}L${at(spot(-0.8, -0.12))}`,
    fill: 'none',
    stroke: { color: ink, width: r * 0.08 },
  }
}

function faceParts(sitter: Sitter, face: Face, hair: string): FigurePart[] {
  const { r, spot } = headOf(sitter)
  const eye = (x: number): FigurePart => ({
    name: 'eye',
    d: disc(spot(x, -0.06), r * 0.085, r * Math.max(0.015, 0.11 * face.eyes)),
    fill: ink,
  })
  return [
    ...(sitter.look.beard ? [beardOf(sitter, hair)] : []),
    eye(0.18),
    eye(0.68),
    mouthOf(sitter, sitter.pose.face ?? 'smile', face),
    browsOf(sitter, face),
    ...(sitter.look.glasses ? [glassesOf(sitter)] : []),
  ]
}

/** Neck, head, ear and face, from back to front. `hair` is the colour of a beard. */
export function headParts(sitter: Sitter, face: Face, hair: string): FigurePart[] {
  const { joints, body, look, hex, darker } = sitter
  const { r, spot } = headOf(sitter)
  const skin = hex(look.skin)
  const neck = aboutTrunk(joints)(0.95, body.shoulder * 0.04)
  return [
    { name: 'neck', d: bone(neck, joints.head, body.neck * 0.72, body.neck * 0.72), fill: darker(skin, 0.08) },
    { name: 'head', d: disc(joints.head, r, r * 1.06), fill: skin },
    { name: 'ear', d: disc(spot(-0.36, 0.12), r * 0.17, r * 0.22), fill: darker(skin, 0.1) },
    ...faceParts(sitter, face, hair),
  ]
}
