import { columnNamed, keyOf, type DataTable } from '../../data'
import {
  boundsAround,
  cameraOn,
  isWithin,
  planeOf,
  planeSide,
  projectionFor,
  projections,
  seenBy,
  type Bounds,
  type Camera,
  type Outline,
  type Plane,
} from '../../maps'
import { listWords, memoByRecords, optionOf, type OptionField, type Options } from '../../values'
import { chosenColumns } from '../columns'
import type { ChartDrawing } from '../drawing'
import type { RegionMark } from '../marks'
import type { Setting } from '../setting'
import { degreeColumns, firstRows, outlinesOf } from './outlines'

/** What every map can be asked for. */
export const mapOptions: readonly OptionField[] = [
  {
    kind: 'choice',
    name: 'extent',
    label: 'Shows',
    values: [
      { value: 'values', label: 'where its rows are' },
      { value: 'map', label: 'all of the map' },
    ],
    initial: 'values',
  },
  {
    kind: 'choice',
    name: 'camera',
    label: 'Camera on',
    values: [
      { value: 'all', label: 'all of that' },
      { value: 'highlighted', label: 'what is highlighted' },
      { value: 'place', label: 'one place' },
    ],
    initial: 'all',
  },
  { kind: 'words', name: 'on', label: 'Place', initial: '', when: { name: 'camera', is: 'place' } },
  {
    kind: 'choice',
    name: 'projection',
    label: 'Projection',
    values: [{ value: 'auto', label: 'as suits' }, ...projections.map(({ name, label }) => ({ value: name, label }))],
    initial: 'auto',
  },
  { kind: 'boolean', name: 'alone', label: 'Without what lies around', initial: false },
]
const option = <T extends string | boolean>(options: Options, name: string) => optionOf<T>({ options: mapOptions }, options, name)

/** What lies wholly beyond this, degrees north, is left out where nothing is said of it: ice takes a fifth of a map of the world. */
const iceFrom = -60
/** Room around what a camera is on, as a share of the room’s shorter side. */
const marginAround = { areas: 0.03, points: 0.13, near: 0.12 }
/** px below which two points of an outline are one. */
const pointsApart = 0.4
/** Outlines further off than so many rooms are not drawn. */
const roomsAround = 1
/** px of the lines between areas, of a chart at its usual size and of one with very many areas. */
const borders = { few: 5, many: 1.2 }

/** Where something lies: an outline of the ground, or a pair of degrees. */
export type Where = { place: number } | { east: number; north: number }

/** A map that a chart is drawn on: what is found on it, laid flat and looked at by a camera. */
export interface Ground {
  plane: Plane
  camera: Camera
  outlines: readonly (Outline | null)[]
  /** What is called so; null where it is not on the map. */
  find(key: string): Where | null
  /** Where something is seen, px; undefined where it is not. */
  seen(where: Where): { x: number; y: number } | undefined
  /** The middle of an outline, in degrees or what its coordinates are in. */
  middle(place: number): readonly [number, number] | null
  /** Whether a spot of the chart, px, lies within what the camera sees. */
  isInSight(spot: { x: number; y: number }): boolean
  /** The mark of an outline. */
  region(place: number, mark: Pick<RegionMark, 'key' | 'part' | 'value' | 'highlighted'> & Partial<RegionMark>): RegionMark | null
  /** All land that is not among some places, as one mark of a part; null where there is none. */
  around(without: ReadonlySet<number>, part: number): RegionMark | null
  /** Whether words of a size lie within an outline when they stand about a place, px. */
  holds(place: number, about: { x: number; y: number }, width: number, height: number): boolean
  /** px of the lines between areas. */
  border: number
  /** What is to be said of names that are not on the map. */
  notes(keys: readonly string[]): string[]
  /** What a drawing on it has. */
  drawn: Pick<ChartDrawing, 'camera'>
}

/** Outlines that are laid flat together: those of the chart’s own rows, then those of the map that it is drawn on. */
function outlinesTogether(table: DataTable, map: DataTable | undefined) {
  const [own, other] = [outlinesOf(table), map && map !== table ? outlinesOf(map) : undefined]
  return {
    own,
    other,
    shift: own?.outlines.length ?? 0,
    outlines: [...(own?.outlines ?? []), ...(other?.outlines ?? [])],
    bounds: [...(own?.bounds ?? []), ...(other?.bounds ?? [])],
  }
}
const together = memoByRecords((table: DataTable, map: DataTable | undefined) => [table, map], outlinesTogether, { keep: 4 })

/** How the names of a chart’s rows are found: by their own outlines or degrees, else by name on the map. */
function finderOf(table: DataTable, map: DataTable | undefined, across: string) {
  const { own, other, shift } = together(table, map)
  const column = columnNamed(table, across)
  const rows = column && firstRows(table, column)
  const degrees = degreeColumns(table)
  return (key: string): Where | null => {
    const row = rows?.get(key)
    if (row !== undefined && own?.outlines[row]) return { place: row }
    if (row !== undefined && degrees) {
      const [east, north] = [degrees.east.values[row], degrees.north.values[row]]
      if (typeof east === 'number' && typeof north === 'number') return { east, north }
    }
    const found = other?.finder.find(key)
    return found !== undefined && other!.outlines[found] ? { place: shift + found } : null
  }
}

const plane = memoByRecords(
  (outlines: readonly (Outline | null)[], name: string, _degrees: Bounds) => [outlines, name],
  (outlines, name, degrees) => planeOf(outlines, projectionFor(name.split(' ')[0]!, degrees), degrees),
  { keep: 6 },
)

const pointBounds = (east: number, north: number): Bounds => ({ left: east, right: east, top: north, bottom: north })

/** A little around what has no size of its own, in the unit of its coordinates. */
function withRoom({ left, top, right, bottom }: Bounds): Bounds {
  const add = Math.max(right - left, bottom - top) > 0 ? 0 : 0.5
  return { left: left - add, top: top - add, right: right + add, bottom: bottom + add }
}

/** Everything that the rows of a chart's table lie at, so that a map stays when others of them are chosen. */
function placesOf({ table, data, spec }: Setting, find: Ground['find']): Where[] {
  const columns = [columnNamed(table, data.category.name), chosenColumns(spec, table).series]
  const keys = new Set(columns.flatMap(column => column?.values ?? []).map(keyOf))
  return [...keys].flatMap(key => find(key) ?? [])
}

/** What a camera is to be on. */
interface Aim {
  places: readonly Where[]
  /** Whether all of the map is to be seen. */
  isWhole: boolean
  /** The outlines that count as part of it. */
  land: readonly number[]
  /** The place that it should be on, by its name, where it is not there. */
  lost: string
}

/** Where a chart's camera is to be: at what it names or highlights, else at all of its rows, or all of the map. */
function aimOf(setting: Setting, find: Ground['find'], bounds: readonly (Bounds | null)[]): { aim: Aim; targets: Where[] } {
  const options = setting.spec.options ?? {}
  const places = placesOf(setting, find)
  const looks = option<string>(options, 'camera')
  const wanted = looks === 'place' ? option<string>(options, 'on').trim() : ''
  const target = wanted ? find(wanted) : null
  const lit = () => setting.data.categories.flatMap(({ key }) => (setting.isHighlighted(key) ? (find(key) ?? []) : []))
  return {
    aim: {
      places,
      isWhole: option(options, 'extent') === 'map' || !places.length,
      land: bounds.flatMap((one, at) => (one && one.bottom > iceFrom ? [at] : [])),
      lost: target ? '' : wanted,
    },
    targets: target ? [target] : looks === 'highlighted' ? lit() : [],
  }
}

/** The plane that a chart's places are laid on: fitted to where its rows are, or all of the map; undefined where neither is anywhere. */
function planeFor(
  { spec }: Setting,
  { places, isWhole, land }: Aim,
  { outlines, bounds }: ReturnType<typeof outlinesTogether>,
): Plane | undefined {
  const degrees = boundsAround([
    ...places.flatMap(where => ('place' in where ? (bounds[where.place] ?? []) : pointBounds(where.east, where.north))),
    ...(isWhole ? land.map(at => bounds[at]!) : []),
  ])
  if (!degrees) return undefined
  const interest = withRoom(degrees)
  const rounded = [interest.left, interest.top, interest.right, interest.bottom].map(value => Math.round(value * 1000) / 1000)
  return plane(outlines, `${option<string>(spec.options ?? {}, 'projection')} ${rounded.join(' ')}`, interest)
}

const boundsOn = (flat: Plane, where: Where): Bounds | undefined => {
  if ('place' in where) return flat.main(where.place)
  const at = flat.at(where.east, where.north)
  return at && { left: at.x, right: at.x, top: at.y, bottom: at.y }
}

/** A room of a chart, px. */
export interface MapRoom {
  x: number
  y: number
  width: number
  height: number
}

function cameraFor(
  flat: Plane,
  { places, isWhole, land }: Aim,
  targets: readonly Where[],
  outlines: readonly (Outline | null)[],
  room: MapRoom,
) {
  const all = () => [...places.flatMap(where => boundsOn(flat, where) ?? []), ...(isWhole ? land.flatMap(at => flat.bounds(at) ?? []) : [])]
  const shown = boundsAround(targets.length ? targets.flatMap(where => boundsOn(flat, where) ?? []) : all())
  const isOfPoints = places.every(where => !('place' in where) || !outlines[where.place]?.type.endsWith('Polygon'))
  const margin = targets.length ? marginAround.near : isOfPoints ? marginAround.points : marginAround.areas
  return cameraOn(shown ?? { left: 0, top: 0, right: planeSide, bottom: planeSide }, room, margin * Math.min(room.width, room.height))
}

/** What is to be said of names that are not on a map. */
function notesOf(keys: readonly string[], find: Ground['find'], near: (key: string) => string | undefined, lost: string): string[] {
  const missing = keys.filter(key => !find(key))
  const said = missing.slice(0, 3).map(key => {
    const meant = near(key)
    return meant ? `“${key}” (is it ${meant}?)` : `“${key}”`
  })
  const more = missing.length > 3 ? [...said, `${missing.length - 3} more`] : said
  return [
    ...(missing.length ? [`${listWords(more)} ${missing.length === 1 ? 'is' : 'are'} not on this map.`] : []),
    ...(lost ? [`“${lost}”, which the camera should be on, is not on this map.`] : []),
  ]
}

/** Whether words of a size about a spot lie within a place's largest part; all on the plane. */
function holdsOn(flat: Plane, place: number, { x, y }: { x: number; y: number }, width: number, height: number): boolean {
  const [outer, ...holes] = flat.spot(place)?.rings ?? []
  if (!outer) return false
  const across = [-0.5, -0.25, 0, 0.25, 0.5].map(share => x + share * width)
  const down = [-0.5, 0, 0.5].map(share => y + share * height)
  return across.every(left => down.every(top => isWithin([left, top], outer) && !holes.some(hole => isWithin([left, top], hole))))
}

/** The middle of an outline in degrees, or what its coordinates are in. */
function middleOf(flat: Plane, place: number, outline: Outline | null, bounds: Bounds | null): readonly [number, number] | null {
  if (!outline || !bounds) return null
  if (outline.type === 'Point') return [outline.coordinates[0]!, outline.coordinates[1]!]
  const spot = flat.spot(place)
  return (spot && flat.degrees(spot.x, spot.y)) ?? [(bounds.left + bounds.right) / 2, (bounds.top + bounds.bottom) / 2]
}

/** px of the lines between areas. */
function borderOf(outlines: readonly (Outline | null)[], ratio: number) {
  const areas = outlines.filter(outline => outline?.type.endsWith('Polygon')).length
  return Math.max(borders.many, Math.min(borders.few, (borders.few * 12) / Math.max(1, areas))) * ratio
}

/** The map of a chart in a room of it; null where it has no outlines, and none of its rows says where it lies. */
export function groundOf(setting: Setting, room: MapRoom): Ground | null {
  const { table, data, ratio, spec } = setting
  const laid = together(table, setting.room.map)
  const { own, other, outlines, bounds } = laid
  const find = finderOf(table, setting.room.map, data.category.name)
  const { aim, targets } = aimOf(setting, find, bounds)
  const flat = planeFor(setting, aim, laid)
  if (!flat) return null
  const camera = cameraFor(flat, aim, targets, outlines, room)
  const least = pointsApart / 2 ** Math.ceil(Math.log2(Math.max(1e-6, camera.scale)))
  const common = { shape: 'region' as const, plane: flat.name, view: camera }
  const isNear = (place: number) => {
    const whole = flat.bounds(place)
    if (!whole) return false
    const [from, to] = [seenBy(camera, { x: whole.left, y: whole.top }), seenBy(camera, { x: whole.right, y: whole.bottom })]
    const [wide, tall] = [setting.room.width, setting.room.height].map(side => side * roomsAround) as [number, number]
    return to.x > -wide && from.x < setting.room.width + wide && to.y > -tall && from.y < setting.room.height + tall
  }
  return {
    plane: flat,
    camera,
    outlines,
    find,
    border: borderOf(outlines, ratio),
    drawn: { camera: { plane: flat.name, scale: camera.scale } },
    middle: place => middleOf(flat, place, outlines[place] ?? null, bounds[place] ?? null),
    notes: keys => notesOf(keys, find, key => other?.finder.near(key) ?? own?.finder.near(key), aim.lost),
    seen(where) {
      const at = 'place' in where ? flat.spot(where.place) : flat.at(where.east, where.north)
      return at && seenBy(camera, at)
    },
    isInSight: ({ x, y }) => x >= 0 && y >= 0 && x <= setting.room.width && y <= setting.room.height,
    region(place, mark) {
      const d = flat.path(place, least)
      const spot = flat.spot(place)
      return d && spot ? { ...common, d, middle: { x: spot.x, y: spot.y }, ...mark } : null
    },
    around(without, part) {
      if (option<boolean>(spec.options ?? {}, 'alone')) return null
      const places = aim.land.filter(at => !without.has(at) && !outlines[at]!.type.endsWith('Point') && isNear(at))
      const d = places.map(at => flat.path(at, least)).join('')
      const mark = { key: 'land', part, value: null, highlighted: false, tone: { name: 'track' as const }, edge: 1 }
      // It has no middle of its own: that of the plane stays where it is as other places are chosen.
      return d ? { ...common, d, middle: { x: planeSide / 2, y: planeSide / 2 }, ...mark } : null
    },
    holds: (place, { x, y }, width, height) =>
      holdsOn(
        flat,
        place,
        { x: (x - camera.x) / camera.scale, y: (y - camera.y) / camera.scale },
        width / camera.scale,
        height / camera.scale,
      ),
  }
}
