import type { Starter } from './starter'

export const plan: Starter = {
  name: 'plan', label: 'Plan with milestones', purpose: 'talk', scheme: 'blueprint', when: 'Something is to be built, and others have to agree to when and by whom.',
  slides: [
    { title: 'A second hall by 2033', lines: ['Plan for the harbour board'], family: 'title', build: 'opening' },
    { title: 'What we cover', family: 'agenda-track', agenda: 'chapters', transition: 'crossfade' },
    { title: 'Why a second hall', lines: ['Space: nine hundred wait where four hundred fit', 'Weather: the queue stands in the rain', 'Safety: cars and people cross'], family: 'pillars', build: 'advance', chapter: 'Why', transition: 'crossfade' },
    { title: 'Two ways to build it', lines: ['One hall', '  Cost: 4.1 million', '  Time: 14 months', '  Quay: closed one summer', 'Two steps', '  Cost: 4.6 million', '  Time: 24 months', '  Quay: open throughout'], family: 'compare-columns', build: 'advance', chapter: 'How', transition: 'crossfade' },
    { title: 'Milestones', lines: ['2031 drawings', '2032 piles', '2032 roof', '2033 opening'], family: 'timeline-turns', build: 'advance', chapter: 'When', transition: 'crossfade' },
    { title: 'Who does what', lines: ['Harbour master', '  Works', '    Quay wall', '    Hall', '  Communication', '    Boards', '    Residents'], family: 'tree-down', build: 'opening', chapter: 'Who', transition: 'crossfade' },
    { title: 'Where the money comes from', lines: ['60 % the district', '25 % fares', '15 % the fund for small harbours'], family: 'share-rows', build: 'opening', transition: 'crossfade' },
    { title: 'What we need today', lines: ['Agree to two steps', 'Release the money for drawings', 'Meet again in March'], family: 'next-steps', build: 'advance', chapter: 'What next', transition: 'crossfade' },
  ],
}
