import type { ChartLabel } from '../drawing'
import { finished } from '../finish'
import { placeLabels, type Candidate } from '../labels'
import { groundOf, mapOptions, type Ground } from '../maps/ground'
import { noGround } from '../maps/no-ground'
import { seenBy } from '../../maps'
import type { LineMark, PointMark } from '../marks'
import { labelAt, saidBy, settingOf, type Setting } from '../setting'
import type { Tone } from '../tones'
import type { ChartKind } from './kind'

/** px of the thinnest and the thickest way, and of a place where one ends, at the usual size. */
const widths = { least: 2.5, most: 16 }
const stop = 7

/** A way from one place to another, with what goes along it. */
interface Way {
  key: string
  from: { key: string; label: string }
  to: { key: string; label: string }
  value: number
  lines: readonly (readonly { x: number; y: number }[])[]
}

function waysOf({ data }: Setting, ground: Ground): Way[] {
  const degreesOf = (key: string) => {
    const where = ground.find(key)
    if (!where) return null
    return 'place' in where ? ground.middle(where.place) : ([where.east, where.north] as const)
  }
  const series = data.seriesName === null ? [] : data.series
  return data.categories.flatMap((from, at) => {
    const start = degreesOf(from.key)
    return series.flatMap((to, group): Way[] => {
      const value = data.values[group]![at] ?? null
      const end = degreesOf(to.key)
      if (!start || !end || value === null || from.key === to.key) return []
      const lines = ground.plane.way([...start], [...end]).map(line => line.map(point => seenBy(ground.camera, point)))
      return lines.length ? [{ key: `${from.key} → ${to.key}`, from, to, value, lines }] : []
    })
  })
}

/** Both ends of all ways, each once, with the first way that it belongs to. */
function stopsOf(setting: Setting, ground: Ground, ways: readonly Way[]) {
  const stops = new Map<string, { key: string; label: string; part: number; x: number; y: number; sum: number; highlighted: boolean }>()
  ways.forEach(({ from, to, value }, part) => {
    for (const end of [from, to]) {
      const known = stops.get(end.key)
      const seen = ground.seen(ground.find(end.key)!)
      if (known) known.sum += value
      else if (seen) stops.set(end.key, { ...end, part, ...seen, sum: value, highlighted: setting.isHighlighted(end.key) })
    }
  })
  return [...stops.values()]
}

/** Routes in a sentence or two: how many there are, and along which most goes. */
function inWords({ data, words }: Setting, [first, ...rest]: readonly Way[]): string {
  if (!first) return 'Map without routes.'
  const most = `${first.from.label} to ${first.to.label}, ${words(first.value)}`
  return `Map with ${rest.length + 1} routes by ${data.category.name}. Most: ${most}.`
}

/** Ways between places, as thick as what goes along them. */
export const mapRoutes: ChartKind = {
  name: 'map-routes',
  label: 'Routes on a map',
  part: 'route',
  shows: ['link', 'place'],
  takes: ['across', 'height', 'series'],
  options: mapOptions,
  isMap: true,
  suits: ({ named, categories, series }) => {
    const isKnown = !!named && named.categories >= Math.max(1, categories * 0.6) && named.series >= Math.max(1, series * 0.6)
    if (!isKnown) return { score: 0, why: '', lacks: 'two columns of places' }
    return { score: 0.6, why: `Which places are linked: ${categories} with ${series}, as thick as what goes along.` }
  },
  draw(spec, table, room) {
    const setting = settingOf(spec, table, room)
    const { data, isHighlighted, anyHighlighted, ratio } = setting
    const ground = groundOf(setting, { x: 0, y: 0, width: room.width, height: room.height })
    if (!ground) return noGround(setting, 'Map with routes')
    const ways = waysOf(setting, ground).sort((a, b) => b.value - a.value)
    const most = ways.reduce((max, { value }) => Math.max(max, value), 1e-9)
    const lines = ways.flatMap(({ key, from, to, value, lines: pieces }, part) => {
      const highlighted = isHighlighted(from.key) || isHighlighted(to.key)
      const tone: Tone = { name: highlighted ? 'highlighted' : anyHighlighted ? 'quiet' : 'plain' }
      const width = (widths.least + (widths.most - widths.least) * Math.max(0, value / most)) * ratio
      return pieces.map((points, at): LineMark => ({
        shape: 'line',
        key: at ? `${key} ${at}` : key,
        part,
        value,
        highlighted,
        tone,
        opacity: highlighted || !anyHighlighted ? 0.85 : 0.6,
        points,
        width,
        foot: points[0]!.y,
      }))
    })
    const stops = stopsOf(setting, ground, ways)
    const dots = stops.map(({ key, part, x, y, highlighted }): PointMark => {
      const tone = { name: highlighted ? ('highlighted' as const) : ('ink' as const) }
      return {
        shape: 'point',
        key: `stop ${key}`,
        part,
        value: null,
        highlighted,
        tone,
        x,
        y,
        radius: stop * ratio,
        foot: y,
        edge: 2 * ratio,
      }
    })
    const names = spec.labels === 'none' ? { labels: [], leftOut: [] as string[] } : namesOf(setting, stops.filter(ground.isInSight))
    const land = ground.around(new Set(), 0)
    return finished(setting, {
      of: 'Map with routes',
      each: 'routes',
      marks: [...(land ? [land] : []), ...lines, ...dots],
      labels: names.labels,
      names: ways.map(({ from, to }) => `${from.label} to ${to.label}`),
      leftOut: names.leftOut,
      notes: ground.notes([...new Set([...data.categories, ...(data.seriesName === null ? [] : data.series)].map(({ key }) => key))]),
      description: inWords(setting, ways),
      ...ground.drawn,
    })
  },
}

/** Names of the places, beside them. */
function namesOf(setting: Setting, stops: ReturnType<typeof stopsOf>): { labels: ChartLabel[]; leftOut: string[] } {
  const { room, line, ratio } = setting
  const candidates = stops.map(({ key, label: text, part, x, y, sum, highlighted }): Candidate<ChartLabel> => {
    const tone = { name: highlighted ? ('highlighted' as const) : ('ink' as const) }
    const label = labelAt(setting, 'note', text, { x: 0, y: 0 }, { part, key: `name ${key}`, weight: highlighted ? 700 : 600, tone })
    const [width, height] = [label.width, line('note')]
    const away = stop * ratio + 7
    const place = (left: number, top: number) => ({ x: left, y: top, width, height })
    const beside = [place(x + away, y - height / 2), place(x - away - width, y - height / 2)]
    return {
      label,
      priority: (highlighted ? 1e15 : 0) + sum,
      places: [...beside, place(x - width / 2, y - away - height), place(x - width / 2, y + away)],
    }
  })
  const { placed, leftOut } = placeLabels(candidates, { x: 0, y: 0, width: room.width, height: room.height })
  return {
    labels: placed.map(({ label, place }) => ({ ...label, x: place.x + place.width / 2, y: place.y + place.height / 2 })),
    leftOut: leftOut.map(saidBy),
  }
}
