import { ascending, descending } from 'd3-array'
import type { Run } from '../../data'
import type { ChartSpec } from '../../model'
import { memoByRecords } from '../../values'
import { slowEnds } from './ease'

/** One category passes another within a step from one moment to the next: when, as a share of the step. */
interface Pass {
  rises: string
  falls: string
  at: number
}

/** Where each category stands at a moment, and what passes what on the way to the next. */
interface Step {
  /** Keys in their order; those that have no amount there come last. */
  order: readonly string[]
  rank: ReadonlyMap<string, number>
  amount: ReadonlyMap<string, number | null>
  /** Null where there are too many to follow. */
  passes: readonly Pass[] | null
}

/** The places of categories as a table is run through. */
export interface Places {
  /** Keys in their order at the moment that a time lies at or after. */
  order(time: number): readonly string[]
  /** Where a category stands, from 0; between two places while it passes another. */
  place(key: string, time: number): number
  /** How much of a category is there, 0 to 1: one that has no amount at a moment comes after it, and goes before it. */
  there(key: string, time: number): number
}

/** A passing takes this share of a step: 0.6 s where a step takes 1.1 s. */
const passing = 0.55
/** A category comes and goes within this share of a step. */
const coming = 0.3
/** With more categories than this, each goes evenly from place to place. */
const mostFollowed = 200

/** What each category comes to at each moment, by key. */
function amountsOf({ knots }: Run): { keys: string[]; amounts: Map<string, number | null>[] } {
  const keys = [...new Set(knots.flatMap(({ categories }) => categories.map(({ key }) => key)))]
  const amounts = knots.map(({ categories, values }) => {
    const found = new Map<string, number | null>()
    categories.forEach(({ key }, at) => {
      const own = values.map(list => list[at]!).filter(value => value !== null)
      found.set(key, own.length ? own.reduce((sum, value) => sum + value, 0) : null)
    })
    return found
  })
  return { keys, amounts }
}

function orderOf(keys: readonly string[], amount: ReadonlyMap<string, number | null>, order: ChartSpec['order']): string[] {
  if (order === 'data') return [...keys]
  if (order === 'name') return [...keys].sort((a, b) => a.localeCompare(b))
  const compare = order === 'rising' ? ascending : descending
  const known = keys.filter(key => typeof amount.get(key) === 'number').sort((a, b) => compare(amount.get(a)!, amount.get(b)!))
  return [...known, ...keys.filter(key => typeof amount.get(key) !== 'number')]
}

/** When one straight way crosses another, as a share of the step. */
function crossing(a0: number, a1: number, b0: number, b1: number): number {
  const closing = a1 - a0 - (b1 - b0)
  return closing === 0 ? 0.5 : Math.min(1, Math.max(0, (b0 - a0) / closing))
}

function passesOf(from: Omit<Step, 'passes'>, to: Omit<Step, 'passes'>): Pass[] | null {
  const keys = from.order
  if (keys.length > mostFollowed) return null
  const passes: Pass[] = []
  for (let high = 0; high < keys.length; high++)
    for (let low = high + 1; low < keys.length; low++) {
      const [falls, rises] = [keys[high]!, keys[low]!]
      if (to.rank.get(rises)! > to.rank.get(falls)!) continue
      const amount = (of: Omit<Step, 'passes'>, key: string) => of.amount.get(key) ?? 0
      const at = crossing(amount(from, rises), amount(to, rises), amount(from, falls), amount(to, falls))
      // All of the passing is within its step, so that each moment is reached in its own order.
      passes.push({ rises, falls, at: Math.min(1 - passing / 2, Math.max(passing / 2, at)) })
    }
  return passes
}

function placesIn(run: Run, order: ChartSpec['order']): Places {
  const { keys, amounts } = amountsOf(run)
  const bare = amounts.map(amount => {
    const ranked = orderOf(keys, amount, order)
    return { order: ranked, rank: new Map(ranked.map((key, at) => [key, at])), amount }
  })
  const steps: Step[] = bare.map((one, at) => ({ ...one, passes: bare[at + 1] ? passesOf(one, bare[at + 1]!) : [] }))
  const last = steps.length - 1
  const split = (time: number) => {
    const from = Math.min(last, Math.max(0, Math.floor(time)))
    return { from, share: from === last ? 0 : Math.min(1, Math.max(0, time - from)) }
  }
  const known = (at: number, key: string) => typeof steps[at]?.amount.get(key) === 'number'
  return {
    order: time => steps[split(time).from]!.order,
    place(key, time) {
      const { from, share } = split(time)
      const { rank, passes } = steps[from]!
      const start = rank.get(key) ?? keys.length
      if (!share) return start
      if (!passes) return start + (steps[from + 1]!.rank.get(key)! - start) * slowEnds(share)
      return passes.reduce((place, { rises, falls, at }) => {
        if (rises !== key && falls !== key) return place
        return place + (falls === key ? 1 : -1) * slowEnds((share - at) / passing + 0.5)
      }, start)
    },
    there(key, time) {
      const { from, share } = split(time)
      const [now, next] = [known(from, key), share ? known(from + 1, key) : known(from, key)]
      if (now && next) return 1
      return now ? 1 - slowEnds((share - 1 + coming) / coming) : next ? slowEnds(share / coming) : 0
    },
  }
}

/** The places of categories as a table is run through, in the order of a chart. */
export const placesOf: (run: Run, order: ChartSpec['order']) => Places = memoByRecords(
  (run: Run, order: ChartSpec['order']) => [run, order],
  placesIn,
  { keep: 4 },
)
