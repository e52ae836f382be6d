export { drawFigure, figureLook, usualLook, type FigureDrawing, type FigurePart } from './draw'
export { poses, poseNamed } from './poses'
export { bodies, solve, type Joints, type Pose } from './skeleton'
