import { expect, it } from 'vitest'
import { Stuck, unlessStuck } from './stuck'

const pause = (ms: number) => new Promise(resolve => setTimeout(resolve, ms))

it('work that gets further takes as long as it takes', async () => {
  expect(
    await unlessStuck(async further => {
      for (let step = 0; step < 12; step++) {
        await pause(100)
        further()
      }
      return 'done'
    }, 1000),
  ).toBe('done')
})

it('work that stands still is given up with a sentence, and its own errors stay its own', async () => {
  await expect(unlessStuck(() => new Promise(() => {}), 60)).rejects.toThrow(Stuck)
  await expect(unlessStuck(() => new Promise(() => {}), 60)).rejects.toThrow(/^It got no further for 0\.06 seconds and was ended\./)
  await expect(unlessStuck(() => Promise.reject(new Error('mine')), 60)).rejects.toThrow('mine')
})
