import svgpath from 'svgpath'
import { drawnIconSchema, type DrawnIcon } from '../../model'
import { numberWords, optionOf, parseJson } from '../../values'
import { shorten } from '../category-labels'
import type { ChartLabel } from '../drawing'
import { finished } from '../finish'
import type { PathMark } from '../marks'
import { rowsOf } from '../plane'
import { labelAt, settingOf, type Setting } from '../setting'
import { showLargest } from '../shape-of-data'
import type { Tone } from '../tones'
import type { ChartKind } from './kind'

/** What stands for an amount where nobody chose an icon: a person. */
const person: DrawnIcon = {
  name: 'a person',
  view: [24, 24],
  paths: [{ d: 'M12 2a4 4 0 1 0 0 8a4 4 0 0 0 0-8zM7.5 11h9a2.5 2.5 0 0 1 2.5 2.5v4h-2.4v4.5h-9.2v-4.5h-2.4v-4a2.5 2.5 0 0 1 2.5-2.5z' }],
}

/** Icons in a row, and how many stand in one at most. */
const inRow = 10
const mostInRow = 20

/** A round number (1, 2 or 5 times a power of ten) of which the greatest amount has at most as many as stand in a row. */
export function amountOfOne(greatest: number): number {
  if (!(greatest > 0)) return 1
  const rough = greatest / inRow
  const power = 10 ** Math.floor(Math.log10(rough))
  return [1, 2, 5, 10].map(times => times * power).find(one => greatest / one <= inRow + 1e-9)!
}

/** The icon that a chart asks for, as one path in a square of 1; a person where it asks for none that can be filled. */
function shapeOf({ spec }: Setting): string {
  const asked = drawnIconSchema.safeParse(parseJson(optionOf<string>(pictogram, spec.options ?? {}, 'icon'))).data
  const icon = asked?.paths.some(({ width }) => !width) ? asked : person
  const [width, height] = icon.view
  const side = Math.max(width, height)
  return svgpath(icon.paths.flatMap(({ d, width: line }) => (line ? [] : [d])).join(''))
    .translate((side - width) / 2, (side - height) / 2)
    .scale(1 / side)
    .toString()
}

/** The measures of the rows. */
function planOf(setting: Setting, count: number, greatest: number) {
  const { room, size, line, width, data, words, spec } = setting
  const own = optionOf<number>(pictogram, spec.options ?? {}, 'each')
  const fits = own > 0 && greatest / own <= mostInRow
  const one = fits ? own : amountOfOne(greatest)
  const across = Math.max(inRow, Math.ceil(greatest / one - 1e-9))
  const names = Math.min(
    room.width * 0.28,
    data.categories.reduce((wide, { label }) => Math.max(wide, width(label, 'name')), 0),
  )
  const amounts =
    spec.labels === 'none' ? 0 : data.values[0]!.reduce<number>((wide, value) => Math.max(wide, width(words(value), 'name')), 0)
  const left = names + size('name') * 0.9
  const foot = line('axis') * 1.4
  const step = Math.max(
    4,
    Math.min((room.width - left - amounts - size('name')) / across, ((room.height - foot) / Math.max(1, count)) * 0.9),
  )
  const row = Math.min((room.height - foot) / Math.max(1, count), step * 1.5)
  const top = Math.max(0, (room.height - foot - row * count) / 2)
  return { one, across, names, left, step, row, top, foot, tooMany: own > 0 && !fits ? Math.ceil(greatest / own) : 0, own }
}
type Plan = ReturnType<typeof planOf>

/** The icons of one row: those that the amount fills, the last of them as far as it does, over those that it does not. */
function iconsOf(setting: Setting, plan: Plan, shape: string, part: number, key: string, value: number | null): PathMark[] {
  const { isHighlighted, anyHighlighted } = setting
  const highlighted = isHighlighted(key)
  const tone: Tone = { name: highlighted ? 'highlighted' : anyHighlighted ? 'quiet' : 'plain' }
  const side = plan.step * 0.9
  const y = plan.top + part * plan.row + (plan.row - side) / 2
  const filled = Math.max(0, (value ?? 0) / plan.one)
  const mark = (at: number, more: Pick<PathMark, 'key' | 'tone'> & Partial<PathMark>): PathMark => {
    const x = plan.left + at * plan.step + (plan.step - side) / 2
    const d = svgpath(shape).scale(side).translate(x, y).round(2).toString()
    return { shape: 'path', part, value, highlighted, d, middle: { x: x + side / 2, y: y + side / 2 }, ...more }
  }
  const empty = Array.from({ length: plan.across }, (_, at) => mark(at, { key: `${key} room ${at}`, tone: { name: 'track' } }))
  const full = Array.from({ length: Math.min(plan.across, Math.ceil(filled - 1e-9)) }, (_, at) =>
    mark(at, { key: `${key} ${at}`, tone, ...(filled - at < 1 ? { share: filled - at } : {}) }),
  )
  return [...empty, ...full]
}

/** Amounts as so many icons, the last one as far as the amount goes: what can be counted is remembered. */
export const pictogram: ChartKind = {
  name: 'pictogram',
  label: 'Counted icons',
  part: 'row',
  shows: ['order', 'share'],
  takes: ['across', 'height'],
  options: [
    { kind: 'icon', name: 'icon', label: 'Icon', initial: '' },
    { kind: 'number', name: 'each', label: 'One stands for (0: as suits)', min: 0, max: 1e9, step: 1, unit: '', initial: 0 },
  ],
  suits: ({ categories, series, negative, time }) => {
    if (series > 1) return { score: 0.06, why: 'One amount for each row.' }
    if (negative) return { score: 0.05, why: 'Icons to be counted.', warning: 'There cannot be fewer icons than none. Draw bars.' }
    return {
      score: categories <= 5 ? (time ? 0.42 : 0.46) : 0.12,
      why: `${categories} amounts as icons that can be counted, at most ${inRow} in a row.`,
      ...(categories > 8 ? { warning: `${categories} rows of icons are small.`, remedy: showLargest(6) } : {}),
    }
  },
  draw(spec, table, room) {
    const setting = settingOf(spec, table, room)
    const { isHighlighted, size, words, among } = setting
    const { rows } = rowsOf(setting, 'beside')
    const all = (setting.run?.knots ?? [setting.data]).flatMap(({ values }) => values[0]!).filter(value => value !== null)
    const plan = planOf(
      setting,
      rows.length,
      all.reduce((most, value) => Math.max(most, value), 0),
    )
    const shape = shapeOf(setting)
    const labels = rows.flatMap(({ key, label, value }, part): ChartLabel[] => {
      const y = plan.top + (part + 0.5) * plan.row
      const lit = isHighlighted(key)
      const look = { part, weight: lit ? 700 : 500, tone: { name: lit ? ('highlighted' as const) : ('ink' as const) } }
      const named = shorten(label, plan.names, text => setting.width(text, 'name'))
      const name = labelAt(setting, 'name', named, { x: plan.left - size('name') * 0.5, y, at: 'end' }, { ...look, key: `name ${key}` })
      if (value === null || spec.labels === 'none' || (spec.labels === 'highlighted' && !lit)) return [name]
      const place = { x: plan.left + plan.across * plan.step + size('name') * 0.5, y, at: 'start' as const }
      return [name, labelAt(setting, 'name', words(value), place, { ...look, kind: 'value', key: `value ${key}`, amount: value })]
    })
    const legend = `One stands for ${among([plan.one])(plan.one)}`
    const foot = labelAt(
      setting,
      'axis',
      legend,
      { x: plan.left, y: room.height - plan.foot * 0.4, at: 'start' },
      { kind: 'axis', key: 'one' },
    )
    return finished(setting, {
      of: 'Chart of counted icons',
      each: 'rows',
      marks: rows.flatMap(({ key, value }, part) => iconsOf(setting, plan, shape, part, key, value)),
      labels: [...labels, ...(rows.length ? [foot] : [])],
      names: rows.map(({ label }) => label),
      notes: plan.tooMany
        ? [
            `One for ${among([plan.own])(plan.own)} would be ${numberWords(plan.tooMany)} icons in a row, ${mostInRow} at most are drawn: ` +
              `one stands for ${among([plan.one])(plan.one)}.`,
          ]
        : [],
    })
  },
}
