import { extent } from 'd3-array'
import { scaleLinear } from 'd3-scale'
import type { Row } from '../../data'
import { describe } from '../describe'
import type { ChartLabel } from '../drawing'
import { finished } from '../finish'
import type { ChartMark } from '../marks'
import { rowsOf } from '../plane'
import { labelAt, settingOf, type Setting, type WordRole } from '../setting'
import { measureWith, shorten } from '../category-labels'
import { optionOf } from '../../values'
import type { ChartKind } from './kind'

type Known = Row & { at: number; value: number }

/** How the last differs from the one before, as a share of that; null where there is none to compare with. */
function changeOf(last: Known | undefined, before: Known | undefined): number | null {
  return last && before && before.value !== 0 ? (last.value - before.value) / Math.abs(before.value) : null
}

const changeWords = (setting: Setting, change: number, before: Row) =>
  change === 0
    ? `■ the same as ${before.label}`
    : `${change > 0 ? '▲' : '▼'} ${setting.share(Math.abs(change), 1)} ${change > 0 ? 'more' : 'less'} than ${before.label}`

/** The line that leads to the number, with its first and last moment, from a level down. */
function wayOf(setting: Setting, known: readonly Known[], from: number): { marks: ChartMark[]; labels: ChartLabel[] } {
  const { data, ratio, room, line, size } = setting
  const to = Math.max(from + 1, room.height - line('name') * 1.3)
  const [low = 0, high = 1] = extent(known.map(({ value }) => value))
  const up = scaleLinear(low === high ? [low - 1, high + 1] : [low, high], [to, from])
  const place = ({ at }: Known) => (data.moments ? data.moments[at]! : at)
  const [first, last] = [known[0]!, known.at(-1)!]
  const across = scaleLinear([place(first), place(last)], [0, room.width - 20 * ratio])
  const points = known.map(row => ({ x: across(place(row)), y: up(row.value) }))
  const common = { part: 0, highlighted: true, tone: { name: 'highlighted' as const }, foot: to }
  const y = room.height - line('axis') / 2
  const ends = [
    labelAt(setting, 'axis', first.label, { x: 0, y, at: 'start' }, { kind: 'axis', key: 'first' }),
    labelAt(setting, 'axis', last.label, { x: room.width, y, at: 'end' }, { kind: 'axis', key: 'last' }),
  ]
  const fits = ends[0]!.width + ends[1]!.width + size('axis') < room.width
  return {
    marks: [
      { ...common, shape: 'line', key: 'way', value: null, points, width: 7 * ratio },
      { ...common, shape: 'point', key: 'end', value: last.value, ...points.at(-1)!, radius: 12 * ratio },
    ],
    labels: fits ? ends : ends.slice(0, 1),
  }
}

/** The number, as large as its room allows, with its name above and its change below it; `height`: what they take together. */
function numberOf(
  setting: Setting,
  said: { text: string; name: string; change: string | null; falls: boolean },
  share: number,
  centred: boolean,
) {
  const { room, line } = setting
  const at100 = measureWith(room.measurer, room.fonts.display, { size: 100, weight: 700 })(said.text)
  const large = Math.max(24, Math.min((room.width * 96) / Math.max(1, at100), room.height * share))
  const step = line('name')
  const height = step + large + (said.change === null ? 0 : step * 1.4)
  const top = centred ? Math.max(0, (room.height - height) / 2) : 0
  const write = (role: WordRole, words: string, y: number, more: Partial<ChartLabel>) =>
    labelAt(
      setting,
      role,
      shorten(words, room.width, text => setting.width(text, role)),
      { x: 0, y, at: 'start' },
      more,
    )
  const labels = [write('name', said.name, top + step / 2, { key: 'name', tone: { name: 'second-ink' } })]
  const tone = { name: said.falls ? ('loss' as const) : ('highlighted' as const) }
  if (said.change !== null)
    labels.push(write('name', said.change, top + step + large + step * 0.6, { kind: 'note', key: 'change', weight: 700, tone }))
  const place = { x: (at100 * large) / 200, y: top + step + large * 0.5, text: said.text, size: large, weight: 700 }
  const mark: ChartMark = {
    shape: 'text',
    key: 'number',
    part: 0,
    value: null,
    highlighted: true,
    tone: { name: 'ink' },
    display: true,
    ...place,
  }
  return { mark, labels, height }
}

/** One number as large as its room, how it changed, and the way that it took. */
export const bigNumber: ChartKind = {
  name: 'big-number',
  label: 'Big number',
  part: 'point',
  shows: ['change'],
  takes: ['across', 'height'],
  options: [
    {
      kind: 'choice',
      name: 'says',
      label: 'It says',
      initial: 'last',
      values: [
        { value: 'last', label: 'the last amount' },
        { value: 'sum', label: 'the sum of all' },
      ],
    },
    { kind: 'boolean', name: 'way', label: 'With the line that leads there', initial: true },
  ],
  suits: ({ categories, series, time }) => {
    if (series > 1) return { score: 0.06, why: 'One number only; the series are added up.' }
    if (categories === 1) return { score: 0.9, why: 'There is one number: it is the chart.' }
    return {
      score: time ? 0.5 : 0.2,
      why: time ? 'What it is now, how it changed, and the way that it took.' : 'One number, as large as its room.',
    }
  },
  draw(spec, table, room) {
    const setting = settingOf(spec, table, room)
    const { data, words, line } = setting
    const rows = rowsOf(setting, 'beside')
    const asSum = optionOf<string>(bigNumber, spec.options ?? {}, 'says') === 'sum'
    const known = rows.rows.flatMap((row, at): Known[] => (row.value === null ? [] : [{ ...row, value: row.value, at }]))
    const [last, before] = [known.at(-1), known.at(-2)]
    const value = asSum ? rows.values.reduce((all, one) => all + one, 0) : (last?.value ?? null)
    const change = asSum ? null : changeOf(last, before)
    const withWay = optionOf<boolean>(bigNumber, spec.options ?? {}, 'way') && known.length > 2
    const title = data.amount?.name ?? data.category.name
    const name = asSum || !last ? title : `${title} · ${last.label}`
    const said = change === null ? null : changeWords(setting, change, before!)
    const text = words(value)
    const number = numberOf(setting, { text, name, change: said, falls: (change ?? 0) < 0 }, withWay ? 0.42 : 0.62, !withWay)
    const way = withWay ? wayOf(setting, known, number.height + line('name') * 0.8) : { marks: [], labels: [] }
    return finished(setting, {
      of: 'Number',
      each: 'rows',
      marks: [number.mark, ...way.marks],
      labels: [...number.labels, ...way.labels].map(label => ({ ...label, part: 0 })),
      names: [title],
      description: value === null ? describe(setting, 'Number', 'rows') : `${name}: ${text}.${said ? ` ${said.replace(/^. /, '')}.` : ''}`,
    })
  },
}
