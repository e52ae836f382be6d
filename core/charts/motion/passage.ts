import { memoByRecords } from '../../values'
import type { ChartDrawing, ChartLabel, ChartRule } from '../drawing'
import { shapeOf, toneOf, type ChartMark } from '../marks'
import { bendsOf, bentAt } from './bend'
import { clamp, evenly, slowEnds } from './ease'
import { isAxis, keyed, keyOf, labelsBetween, ruleKeys, rulesBetween } from './labels-between'
import { markBetween } from './marks-between'
import { pairsOf, type Pair } from './pairs'

/** When something begins and ends within a passage, seconds. */
export interface Stretch {
  begins: number
  ends: number
}

/** What becomes of a chart's marks from one state to another. */
export interface PassageCounts {
  moved: number
  come: number
  gone: number
  /** Marks that become highlighted, and others whose colour gives way. */
  lit: number
  dimmed: number
}

/** The way of a chart from one drawing to another: an axis that comes or goes first, then its marks, then its new labels. */
export interface Passage {
  /** How long it takes, seconds, by how far the marks travel. */
  seconds: number
  /** Null where nothing of it changes. */
  axes: Stretch | null
  marks: Stretch | null
  labels: Stretch | null
  counts: PassageCounts
  /** Whether marks turn into those of another kind. */
  bends: boolean
  /** Where it runs through time: from which moment to which, and how many steps. */
  runs: { from: string; to: string; steps: number } | null
  /** The drawing at a share of the time, 0 to 1; `ease` shapes how each of its parts goes. */
  at(share: number, ease?: Ease): ChartDrawing
}

type Ease = (share: number) => number
type Size = { width: number; height: number }

/** Seconds by distance: so long at least and at most, and `far` more with the root of the way as a share of the chart's diagonal. */
const byDistance = { least: 0.25, far: 0.9, most: 1.2 }
const fade = 0.2
/** Of what changes its colour only. */
const recolor = 0.3
const bending = 1.5
/** Marks begin that far into the axes' time; new labels that far into the marks'. */
const marksInto = 0.7
const labelsInto = 0.6
const labelsIntoBend = 0.9
/** Seconds from the beginning of one part to that of the next, and in all. */
const stagger = { each: 0.06, most: 0.6 }

const secondsFor = (way: number) => Math.min(byDistance.most, byDistance.least + byDistance.far * Math.sqrt(Math.max(0, way)))

/** How far a mark travels, px: its end or its foot, whichever goes further. */
function wayOf({ from, to }: Pair): number {
  const foot = (mark: ChartMark) => shapeOf(mark).anchor(shapeOf(mark).collapsed(mark))
  const end = (mark: ChartMark) => shapeOf(mark).anchor(mark)
  const apart = (a: { x: number; y: number }, b: { x: number; y: number }) => Math.hypot(a.x - b.x, a.y - b.y)
  if (!from || !to) return apart(foot((from ?? to)!), end((from ?? to)!))
  return Math.max(apart(foot(from), foot(to)), apart(end(from), end(to)))
}

const looksAs = (mark: ChartMark) => JSON.stringify([toneOf(mark), mark.opacity ?? 1])
const isRecolored = ({ from, to }: Pair) => !!from && !!to && looksAs(from) !== looksAs(to)

/** px of way that are none. */
const still = 0.5

function countsOf(pairs: readonly Pair[], ways: readonly number[]): PassageCounts {
  const both = pairs.filter(({ from, to }) => from && to)
  return {
    moved: pairs.filter(({ from, to }, at) => from && to && ways[at]! > still).length,
    come: pairs.filter(({ from }) => !from).length,
    gone: pairs.filter(({ to }) => !to).length,
    lit: both.filter(({ from, to }) => to!.highlighted && !from!.highlighted).length,
    dimmed: both.filter(pair => isRecolored(pair) && !(pair.to!.highlighted && !pair.from!.highlighted)).length,
  }
}

/**
 * What becomes of the axis: one that only one drawing has comes or goes before the marks move; one that both have moves with the marks, so
 * that what is read on it is true at every moment.
 */
function axisChange(from: ChartDrawing, to: ChartDrawing): 'stands' | 'moves' | 'comes or goes' {
  const [before, after] = [ruleKeys(from.rules), ruleKeys(to.rules)]
  if (!before.size !== !after.size) return 'comes or goes'
  const apart = (was: ChartRule, is: ChartRule) =>
    Math.max(Math.hypot(was.from.x - is.from.x, was.from.y - is.from.y), Math.hypot(was.to.x - is.to.x, was.to.y - is.to.y))
  const same = before.size === after.size && [...after].every(([key, rule]) => before.has(key) && apart(before.get(key)!, rule) <= still)
  return same ? 'stands' : 'moves'
}

/** Which lag each mark has, seconds: one part after the other where that can be followed. */
function lagsOf(pairs: readonly Pair[], ways: readonly number[]): { lags: readonly number[]; most: number } {
  const shapes = new Set(pairs.flatMap(({ from, to }) => [from?.shape, to?.shape]))
  const none = { lags: pairs.map(() => 0), most: 0 }
  // What hangs together moves together.
  if ([...shapes].some(shape => shape && shape !== 'bar' && shape !== 'point')) return none
  const parts = [...new Set(pairs.flatMap(({ from, to }, at) => (ways[at]! > still ? [(to ?? from)!.part] : [])))].sort((a, b) => a - b)
  if (parts.length < 2) return none
  const each = Math.min(stagger.each, stagger.most / (parts.length - 1))
  const rank = new Map(parts.map((part, at) => [part, at]))
  return { lags: pairs.map(({ from, to }) => (rank.get((to ?? from)!.part) ?? 0) * each), most: each * (parts.length - 1) }
}

const stays = ({ come, gone }: Pick<PassageCounts, 'come' | 'gone'>) => [gone ? 0.3 : 0, come ? 0.8 : 1] as const

/** In which part of the marks’ time a mark goes: what leaves makes room first, and what comes finds it. */
function partOf({ from, to }: Pair, { come, gone }: PassageCounts): readonly [number, number] {
  if (!to) return [0, 0.45]
  if (!from) return [0.5, 1]
  return stays({ come, gone })
}

/**
 * How the way of a camera is shared out over its time, so that what is seen grows, or shrinks, by the same ratio at all times: the scale at
 * a share t is a · r^t, and all that it sees goes along.
 */
function zoomOf({ camera: from }: ChartDrawing, { camera: to }: ChartDrawing): Ease {
  const ratio = from && to && from.plane === to.plane ? to.scale / from.scale : 1
  return Math.abs(Math.log(ratio)) < 0.05 ? share => share : share => (ratio ** share - 1) / (ratio - 1)
}

/** When everything of a passage goes, and which mark becomes which. */
function planOf(from: ChartDrawing, to: ChartDrawing, width: number, height: number) {
  const pairs = pairsOf(from, to)
  const ways = pairs.map(wayOf)
  const diagonal = Math.hypot(width, height)
  const bent = bendsOf(pairs)
  const way = ways.reduce((most, own) => Math.max(most, own), 0)
  const axis = axisChange(from, to)
  const axesTake = axis === 'comes or goes' ? fade : 0
  const marksTake = bent ? bending : way > still ? secondsFor(way / diagonal) : pairs.some(isRecolored) ? recolor : 0
  const { lags, most: lag } = bent || way <= still || axis === 'moves' ? { lags: pairs.map(() => 0), most: 0 } : lagsOf(pairs, ways)
  return {
    pairs,
    bent,
    bends: !!bent || pairs.some(pair => pair.from && pair.to && pair.from.shape !== pair.to.shape),
    counts: countsOf(pairs, ways),
    axis,
    axesTake,
    marksTake,
    lags,
    lag,
    zoom: zoomOf(from, to),
    lagOf: new Map(pairs.map(({ from: was, to: is }, at) => [(is ?? was)!.part, lags[at]!])),
    starts: axesTake * marksInto,
  }
}
type Plan = ReturnType<typeof planOf>

/** Which words come and go. */
function wordsOf(from: ChartDrawing, to: ChartDrawing, bends: boolean): { come: boolean; leave: boolean } {
  const [before, after] = [keyed(from.labels), keyed(to.labels)]
  const isNew = (label: ChartLabel, others: ReadonlyMap<string, ChartLabel>) =>
    bends || (!isAxis(label) && (label.key === undefined || !others.has(keyOf(label))))
  return { come: to.labels.some(label => isNew(label, before)), leave: from.labels.some(label => isNew(label, after)) }
}

/** The drawing `now` seconds into a passage; new words come from `comes` on. */
function drawnAt(
  plan: Plan,
  ends: { from: ChartDrawing; to: ChartDrawing; width: number },
  now: number,
  comes: number,
  ease: Ease,
): ChartDrawing {
  const { pairs, bent, bends, counts, axesTake, marksTake, lags, lag, lagOf, starts, zoom } = plan
  const { from, to, width } = ends
  const within = (begins: number, takes: number) => (takes <= 0 ? 1 : ease(clamp((now - begins) / takes)))
  const marksShare = within(starts, marksTake + lag)
  const part = ([begins, until]: readonly [number, number], late: number) =>
    zoom(within(starts + late + begins * marksTake, (until - begins) * marksTake))
  const axesShare = axesTake ? within(0, axesTake) : part(stays(counts), 0)
  // What is drawn over what in the end is so on the way; those that leave are beneath.
  const places = new Map(to.marks.map((mark, at) => [mark, at]))
  const placed = (pair: Pair, mark: ChartMark) => ({ mark, place: pair.to ? places.get(pair.to)! : -1 })
  const made = bent
    ? [
        ...bent.others.map(pair => placed(pair, markBetween(pair, part(partOf(pair, counts), 0), true))),
        ...bentAt(bent.bends, bent.backwards ? 1 - marksShare : marksShare, width).map(mark => ({ mark, place: Infinity })),
      ]
    : pairs.map((pair, at) => placed(pair, markBetween(pair, part(partOf(pair, counts), lags[at]!), bends)))
  const marks = made.sort((a, b) => a.mark.part - b.mark.part || a.place - b.place).map(({ mark }) => mark)
  const labels = labelsBetween(from, to, {
    axes: axesShare,
    marks: own => part(stays(counts), own === null ? 0 : (lagOf.get(own) ?? 0)),
    leaves: within(0, fade),
    comes: within(comes, fade),
    glides: !bends,
  })
  return {
    ...to,
    parts: [...marks, ...labels].reduce((parts, thing) => Math.max(parts, (thing.part ?? -1) + 1), to.parts),
    marks,
    labels,
    rules: rulesBetween(from, to, axesShare),
  }
}

function made(from: ChartDrawing, to: ChartDrawing, width: number, height: number): Passage {
  const plan = planOf(from, to, width, height)
  const { axis, axesTake, marksTake, lag, starts, bends, counts } = plan
  const words = wordsOf(from, to, bends)
  const marksEnd = starts + marksTake + lag
  const comes = starts + (marksTake + lag) * (bends ? labelsIntoBend : labelsInto)
  const seconds = Math.max(axesTake, marksEnd, words.come ? comes + fade : 0, words.leave ? fade : 0, byDistance.least)
  return {
    seconds,
    axes: axis === 'stands' ? null : { begins: axesTake ? 0 : starts, ends: axesTake || marksEnd },
    marks: marksTake ? { begins: starts, ends: marksEnd } : null,
    labels: words.come || words.leave ? { begins: words.leave ? 0 : comes, ends: words.come ? comes + fade : fade } : null,
    counts,
    bends,
    runs: null,
    at: (share, ease = slowEnds) =>
      share <= 0 ? from : share >= 1 ? to : drawnAt(plan, { from, to, width }, share * seconds, comes, ease),
  }
}

const evenPlan = memoByRecords(
  (from: ChartDrawing, to: ChartDrawing, width: number, height: number) => [from, to, width, height],
  (from, to, width, height): Plan => {
    const plan = planOf(from, to, width, height)
    return { ...plan, axesTake: 0, starts: 0, marksTake: 1, lags: plan.pairs.map(() => 0), lag: 0, lagOf: new Map() }
  },
  { keep: 3 },
)

/** The drawing at a share of an even way from one drawing to another, everything of it at once: between two moments of a run. */
export const evenlyBetween = (from: ChartDrawing, to: ChartDrawing, share: number, { width, height }: Size): ChartDrawing =>
  share <= 0 ? from : share >= 1 ? to : drawnAt(evenPlan(from, to, width, height), { from, to, width }, share, labelsInto, evenly)

/** The way from one drawing of a chart to another, in a chart of a size, px. */
export const passageBetween = memoByRecords(
  (from: ChartDrawing, to: ChartDrawing, width: number, height: number) => [from, to, width, height],
  made,
  { keep: 4 },
)
