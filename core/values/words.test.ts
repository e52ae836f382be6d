import { describe, expect, it } from 'vitest'
import { lettersApart, listWords, numberWords, secondsWords, withoutAccents } from './index'

describe('amounts and lists in sentences', () => {
  it('are written as the language of the interface does', () => {
    expect([numberWords(12_500), numberWords(3.25, 1), secondsWords(6.66), secondsWords(1.5, 2)]).toEqual([
      '12,500',
      '3.3',
      '6.7 s',
      '1.50 s',
    ])
    expect([listWords([]), listWords(['Astrel']), listWords(['Astrel', 'Quill']), listWords([1, 2, 3])]).toEqual([
      '',
      'Astrel',
      'Astrel and Quill',
      '1, 2, and 3',
    ])
  })
})

describe('words that are compared', () => {
  it('are as many letters apart as have to be changed: kitten and sitting are three', () => {
    const pairs = [
      ['kitten', 'sitting'],
      ['', 'abc'],
      ['quill', 'quill'],
      ['harow', 'harrow'],
    ] as const
    expect(pairs.map(([a, b]) => lettersApart(a, b))).toEqual([3, 3, 0, 1])
    expect([lettersApart('kitten', 'sitting', 2), lettersApart('a', 'abcd', 1)]).toEqual([3, 2])
  })
  it('have no accents', () => expect(['Côte', 'São Tomé', 'Łódź'].map(withoutAccents)).toEqual(['Cote', 'Sao Tome', 'Łodz']))
})
