import { describe, expect, it } from 'vitest'
import { listWords, numberWords, secondsWords } from './index'

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
