/** One 60 Hz frame, ms. */
export const frame = 1000 / 60

let broken = 0

/** Prints a figure against its budget, and remembers whether one was broken. */
export function report(name: string, value: number, budget: number, unit: string) {
  const held = value <= budget
  if (!held) broken++
  console.log(`${held ? 'held  ' : 'BROKEN'}  ${name}: ${value.toFixed(value < 1 ? 3 : 2)} ${unit} (at most ${budget})`)
}

/** Ends with an error where a budget was broken. */
export function finish() {
  if (broken) {
    console.log(`${broken} budget${broken > 1 ? 's' : ''} broken`)
    process.exitCode = 1
  }
}

/** Median ms of a function over several rounds of `times` calls. */
export function median(times: number, run: (index: number) => void, rounds = 9): number {
  run(0)
  const results = Array.from({ length: rounds }, () => {
    const start = performance.now()
    for (let index = 0; index < times; index++) run(index)
    return (performance.now() - start) / times
  })
  return results.sort((a, b) => a - b)[Math.floor(rounds / 2)]!
}
