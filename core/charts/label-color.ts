import type { ChartLabel } from './drawing'
import type { Tones } from './tones'

/** What a label is written in, #rrggbb. */
export function labelColor({ tone, kind }: Pick<ChartLabel, 'tone' | 'kind'>, tones: Tones): string {
  if (tone) return 'on' in tone ? tones.on(tone.on) : tones.words(tone)
  return tones.of({ name: kind === 'axis' ? 'second-ink' : 'ink' })
}
