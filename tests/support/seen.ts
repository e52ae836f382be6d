import { readFileSync } from 'node:fs'
import type { Reporter, TestCase, TestResult } from '@playwright/test/reporter'

/** Lines of what stood on the page that are said of a test that failed. */
const most = 60

/** Says what stood on the page where a test failed: where only the output is kept, nothing else tells. */
export default class Seen implements Reporter {
  onTestEnd(test: TestCase, { status, attachments }: TestResult) {
    if (status === test.expectedStatus) return
    const file = attachments.find(({ name }) => name === 'error-context')?.path
    if (!file) return
    const snapshot = /```yaml\n([\s\S]*?)```/.exec(readFileSync(file, 'utf8'))?.[1]
    if (snapshot) console.log(`  The page, as “${test.title}” failed:\n${snapshot.split('\n').slice(0, most).join('\n')}`)
  }
  printsToStdio() {
    return false
  }
}
