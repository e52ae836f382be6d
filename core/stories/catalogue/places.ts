import { bare, headline, type StoryOutline } from '../story'

/** The order of things, moment by moment. */
export const places: StoryOutline = {
  name: 'places',
  label: 'Who stands where',
  about: 'The order through time: who climbed furthest, and who fell.',
  needs: ['time', 'groups'],
  suits(room) {
    const { crossings, series, categories } = room.shape(bare(room, { across: room.time!.name, series: room.groups[0]!.name }))
    if (series < 3 || series > 15 || categories < 3) return { score: 0.2, why: `${series} places through ${categories} moments.` }
    return { score: crossings > 2 ? 0.8 : 0.35, why: `The order changes ${crossings === 1 ? 'once' : `${crossings} times`}.` }
  },
  tell(room) {
    const ranks = bare(room, { kind: 'ranks', across: room.time!.name, series: room.groups[0]!.name })
    return [
      {
        title: headline(room.facts(ranks), ['crossing', 'growth'], `The order of ${room.groups[0]!.name}`),
        chart: ranks,
        states: [
          { ...ranks, rule: 'rise' },
          { ...ranks, rule: 'fall' },
        ],
      },
    ]
  },
}
