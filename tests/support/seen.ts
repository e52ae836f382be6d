import { readFileSync } from 'node:fs'
import type { Reporter, TestCase, TestResult, TestStep } from '@playwright/test/reporter'

/** Lines of what stood on the page that are said of a test that failed. */
const most = 40

/** The step that failed, below those that it was a part of. */
const failed = (steps: readonly TestStep[]): string[] => {
  const at = steps.find(({ error }) => error)
  return at ? [at.title, ...failed(at.steps)] : []
}

/** Says at the end where tests failed, and what stood on the page then: where only the last of the output is kept, nothing else tells. */
export default class Seen implements Reporter {
  readonly #said: string[] = []
  onTestEnd(test: TestCase, { status, attachments, steps }: TestResult) {
    if (status === test.expectedStatus) return
    this.#said.push(`  “${test.title}” failed in: ${failed(steps).join(' › ') || 'no step of it'}`)
    const file = attachments.find(({ name }) => name === 'error-context')?.path
    const snapshot = file && /```yaml\n([\s\S]*?)```/.exec(readFileSync(file, 'utf8'))?.[1]
    if (snapshot) this.#said.push(`  The page then:\n${snapshot.split('\n').slice(0, most).join('\n')}`)
  }
  onEnd() {
    for (const line of this.#said) console.log(line)
  }
  printsToStdio() {
    return false
  }
}
