import type { Page } from '@playwright/test'
import sharp from 'sharp'
import { signedIn, goPhase, newDeck } from './people'

export const stage = (page: Page) => page.getByTestId('stage')
export const hit = (page: Page, name: string | RegExp) =>
  stage(page).getByRole('button', { name: typeof name === 'string' ? new RegExp(`^${name},`) : name })
export const add = (page: Page) => page.getByRole('toolbar', { name: 'Add' })
export const tab = (page: Page, name: string) => page.getByRole('tab', { name, exact: true }).click()
export const value = async (page: Page, label: string) => Number(await page.getByLabel(label, { exact: true }).inputValue())
export const set = async (page: Page, label: string, words: string) => {
  await page.getByLabel(label, { exact: true }).fill(words)
  await page.getByLabel(label, { exact: true }).press('Enter')
}

/** Where a place of the slide (px of deck space) is on the screen. */
export async function at(page: Page, x: number, y: number): Promise<[number, number]> {
  const box = (await stage(page).boundingBox())!
  return [box.x + (x / 1920) * box.width, box.y + (y / 1080) * box.height]
}
export async function drag(page: Page, from: [number, number], to: [number, number], keys: string[] = []) {
  await page.mouse.move(...(await at(page, ...from)))
  await page.mouse.down()
  for (const key of keys) await page.keyboard.down(key)
  await page.mouse.move(...(await at(page, (from[0] + to[0]) / 2, (from[1] + to[1]) / 2)), { steps: 3 })
  await page.mouse.move(...(await at(page, ...to)), { steps: 5 })
  await page.mouse.up()
  for (const key of keys) await page.keyboard.up(key)
}
export async function addShape(page: Page, shape: string, place: { left: number; top: number; width?: number; height?: number }) {
  await page.getByRole('button', { name: 'Add a shape or line' }).click()
  await page.locator(`[data-shape="${shape}"]`).click()
  await tab(page, 'Place')
  for (const [label, number] of Object.entries({ Left: place.left, Top: place.top, Width: place.width, Height: place.height }))
    if (number !== undefined) await set(page, label, String(number))
}
export async function blank(page: Page, title: string) {
  await signedIn(page)
  await newDeck(page, title, 'Talk')
  await goPhase(page, 'Compose')
  await page.keyboard.press('Control+a')
  await page.keyboard.press('Delete')
}

export async function addList(page: Page, lines: string[]) {
  await add(page).getByRole('button', { name: 'Text', exact: true }).click()
  for (const [index, line] of lines.entries()) {
    if (index) await page.keyboard.press('Enter')
    await page.keyboard.type(line)
  }
  await page.getByRole('button', { name: 'Done' }).click()
  await tab(page, 'List')
  await page.getByRole('button', { name: 'make a list' }).click()
}

/** A picture with a bright and dark grain on its left, and a calm dark right third. */
export async function busyPicture(): Promise<Buffer> {
  const [width, height] = [960, 540]
  const pixels = Buffer.alloc(width * height * 3)
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const light = x > width * 0.66 ? 24 : ((x >> 3) + (y >> 3)) % 2 ? 235 : 40
      pixels.fill(light, (y * width + x) * 3, (y * width + x) * 3 + 3)
    }
  }
  return sharp(pixels, { raw: { width, height, channels: 3 } })
    .jpeg({ quality: 90 })
    .toBuffer()
}
export const plainPicture = (color: string, width = 600, height = 400) =>
  sharp({ create: { width, height, channels: 3, background: color } })
    .png()
    .toBuffer()
