import { scaleBand, scaleLinear } from 'd3-scale'
import type { Row } from '../../data'
import { shorten } from '../category-labels'
import type { ChartLabel } from '../drawing'
import { labelAt, type Setting } from '../setting'
import { placedIn, placesIn } from './placed'
import type { ChartRows } from './rows'

/** A plane whose rows lie under each other, with their names at the left and amounts to the right. */
export interface LyingPlane {
  /** Where amounts of 0 stand, and how far they reach. */
  base: number
  left: number
  right: number
  top: number
  bottom: number
  along(value: number): number
  /** The upper edge of a row's band, and how thick each is. */
  down(row: number): number
  band: number
  names: ChartLabel[]
  /** Names that found no room. */
  leftOut: readonly string[]
}

/** What a kind asks of it, px; `ahead` and `behind`: what amounts take beyond the ends of the longest and of the most negative one. */
export interface LyingWish {
  ahead: number
  behind?: number
  head?: number
  foot?: number
  /** The thickest that a band gets, px at the usual size. */
  thickest?: number
  /** What the amounts lie between, where that is not what the rows say. */
  domain?: readonly [number, number] | undefined
}

/** The thickest that a bar gets, px at the usual size; how much of its step it takes; the most that names take of the width. */
const thickest = 60
const ofStep = 0.7
const mostNames = 0.34

/** The bands of rows under each other. */
function bandsOf(setting: Setting, places: readonly number[], top: number, bottom: number, most: number) {
  const scale = scaleBand<number>(places, [top, Math.max(top + 1, bottom)])
    .paddingInner(places.length > 40 ? 0.12 : 1 - ofStep)
    .paddingOuter(0.12)
  const band = Math.min(scale.bandwidth(), Math.max(most * setting.ratio, (bottom - top) * 0.09))
  const inset = (scale.bandwidth() - band) / 2
  return { band, step: scale.step(), down: (row: number) => (scale(row) ?? top) + inset }
}

/** Names of rows, as many as there is height for; of those that are highlighted all. */
function namesOf(
  setting: Setting,
  rows: readonly Row[],
  { right, room, middle, step }: { right: number; room: number; middle(row: number): number; step: number },
) {
  const every = Math.max(1, Math.ceil((setting.line('name') * 0.92) / Math.max(0.01, step)))
  const lit = rows.map(({ key }) => setting.isHighlighted(key))
  const near = (part: number) => lit.slice(Math.max(0, part - every + 1), part + every).some(Boolean)
  return rows.flatMap((row, part): ChartLabel[] => {
    if (!lit[part] && (part % every || (every > 1 && near(part)))) return []
    const words = shorten(row.label, room, text => setting.width(text, 'name'))
    const look = { weight: lit[part] ? 700 : 500, tone: { name: lit[part] ? ('ink' as const) : ('second-ink' as const) } }
    return [labelAt(setting, 'name', words, { x: right, y: middle(part), at: 'end' }, { part, key: `name ${row.key}`, ...look })]
  })
}

/** Lays out rows that lie: as many as there are, names shortened where they would take too much, thinned where there is no room for all. */
export function lyingPlane(
  setting: Setting,
  { rows, most, least }: Pick<ChartRows, 'rows' | 'most' | 'least'>,
  wish: LyingWish,
): LyingPlane {
  const { room, width, size } = setting
  const gap = size('name') * 0.6
  const widest = rows.reduce((wide, { label }) => Math.max(wide, width(label, 'name')), 0)
  const longest = Math.min(room.width * mostNames, widest)
  const [from, to] = wish.domain ?? [least, most === 0 && least === 0 ? 1 : most]
  const left = longest + gap
  const right = Math.max(left + 1, room.width - wish.ahead)
  // What falls short says its amount between its end and the names.
  const start = from < 0 && wish.behind !== undefined ? Math.min(left + wish.behind, (left + right) / 2) : left
  const along = scaleLinear([from, to], [start, right])
  const [top, bottom] = [wish.head ?? 0, room.height - (wish.foot ?? 0)]
  const bands = bandsOf(setting, placesIn(setting, rows), top, bottom, wish.thickest ?? thickest)
  const { band, step } = bands
  const down = placedIn(setting, rows, bands.down)
  const names = namesOf(setting, rows, { right: left - gap, room: longest, middle: row => down(row) + band / 2, step })
  const base = along(Math.max(from, Math.min(to, 0)))
  const named = new Set(names.map(({ part }) => part))
  const leftOut = rows.filter((_, part) => !named.has(part)).map(({ label }) => label)
  return { base, left, right, top, bottom, along, down, band, names, leftOut }
}
