import { lookNamed } from '../looks'
import { families, familyNamed, type LayoutFamily } from '../families'
import { featuresOf, isBareNumber, readSenses, type Features, type SlideWords } from './senses'
import { deckTheme, type Deck } from '../model'

export interface Proposal {
  family: LayoutFamily
  /** 0 to 1; for order only. */
  score: number
  /** Why, in one sentence. */
  reason: string
}

/** How much less a family suits the second and later senses that it names. */
const later = [1, 0.88, 0.84, 0.8, 0.78]

/** What stands around a slide: the look that the deck wears, and the families of the slides before it, the nearest last. */
export interface Surroundings {
  look?: string | undefined
  before?: readonly string[]
  /** The team has a picture of what the slide's title says. */
  pictured?: boolean
  /** Names of the families that the team wants; all where none of them is known. */
  wanted?: readonly string[] | undefined
}
/** What a deck says of what is proposed for its slides. */
export const surroundingsIn = (deck: Deck, before: readonly string[] = []): Surroundings => {
  const { look, layouts } = deckTheme(deck)
  return { look: look?.name, wanted: layouts, before }
}
/** The families that a deck's team wants, in the order of the catalogue. */
export function wantedFamilies(names: readonly string[] | undefined): readonly LayoutFamily[] {
  const wanted = names ? families.filter(({ name }) => names.includes(name)) : []
  return wanted.length ? wanted : families
}
/** A family that a look composes itself is worth so much more; one that the two slides before have already, so much less. */
const composed = 1.05
const again = 0.72
/** After much to read at once, one number stands out. */
const dense: ReadonlySet<string> = new Set([
  'chart',
  'chart-beside',
  'chart-number',
  'departures',
  'numbers-rows',
  'share-rows',
  'compare-columns',
])
const breathes = 1.06
const withIcons: ReadonlySet<string> = new Set(['icons-row', 'icons-rows'])
const plainPoints: ReadonlySet<string> = new Set(['cards-row', 'cards-grid', 'lead-rows', 'pillars', 'numbered', 'list', 'list-columns'])

/** Whether a family that draws to scale would be true to a slide's lines; without lines it shows what it could be. */
function isTrueTo({ trueTo }: LayoutFamily, { words, comparable, rising, grown, falling, placed }: Features): boolean {
  if (!trueTo || !words.lines.some(line => line.text.trim())) return true
  const is = {
    amounts: comparable && placed === 0,
    moments: rising,
    growth: grown === 1,
    levels: falling,
    chart: grown === 1 || (comparable && placed === 0),
  }
  return is[trueTo]
}

/** How much more or less a family is worth after those of the slides before. */
function rhythm({ name }: LayoutFamily, before: readonly string[], lines: number): number {
  const [one, other] = before.slice(-2)
  // A title alone has few layouts that suit it, and a chapter is none of them.
  if (lines && name === one && name === other) return again
  // One with icons among points without any.
  const near = before.slice(-3)
  const isNew = near.some(family => plainPoints.has(family)) && !near.some(family => withIcons.has(family))
  if (name === 'icons-row' && isNew) return breathes
  return name === 'number-single' && dense.has(before.at(-1) ?? '') ? breathes : 1
}

/**
 * Ranks the layouts for a slide's words, best first; only those are left out that would draw to scale what cannot be compared. Of layouts
 * that show one sense the ones that look best with as many items come first, and those that the deck's look composes itself; a third of
 * one family in a run comes behind others that suit.
 */
export function propose(words: SlideWords, { look, before = [], wanted, pictured = false }: Surroundings = {}): Proposal[] {
  const dresses = lookNamed(look)?.dresses
  const senses = readSenses(words)
  const features = featuresOf(words)
  const { count, led } = features
  const titled = isBareNumber(words.title)
  const quoted = /^[“”„"«]/.test(words.title.trim())
  const all = wantedFamilies(wanted)
  // Where a team wants only such as would draw to scale what cannot be compared, one of them is better than none.
  const honest = all.filter(family => isTrueTo(family, features))
  const judged = (honest.length ? honest : all).map((family, index): Proposal => {
    let score = 0
    let reason = 'It suits other words better, and takes these as they are.'
    for (const [at, sense] of family.senses.entries()) {
      const reading = senses.find(other => other.sense === sense)
      const suits = reading ? reading.score * (later[at] ?? 0.75) : 0
      if (reading && suits > score) [score, reason] = [suits, reading.reason]
    }
    const dress = dresses?.[family.name]
    const [least, most] = dress?.best ?? family.best
    const off = count < least ? least - count : count > most ? count - most : 0
    score *= 1 / (1 + off * 0.12)
    // A saying that is the title stands in one text; one among the lines is an item.
    if (family.senses[0] === 'saying') score *= (family.content === 'lines') === quoted ? 1 : 0.8
    // A number that is the title stands large where the title does.
    if (titled && family.content !== 'lines' && family.senses.includes('number')) score *= 0.8
    if (family.content === 'items' && family.split === 'lead' && led > 0.6) score *= 1.02
    if (dress) score *= composed
    score *= rhythm(family, before, words.lines.length)
    return { family, score: Math.min(1.05, score) - index * 0.0001, reason }
  })
  const ranked = judged.sort((a, b) => b.score - a.score)
  return spread(pictured ? withPicture(ranked, count, before) : ranked)
}

/** Words that are plain enough for a picture beside them, by what they are. */
const plainSenses: ReadonlySet<string> = new Set(['list', 'points', 'statement'])
/** So many slides stand between two that show a picture. */
const rests = 3

/** Brings a layout with a picture to the front for plain words, where the slides before have none: much text in a run is tiring. */
function withPicture(ranked: readonly Proposal[], count: number, before: readonly string[]): Proposal[] {
  const [first] = ranked
  const isTold = before.slice(-rests).some(name => familyNamed(name)?.pictured)
  if (!first || isTold || first.family.pictured || !plainSenses.has(first.family.senses[0]!)) return [...ranked]
  const suiting = ranked.filter(({ family }) => family.pictured && count <= family.best[1])
  // The one that its best number of items comes closest to: a caption for a line, a list for more.
  const best = suiting.sort((a, b) => a.family.best[1] - b.family.best[1])[0]
  if (!best) return [...ranked]
  const reason = 'Your team has a picture of what it says, and the slides before have none.'
  return [{ ...best, score: first.score, reason }, ...ranked.filter(proposal => proposal !== best)]
}

/** The same sense fills at most so many of the first places. */
const [most, places] = [2, 6]

/** Lets other readings be seen early: a sense that fills two of the first six places waits for those that come after. */
function spread(ranked: readonly Proposal[]): Proposal[] {
  const counts = new Map<string, number>()
  const first: Proposal[] = []
  const later: Proposal[] = []
  for (const proposal of ranked) {
    const sense = proposal.family.senses[0]!
    const count = counts.get(sense) ?? 0
    const isEarly = first.length < places && count < most
    counts.set(sense, count + 1)
    ;(isEarly ? first : later).push(proposal)
  }
  return [...first, ...later]
}
