import { bare, headline, now, type StoryOutline } from '../story'

/** Parts that can still be told apart in a ring. */
const mostParts = 8

/** Columns become one ring, and one part of it stands out. */
export const wholeToPart: StoryOutline = {
  name: 'whole-to-part',
  label: 'From the whole to one part',
  about: 'Amounts side by side become one whole, and its largest part stands out.',
  needs: ['groups'],
  suits(room) {
    const { categories, adds, negative } = room.shape(bare(room, { across: room.groups[0]!.name }))
    if (negative) return { score: 0.05, why: 'A part cannot be less than nothing.' }
    if (!adds) return { score: 0.08, why: 'These amounts are not parts of a whole.' }
    return { score: categories < 2 ? 0.05 : categories > 14 ? 0.3 : 0.85, why: `${categories} parts of one whole.` }
  },
  tell(room) {
    const across = room.groups[0]!.name
    const { categories } = room.shape(bare(room, { across }))
    const most = categories > mostParts ? { largest: mostParts - 1 } : {}
    const columns = bare(room, { kind: 'bar', across, order: 'falling', ...most, ...now(room) })
    return [
      {
        title: headline(room.facts(columns), ['share', 'highest'], `${room.amount?.name ?? 'Rows'} by ${across}`),
        chart: columns,
        states: [
          { ...columns, kind: 'ring' },
          { ...columns, kind: 'ring', rule: 'most' },
        ],
      },
    ]
  },
}
