import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { expect, test } from '@playwright/test'
import { enter } from './support/people'
import { views } from './support/views'

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')
interface Violation {
  id: string
  impact: string | null
  help: string
  nodes: { html: string }[]
}

for (const scheme of ['light', 'dark'] as const) {
  test(`nothing serious keeps anybody out of any view, in the ${scheme}`, async ({ page }) => {
    test.setTimeout(180_000)
    await page.emulateMedia({ colorScheme: scheme })
    await enter(page)
    const found: string[] = []
    for (const view of views) {
      await page.goto(view)
      await page.waitForLoadState('networkidle')
      if (view.includes('compose') && !view.includes('look')) await page.locator('[data-hit]').first().click()
      await page.evaluate(axe)
      // Slides are the work of whoever made them, and are judged in Check. The rule that is left out takes words in pictures of slides for
      // labels.
      const violations = await page.evaluate(
        async () =>
          (
            await (window as unknown as { axe: { run(context: object, options: object): Promise<{ violations: Violation[] }> } }).axe.run(
              { exclude: [['.stage-slide']] },
              { resultTypes: ['violations'], rules: { 'label-content-name-mismatch': { enabled: false } } },
            )
          ).violations,
      )
      for (const violation of violations)
        if (violation.impact === 'serious' || violation.impact === 'critical')
          found.push(
            `${view}: ${violation.id}: ${violation.help}: ${violation.nodes
              .slice(0, 3)
              .map(node => node.html.slice(0, 160))
              .join(' | ')}`,
          )
    }
    expect(found).toEqual([])
  })
}
