import type { Palette } from '../color'
import type { FigureElement, FigureLook, Theme } from '../model'
import { clothesParts } from './clothes'
import { restingFace, type Face } from './face'
import { hairParts } from './hair'
import { headParts } from './head'
import { armParts, legParts } from './limbs'
import { sitterOf, type FigurePart } from './outlines'
import { poseNamed } from './poses'
import { bodies, solve, type Pose } from './skeleton'
import { heldParts, seatParts } from './things'

export type { FigurePart } from './outlines'

/** A drawn person in units of the body, feet at y 0: parts from back to front. */
function partsOf(look: FigureLook, pose: Pose, face: Face, palette: Palette): FigurePart[] {
  const body = bodies[look.body]
  const sitter = sitterOf(look, pose, body, solve(pose, body), palette)
  const hair = sitter.hex(look.hair.color)
  const { behind, over } = hairParts(sitter, hair)
  return [
    ...seatParts(sitter),
    ...behind,
    ...armParts(sitter, 'back'),
    ...legParts(sitter, 'back'),
    ...legParts(sitter, 'front'),
    ...clothesParts(sitter),
    ...headParts(sitter, face, hair),
    ...over,
    ...heldParts(sitter),
    ...armParts(sitter, 'front'),
  ]
}

/** The look of a figure element: of the speaker, as the deck says; else its own, over the usual one. */
export const figureLook = (element: Pick<FigureElement, 'look' | 'speaker'>, theme: Pick<Theme, 'speaker'>): FigureLook =>
  element.speaker ? (theme.speaker ?? usualLook) : (element.look ?? usualLook)

export interface FigureDrawing {
  parts: FigurePart[]
  /** The part of the plane that the drawing takes up: x, y, width, height. */
  view: readonly [number, number, number, number]
}

/** How far the drawing of a pose reaches, so that poses of one figure stand in one scale. */
const reach = { left: -49, top: -119, width: 98, height: 122 }

/** A drawn person as parts in a view of their own, facing right; all poses of all bodies stand in the same view, on the same ground. */
export function drawFigure(
  input: { look: FigureLook; /** By name, or on its way. */ pose: string | Pose; face?: Face },
  palette: Palette,
): FigureDrawing {
  return {
    parts: partsOf(input.look, typeof input.pose === 'string' ? poseNamed(input.pose) : input.pose, input.face ?? restingFace, palette),
    view: [reach.left, reach.top, reach.width, reach.height],
  }
}

/** The look of a figure that nobody has dressed yet. */
export const usualLook: FigureLook = {
  body: 'medium',
  skin: { hex: '#d9a47c' },
  hair: { style: 'short', color: { hex: '#3a2a22' } },
  top: { style: 'jacket', color: { role: 'accent1' } },
  under: { hex: '#fbfcfa' },
  bottom: { style: 'trousers', color: { role: 'accent5' } },
  shoes: { hex: '#26313a' },
}
