/**
 * Figures: people drawn in poses, with faces that follow a voice.
 *
 * @example
 * import { drawFigure, restingFace, usualLook } from 'core/figures'
 * import { houseTheme } from 'core/layouts'
 *
 * const { parts, view } = drawFigure({ look: usualLook, pose: 'stand', face: restingFace }, houseTheme.palette)
 * parts.some(part => part.name === 'head') // → true
 * view.length // → 4
 */

export { blendPoses, walking } from './blend'
export { drawFigure, figureLook, usualLook, type FigureDrawing, type FigurePart } from './draw'
export { faceAt, restingFace, type Face } from './face'
export { gestureNamed, gestures, holding, type Gesture } from './gestures'
export { poses, poseNamed } from './poses'
export { bodies, solve, type Joints, type Pose } from './skeleton'
