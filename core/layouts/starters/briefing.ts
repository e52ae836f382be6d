import type { Starter } from './starter'

export const briefing: Starter = {
  name: 'briefing',
  label: 'Briefing',
  purpose: 'talk',
  scheme: 'quayside',
  when: 'Something changes, and those who work with it have to know by tomorrow.',
  slides: [
    {
      title: 'Berth 2 closes in June',
      lines: ['Velmoor harbour office, for crews and quay staff'],
      family: 'title',
      build: 'opening',
      notes: 'Say first how long this takes: eight minutes, and questions after.',
    },
    { title: 'What we cover', family: 'agenda', agenda: 'slides', transition: 'crossfade' },
    {
      title: 'What changes',
      lines: [
        'Berth: Astrel and Quill both leave from berth 1',
        'Time: Quill sails twelve minutes later',
        'Queue: cars wait in lanes 3 and 4',
        'Signs: new boards hang from Monday',
      ],
      family: 'lead-rows',
      build: 'advance',
      notes: 'Lane 4 stays free for ambulances.',
      transition: 'crossfade',
    },
    {
      title: 'Why now',
      lines: ['40 years since the last repair', '3 weeks of work before the season', '0 sailings lost'],
      family: 'numbers-row',
      build: 'advance',
      transition: 'crossfade',
    },
    {
      title: 'What you do',
      lines: [
        'Read the new berth plan before your first shift',
        'Send cars to lane 3 as soon as they have paid',
        'Call the quay desk when the queue reaches the bridge',
      ],
      family: 'steps-row',
      build: 'advance',
      transition: 'crossfade',
    },
    {
      title: 'What people will ask',
      lines: [
        'Is my ticket still good? Yes, on every boat.',
        'Where do I wait? In the hall, under the clock.',
        'How long does it last? Until 27 June.',
      ],
      family: 'questions',
      build: 'advance',
      transition: 'crossfade',
    },
    { title: 'Nobody misses a boat because of us.', family: 'statement', transition: 'push' },
    { title: 'Questions?', lines: ['Quay desk, window 2', 'quay.desk@velmoor.example'], family: 'contact', transition: 'crossfade' },
  ],
}
