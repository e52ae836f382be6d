import type { Reporter, TestModule } from 'vitest/node'

const shown = 10

/** Prints the slowest tests of a run, so that one that grows slow is seen. */
export default class Slowest implements Reporter {
  onTestRunEnd(modules: readonly TestModule[]) {
    const tests = modules.flatMap(module => [...module.children.allTests()])
    const slow = tests
      .map(test => ({ name: `${test.module.relativeModuleId} › ${test.fullName}`, seconds: (test.diagnostic()?.duration ?? 0) / 1000 }))
      .sort((a, b) => b.seconds - a.seconds)
      .slice(0, shown)
      .filter(({ seconds }) => seconds > 0.5)
    if (!slow.length) return
    console.log('\nThe slowest:')
    for (const { name, seconds } of slow) console.log(`${seconds.toFixed(1).padStart(7)} s  ${name}`)
  }
}
