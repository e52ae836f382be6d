import type { Locator } from '@playwright/test'

/** Chooses from a list of choices by the words that are shown; long lists are searched. */
export async function choose(field: Locator, words: string) {
  await field.click()
  const page = field.page()
  const search = page.getByRole('listbox').getByPlaceholder('Find')
  if (await search.isVisible()) await search.fill(words)
  await page.getByRole('option', { name: words, exact: true }).first().click()
}
