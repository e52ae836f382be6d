import type { ChartLabel } from './drawing'
import { seriesTones } from './series-tones'
import { labelAt, type Setting } from './setting'
import type { Tone } from './tones'

/** A key: what each colour stands for, in rows from the left; as many as fit into at most two rows, then how many more there are. */
export function keyRow(
  setting: Setting,
  entries: readonly { key: string; label: string; tone: Tone }[],
  top = 0,
): { labels: ChartLabel[]; height: number } {
  const gap = setting.size('axis')
  const line = setting.line('axis')
  const labels: ChartLabel[] = []
  let [x, row] = [0, 0]
  for (const [index, { key, label, tone }] of entries.entries()) {
    const made = labelAt(setting, 'axis', label, { x, y: 0, at: 'start' }, { swatch: tone, key: `key ${key}` })
    if (x > 0 && x + made.width > setting.room.width) {
      if (row === 1) {
        labels.push(
          labelAt(setting, 'axis', `+ ${entries.length - index}`, { x: Math.max(0, x - gap * 0.3), y: top + line * 1.5, at: 'start' }),
        )
        break
      }
      row++
      x = 0
    }
    labels.push({ ...made, x: x + made.width / 2, y: top + line * (row + 0.5) })
    x += made.width + gap
  }
  return { labels, height: entries.length ? line * (row + 1) + gap * 0.6 : 0 }
}

/** The key of the series, where there are several. */
export function seriesKey(setting: Setting, top = 0): { labels: ChartLabel[]; height: number } {
  const { series } = setting.data
  if (series.length < 2) return { labels: [], height: 0 }
  const tones = seriesTones(setting, 'voices')
  return keyRow(
    setting,
    series.map((entry, index) => ({ ...entry, tone: tones[index]! })),
    top,
  )
}
