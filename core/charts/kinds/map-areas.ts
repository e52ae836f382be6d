import { optionOf } from '../../values'
import type { ChartLabel } from '../drawing'
import { finished } from '../finish'
import { placeLabels, touch, type Rectangle } from '../labels'
import { classesOf, classKey, classOption, keyHeight, type Classes } from '../maps/classes'
import { groundOf, mapOptions, type Ground } from '../maps/ground'
import { noGround } from '../maps/no-ground'
import type { RegionMark } from '../marks'
import { labelAt, settingOf, type Setting } from '../setting'
import type { Tone } from '../tones'
import type { ChartKind } from './kind'

/** An area of the map with what its category comes to. */
interface Lit {
  place: number
  key: string
  label: string
  value: number | null
  highlighted: boolean
}

/** Shares of their usual size that words within an area may have. */
const sizes = [1, 0.86, 0.74]
/** So many areas all have their words, beside them where they do not fit. */
const fewAreas = 14

/** How much weaker the colours of the others are where some are highlighted. */
const weaker = 0.55

function toneOf({ anyHighlighted }: Setting, classes: Classes, { value, highlighted }: Lit): Tone {
  if (highlighted) return { name: 'highlighted' }
  if (value === null) return { name: 'track' }
  const tone = classes.tone(value)
  return anyHighlighted ? { ...tone, at: (tone.at ?? 0) * weaker } : tone
}

/** What an area says: its name, and the amount where that is wanted. */
function linesOf({ spec, words }: Setting, { label, value, highlighted }: Lit): string[] {
  const says = value !== null && (spec.labels === 'all' || (spec.labels === 'highlighted' && highlighted))
  return says ? [label, words(value)] : [label]
}

/** Places beside an area that words may stand at, led to from it: the nearer ones first. */
function besides(at: { x: number; y: number }, width: number, height: number, gap: number): Rectangle[] {
  const around = [1, 2, 3.2, 4.6].flatMap(far =>
    [0, 45, -45, 180, 135, -135, 90, -90].map(angle => ({
      x: at.x + Math.cos((angle * Math.PI) / 180) * (gap * far + width / 2),
      y: at.y + Math.sin((angle * Math.PI) / 180) * (gap * far + height / 2),
    })),
  )
  return around.map(({ x, y }) => ({ x: x - width / 2, y: y - height / 2, width, height }))
}

const boxOf = ({ x, y, width, height }: ChartLabel): Rectangle => ({ x: x - width / 2, y: y - height / 2, width, height })

const isWithin = (box: Rectangle, { width, height }: { width: number; height: number }) =>
  box.x >= 0 && box.y >= 0 && box.x + box.width <= width && box.y + box.height <= height

/** Words within an area, as large as they fit, without the amount where that does not; undefined where not even the name does. */
function withinArea(setting: Setting, ground: Ground, one: Lit, mark: RegionMark): ChartLabel | undefined {
  const middle = ground.seen({ place: one.place })!
  const lines = linesOf(setting, one)
  const look = { part: mark.part, key: `name ${one.key}`, weight: one.highlighted ? 700 : 600, tone: { on: mark.tone! } }
  return [lines, ...(lines.length > 1 ? [[one.label]] : [])]
    .flatMap(form =>
      sizes.map(share => {
        const size = Math.max(setting.size('axis') * 0.86, setting.size('value') * share)
        return labelAt(setting, 'value', form, middle, { ...look, size })
      }),
    )
    .find(label => ground.holds(one.place, middle, label.width + 6, label.height * 0.8))
}

/** Words beside an area, led to from it, where they lie on no area with a colour; undefined where there is no such place. */
function besideArea(
  setting: Setting,
  ground: Ground,
  { one, part, others }: { one: Lit; part: number; others: readonly Lit[] },
  taken: readonly Rectangle[],
): ChartLabel | undefined {
  const middle = ground.seen({ place: one.place })!
  const tone = { name: one.highlighted ? ('highlighted' as const) : ('ink' as const) }
  const look = { part, key: `name ${one.key}`, weight: one.highlighted ? 700 : 600, tone }
  const label = labelAt(setting, 'name', linesOf(setting, one), middle, look)
  const places = besides(middle, label.width, label.height, setting.size('name') * 1.1).filter(
    box => !others.some(({ place }) => touches(ground, place, box)),
  )
  const { placed } = placeLabels([{ label, priority: 0, places }], { ...setting.room, x: 0, y: 0 }, taken)
  const box = placed[0]?.place
  if (!box) return undefined
  const held = (value: number, from: number, until: number) => Math.max(from, Math.min(until, value))
  const end = { x: held(middle.x, box.x - 6, box.x + box.width + 6), y: held(middle.y, box.y, box.y + box.height) }
  return { ...label, x: box.x + box.width / 2, y: box.y + box.height / 2, leader: [middle, end] }
}

/** Names and amounts: within their areas where they fit; of those that are highlighted, else the greatest, or all few, beside them. */
function labelsOf(setting: Setting, ground: Ground, lit: readonly Lit[], marks: readonly RegionMark[], key: Rectangle) {
  const { spec, anyHighlighted } = setting
  if (spec.labels === 'none') return { labels: [], leftOut: [] }
  const weight = (at: number) => (lit[at]!.highlighted ? 1e15 : 0) + Math.abs(lit[at]!.value ?? 0)
  const seen = lit.map((_, at) => at).filter(at => ground.isInSight(ground.seen({ place: lit[at]!.place })!))
  const order = seen.sort((a, b) => weight(b) - weight(a))
  const labels: ChartLabel[] = []
  const taken: Rectangle[] = [key]
  for (const at of order) {
    const one = lit[at]!
    const inside = withinArea(setting, ground, one, marks[at]!)
    const isFree = inside && isWithin(boxOf(inside), setting.room) && !taken.some(box => touch(box, boxOf(inside)))
    const isWanted = one.highlighted || (!anyHighlighted && (at === order[0] || lit.length <= fewAreas))
    const label = isFree ? inside : isWanted ? besideArea(setting, ground, { one, part: at, others: lit }, taken) : undefined
    if (!label) continue
    labels.push(label)
    taken.push(boxOf(label))
  }
  const named = new Set(labels.map(({ part }) => part))
  return { labels, leftOut: order.flatMap(at => (named.has(at) ? [] : lit[at]!.label)) }
}

/** Whether an area lies under a rectangle: where its words would stand on another one’s colour. */
function touches(ground: Ground, place: number, { x, y, width, height }: Rectangle): boolean {
  return [0, 0.5, 1].some(across => [0, 0.5, 1].some(down => ground.holds(place, { x: x + across * width, y: y + down * height }, 0, 0)))
}

/** Areas of a map as strong as their amounts, in at most five steps. */
export const mapAreas: ChartKind = {
  name: 'map-areas',
  label: 'Areas on a map',
  part: 'area',
  shows: ['place', 'spread'],
  takes: ['across', 'height'],
  options: [...mapOptions, classOption],
  isMap: true,
  suits: ({ placed, named, categories, rows }) => {
    const known = named && named.categories >= Math.max(2, categories * 0.6) ? named : null
    if (placed === 'points' || !(placed || known)) return { score: 0, why: '', lacks: 'a column of countries, or outlines of areas' }
    const where = placed ? `${rows} places` : `${known!.categories} of ${categories} ${known!.called}`
    return { score: 0.68, why: `Where the amounts are: ${where} on a map, in steps of colour.` }
  },
  draw(spec, table, room) {
    const setting = settingOf(spec, table, room)
    const { data, isHighlighted } = setting
    const foot = keyHeight(setting) + setting.size('axis') * 0.5
    const ground = groundOf(setting, { x: 0, y: 0, width: room.width, height: Math.max(1, room.height - foot) })
    if (!ground) return noGround(setting, 'Map')
    const lit = data.categories.flatMap(({ key, label }, at): Lit[] => {
      const where = ground.find(key)
      if (!where || !('place' in where)) return []
      return [{ place: where.place, key, label, value: data.values[0]![at] ?? null, highlighted: isHighlighted(key) }]
    })
    // As a table is run through, a colour says the same at every moment.
    const all = (setting.run?.knots ?? [data]).flatMap(({ values }) => values[0]!).filter(value => value !== null)
    const classes = classesOf(all, optionOf<string>(mapAreas, spec.options ?? {}, 'steps'))
    const drawn = lit.flatMap((one, part) => {
      const mark = ground.region(one.place, {
        key: one.key,
        part,
        value: one.value,
        highlighted: one.highlighted,
        tone: toneOf(setting, classes, one),
        edge: ground.border,
      })
      return mark ? [{ one, mark }] : []
    })
    const seen = drawn.map(({ one }) => one)
    const marks = drawn.map(({ mark }, part) => ({ ...mark, part }))
    const land = ground.around(new Set(seen.map(({ place }) => place)), 0)
    const key = classKey(setting, classes, { x: 0, y: room.height - keyHeight(setting), width: room.width })
    const kept = { x: 0, y: room.height - keyHeight(setting), width: room.width, height: keyHeight(setting) }
    const names = labelsOf(setting, ground, seen, marks, kept)
    return finished(setting, {
      of: 'Map',
      each: 'areas',
      marks: [...(land ? [land] : []), ...marks, ...key.marks],
      labels: [...names.labels, ...key.labels],
      names: seen.map(({ label }) => label),
      leftOut: names.leftOut,
      notes: ground.notes(data.categories.map(({ key: name }) => name)),
      ...ground.drawn,
    })
  },
}
