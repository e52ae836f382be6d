import { isTime } from '../../data'
import type { ChartLabel } from '../drawing'
import { placeLabels, type Candidate, type Placed } from '../labels'
import { labelAt, type Setting } from '../setting'
import type { ChartRows } from './rows'
import type { Plane } from './scale'

const slant = Math.PI / 4

/** The beginnings of months and years of a long run of days; the first and the last stand within the chart. */
function timeLabels({ namesTop }: Plane, time: NonNullable<Plane['time']>, setting: Setting) {
  const { room } = setting
  const line = setting.line('axis')
  const made = time.names.map(({ at, label }) =>
    labelAt(setting, 'axis', label, { x: time.across(at), y: namesTop + line * 0.7 }, { key: `name ${at}`, tone: { name: 'second-ink' } }),
  )
  // The first and the last stand within the chart; none stands on the one before.
  const held = made.map(label => ({ ...label, x: Math.min(Math.max(label.x, label.width / 2), room.width - label.width / 2) }))
  const { placed } = placeLabels(
    held.map((label, index) => ({
      label,
      priority: -index,
      places: [{ x: label.x - label.width / 2, y: label.y - label.height / 2, width: label.width + line * 0.4, height: label.height }],
    })),
    { x: 0, y: 0, width: room.width + line, height: room.height + line },
  )
  return { labels: placed.map(({ label }) => label), placed, leftOut: [] }
}

/** The names of the rows below the plane: `labels` to be drawn, and where the upright ones of them stand. */
export function nameLabels(
  { rows }: ChartRows,
  plane: Plane,
  setting: Setting,
): {
  labels: ChartLabel[]
  placed: Placed<ChartLabel>[]
  /** Names that found no room; moments of a time are read without each of them. */
  leftOut: string[]
} {
  const { names, left, namesTop } = plane
  const { room, line: lineOf } = setting
  const line = lineOf('axis')
  if (plane.time) return timeLabels(plane, plane.time, setting)
  const slanted: ChartLabel[] = []
  const candidates: Candidate<ChartLabel>[] = []
  rows.forEach((row, index) => {
    // The last of them is told as the first is, where there is room.
    if (index % names.every && index !== rows.length - 1) return
    const lines = names.lines(row.label)
    const middle = plane.across(index) + plane.band / 2
    const part = index
    const more = {
      part,
      key: `name ${row.key}`,
      weight: setting.isHighlighted(row.key) ? 700 : 500,
      tone: { name: setting.isHighlighted(row.key) ? ('ink' as const) : ('second-ink' as const) },
    }
    const label = labelAt(setting, 'axis', lines, { x: middle, y: 0 }, more)
    const { width, height } = label
    if (names.angle !== 0) {
      const x = middle - (width / 2) * Math.cos(slant)
      const y = namesTop + 4 + (line / 2 + width / 2) * Math.sin(slant)
      slanted.push({ ...label, angle: -45, x, y })
      return
    }
    const x = Math.min(Math.max(middle, left + width / 2), Math.max(width / 2, room.width - width / 2))
    const y = namesTop + line * 0.2 + height / 2
    const priority = index === 0 ? rows.length + 1 : index === rows.length - 1 ? rows.length : -index
    candidates.push({
      label: { ...label, x, y },
      priority,
      places: [{ x: x - width / 2, y: y - height / 2, width: width + line * 0.3, height }],
    })
  })
  const { placed } = placeLabels(candidates, { x: 0, y: 0, width: room.width + line, height: room.height + line })
  const labels = [...slanted, ...placed.map(({ label }) => label)]
  const named = new Set(labels.map(({ part }) => part))
  const leftOut = isTime(setting.data.category) ? [] : rows.flatMap(({ label }, part) => (named.has(part) ? [] : label))
  return { labels, placed, leftOut }
}
