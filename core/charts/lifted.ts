import type { DataTable } from '../data'
import type { ChartSpec } from '../model'
import { drawChart } from './catalogue'
import type { ChartRoom } from './drawing'

/** The side of the room that a place is drawn large in, and what is left free around it, px. */
const side = 1600
const margin = 4

/** A place of a map by itself, as an SVG file with nothing in it but its outline. */
export interface Lifted {
  svg: string
  width: number
  height: number
}

/** What holds path data of straight lines, where a camera sees it, px. */
function boxOf(d: string, { scale, x, y }: { scale: number; x: number; y: number }) {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity]
  for (const [, across, down] of d.matchAll(/(-?[\d.]+),(-?[\d.]+)/g)) {
    const [px, py] = [x + scale * Number(across), y + scale * Number(down)]
    left = Math.min(left, px)
    right = Math.max(right, px)
    top = Math.min(top, py)
    bottom = Math.max(bottom, py)
  }
  return left < right && top < bottom ? { left, top, width: right - left, height: bottom - top } : null
}

/**
 * One area of a map lifted out, in the projection that it is drawn in and as fine as its outlines are; `fill` is #rrggbb. Null where it is
 * not on the map, or is no area.
 */
export function liftedOut(
  spec: ChartSpec,
  table: DataTable,
  room: ChartRoom,
  { key, label, fill }: { key: string; label: string; fill: string },
): Lifted | null {
  const alone: ChartSpec = { ...spec, labels: 'none', options: { ...spec.options, camera: 'place', on: label, alone: true } }
  const { marks } = drawChart(alone, table, { ...room, width: side, height: side })
  const mark = marks.find(one => one.shape === 'region' && one.key === key)
  const box = mark?.shape === 'region' ? boxOf(mark.d, mark.view) : null
  if (mark?.shape !== 'region' || !box) return null
  const short = (value: number) => Math.round(value * 100) / 100
  const [width, height] = [short(box.width + 2 * margin), short(box.height + 2 * margin)]
  const view = `${short(box.left - margin)} ${short(box.top - margin)} ${width} ${height}`
  const { scale, x, y } = mark.view
  const shift = `translate(${short(x)} ${short(y)}) scale(${scale.toPrecision(8)})`
  const path = `<path d="${mark.d}" transform="${shift}" fill="${fill}" fill-rule="evenodd"/>`
  return {
    svg: `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${view}" width="${width}" height="${height}">${path}</svg>`,
    width,
    height,
  }
}
