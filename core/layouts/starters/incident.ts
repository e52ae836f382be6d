import type { Starter } from './starter'

export const incident: Starter = {
  name: 'incident',
  label: 'Incident notice',
  purpose: 'loop',
  scheme: 'storm-warning',
  when: 'Something has happened, and people must know what to do now.',
  slides: [
    {
      title: 'No boats to Quill today',
      lines: ['Wind over 24 metres a second'],
      family: 'title',
      build: 'opening',
      hold: 6,
      transition: 'cut',
    },
    {
      title: 'What to do now',
      lines: ['Stay in the hall: it is warm and open all night', 'Ask at window 2 for a bed', 'Keep your ticket: it is good until Sunday'],
      family: 'steps-column',
      build: 'opening',
      hold: 12,
      transition: 'crossfade',
    },
    {
      title: 'What we know',
      lines: ['14:05 last boat in port', '16:00 next report', '20:00 decision about tomorrow'],
      family: 'timeline-row',
      build: 'opening',
      hold: 9,
      transition: 'crossfade',
    },
    {
      title: 'Still sailing',
      lines: ['Astrel: every two hours', 'Port Harrow: to time', 'Low Sands: 17:30 only'],
      family: 'lead-rows',
      build: 'opening',
      hold: 9,
      transition: 'crossfade',
    },
    { title: 'We tell you more here at 16:00.', lines: ['Quay desk 0555 010 203'], family: 'statement', hold: 6, transition: 'crossfade' },
  ],
}
