import { bare, headline, type StoryOutline } from '../story'

/** All in one picture, then each in a picture of its own. */
export const oneByOne: StoryOutline = {
  name: 'one-by-one',
  label: 'Each on its own',
  about: 'All lines in one picture, then each in a picture of its own, all by one scale.',
  needs: ['time', 'groups'],
  suits(room) {
    const { series, categories } = room.shape(bare(room, { across: room.time!.name, series: room.groups[0]!.name }))
    return { score: series > 4 && series < 26 && categories > 3 ? 0.7 : 0.3, why: `${series} lines of ${categories} moments.` }
  },
  tell(room) {
    const lines = bare(room, { kind: 'line', across: room.time!.name, series: room.groups[0]!.name })
    return [
      {
        title: headline(room.facts(lines), ['growth', 'streak', 'crossing'], `${room.amount?.name ?? 'Rows'}, each on its own`),
        chart: lines,
        states: [
          { ...lines, kind: 'multiples' },
          { ...lines, kind: 'multiples', rule: 'rise' },
        ],
      },
    ]
  },
}
