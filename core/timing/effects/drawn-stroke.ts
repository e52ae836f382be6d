import type { Options } from '../../values'
import type { PartFrame, Stroke } from '../part-frame'
import { clamp, colorOption, colorOptionOf, optionOf, staysOption, type Effect, type Place } from './effect'

/** Shares of the time in which a stroke is drawn, and in which it fades again. */
const drawing = 0.4
const fading = 0.2

function boundsOfAll(lines: readonly Place[]): Place {
  const [x, y] = [Math.min(...lines.map(line => line.x)), Math.min(...lines.map(line => line.y))]
  return {
    x,
    y,
    width: Math.max(...lines.map(line => line.x + line.width)) - x,
    height: Math.max(...lines.map(line => line.y + line.height)) - y,
  }
}

/** An emphasis that draws a stroke by an element: it is drawn, stands, and fades unless it stays. */
export function drawnStroke(
  name: string,
  label: string,
  input: {
    color: string
    width: number
    beneath?: boolean
    path(line: Place, width: number): string
    /** Once round all lines, in place of once a line. */ around?: true
    alpha?: number
  },
): Effect {
  const effect: Effect = {
    name,
    label,
    whats: ['emphasis'],
    whole: true,
    duration: 2.5,
    pace: 'linear',
    least: { seconds: 0.8, why: 'to be seen being drawn' },
    options: [
      colorOptionOf(input.color),
      { kind: 'number', name: 'width', label: 'As thick as', min: 1, max: 400, step: 1, unit: 'px', initial: input.width },
      staysOption,
    ],
    stays: options => optionOf<boolean>(effect, options, 'stays'),
    apply(part: PartFrame, progress: number, options: Options, { lines }) {
      if (progress <= 0) return
      const stays = optionOf<boolean>(effect, options, 'stays')
      const width = optionOf<number>(effect, options, 'width')
      const opacity = (stays ? 1 : clamp((1 - progress) / fading)) * (input.alpha ?? 1)
      if (opacity <= 0) return
      const share = clamp(progress / (stays ? 1 : drawing))
      // As a hand draws: off quickly, slower towards the end.
      const drawn = stays || share < 1 ? 1 - (1 - share) ** 2 : 1
      const stroke: Stroke = {
        path: (input.around ? [boundsOfAll(lines)] : lines).map(line => input.path(line, width)).join(''),
        color: colorOption(effect, options, 'color'),
        width,
        drawn,
        opacity,
        beneath: input.beneath ?? false,
      }
      part.strokes = [...(part.strokes ?? []), stroke]
    },
  }
  return effect
}
