import { sentenceOf, stepOffers, withField, type Step, type StepOffer } from './plan'
import type { Sight, StepColumn } from './step'

const plain = (words: string) =>
  ` ${words
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()} `

/** The columns that are named in words, in the order in which they are. */
function columnsIn(words: string, { columns }: Sight): StepColumn[] {
  const found: { column: StepColumn; at: number; length: number }[] = []
  for (const column of [...columns].sort((a, b) => b.name.length - a.name.length)) {
    const name = plain(column.name)
    const at = words.indexOf(name)
    // A longer name that holds this one was meant.
    if (name.trim() && at >= 0 && !found.some(one => at >= one.at && at < one.at + one.length - 1))
      found.push({ column, at, length: name.length })
  }
  return found.sort((a, b) => a.at - b.at).map(({ column }) => column)
}

/** A step whose fields are the columns and the number that were said, as far as they fit. */
function filled(step: Step, named: readonly StepColumn[], count: number | undefined, sight: Sight): Step {
  const left = [...named]
  let made = step
  for (const part of sentenceOf(step, sight)) {
    if (typeof part === 'string') continue
    if (part.as === 'column') {
      const at = left.findIndex(({ name }) => part.of.some(one => one.name === name))
      if (at >= 0) made = withField(made, sight, { [part.field]: left.splice(at, 1)[0]!.name })
    }
    if (part.as === 'columns') {
      const fit = left.filter(
        ({ name }) =>
          part.of.some(one => one.name === name) &&
          (part.field !== 'by' || sight.columns.find(one => one.name === name)?.type !== 'number'),
      )
      if (fit.length) made = withField(made, sight, { [part.field]: fit.map(({ name }) => name) })
      for (const one of fit) left.splice(left.indexOf(one), 1)
    }
    if (part.as === 'number' && count !== undefined && count >= part.min && count <= part.max)
      made = withField(made, sight, { [part.field]: count })
  }
  return made
}

/**
 * Steps that words ask for, as “share of riders by month” or “top 10”: kinds of which something is said, best first, with the columns and
 * the number that are named in their fields. All kinds where nothing is said.
 */
export function stepsSaid(words: string, sight: Sight): StepOffer[] {
  const said = plain(words)
  const offers = stepOffers(sight)
  if (!said.trim()) return offers
  const named = columnsIn(said, sight)
  // Words that name columns say nothing of the kind.
  const rest = named.reduce((text, { name }) => text.replace(plain(name), ' '), said)
  const count = /(?<= )\d+(?= )/.exec(rest)?.[0]
  const says = (word: string) => rest.includes(` ${word} `)
  const scored = offers.map(offer => {
    const title = plain(offer.title)
    const own = [...offer.words, ...title.trim().split(' ')].filter(word => word.length > 3 || offer.words.includes(word))
    // A word that is still being written is one already.
    return { offer, score: new Set(own.filter(says)).size + (rest.trim().length > 1 && title.includes(rest.trimEnd()) ? 0.5 : 0) }
  })
  return scored
    .filter(({ score }) => score > 0)
    .sort((a, b) => Number(b.offer.step !== null) - Number(a.offer.step !== null) || b.score - a.score)
    .map(({ offer }) =>
      offer.step ? { ...offer, step: filled(offer.step, named, count === undefined ? undefined : Number(count), sight) } : offer,
    )
}
