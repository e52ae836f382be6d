import { gatheredFor, type DataTable } from '../../data'
import type { ChartSpec } from '../../model'
import { listWords } from '../../values'
import { chartKindNamed } from '../catalogue'
import { highlightedIn } from '../found'
import type { Passage } from './passage'
import { runOf, shownRows, timeOf } from './shown-rows'

const orders: Readonly<Record<ChartSpec['order'], string>> = {
  data: 'as in the data',
  rising: 'smallest first',
  falling: 'largest first',
  name: 'by name',
}
/** More names than this are counted. */
const mostNamed = 2

const few = (names: readonly string[], many: string) => (names.length > mostNamed ? `${names.length} ${many}` : listWords(names))

/** Names of what a chart highlights, and of what it draws alone. */
function namesIn(spec: ChartSpec, table: DataTable, language: string) {
  const shown = shownRows(spec, table, language)
  const data = gatheredFor(shown.spec, shown.table, language)
  const { categories, series } = data
  const labels = new Map([...categories, ...series].map(({ key, label }) => [key, label]))
  return { lit: highlightedIn(shown.spec, data).flatMap(key => labels.get(key) ?? []), drawn: categories.map(({ label }) => label) }
}

/** Where the camera of a map has gone. */
function cameraWords(before: ChartSpec, spec: ChartSpec): string[] {
  if (!chartKindNamed(spec.kind).isMap) return []
  const at = ({ options = {} }: ChartSpec) => (options.camera === 'place' ? `${options.on || 'one place'} from near` : options.camera)
  const [was, is] = [at(before), at(spec)]
  if (was === is) return []
  return [is === 'highlighted' ? 'from near' : is && is !== 'all' ? String(is) : 'from afar']
}

/**
 * What a state is called where nobody named it: how it differs from the one before, as “2031, Quill lit”; of the first, what it shows.
 */
export function stateWords(before: ChartSpec | null, spec: ChartSpec, table: DataTable | undefined, language = 'en'): string {
  const kind = chartKindNamed(spec.kind).label
  if (!table) return kind
  const differs = (field: keyof ChartSpec) => JSON.stringify(before?.[field]) !== JSON.stringify(spec[field])
  const run = runOf(spec, table, language)
  const { lit, drawn } = namesIn(spec, table, language)
  const words = [
    ...(run && (!before || differs('moment')) ? [run.moments[timeOf(spec, run)]!.label] : []),
    ...(!before || differs('kind') ? [kind.charAt(0).toLowerCase() + kind.slice(1)] : []),
    ...(spec.only && differs('only') ? [`${few(drawn, 'of them')} alone`] : []),
    ...(before?.only && !spec.only ? ['all again'] : []),
    ...(spec.largest !== undefined && differs('largest') ? [`the ${spec.largest} largest`] : []),
    ...(before && differs('order') ? [orders[spec.order]] : []),
    ...(before && differs('options') ? cameraWords(before, spec) : []),
    ...(lit.length && (differs('highlighted') || differs('rule')) ? [`${few(lit, 'marks')} lit`] : []),
  ]
  const first = words.join(', ')
  if (first) return first.charAt(0).toUpperCase() + first.slice(1)
  return JSON.stringify(before) === JSON.stringify(spec) ? 'As before' : 'Changed'
}

/** What happens on the way to a state, in a word. */
export function passageWord({ runs, bends, counts: { moved, come, gone, lit, dimmed } }: Passage): string {
  if (runs) return 'runs'
  if (bends) return 'turns'
  if (gone && !come) return 'clears'
  if (come && !gone) return 'joins'
  if (moved || come || gone) return 'moves'
  return lit || dimmed ? 'lights' : 'stays'
}

const marks = (count: number, what: string) => (count ? [`${count} ${what}`] : [])

/** What becomes of the marks on the way to a state, in a few words. */
export function passageSentence({ runs, counts: { moved, come, gone, lit, dimmed } }: Passage): string {
  if (runs) return `${runs.from} to ${runs.to}, ${runs.steps} ${runs.steps === 1 ? 'step' : 'steps'}`
  const told = [
    ...marks(gone, 'go'),
    ...marks(moved, 'move'),
    ...marks(come, 'come'),
    ...marks(lit, 'light up'),
    ...marks(dimmed, 'change colour'),
  ]
  return told.length ? told.join(', ') : 'nothing moves'
}
