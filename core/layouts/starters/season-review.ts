import type { Starter } from './starter'

export const seasonReview: Starter = {
  name: 'season-review',
  label: 'Season review',
  purpose: 'talk',
  scheme: 'lighthouse',
  when: 'A season or a year is over, and a board wants to know how it went.',
  slides: [
    { title: 'The season of 2031', lines: ['Review for the harbour board'], family: 'title', build: 'opening' },
    {
      title: 'At a glance',
      lines: ['1.41 million passengers', '9,860 sailings', '96 % on time', '212 complaints'],
      family: 'numbers-grid',
      build: 'opening',
      chapter: 'The figures',
      transition: 'crossfade',
    },
    { title: 'August carries the year', lines: ['Passengers by month, all routes'], family: 'chart', transition: 'crossfade' },
    {
      title: 'Who travelled',
      lines: ['42 % commuters', '35 % visitors', '15 % schools', '8 % freight drivers'],
      family: 'share-ring',
      build: 'opening',
      transition: 'crossfade',
    },
    {
      title: 'What went well',
      lines: ['Night boat: full on nine of ten Fridays', 'Shore power: no engine ran at night', 'Hall: complaints about rain fell to four'],
      family: 'cards-row',
      build: 'advance',
      chapter: 'What it means',
      transition: 'crossfade',
    },
    {
      title: 'What did not',
      lines: [
        'Low Sands lost eleven school runs to fog',
        'Two ramps stood still for three weeks',
        'The new boards could not be read from the bridge',
      ],
      family: 'list',
      build: 'advance',
      transition: 'crossfade',
    },
    {
      title: 'From this season to the next',
      lines: ['Now: four routes, one hall', 'Next: four routes, two halls', 'Then: a fifth route to the islands'],
      family: 'before-after',
      build: 'advance',
      chapter: 'What comes',
      transition: 'crossfade',
    },
    {
      title: 'What we ask of the board',
      lines: ['Approve the second ramp', 'Keep the night boat for two years', 'Name a date for the island route'],
      family: 'next-steps',
      build: 'advance',
      transition: 'crossfade',
    },
  ],
}
