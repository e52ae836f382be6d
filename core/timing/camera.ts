/** What is seen of a slide: the point in the middle of the picture, px of deck space, and how much larger than composed. */
export interface Camera {
  x: number
  y: number
  scale: number
}

export const restingCamera = (size: { width: number, height: number }): Camera => ({ x: size.width / 2, y: size.height / 2, scale: 1 })

export const isCameraAtRest = (camera: Camera, size: { width: number, height: number }) =>
  Math.abs(camera.scale - 1) < 1e-9 && Math.abs(camera.x - size.width / 2) < 1e-6 && Math.abs(camera.y - size.height / 2) < 1e-6
