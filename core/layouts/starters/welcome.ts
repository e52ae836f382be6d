import type { Starter } from './starter'

export const welcome: Starter = {
  name: 'welcome',
  label: 'Visitors’ welcome',
  purpose: 'loop',
  scheme: 'morning-mist',
  when: 'Guests wait in a room and should feel expected.',
  slides: [
    {
      title: 'Welcome to Velmoor Harbour',
      lines: ['We are with you in a moment'],
      family: 'title',
      build: 'opening',
      hold: 6,
      transition: 'crossfade',
    },
    {
      title: 'Who you will meet',
      lines: ['Ines Rahm, communications', 'Olav Trent, harbour master', 'Mira Dahl, screens'],
      family: 'people-row',
      build: 'opening',
      hold: 8,
      transition: 'crossfade',
    },
    {
      title: 'Your morning here',
      lines: ['10:00 Coffee above the hall', '10:30 Walk along the quay', '11:30 On the bridge of the Astrel', '12:30 Soup'],
      family: 'departures',
      build: 'opening',
      hold: 10,
      transition: 'crossfade',
    },
    {
      title: 'Good to know',
      lines: ['Network: guest, no password', 'Coats: behind the desk', 'Quiet: the room by the stairs'],
      family: 'cards-row',
      build: 'opening',
      hold: 8,
      transition: 'crossfade',
    },
    { title: 'The harbour in one sentence: everybody gets across.', family: 'statement', hold: 6, transition: 'crossfade' },
  ],
}
