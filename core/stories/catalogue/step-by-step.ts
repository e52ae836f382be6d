import { bare, headline, type StoryOutline } from '../story'

/** What was gained and lost on the way to a sum. */
export const stepByStep: StoryOutline = {
  name: 'step-by-step',
  label: 'Gained and lost',
  about: 'What came and what went, step by step, to what is left.',
  needs: ['amount', 'along'],
  suits(room) {
    const { negative, categories, adds } = room.shape(bare(room, { across: (room.time ?? room.groups[0]!).name }))
    if (!adds) return { score: 0.05, why: 'These amounts do not add up.' }
    return { score: negative && categories < 16 ? 0.9 : 0.2, why: negative ? 'Some amounts are below nothing.' : 'Nothing is lost here.' }
  },
  tell(room) {
    const across = (room.time ?? room.groups[0]!).name
    const steps = bare(room, { kind: 'waterfall', across })
    return [
      {
        title: headline(room.facts(bare(room, { across })), ['highest', 'growth'], `${room.amount!.name}, step by step`),
        chart: steps,
        states: [
          { ...steps, rule: 'most' },
          { ...steps, rule: 'least' },
        ],
      },
    ]
  },
}
