import { expect, type Page } from '@playwright/test'
import { choose } from './choose'
import { signedIn, goPhase, saved, newDeck, paste, slide } from './people'

/** A deck of an outline, in its outline. Of many slides the outline draws those near what is in sight; the rundown has them all. */
export async function outlined(page: Page, title: string, lines: readonly string[], purpose: 'Talk' | 'Film' = 'Talk') {
  await signedIn(page)
  await newDeck(page, title, purpose)
  // A single line is written; only several become slides by being pasted.
  if (lines.length > 1) await paste(page, 'textarea.title', lines.join('\n'))
  else await page.locator('textarea.title').first().fill(lines[0]!)
  // They are read before they are put there: the last of them is in its place then.
  const titles = lines.filter(line => !line.startsWith('\t'))
  await expect(slide(page, titles.length)).toHaveAccessibleName(
    new RegExp(`^Slide ${titles.length}, ${titles.at(-1)!.slice(0, 12).replace(/\W/g, '.')}`),
  )
  await saved(page)
}

/** The same, in Time at its first slide. */
export async function timed(page: Page, title: string, lines: readonly string[], purpose: 'Talk' | 'Film' = 'Talk') {
  await outlined(page, title, lines, purpose)
  await goPhase(page, 'Time')
}

/** Brings motion to a part by its menu in the score, entry by entry. */
export async function motion(page: Page, name: string, ...items: string[]) {
  await page
    .getByRole('region', { name: 'Score' })
    .getByRole('button', { name: `Motion for ${name}` })
    .click()
  for (const item of items) await page.getByRole('menuitem', { name: item, exact: true }).click()
}

/** Puts the motion of a part on all others of its kind and style in the deck. */
export async function applyToAll(page: Page, name: string) {
  await motion(page, name, 'Apply motion…')
  const asked = page.getByRole('group', { name: 'Apply motion' })
  await choose(asked.getByLabel('Onto', { exact: true }), 'others in the deck')
  await asked.getByRole('button', { name: 'Apply', exact: true }).click()
  await expect(page.getByText(/elements? moves? so\./).first()).toBeVisible()
}

export const timeStage = (page: Page) => page.getByTestId('time-stage')

/** Puts the playhead so many px into the first beat. */
export async function scrubTo(page: Page, px: number) {
  const columns = (await page.locator('.columns').boundingBox())!
  await page.mouse.click(columns.x + px, columns.y + 40)
}

/** Puts the playhead where a bar is: a share of its width from its left, and so many px on. */
export async function playheadAt(page: Page, name: RegExp, share: number, on = 0) {
  const [place, columns] = [(await page.getByRole('button', { name }).boundingBox())!, (await page.locator('.columns').boundingBox())!]
  await page.mouse.click(place.x + place.width * share + on, columns.y + 40)
}
