import { bare, headline, type StoryOutline } from '../story'

/** A year month by month: its highest and its lowest. */
export const yearInMonths: StoryOutline = {
  name: 'year-in-months',
  label: 'A year in months',
  about: 'Months as columns, the strongest and the weakest of them lit in turn, then their way as a line.',
  needs: ['months', 'amount'],
  suits(room) {
    const { categories } = room.shape(bare(room, { across: room.time!.name }))
    return { score: categories <= 14 ? 0.93 : 0.4, why: `${categories} moments of ${room.amount!.name}.` }
  },
  tell(room) {
    const columns = bare(room, { kind: 'bar', across: room.time!.name })
    const { rule: _, ...line } = { ...columns, kind: 'line' }
    return [
      {
        title: headline(room.facts(columns), ['record', 'highest', 'growth'], `${room.amount!.name} month by month`),
        chart: columns,
        states: [{ ...columns, rule: 'most' }, { ...columns, rule: 'least' }, line],
      },
    ]
  },
}
