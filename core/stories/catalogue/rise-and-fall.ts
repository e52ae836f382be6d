import { bare, headline, type StoryOutline } from '../story'

/** One line through time: its way, its highest, where it stands now. */
export const riseAndFall: StoryOutline = {
  name: 'rise-and-fall',
  label: 'Rise and fall',
  about: 'One amount through time: its way, its highest point, where it stands now.',
  needs: ['time', 'amount'],
  suits(room) {
    const { categories } = room.shape(bare(room, { across: room.time!.name }))
    return { score: categories < 4 ? 0.25 : room.groups.length ? 0.6 : 0.9, why: `${categories} moments of ${room.amount!.name}.` }
  },
  tell(room) {
    const line = bare(room, { kind: 'line', across: room.time!.name })
    return [
      {
        title: headline(room.facts(line), ['growth', 'record', 'streak', 'highest'], `${room.amount!.name} through time`),
        chart: { ...line, labels: 'none' },
        states: [
          { ...line, rule: 'most' },
          { ...line, rule: 'last' },
        ],
      },
    ]
  },
}
