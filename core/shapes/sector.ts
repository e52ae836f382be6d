import { short } from './shape'

interface Frame {
  x: number
  y: number
  width: number
  height: number
}

/**
 * A sector of a ring as an SVG path (even-odd); degrees clockwise from the top, `hole` as a share of the radius. A whole ring where it goes
 * all round.
 */
export function sectorPath(frame: Frame, sector: { from: number; until: number; hole: number } = { from: 0, until: 360, hole: 0 }): string {
  const [rx, ry] = [frame.width / 2, frame.height / 2]
  const [cx, cy] = [frame.x + rx, frame.y + ry]
  const at = (degrees: number, share: number) => {
    const radians = (degrees * Math.PI) / 180
    return `${short(cx + Math.sin(radians) * rx * share)} ${short(cy - Math.cos(radians) * ry * share)}`
  }
  const arc = (share: number, clockwise: boolean, large: boolean) =>
    `A${short(rx * share)} ${short(ry * share)} 0 ${large ? 1 : 0} ${clockwise ? 1 : 0}`
  const sweep = Math.max(0, sector.until - sector.from)
  const hole = sector.hole
  if (sweep >= 359.99) {
    const round = (share: number) =>
      `M${at(0, share)} ${arc(share, true, false)} ${at(180, share)} ${arc(share, true, false)} ${at(360, share)}Z`
    return hole > 0 ? `${round(1)} ${round(hole)}` : round(1)
  }
  const large = sweep > 180
  const outer = `M${at(sector.from, 1)} ${arc(1, true, large)} ${at(sector.until, 1)}`
  return hole > 0
    ? `${outer} L${at(sector.until, hole)} ${arc(hole, false, large)} ${at(sector.from, hole)}Z`
    : `${outer} L${short(cx)} ${short(cy)}Z`
}
