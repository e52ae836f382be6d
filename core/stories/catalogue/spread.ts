import { bare, headline, type StoryOutline } from '../story'

/** Rows that are few do not spread. */
const leastRows = 20

/** Where all rows lie, then how each group lies in them. */
export const spread: StoryOutline = {
  name: 'spread',
  label: 'Where most of them lie',
  about: 'How all rows spread, then group by group.',
  needs: ['amount'],
  suits(room) {
    const { rows } = room.shape(room.base)
    if (rows < leastRows) return { score: 0.1, why: `${rows} rows are too few to spread.` }
    return { score: rows > 200 ? 0.75 : 0.5, why: `${rows} rows of ${room.amount!.name}.` }
  },
  tell(room) {
    const [group] = room.groups
    const histogram = bare(room, { kind: 'histogram', height: room.amount!.name })
    return [
      {
        title: headline(room.facts(bare(room, {})), ['outlier'], `How ${room.amount!.name} spreads`),
        chart: histogram,
        states: group ? [bare(room, { kind: 'box', across: group.name, height: room.amount!.name })] : [],
      },
    ]
  },
}
