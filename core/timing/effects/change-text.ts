import { optionOf, type Effect } from './effect'

/** The most letters that other words of a text may have. */
export const mostWords = 4000

const ways: Readonly<Record<string, 1 | -1>> = { up: 1, down: -1 }

/** A text says something else from here on: its words go as the new ones come. */
export const changeText: Effect = {
  name: 'change-text',
  label: 'Say something else',
  whats: ['move'],
  kinds: ['text'],
  whole: true,
  duration: 0.8,
  options: [
    { kind: 'words', name: 'words', label: 'Then it says', initial: '' },
    {
      kind: 'choice',
      name: 'how',
      label: 'The new words',
      values: [
        { value: 'fade', label: 'fade in' },
        { value: 'up', label: 'come from below' },
        { value: 'down', label: 'come from above' },
      ],
      initial: 'fade',
    },
  ],
  says: {
    words: options => optionOf<string>(changeText, options, 'words').slice(0, mostWords),
    from: options => ways[optionOf<string>(changeText, options, 'how')] ?? 0,
  },
  apply: () => {},
}
