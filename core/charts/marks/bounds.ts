import { pointsAlong } from '../../shapes'
import type { Rectangle } from '../labels'
import { shapeOf } from './index'
import type { ChartMark } from './mark'

/** Where a mark lies: the upright rectangle around what a hand would draw of it, px from the chart's top left. */
export function boundsOfMark(mark: ChartMark): Rectangle {
  const points = pointsAlong(shapeOf(mark).outline(mark))
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity]
  for (const [x, y] of points) {
    left = Math.min(left, x)
    right = Math.max(right, x)
    top = Math.min(top, y)
    bottom = Math.max(bottom, y)
  }
  return points.length ? { x: left, y: top, width: right - left, height: bottom - top } : { x: 0, y: 0, width: 0, height: 0 }
}
