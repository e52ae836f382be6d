import { bare, headline, type StoryOutline } from '../story'

/** First against last: all lines, the one that rose most, the one that fell most. */
export const beforeAndAfter: StoryOutline = {
  name: 'before-and-after',
  label: 'Before and after',
  about: 'The first moment against the last: who rose most, and who fell.',
  needs: ['time', 'groups'],
  suits(room) {
    const { categories, series } = room.shape(bare(room, { across: room.time!.name, series: room.groups[0]!.name }))
    return {
      score: series > 12 ? 0.35 : categories <= 3 ? 0.85 : 0.65,
      why: `${series} lines between the first and the last of ${categories} moments.`,
    }
  },
  tell(room) {
    const slope = bare(room, { kind: 'slope', across: room.time!.name, series: room.groups[0]!.name })
    return [
      {
        title: headline(room.facts(slope), ['growth', 'crossing'], `${room.amount?.name ?? 'Rows'}, first and last`),
        chart: slope,
        states: [
          { ...slope, rule: 'rise' },
          { ...slope, rule: 'fall' },
        ],
      },
    ]
  },
}
