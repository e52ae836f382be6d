import type { Starter } from './starter'

export const yearInNumbers: Starter = {
  name: 'year-in-numbers',
  label: 'A year in numbers',
  purpose: 'film',
  scheme: 'signal-flags',
  when: 'A year is told in a minute, number by number.',
  slides: [
    { title: '2031 in numbers', lines: ['Velmoor Harbour'], family: 'title', build: 'opening', hold: 2 },
    { title: 'Across the water', lines: ['1,412,000 people, on four routes'], family: 'number-single', build: 'self', transition: 'push' },
    {
      title: 'And back again',
      lines: ['9,860 sailings', '312 dogs', '48,200 bicycles'],
      family: 'numbers-rows',
      build: 'self',
      transition: 'push',
    },
    {
      title: 'On time',
      lines: ['96 % of all sailings left within five minutes'],
      family: 'number-single',
      build: 'self',
      transition: 'push',
    },
    {
      title: 'What moved us',
      lines: ['51 % shore power', '33 % diesel', '16 % wind'],
      family: 'share-bar',
      build: 'self',
      transition: 'push',
    },
    {
      title: 'How it grew',
      lines: ['2022 one berth', '2025 a night boat', '2028 shore power', '2031 a covered hall'],
      family: 'stairs',
      build: 'self',
      transition: 'push',
    },
    { title: 'Thank you for crossing with us.', family: 'statement', hold: 3, transition: 'crossfade' },
  ],
}
