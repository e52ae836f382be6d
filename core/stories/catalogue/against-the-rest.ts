import { bare, headline, now, type StoryOutline } from '../story'

/** All side by side, then the greatest lit, then it alone against all others together. */
export const againstTheRest: StoryOutline = {
  name: 'against-the-rest',
  label: 'One against the rest',
  about: 'All side by side, the greatest of them lit, then it against all others together, or against the second.',
  needs: ['groups'],
  suits(room) {
    const { categories, adds, negative } = room.shape(bare(room, { across: room.groups[0]!.name }))
    if (categories < 3) return { score: 0.2, why: `${categories} categories are few to stand against.` }
    return { score: adds && !negative ? 0.8 : 0.5, why: `${categories} bars from one base.` }
  },
  tell(room) {
    const bars = bare(room, { kind: 'lying-bar', across: room.groups[0]!.name, order: 'falling', ...now(room) })
    const { adds, negative, categories } = room.shape(bars)
    const lit = { ...bars, rule: 'most' as const }
    // Where rows of one moment are drawn, the others are no one sum: it stands against the second.
    const alone = room.time
      ? { ...lit, only: { keys: [], found: ['most' as const, 'next' as const] } }
      : adds && !negative
        ? { ...lit, largest: 1 }
        : null
    return [
      {
        title: headline(room.facts(bars), ['share', 'highest', 'outlier'], `${room.amount?.name ?? 'Rows'} by ${room.groups[0]!.name}`),
        chart: bars,
        states: [lit, ...(alone && categories > 2 ? [alone] : [])],
      },
    ]
  },
}
