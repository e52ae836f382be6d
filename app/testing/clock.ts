import { afterEach, beforeEach, vi } from 'vitest'

/**
 * A clock in the hands of the tests of a file: time stands until `pass` lets so many seconds go by, with thirty frames each.
 */
export function handClock() {
  let frames: (() => void)[] = []
  let now = 0
  beforeEach(() => {
    frames = []
    now = 0
    vi.spyOn(performance, 'now').mockImplementation(() => now)
    vi.stubGlobal('requestAnimationFrame', (run: () => void) => frames.push(run))
    vi.stubGlobal('cancelAnimationFrame', () => {
      frames = []
    })
  })
  afterEach(() => {
    vi.restoreAllMocks()
  })
  return function pass(seconds: number) {
    for (let frame = 0; frame < Math.round(seconds * 30); frame++) {
      now += 1000 / 30
      for (const run of frames.splice(0)) run()
    }
  }
}
