import { test, type Page } from '@playwright/test'

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

/** Goes to a view and waits until nothing more is fetched for it; where that fails, the view is named. */
export const openView = (page: Page, view: string) =>
  test.step(`open ${view}`, async () => {
    await page.goto(view)
    await page.waitForLoadState('networkidle')
  })
