import { arcShape } from './arc'
import { areaShape } from './area'
import { barShape } from './bar'
import { cellShape } from './cell'
import { lineShape } from './line'
import { linkShape } from './link'
import type { Tone } from '../tones'
import type { ChartMark, MarkShape, MarkShapeName } from './mark'
import { pathShape } from './path'
import { pointShape } from './point'
import { regionShape } from './region'
import { textShape } from './text'

export type * from './mark'
export { mix, mixPoint, mixPoints } from './mark'

type Shapes = { readonly [S in MarkShapeName]: MarkShape<Extract<ChartMark, { shape: S }>> }

/** Every shape of marks: adding one is adding a file and a line, and its record to the union. */
export const markShapes: Shapes = {
  bar: barShape,
  line: lineShape,
  area: areaShape,
  point: pointShape,
  arc: arcShape,
  cell: cellShape,
  text: textShape,
  link: linkShape,
  path: pathShape,
  region: regionShape,
}

/**
 * What is known of a mark's shape. The compiler does not see that a mark and its shape, each of a union, belong together: the table holds
 * it.
 */
export const shapeOf = <M extends ChartMark>(mark: M) => markShapes[mark.shape] as unknown as MarkShape<M>

/** What the colour of a mark is for. */
export const toneOf = (mark: ChartMark): Tone => mark.tone ?? { name: mark.highlighted ? 'highlighted' : 'plain' }
