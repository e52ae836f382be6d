import type { ChartDrawing, ChartLabel, ChartRule } from '../drawing'
import { mix, mixPoint, mixPoints } from '../marks'
import { clamp } from './ease'
import { uncovered } from './uncovered'

/** Lines of an axis by what they stand for; those that say nothing of it by their number. */
export const ruleKeys = (rules: readonly ChartRule[]) => new Map(rules.map((rule, at) => [rule.key ?? `${rule.kind} ${at}`, rule]))

/** Whether a label belongs to an axis. */
export const isAxis = (label: ChartLabel) => label.kind === 'axis'
/** What is said the same way, upright or slanted, is the same label. */
export const keyOf = (label: ChartLabel) => `${label.key} ${label.angle}`
/** Labels by what they say. */
export const keyed = (labels: readonly ChartLabel[]) =>
  new Map(labels.flatMap(label => (label.key === undefined ? [] : [[keyOf(label), label] as const])))

const faint = <T extends { opacity?: number }>(thing: T, share: number): T =>
  share >= 1 ? thing : { ...thing, opacity: (thing.opacity ?? 1) * share }

/** Lines on their way; what only one drawing has comes or goes. */
export function rulesBetween(from: ChartDrawing, to: ChartDrawing, share: number): ChartRule[] {
  const [before, after] = [ruleKeys(from.rules), ruleKeys(to.rules)]
  const standing = [...after].map(([key, rule]): ChartRule => {
    const was = before.get(key)
    if (!was) return faint(rule, share)
    const opacity = mix(was.opacity ?? 1, rule.opacity ?? 1, share)
    return { ...rule, from: mixPoint(was.from, rule.from, share), to: mixPoint(was.to, rule.to, share), opacity }
  })
  const leaving = [...before].filter(([key]) => !after.has(key)).map(([, rule]) => faint(rule, 1 - share))
  return [...leaving, ...standing].filter(({ opacity }) => opacity !== 0)
}

/** A label that both drawings have, on its way; amounts are counted, and other words give way to those that come. */
function labelBetween(was: ChartLabel, is: ChartLabel, share: number, write: ChartDrawing['write']): ChartLabel[] {
  const place = {
    x: mix(was.x, is.x, share),
    y: mix(was.y, is.y, share),
    width: mix(was.width, is.width, share),
    height: mix(was.height, is.height, share),
    size: mix(was.size, is.size, share),
    ...(was.leader && is.leader ? { leader: mixPoints(was.leader, is.leader, share) } : {}),
  }
  const [from, to] = [was.tone, is.tone]
  const tone = from && to && 'name' in from && 'name' in to ? { tone: { ...to, from, progress: share } } : {}
  const opacity = mix(was.opacity ?? 1, is.opacity ?? 1, share)
  const seen = opacity < 1 ? { opacity } : {}
  const words = was.lines.join(' ') === is.lines.join(' ')
  if (words) return [{ ...is, ...place, ...tone, ...seen }]
  if (was.amount !== undefined && is.amount !== undefined && write)
    return [{ ...is, ...place, ...tone, ...seen, lines: [write(mix(was.amount, is.amount, share))] }]
  return [
    { ...was, ...place, opacity: (was.opacity ?? 1) * clamp(1 - share * 2) },
    { ...is, ...place, opacity: (is.opacity ?? 1) * clamp(share * 2 - 1) },
  ].filter(({ opacity: left }) => left > 0)
}

/** Where new words come, and all others go, in shares of 0 to 1 of each; nothing glides to where marks are of another form. */
export interface LabelShares {
  axes: number
  /** Of the marks of a part, which its labels ride on. */
  marks(part: number | null): number
  leaves: number
  comes: number
  glides: boolean
}

/** Labels on their way, fainter where they lie under others. */
export function labelsBetween(from: ChartDrawing, to: ChartDrawing, shares: LabelShares): ChartLabel[] {
  const [before, after] = [keyed(from.labels), keyed(to.labels)]
  const stays = (label: ChartLabel, others: ReadonlyMap<string, ChartLabel>) =>
    // What is said of the whole stands, whatever its parts turn into.
    label.key !== undefined && (shares.glides || label.kind === 'total') ? others.get(keyOf(label)) : undefined
  const made = to.labels.flatMap(label => {
    const was = stays(label, before)
    const share = isAxis(label) ? shares.axes : shares.marks(label.part)
    if (was) return labelBetween(was, label, share, to.write)
    return [faint(label, isAxis(label) && shares.glides ? shares.axes : shares.comes)]
  })
  const leaving = from.labels
    .filter(label => !stays(label, after))
    .map(label => faint(label, 1 - (isAxis(label) ? shares.axes : shares.leaves)))
  return uncovered([...leaving, ...made].filter(({ opacity }) => opacity !== 0))
}
