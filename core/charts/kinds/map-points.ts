import { scaleSqrt } from 'd3-scale'
import { optionOf } from '../../values'
import type { ChartLabel } from '../drawing'
import { finished } from '../finish'
import { placeLabels, type Candidate } from '../labels'
import { groundOf, mapOptions, type Ground } from '../maps/ground'
import { noGround } from '../maps/no-ground'
import type { PointMark } from '../marks'
import { labelAt, saidBy, settingOf, type Setting } from '../setting'
import type { ChartKind } from './kind'

/** px of a dot that has no amount, at the usual size. */
const plainDot = 12

/** A place with what it comes to. */
interface Spot {
  key: string
  label: string
  value: number | null
  x: number
  y: number
  radius: number
}

/** Names beside the dots, with what they come to; within the larger ones their amount. */
function labelsOf(
  setting: Setting,
  ground: Ground,
  spots: readonly Spot[],
  marks: readonly PointMark[],
): { labels: ChartLabel[]; leftOut: string[] } {
  const { spec, room, words, line, width } = setting
  if (spec.labels === 'none') return { labels: [], leftOut: [] }
  const says = (at: number) => spots[at]!.value !== null && (spec.labels === 'all' || marks[at]!.highlighted)
  const within = spots.map(({ value, radius }, at) => says(at) && width(words(value), 'value') < radius * 1.7)
  const inside = spots.flatMap((spot, at) =>
    within[at]
      ? [
          labelAt(setting, 'value', words(spot.value), spot, {
            kind: 'value',
            part: at,
            key: `value ${spot.key}`,
            tone: { on: marks[at]!.tone! },
          }),
        ]
      : [],
  )
  const candidates = spots.flatMap((spot, at): Candidate<ChartLabel>[] => {
    if (!ground.isInSight(spot)) return []
    const text = says(at) && !within[at] ? `${spot.label} ${words(spot.value)}` : spot.label
    const look = {
      part: at,
      key: `name ${spot.key}`,
      weight: marks[at]!.highlighted ? 700 : 600,
      tone: { name: marks[at]!.highlighted ? ('highlighted' as const) : ('ink' as const) },
    }
    const label = labelAt(setting, 'note', text, { x: 0, y: 0 }, look)
    const [wide, tall] = [label.width, line('note')]
    const away = spot.radius + 7
    const place = (x: number, y: number) => ({ x, y, width: wide, height: tall })
    return [
      {
        label,
        priority: (marks[at]!.highlighted ? 1e15 : 0) + Math.abs(spot.value ?? 0),
        places: [
          place(spot.x + away, spot.y - tall / 2),
          place(spot.x - away - wide, spot.y - tall / 2),
          place(spot.x - wide / 2, spot.y - away - tall),
          place(spot.x - wide / 2, spot.y + away),
        ],
      },
    ]
  })
  const taken = spots.map(({ x, y, radius: r }) => ({ x: x - r, y: y - r, width: 2 * r, height: 2 * r }))
  const { placed, leftOut } = placeLabels(candidates, { x: 0, y: 0, width: room.width, height: room.height }, taken)
  return {
    labels: [...inside, ...placed.map(({ label, place }) => ({ ...label, x: place.x + place.width / 2, y: place.y + place.height / 2 }))],
    leftOut: leftOut.map(saidBy),
  }
}

/** A dot at each place, as large as its amount. */
export const mapPoints: ChartKind = {
  name: 'map-points',
  label: 'Dots on a map',
  part: 'dot',
  shows: ['place', 'spread'],
  takes: ['across', 'height'],
  options: [...mapOptions, { kind: 'number', name: 'largest', label: 'Largest dot', min: 8, max: 160, step: 2, unit: 'px', initial: 68 }],
  isMap: true,
  suits: ({ placed, named, categories, negative }) => {
    const isKnown = !!named && named.categories >= Math.max(2, categories * 0.6)
    if (!placed && !isKnown) return { score: 0, why: '', lacks: 'a column of countries, degrees or outlines' }
    if (negative) return { score: 0.05, why: 'Dots at their places.', warning: 'A dot cannot be smaller than nothing. Draw areas.' }
    return { score: placed === 'points' ? 0.7 : 0.5, why: `Where the amounts are: ${categories} places, each as large as its amount.` }
  },
  draw(spec, table, room) {
    const setting = settingOf(spec, table, room)
    const { data, isHighlighted, anyHighlighted, ratio } = setting
    const ground = groundOf(setting, { x: 0, y: 0, width: room.width, height: room.height })
    if (!ground) return noGround(setting, 'Map with dots')
    const all = (setting.run?.knots ?? [data]).flatMap(({ values }) => values[0]!).filter(value => value !== null)
    const most = all.reduce((max, value) => Math.max(max, Math.abs(value)), 0)
    const largest =
      (optionOf<number>(mapPoints, spec.options ?? {}, 'largest') / 2) *
      ratio *
      Math.min(1, Math.max(0.35, 7 / Math.sqrt(data.categories.length + 1)))
    const size = scaleSqrt([0, most || 1], [3 * ratio, Math.max(4, largest)])
    const spots = data.categories.flatMap(({ key, label }, at): Spot[] => {
      const where = ground.find(key)
      const seen = where && ground.seen(where)
      const value = data.values[0]![at] ?? null
      return seen
        ? [
            {
              key,
              label,
              value,
              ...seen,
              radius: data.amount === null && spec.aggregate !== 'count' ? (plainDot * ratio) / 2 : size(Math.abs(value ?? 0)),
            },
          ]
        : []
    })
    // Small ones lie on large ones.
    spots.sort((a, b) => b.radius - a.radius)
    const marks = spots.map((spot, part): PointMark => {
      const highlighted = isHighlighted(spot.key)
      const tone = { name: highlighted ? ('highlighted' as const) : anyHighlighted ? ('quiet' as const) : ('plain' as const) }
      const { key, value, x, y, radius } = spot
      return { shape: 'point', key, part, value, highlighted, tone, x, y, radius, foot: y, opacity: 0.88, edge: 2 * ratio }
    })
    const land = ground.around(new Set(), 0)
    const names = labelsOf(setting, ground, spots, marks)
    return finished(setting, {
      of: 'Map with dots',
      each: 'dots',
      marks: [...(land ? [land] : []), ...marks],
      labels: names.labels,
      names: spots.map(({ label }) => label),
      leftOut: names.leftOut,
      notes: ground.notes(data.categories.map(({ key }) => key)),
      ...ground.drawn,
    })
  },
}
