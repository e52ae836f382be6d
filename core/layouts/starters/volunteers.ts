import type { Starter } from './starter'

export const volunteers: Starter = {
  name: 'volunteers',
  label: 'Call for volunteers',
  purpose: 'talk',
  scheme: 'lantern',
  when: 'People are wanted for something that cannot be bought.',
  slides: [
    { title: 'Lantern night needs you', lines: ['14 June, on the whole quay'], family: 'title', build: 'opening' },
    {
      title: '“I came to carry one lantern and stayed for nine summers.”',
      lines: ['Tove Brandal, lantern carrier'],
      family: 'quote',
      build: 'opening',
      transition: 'crossfade',
    },
    {
      title: 'What there is to do',
      lines: [
        'Light: hang three hundred lanterns',
        'Guide: show visitors the way',
        'Cook: soup for the crews',
        'Watch: keep the water’s edge clear',
      ],
      family: 'icons-row',
      build: 'advance',
      transition: 'crossfade',
    },
    {
      title: 'How much time it takes',
      lines: ['2 hours on the evening', '1 hour to learn it', '0 experience'],
      family: 'numbers-row',
      build: 'advance',
      transition: 'crossfade',
    },
    {
      title: 'The evening',
      lines: ['17:00 meet at the hall', '18:00 hang the lanterns', '21:40 light them together', '23:00 soup for everybody'],
      family: 'timeline-row',
      build: 'advance',
      transition: 'crossfade',
    },
    {
      title: 'Who is already in',
      lines: ['Rowing club, forty people', 'School of Low Sands, two classes', 'Night crew, all but one'],
      family: 'people-list',
      build: 'opening',
      transition: 'crossfade',
    },
    {
      title: 'Put your name down',
      lines: ['At the quay desk, until 1 June', 'lantern@velmoor.example'],
      family: 'contact',
      transition: 'push',
    },
  ],
}
