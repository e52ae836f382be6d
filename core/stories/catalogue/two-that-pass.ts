import { bare, headline, type StoryOutline, type StoryRoom } from '../story'

const linesOf = (room: StoryRoom) => bare(room, { kind: 'line', across: room.time!.name, series: room.groups[0]!.name })
const crossingOf = (room: StoryRoom) => room.facts(linesOf(room)).find(({ name }) => name === 'crossing')

/** All lines, then only the two of which one passed the other. */
export const twoThatPass: StoryOutline = {
  name: 'two-that-pass',
  label: 'The one that passed the other',
  about: 'All of them through time, then the two of which one passed the other, alone.',
  needs: ['time', 'groups'],
  lacks: room => (crossingOf(room) ? null : 'one that passes another for good'),
  suits: room => ({ score: 0.88, why: crossingOf(room)!.words }),
  tell(room) {
    const lines = linesOf(room)
    const { about, beside = [] } = crossingOf(room)!
    return [
      {
        title: headline(room.facts(lines), ['crossing'], 'One passed the other'),
        chart: lines,
        states: [
          { ...lines, highlighted: [...about] },
          { ...lines, highlighted: [...about], only: { keys: [...about, ...beside], found: [] } },
        ],
      },
    ]
  },
}
