/** What follows each other without one between that is missing. */
export function gapless<T>(list: readonly (T | null)[]): T[][] {
  const runs: T[][] = [[]]
  for (const one of list) {
    if (one !== null) runs.at(-1)!.push(one)
    else if (runs.at(-1)!.length) runs.push([])
  }
  return runs.filter(run => run.length)
}
