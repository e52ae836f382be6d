import { bare, headline, type StoryOutline } from '../story'

/** Two amounts of each thing, and whether one goes with the other. */
export const together: StoryOutline = {
  name: 'together',
  label: 'What goes with what',
  about: 'Two amounts of each thing: whether one goes with the other, and who stands out.',
  needs: ['second', 'groups'],
  suits(room) {
    const { rows } = room.shape(room.base)
    return { score: rows < 6 ? 0.2 : 0.7, why: `${room.amount!.name} and ${room.second!.name} of ${rows} rows.` }
  },
  tell(room) {
    const dots = bare(room, { kind: 'scatter', across: room.groups[0]!.name, height: room.amount!.name, along: room.second!.name })
    return [
      {
        title: headline([], [], `${room.amount!.name} against ${room.second!.name}`),
        chart: { ...dots, labels: 'none' },
        states: [{ ...dots, rule: 'most' }],
      },
    ]
  },
}
