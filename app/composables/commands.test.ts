import { describe, expect, it } from 'vitest'
import { findCommands, lookDesks, type Command } from './commands'

const named = (label: string, keywords = ''): Command => ({ label, keywords, icon: '', run: () => {} })
const labels = (commands: readonly Command[], words: string) => findCommands(commands, words).map(command => command.label)

describe('what is asked for by words', () => {
  const commands = [named('Play from here', 'present talk'), named('Text styles', 'line height size'), named('Present to a room', '')]

  it('is all there is while nothing is asked', () => {
    expect(labels(commands, '  ')).toEqual(['Play from here', 'Text styles', 'Present to a room'])
  })
  it('fits every word, in its name or in what else it is looked for by', () => {
    expect(labels(commands, 'HEIGHT line')).toEqual(['Text styles'])
    expect(labels(commands, 'line talk')).toEqual([])
  })
  it('stands first where its name says so', () => {
    expect(labels(commands, 'present')).toEqual(['Present to a room', 'Play from here'])
  })
  it('finds the desk of each setting by what a person calls it', () => {
    const desks = lookDesks.map(desk => named(desk.label, desk.settings))
    for (const [words, desk] of [
      ['gradient', 'Background'],
      ['logo', 'Logo and footer'],
      ['bullets', 'Text styles'],
      ['brand colour', 'Palette'],
      ['upload font', 'Fonts'],
    ] as const)
      expect(labels(desks, words)[0]).toBe(desk)
  })
})
