import { describe, expect, it } from 'vitest'
import { stepInGrid } from './walk-grid'

/** Five things in rows of three. */
const boxes = [0, 1, 2, 3, 4].map(index => ({ left: (index % 3) * 100, top: Math.floor(index / 3) * 80, width: 90 }))
const from = (index: number) => (key: string) => stepInGrid(boxes, index, key)

describe('walking what stands in rows', () => {
  it('goes along and on into the next row, and ends at the ends', () => {
    expect([from(1)('ArrowRight'), from(2)('ArrowRight'), from(4)('ArrowRight')]).toEqual([2, 3, null])
    expect([from(3)('ArrowLeft'), from(0)('ArrowLeft')]).toEqual([2, null])
    expect([from(2)('Home'), from(2)('End'), from(0)('Home'), from(4)('End')]).toEqual([0, 4, null, null])
  })
  it('goes up and down to what stands nearest there', () => {
    expect([from(1)('ArrowDown'), from(2)('ArrowDown'), from(4)('ArrowUp')]).toEqual([4, 4, 1])
    expect([from(4)('ArrowDown'), from(0)('ArrowUp')]).toEqual([null, null])
  })
  it('leaves other keys, and what is none of them, alone', () => {
    expect([from(1)('a'), stepInGrid(boxes, -1, 'ArrowDown'), stepInGrid([], 0, 'ArrowRight')]).toEqual([null, null, null])
  })
})
