import type { Starter } from './starter'

export const noticeLoop: Starter = {
  name: 'notice-loop',
  label: 'Notice loop',
  purpose: 'loop',
  scheme: 'night-boat',
  when: 'A screen in a hall tells those who pass what is on today.',
  slides: [
    {
      title: 'Good morning, Velmoor',
      lines: ['Boats leave from berths 1 and 2'],
      family: 'title',
      build: 'opening',
      hold: 5,
      transition: 'crossfade',
    },
    {
      title: 'Next sailings',
      lines: ['08:10 Astrel, berth 1', '08:40 Port Harrow, berth 2', '09:00 Quill, berth 1', '09:25 Low Sands, berth 2'],
      family: 'departures',
      build: 'opening',
      hold: 10,
      transition: 'crossfade',
    },
    {
      title: 'On board today',
      lines: ['Bicycles: lower deck, free', 'Dogs: open deck, on a lead', 'Coffee: upper deck, all day'],
      family: 'cards-row',
      build: 'opening',
      hold: 8,
      transition: 'crossfade',
    },
    {
      title: 'Where to find us',
      lines: ['Tickets: north end of the hall', 'Lost property: first floor', 'Quay desk: beside gate 2'],
      family: 'places-cards',
      build: 'opening',
      hold: 8,
      transition: 'crossfade',
    },
    { title: 'Mind the step: the ramp moves with the tide.', family: 'statement', hold: 6, transition: 'crossfade' },
  ],
}
