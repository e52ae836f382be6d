import { bare, headline, type StoryOutline } from '../story'

/** All side by side, then the greatest lit, then it alone against all others together. */
export const againstTheRest: StoryOutline = {
  name: 'against-the-rest',
  label: 'One against the rest',
  about: 'All side by side, the greatest of them lit, then it against all others together.',
  lacks: ({ groups }) => (groups.length ? null : 'a column of categories'),
  suits(room) {
    const { categories, adds, negative } = room.shape(bare(room, { across: room.groups[0]!.name }))
    if (categories < 3) return { score: 0.2, why: `${categories} categories are few to stand against.` }
    return { score: adds && !negative ? 0.8 : 0.5, why: `${categories} of ${room.groups[0]!.name}, from one base.` }
  },
  tell(room) {
    const bars = bare(room, { kind: 'lying-bar', across: room.groups[0]!.name, order: 'falling' })
    const { adds, negative, categories } = room.shape(bars)
    return [
      {
        title: headline(
          room.facts({ ...bars, order: 'data' }),
          ['share', 'highest', 'outlier'],
          `${room.amount?.name ?? 'Rows'} by ${room.groups[0]!.name}`,
        ),
        chart: bars,
        states: [
          { ...bars, rule: 'most' },
          ...(adds && !negative && categories > 2 ? [{ ...bars, rule: 'most' as const, largest: 1 }] : []),
        ],
      },
    ]
  },
}
