import type { Starter } from './starter'

export const portrait: Starter = {
  name: 'portrait',
  label: 'Portrait of a person',
  purpose: 'talk',
  scheme: 'driftwood',
  when: 'Somebody is introduced, honoured or said goodbye to.',
  slides: [
    { title: 'Liv Sorne', lines: ['Captain of the Astrel Star, thirty-one years'], family: 'person', build: 'opening' },
    {
      title: 'Her way here',
      lines: ['1998 deckhand on the Quill', '2004 first mate', '2011 captain', '2031 ten thousand crossings'],
      family: 'timeline-column',
      build: 'advance',
      transition: 'crossfade',
    },
    {
      title: 'What she taught us',
      lines: [
        'Look at the water before you look at the clock',
        'A calm voice carries further than a loud one',
        'The last passenger is as important as the first',
      ],
      family: 'numbered',
      build: 'advance',
      transition: 'crossfade',
    },
    {
      title: 'In her words',
      lines: ['“The sea does not read timetables, so we read the sea.” – Liv Sorne'],
      family: 'quote-portrait',
      build: 'opening',
      transition: 'crossfade',
    },
    {
      title: 'One career in figures',
      lines: ['10,000 crossings', '4 boats', '1 fog horn mended with a spoon'],
      family: 'numbers-row',
      build: 'advance',
      transition: 'crossfade',
    },
    { title: 'Fair winds, Liv.', family: 'statement', transition: 'crossfade' },
  ],
}
