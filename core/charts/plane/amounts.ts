import type { ChartLabel } from '../drawing'
import { placeLabels, type Candidate, type Rectangle } from '../labels'
import { labelAt, saidBy, type Setting } from '../setting'
import type { ChartRows } from './rows'
import type { Plane } from './scale'

/** How far amounts keep from each other to the sides, as a share of their size. */
const apart = 0.25

/** A mark that says its amount at its end. */
export interface AmountAt {
  part: number
  key: string
  value: number | null
  highlighted: boolean
  /** The middle of its end, px; `below` where its amount stands beneath that. */
  x: number
  y: number
  below: boolean
  /** −1 where it stands rather to the left, 1 to the right, clear of a line that rises or falls there. */
  aside: -1 | 0 | 1
  /** Whether it is a change, which says its sign. */
  signed?: boolean
}

/**
 * The amounts at the ends of marks, none on another, on `taken` or outside the plane; the highlighted and the extreme come first. The only
 * one that is highlighted leads: it is larger. `leftOut`: those that found no place.
 */
export function amountLabels(
  setting: Setting,
  ends: readonly AmountAt[],
  taken: readonly Rectangle[],
  { most, least }: Pick<ChartRows, 'most' | 'least'>,
  { left, head }: Plane,
): { labels: ChartLabel[]; leftOut: string[] } {
  const { room, spec } = setting
  const leads = setting.leads && ends.reduce((count, { highlighted }) => count + (highlighted ? 1 : 0), 0) === 1
  const byHand: ChartLabel[] = []
  const candidates = ends.flatMap((end): Candidate<ChartLabel>[] => {
    const { value } = end
    const said = (end.signed && (value ?? 0) > 0 ? '+' : '') + setting.words(value)
    if (value === null || spec.labels === 'none' || (spec.labels === 'highlighted' && !end.highlighted)) return []
    const written = (role: 'lead' | 'value') => {
      const tone = end.highlighted ? { tone: { name: 'highlighted' as const } } : {}
      const label = labelAt(
        setting,
        role,
        said,
        { x: 0, y: 0 },
        { kind: 'value', part: end.part, key: `value ${end.key}`, amount: value, ...tone },
      )
      const { height: line } = label
      const width = label.width + apart * label.size
      const centred = {
        x: end.x - width / 2 + end.aside * width * 0.5,
        y: end.below ? end.y + line * 0.1 : end.y - line * 1.1,
        width,
        height: line,
      }
      // At the chart's edges an amount may stand a little beside its mark's middle.
      return { label, places: [centred, { ...centred, x: Math.min(Math.max(centred.x, left), room.width - width) }] }
    }
    const extreme = value === most || value === least
    const priority = (end.highlighted ? 4 : 0) + (extreme ? 2 : 0) + Math.abs(value) / (Math.max(most, -least) || 1)
    const large = end.highlighted && leads && setting.width(said, 'lead') < room.width / 5
    if (setting.isMoved(`value ${end.key}`)) {
      const { label, places } = written(large ? 'lead' : 'value')
      byHand.push({ ...label, x: places[0]!.x + label.width / 2, y: places[0]!.y + label.height / 2 })
      return []
    }
    // Where the large one has no room, the usual one may.
    const [one, other] = [written(large ? 'lead' : 'value'), large ? written('value') : null]
    return [{ ...one, priority }, ...(other ? [{ ...other, priority: priority - 0.5 }] : [])]
  })
  const space = { x: left, y: head, width: room.width - left, height: room.height - head }
  const { placed, leftOut } = placeLabels(candidates, space, taken)
  const said = new Set<string | undefined>()
  const labels = placed.flatMap(({ label, place }) => {
    if (said.has(label.key)) return []
    said.add(label.key)
    return [{ ...label, x: place.x + place.width / 2, y: place.y + place.height / 2 }]
  })
  const unsaid = new Map(leftOut.flatMap(label => (said.has(label.key) ? [] : [[label.key, saidBy(label)]])))
  return { labels: [...labels, ...byHand], leftOut: [...unsaid.values()] }
}

/** The sum of all, large at the top right, and what it is before it. */
export function totalLabels(total: string, setting: Setting): ChartLabel[] {
  const y = setting.line('lead') / 2
  const number = labelAt(setting, 'lead', total, { x: setting.room.width, y, at: 'end' }, { kind: 'total', key: 'total' })
  const place = {
    x: setting.room.width - number.width - setting.size('axis') * 0.6,
    y: y + setting.size('lead') * 0.16,
    at: 'end' as const,
  }
  return [number, labelAt(setting, 'axis', 'Total', place, { kind: 'total', key: 'total name', tone: { name: 'second-ink' } })]
}
