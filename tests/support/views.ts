import { test, type Page } from '@playwright/test'
import { asking } from './asking'

/** Every view of the application that somebody works in, by its address, in groups that take about as long to go through. */
export const groups = {
  'the pages': [
    '/',
    '/media',
    '/data?table=demo-boardings',
    '/data?table=demo-by-year&view=draw',
    '/data?table=demo-routes-by-season&view=tell',
    '/screens',
    '/people',
    '/account',
  ],
  'the phases of a deck': [
    ...['outline', 'compose', 'time', 'check', 'deliver'].map(phase => `/decks/demo-seasons?phase=${phase}`),
    '/decks/demo-seasons?phase=outline&view=overview',
    '/decks/demo-race?phase=outline&view=designs',
  ],
  'the desks of a look': ['looks', 'palette', 'colors', 'fonts', 'styles', 'ground', 'brand', 'layouts', 'shelf'].map(
    desk => `/decks/demo-briefing?phase=compose&look=${desk}`,
  ),
}
export const views = Object.values(groups).flat()

/**
 * Goes to a view and waits until nothing more is fetched for it; where that fails, the view is named. What is still being fetched after
 * that long is said, and no reason to wait: browsers leave a film half fetched, and its request open, once they have enough of it.
 */
export const openView = (page: Page, view: string, most = 20_000) =>
  test.step(`open ${view}`, async () => {
    const { asked, end } = asking(page)
    await page.goto(view)
    await page.waitForLoadState('networkidle', { timeout: most }).catch((error: Error) => {
      if (error.name !== 'TimeoutError') throw error
      console.log(`  ${view}, still fetched: ${asked()}`)
    })
    end()
  })
