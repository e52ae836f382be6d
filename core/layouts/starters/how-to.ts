import type { Starter } from './starter'

export const howTo: Starter = {
  name: 'how-to',
  label: 'How-to',
  purpose: 'film',
  scheme: 'chart-room',
  when: 'The same thing is explained ten times a day.',
  slides: [
    { title: 'How to board with a car', lines: ['In one minute'], family: 'title', build: 'opening', hold: 2 },
    {
      title: 'What you need',
      lines: ['A ticket, or a card to buy one', 'Your number plate, clean', 'Twenty-five minutes'],
      family: 'list',
      build: 'self',
      transition: 'crossfade',
    },
    {
      title: 'Five steps',
      lines: ['Pay at window 1', 'Drive to lane 3', 'Switch the engine off', 'Wait for the green light', 'Follow the marshal up the ramp'],
      family: 'steps-column',
      build: 'self',
      transition: 'wipe',
    },
    {
      title: 'On the ramp',
      lines: ['Do: first gear, lights on', 'Do not: overtake, stop, reverse'],
      family: 'halves',
      build: 'self',
      transition: 'wipe',
    },
    {
      title: 'If something goes wrong',
      lines: ['Boat full? The next one waits for you.', 'Ticket lost? Window 2 prints it again.'],
      family: 'question-cards',
      build: 'self',
      transition: 'wipe',
    },
    { title: 'Pleasant crossing.', family: 'statement', hold: 2, transition: 'crossfade' },
  ],
}
