import type { Box } from '../values'

type Size = { width: number; height: number }

/**
 * What is seen of a slide: the point in the middle of the picture, px of deck space, how much larger than composed, and how the picture is
 * turned, degrees clockwise.
 */
export interface Camera {
  x: number
  y: number
  scale: number
  angle: number
}

export const restingCamera = (size: Size): Camera => ({ x: size.width / 2, y: size.height / 2, scale: 1, angle: 0 })

export const isCameraAtRest = (camera: Camera, size: Size) =>
  Math.abs(camera.scale - 1) < 1e-9 &&
  Math.abs(camera.x - size.width / 2) < 1e-6 &&
  Math.abs(camera.y - size.height / 2) < 1e-6 &&
  Math.abs(camera.angle) < 1e-9

/** The camera that shows a box whole, as large as the picture allows, turned as the box is. */
export const cameraOn = (box: Box, size: Size): Camera => ({
  x: box.x + box.width / 2,
  y: box.y + box.height / 2,
  scale: Math.min(size.width / Math.max(1, box.width), size.height / Math.max(1, box.height)),
  angle: box.angle,
})

/** The camera that shows all of a board. */
export const overviewOf = (board: Size, size: Size): Camera =>
  cameraOn({ x: 0, y: 0, width: board.width, height: board.height, angle: 0 }, size)

/** A way of a camera from one place to another. */
export interface CameraWay {
  /** How long it seems to a viewer: pictures that pass, and zooming to match; see `cameraWay`. */
  length: number
  at(share: number): Camera
}

/** How much more a viewer bears to pan than to zoom: √2 was found to be liked. */
const rho = Math.SQRT2
/** A turn by this many degrees seems as long as a pan by one picture. */
const turnAsPan = 60

/** The shortest way round from one angle to another, degrees. */
const turned = (from: number, to: number) => ((((to - from) % 360) + 540) % 360) - 180

/**
 * The way from one camera to another that seems even and shortest to a viewer: from afar over long ways, and without
 * detour over short ones. J. J. van Wijk and W. A. A. Nuij, “Smooth and efficient zooming and panning”, 2003; their width
 * w is 1 / scale of the picture's width, their length S is what is returned. `straight` only goes closer or away evenly
 * while it pans in a straight line of the picture.
 */
export function cameraWay(from: Camera, to: Camera, size: Size, straight = false): CameraWay {
  const turn = turned(from.angle, to.angle)
  const [w0, w1] = [size.width / from.scale, size.width / to.scale]
  const u1 = Math.hypot(to.x - from.x, to.y - from.y)
  const mixed = (share: number, along: number, w: number): Camera => ({
    x: from.x + (to.x - from.x) * along,
    y: from.y + (to.y - from.y) * along,
    scale: size.width / w,
    angle: share >= 1 ? to.angle : from.angle + turn * share,
  })
  const turning = Math.abs(turn) / turnAsPan
  const ends = (share: number) => (share <= 0 ? from : share >= 1 ? to : null)
  if (straight || u1 < 1e-6 * w0) {
    const ratio = Math.log(w1 / w0)
    const zoom = Math.abs(ratio) / rho
    // While it zooms evenly, what is in the picture's middle moves evenly on the screen.
    const along = (share: number) => (Math.abs(ratio) < 1e-6 ? share : (Math.exp(ratio * share) - 1) / (Math.exp(ratio) - 1))
    // A straight pan at the nearer of both ends passes the most pictures.
    const pan = u1 / Math.min(w0, w1)
    return { length: Math.hypot(zoom, pan, turning), at: share => ends(share) ?? mixed(share, along(share), w0 * Math.exp(ratio * share)) }
  }
  const b = (w: number, sign: 1 | -1) => (w1 * w1 - w0 * w0 + sign * rho ** 4 * u1 * u1) / (2 * w * rho * rho * u1)
  // ln(√(b² + 1) − b) as −asinh(b): exact for large b too.
  const [r0, r1] = [-Math.asinh(b(w0, 1)), -Math.asinh(b(w1, -1))]
  const length = (r1 - r0) / rho
  return {
    length: Math.hypot(length, turning),
    at(share) {
      const end = ends(share)
      if (end) return end
      const s = share * length
      const r = rho * s + r0
      const u = (w0 / (rho * rho)) * (Math.cosh(r0) * Math.tanh(r) - Math.sinh(r0))
      return mixed(share, u / u1, (w0 * Math.cosh(r0)) / Math.cosh(r))
    },
  }
}

/**
 * Lengths of a way (see `cameraWay`) that pass in a second: what feels unhurried on average, and what nobody should have to bear. The liked
 * mean was 0.9 in the study named there.
 */
export const cameraSpeed = { easy: 0.6, most: 1.8 }
