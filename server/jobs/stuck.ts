import { Refused } from './progress'

/** What stands still so long, ms, is ended: the longest step that tells nothing of itself, packing a film of hours, takes a tenth of it. */
export const stuckAfter = 20 * 60_000

/** Work that stood still and was given up; what it started may still be there. */
export class Stuck extends Refused {}

/** Does work that says each time that it has got further, and gives it up when it has not for `after` ms. */
export async function unlessStuck<T>(work: (further: () => void) => Promise<T>, after = stuckAfter): Promise<T> {
  let last = Date.now()
  let watching: ReturnType<typeof setInterval> | undefined
  const stuck = new Promise<never>((_, reject) => {
    watching = setInterval(
      () => {
        if (Date.now() - last > after)
          reject(
            new Stuck(
              `It got no further for ${after < 60_000 ? `${after / 1000} seconds` : `${Math.round(after / 60_000)} minutes`} ` +
                'and was ended. Try it again; with fewer slides or a smaller picture, if it stays so.',
            ),
          )
      },
      Math.max(10, after / 200),
    )
  })
  try {
    return await Promise.race([
      work(() => {
        last = Date.now()
      }),
      stuck,
    ])
  } finally {
    clearInterval(watching)
  }
}
