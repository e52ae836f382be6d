import { bare, headline, type StoryOutline } from '../story'

/** More rows than this are not read in a race: the largest are shown. */
const mostRows = 12

/** Who passes whom: the categories run through time, then the first two stand alone, then all as parts of one whole. */
export const race: StoryOutline = {
  name: 'race',
  label: 'A race through time',
  about: 'Who passes whom, moment by moment, and how it stands in the end.',
  needs: ['time', 'groups'],
  suits(room) {
    const { crossings, categories } = room.shape(bare(room, { across: room.time!.name, series: room.groups[0]!.name }))
    const passings = crossings === 1 ? 'one passes another once' : `they pass each other ${crossings} times`
    return {
      score: categories < 3 ? 0.3 : crossings ? 0.95 : 0.55,
      why: `${categories} moments, and ${crossings ? passings : 'nobody passes'}.`,
    }
  },
  tell(room) {
    const { time, groups, amount, facts, shape } = room
    const lines = bare(room, { across: time!.name, series: groups[0]!.name })
    const count = shape(lines).series
    const first = bare(room, {
      kind: 'lying-bar',
      across: groups[0]!.name,
      order: 'falling',
      rule: 'rise',
      moment: { column: time!.name, at: 'first' },
      ...(count > mostRows ? { largest: mostRows } : {}),
    })
    const last = { ...first, moment: { column: time!.name, at: 'last' as const } }
    const { largest: _largest, ...all } = last
    const adds = shape(lines).adds && !shape(lines).negative && count <= 8
    return [
      {
        title: headline(facts(lines), ['crossing', 'growth', 'record'], `${amount?.name ?? 'Rows'} by ${groups[0]!.name}`),
        chart: first,
        states: [
          last,
          ...(count > 2 ? [{ ...all, only: { keys: [], found: ['most' as const, 'next' as const] } }] : []),
          ...(adds ? [{ ...all, kind: 'ring' }] : []),
        ],
        notes: 'Let it run. Say what happened where one passes another.',
      },
    ]
  },
}
