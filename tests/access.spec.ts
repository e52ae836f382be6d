import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { expect, test, type Locator, type Page } from '@playwright/test'
import { enter } from './support/people'
import { groups, openView } from './support/views'

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')
const deck = '/decks/demo-briefing'
interface Violation {
  id: string
  impact: string | null
  help: string
  nodes: { html: string }[]
}

/**
 * What would seriously keep somebody out of the page as it stands, in sentences. `behind`: something lies open over it and keeps the focus,
 * so that what is hidden behind it cannot be reached, which the rule for that does not see.
 */
async function barriers(page: Page, where: string, behind = false): Promise<string[]> {
  await page.evaluate(axe)
  // What is still coming in is fainter than it will be. What goes on for ever is left out; what is taken away meanwhile is over too.
  await page.evaluate(async () => {
    const running = document.getAnimations().filter(one => one.effect?.getComputedTiming().iterations !== Infinity)
    await Promise.allSettled(running.map(one => one.finished))
  })
  // Slides are the work of whoever made them, and are judged in Check. The rule that is left out takes words in pictures of slides for
  // labels.
  const violations = await page.evaluate(
    async focusMayHide =>
      (
        await (window as unknown as { axe: { run(context: object, options: object): Promise<{ violations: Violation[] }> } }).axe.run(
          { exclude: [['.stage-slide']] },
          {
            resultTypes: ['violations'],
            rules: { 'label-content-name-mismatch': { enabled: false }, 'aria-hidden-focus': { enabled: !focusMayHide } },
          },
        )
      ).violations,
    behind,
  )
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, help, nodes }) => {
      const shown = nodes.slice(0, 3).map(node => node.html.slice(0, 160))
      return `${where}: ${id}: ${help}: ${shown.join(' | ')}`
    })
}

/** What opens over a view, how it is opened, and what is there then. */
const openings: readonly [view: string, name: string, open: (page: Page) => Promise<void>, seen: (page: Page) => Locator][] = [
  ['/', 'menu of a deck', page => page.locator('article').getByRole('button').first().click(), page => page.getByRole('menu')],
  ['/', 'list of choices', page => page.getByLabel('Order of decks').click(), page => page.getByRole('listbox')],
  ['/', 'a new deck', page => page.keyboard.press('n'), page => page.getByRole('dialog')],
  [
    '/people',
    'menu of a person',
    page =>
      page
        .getByRole('button', { name: /^What to do with/ })
        .first()
        .click(),
    page => page.getByRole('menu'),
  ],
  [
    `${deck}?phase=outline`,
    'settings of the deck',
    page => page.getByRole('button', { name: 'Talk' }).click(),
    page => page.getByRole('dialog'),
  ],
  [`${deck}?phase=compose`, 'palette', page => page.keyboard.press('/'), page => page.getByRole('listbox', { name: 'Found' })],
  [`${deck}?phase=compose`, 'keys', page => page.keyboard.press('?'), page => page.getByRole('dialog')],
  [
    `${deck}?phase=compose`,
    'shapes',
    page => page.getByRole('button', { name: 'Add a shape or line' }).click(),
    page => page.locator('[data-shape="rectangle"]'),
  ],
  [
    `${deck}?phase=compose`,
    'menu of an element',
    page => page.locator('[data-hit]').first().click({ button: 'right' }),
    page => page.getByRole('menu'),
  ],
  [`${deck}?phase=time`, 'help', page => page.getByRole('button', { name: /^Help/ }).click(), page => page.getByRole('dialog')],
]

for (const scheme of ['light', 'dark'] as const) {
  for (const [group, views] of Object.entries(groups))
    test(`nothing serious keeps anybody out of ${group}, in the ${scheme}`, async ({ page }) => {
      await page.emulateMedia({ colorScheme: scheme })
      await enter(page)
      const found: string[] = []
      for (const view of views) {
        await openView(page, view)
        if (view.includes('compose') && !view.includes('look')) await page.locator('[data-hit]').first().click()
        found.push(...(await barriers(page, view)))
      }
      expect(found).toEqual([])
    })

  test(`nor out of what opens over them: menus, lists, dialogs, the palette, in the ${scheme}`, async ({ page }) => {
    await page.emulateMedia({ colorScheme: scheme })
    await enter(page)
    const found: string[] = []
    for (const [view, name, open, seen] of openings) {
      await openView(page, view)
      await open(page)
      await expect(seen(page), name).toBeVisible()
      found.push(...(await barriers(page, `${view}, ${name}`, true)))
    }
    expect(found).toEqual([])
  })
}
