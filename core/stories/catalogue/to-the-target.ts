import { isAim, shownRows } from '../../charts'
import { gatheredFor, type Column } from '../../data'
import { bare, now, type StoryOutline, type StoryRoom } from '../story'

/** An amount with the column of its target; null where none is called so. */
function aimedOf({ table, amount }: StoryRoom): { amount: Column; target: Column } | null {
  const numbers = table.columns.filter(({ type }) => type === 'number')
  const target = numbers.find(({ name }) => isAim(name))
  const own = amount && amount !== target ? amount : numbers.find(one => one !== target && !isAim(one.name))
  return target && own ? { amount: own, target } : null
}

/** What the bars to a target are drawn of: each category now, or each moment. */
function barsIn(room: StoryRoom) {
  const { amount, target } = aimedOf(room)!
  const [group] = room.groups
  const across = group ?? room.time!
  const bars = bare(room, {
    kind: 'bullet',
    across: across.name,
    height: amount.name,
    beside: [target.name],
    ...(group ? now(room) : {}),
  })
  const shown = shownRows(bars, room.table, 'en')
  return { bars, across, amount, target, data: gatheredFor(shown.spec, shown.table) }
}

const sumOf = (values: readonly (number | null)[]) => values.reduce<number>((sum, value) => sum + (value ?? 0), 0)

/** How many have come to their targets, as a headline. */
const comeWords = (come: number, all: number, target: string) =>
  come > 1 ? `${come} of ${all} have come to their ${target}` : `${come ? 'One' : 'None'} of ${all} has come to its ${target}`

/** The target and the way there: how far each has come, and where there is time, how it came there. */
export const toTheTarget: StoryOutline = {
  name: 'to-the-target',
  label: 'The target and the way there',
  about: 'How far each has come to its target, and where there is time, the way there with the target as a line across it.',
  needs: ['along', 'amount'],
  lacks: room => (aimedOf(room) ? null : 'a column of targets, called so'),
  suits(room) {
    const { amount, target } = aimedOf(room)!
    return { score: 0.88, why: `“${amount.name}” beside “${target.name}”.` }
  },
  tell(room) {
    const { bars, across, amount, target, data } = barsIn(room)
    const [own, aims] = [data.values[0] ?? [], data.values[1] ?? []]
    const aimed = own.flatMap((value, at) => (value !== null && aims[at] !== null && aims[at] !== undefined ? [value >= aims[at]] : []))
    const come = aimed.filter(Boolean).length
    const title = room.groups.length ? comeWords(come, aimed.length, target.name) : `${amount.name} on the way to ${target.name}`
    const shown = {
      title: title.charAt(0).toUpperCase() + title.slice(1),
      chart: { ...bars, rule: 'most' as const },
      states: [{ ...bars, rule: 'least' as const }],
    }
    if (!room.time) return [shown]
    const line = bare(room, { kind: 'line', across: room.time.name, height: amount.name })
    const whole = room.shape(bare(room, { kind: 'line', across: room.time.name, height: target.name })).data
    const last = whole.values[0]?.findLast(value => value !== null) ?? sumOf(aims)
    const reference = { at: last, words: target.name }
    const way = {
      title: `The way to ${target.name}`,
      chart: line,
      states: [
        { ...line, references: [reference] },
        { ...line, references: [reference], rule: 'last' as const },
      ],
    }
    return across === room.time ? [way] : [shown, way]
  },
}
