import { describe, expect, it } from 'vitest'
import { partsOf } from './data-room'

describe('a sentence of how something was read', () => {
  it('is told into what can be changed and what stands around it', () => {
    expect(partsOf('*Money* in euros, *comma* is the decimal')).toEqual([
      { text: 'Money', changeable: true },
      { text: ' in euros, ', changeable: false },
      { text: 'comma', changeable: true },
      { text: ' is the decimal', changeable: false },
    ])
    expect(partsOf('Nothing of it')).toEqual([{ text: 'Nothing of it', changeable: false }])
    expect(partsOf('')).toEqual([])
  })
})
