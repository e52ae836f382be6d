import { expect, type Page } from '@playwright/test'
import { asking } from './asking'

/** Is somebody of the demo from here on; no page is opened. */
export async function signedIn(page: Page, name = 'Ines Rahm') {
  const demo = `${name.split(' ')[0]!.toLowerCase()}@velmoor.example`
  expect((await page.request.post('/api/session', { data: { demo } })).ok(), `no session for ${demo}`).toBe(true)
}

/** Is somebody of the demo, and stands in the list of decks. */
export async function enter(page: Page, name?: string) {
  await signedIn(page, name)
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Decks' })).toBeVisible()
}

/** Signs in by e-mail and password; those of the demo have one in common. */
export async function signIn(page: Page, email: string, password = 'harbour-demo') {
  await page.goto('/sign-in')
  await page.getByLabel('E-mail').fill(email)
  await page.getByLabel('Password').fill(password)
  await page.getByRole('button', { name: 'Sign in' }).click()
}

/** Makes a new deck and stands in its outline. */
export async function newDeck(page: Page, title: string, purpose: 'Talk' | 'Film' | 'Loop') {
  const made = await page.request.post('/api/decks', { data: { title, purpose: purpose.toLowerCase() } })
  expect(made.ok(), `no deck “${title}”`).toBe(true)
  const { asked, end } = asking(page)
  await page.goto(`/decks/${((await made.json()) as { id: string }).id}`)
  const heading = page.getByRole('heading', { name: 'What you will say' })
  await heading.waitFor({ timeout: 30_000 }).catch((error: Error) => {
    console.log(`  “${title}” did not open; still fetched: ${asked()}`)
    throw error
  })
  end()
}

/** Goes to a phase, and waits until it is there: it is loaded when it is first opened. */
export async function goPhase(page: Page, name: string) {
  await page.getByRole('navigation', { name: 'Phases' }).getByRole('button', { name }).click()
  await expect(page.locator(`[data-phase="${name.toLowerCase()}"] > *`).first()).toBeVisible()
}
export const saved = (page: Page) => expect(page.getByTestId('saved')).toHaveText(/^Saved/)

/** Pastes text into a field, as from the clipboard. */
export async function paste(page: Page, selector: string, text: string) {
  await page
    .locator(selector)
    .first()
    .evaluate((node, words) => {
      const data = new DataTransfer()
      data.setData('text/plain', words)
      node.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }))
    }, text)
}

/** Drops a file onto a place of the page. */
export async function drop(page: Page, selector: string, file: { name: string; type: string; bytes: Buffer }) {
  const target = page.locator(selector).first()
  const box = (await target.boundingBox())!
  const at = { clientX: box.x + box.width / 2, clientY: box.y + box.height / 2 }
  const transfer = await page.evaluateHandle(
    ({ name, type, content }) => {
      const data = new DataTransfer()
      data.items.add(new File([Uint8Array.from(atob(content), letter => letter.charCodeAt(0))], name, { type }))
      return data
    },
    { name: file.name, type: file.type, content: file.bytes.toString('base64') },
  )
  await target.dispatchEvent('dragover', { dataTransfer: transfer, bubbles: true, ...at })
  await target.dispatchEvent('drop', { dataTransfer: transfer, bubbles: true, ...at })
}

export const rundown = (page: Page) => page.getByRole('region', { name: 'Rundown' })
export const slide = (page: Page, number: number) => rundown(page).getByRole('button', { name: new RegExp(`^Slide ${number},`) })
export const toast = (page: Page, words: RegExp) => page.getByText(words).first()
/** Opens one of the desks on which the look is made. */
export const look = async (page: Page, part: string) => {
  await goPhase(page, 'Compose')
  const radio = page.getByRole('radio', { name: 'Look' })
  if ((await radio.getAttribute('aria-checked')) !== 'true') await radio.click()
  await page.getByRole('navigation', { name: 'Look' }).getByRole('button', { name: part }).click()
}
