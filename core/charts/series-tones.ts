import type { Setting } from './setting'
import type { Tone } from './tones'
import { voicesOfSeries } from './voices'

/**
 * The colour of each series: where one is highlighted, that one, and all others quiet; else each in a voice of its own, or, as `parts` of a
 * whole, in steps of one hue.
 */
export function seriesTones(setting: Setting, as: 'voices' | 'parts'): Tone[] {
  const { data, isHighlighted } = setting
  const count = data.series.length
  if (count < 2) return [{ name: 'plain' }]
  const lit = data.series.map(({ key }) => isHighlighted(key))
  const anyLit = lit.some(Boolean)
  let quiets = 0
  const voices = as === 'voices' && !anyLit ? voicesOfSeries(setting) : []
  const others = lit.filter(one => !one).length
  return data.series.map((_, index): Tone => {
    if (lit[index]) return { name: 'highlighted' }
    if (as === 'parts') {
      const at = quiets++ / Math.max(1, others - (anyLit ? 0 : 1))
      return { name: 'step', at: anyLit ? 0.5 + at * 0.45 : at }
    }
    return anyLit ? { name: 'quiet' } : { name: 'voice', at: voices[index]! }
  })
}

/** In which order series stand on each other: what is highlighted on the base, where it is compared best. */
export const orderedParts = ({ data, isHighlighted }: Setting): number[] =>
  data.series
    .map((_, index) => index)
    .sort((a, b) => Number(isHighlighted(data.series[b]!.key)) - Number(isHighlighted(data.series[a]!.key)) || a - b)
