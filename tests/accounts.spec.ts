import { expect, test, type Page } from '@playwright/test'
import { applyToDocument } from '../core/live'
import { editDeck } from './support/live'
import { enter } from './support/people'

const row = (page: Page, email: string) => page.locator(`[data-person="${email}"]`)
const more = async (page: Page, name: string, what: string) => {
  await page.getByRole('button', { name: `More for ${name}` }).click()
  await page.getByRole('menuitem', { name: what }).click()
}
const signIn = async (page: Page, email: string, password: string) => {
  await page.goto('/sign-in')
  await page.getByLabel('E-mail').fill(email)
  await page.getByLabel('Password').fill(password)
  await page.getByRole('button', { name: 'Sign in' }).click()
}

test('an admin adds somebody by a link, changes their role, makes a new link and takes them off the team', async ({ page, browser }) => {
  await enter(page)
  await page.goto('/people')
  await page.getByLabel('Name').fill('Nele Okonjo')
  await page.getByRole('textbox', { name: 'E-mail' }).fill('not an address')
  await page.getByRole('button', { name: 'Add to the team' }).click()
  await expect(page.getByText('That is no e-mail address')).toBeVisible()
  await page.getByRole('textbox', { name: 'E-mail' }).fill('Nele@velmoor.example')
  await page.getByRole('button', { name: 'Add to the team' }).click()
  const link = await page.getByLabel('Link').inputValue()
  await page.keyboard.press('Escape')
  await expect(row(page, 'nele@velmoor.example')).toContainText('has not set a password yet')

  const theirs = await browser.newContext()
  const nele = await theirs.newPage()
  await nele.goto(link)
  await expect(nele.getByText('Nele Okonjo, choose a password')).toBeVisible()
  await nele.getByLabel('Password', { exact: true }).fill('tidal gauge 7')
  await nele.getByLabel('Password again').fill('tidal gauge 8')
  await nele.getByRole('button', { name: 'Set it and sign in' }).click()
  await expect(nele.getByText('The two are not the same')).toBeVisible()
  await nele.getByLabel('Password again').fill('tidal gauge 7')
  await nele.getByRole('button', { name: 'Set it and sign in' }).click()
  await expect(nele.getByRole('heading', { name: 'Decks' })).toBeVisible()
  // Once is once.
  const again = await theirs.newPage()
  await again.goto(link)
  await expect(again.getByRole('alert')).toContainText('was used already')

  // The role holds at once, for what they have open too.
  await expect(nele.getByRole('button', { name: 'New deck' })).toBeVisible()
  await page.getByLabel('Role of Nele Okonjo').click()
  await page.getByRole('option', { name: 'Viewer' }).click()
  await expect(page.getByText('Nele Okonjo is viewer now').first()).toBeVisible()
  await nele.reload()
  await expect(nele.getByRole('heading', { name: 'Decks' })).toBeVisible()
  await expect(nele.getByRole('button', { name: 'New deck' })).toHaveCount(0)
  // A viewer sees who is of the team, and nothing to change it by.
  await nele.goto('/people')
  await expect(nele.getByText('ines@velmoor.example')).toBeVisible()
  await expect(nele.getByRole('button', { name: 'Add to the team' })).toHaveCount(0)

  await more(page, 'Nele Okonjo', 'Make a link for a new password')
  expect(await page.getByLabel('Link').inputValue()).not.toBe(link)
  await page.keyboard.press('Escape')
  await more(page, 'Nele Okonjo', 'Take off the team')
  await page.getByRole('button', { name: 'Take Nele Okonjo off the team' }).click()
  await expect(row(page, 'nele@velmoor.example')).toHaveCount(0)
  await nele.reload()
  await expect(nele).toHaveURL(/sign-in/)
  await theirs.close()
})

test('the last admin can be neither removed nor made less', async ({ page }) => {
  await enter(page)
  await page.goto('/people')
  await page.getByLabel('Role of Ines Rahm').click()
  await page.getByRole('option', { name: 'Editor' }).click()
  await expect(page.getByText('This is the only admin of the team').first()).toBeVisible()
  await expect(page.getByLabel('Role of Ines Rahm')).toContainText('Admin')
  await more(page, 'Ines Rahm', 'Take off the team')
  await page.getByRole('button', { name: 'Take Ines Rahm off the team' }).click()
  await expect(page.getByText('This is the only admin of the team').first()).toBeVisible()
  await expect(row(page, 'ines@velmoor.example')).toBeVisible()
})

test('one sees where one is signed in, ends it there, and signing out ends it on the server', async ({ page, browser }) => {
  await enter(page, 'Tomas Marr')
  const elsewhere = await browser.newContext()
  const other = await elsewhere.newPage()
  await enter(other, 'Tomas Marr')
  const cookie = (await elsewhere.cookies()).map(({ name, value }) => `${name}=${value}`).join('; ')
  const editor = await editDeck('demo-hall', { cookie })
  await page.goto('/account')
  const sessions = page.getByTestId('session')
  await expect(sessions.first()).toBeVisible()
  const before = await sessions.count()
  expect(before).toBeGreaterThan(1)
  await expect(sessions.filter({ hasText: '(here)' })).toHaveCount(1)
  // The newest of the others is the one that was just begun.
  await sessions.filter({ hasNotText: '(here)' }).first().getByRole('button', { name: 'Sign out there' }).click()
  await expect(sessions).toHaveCount(before - 1)
  // What it had open is closed, not only what it asks for next.
  expect((await editor.closed).code).toBe(4401)
  expect(
    await editor.change(document => applyToDocument(document, [{ do: 'set', table: 'info', id: 'info', fields: { title: 'x' } }])),
  ).not.toBe(true)
  await other.goto('/media')
  await expect(other).toHaveURL(/sign-in/)
  await elsewhere.close()

  const stolen = (await page.context().cookies()).map(({ name, value }) => `${name}=${value}`).join('; ')
  await page.getByRole('button', { name: 'You: Tomas Marr' }).click()
  await page.getByRole('menuitem', { name: 'Sign out' }).click()
  await expect(page).toHaveURL(/sign-in/)
  // A cookie that somebody copied before opens nothing any more.
  const answer = await page.request.fetch('/api/decks', { headers: { cookie: stolen } })
  expect(answer.status()).toBe(401)
})

test('one’s own password is changed with the current one, and all other sessions end', async ({ page, browser }) => {
  await signIn(page, 'vera@velmoor.example', 'harbour-demo')
  await expect(page.getByRole('heading', { name: 'Decks' })).toBeVisible()
  const elsewhere = await browser.newContext()
  const other = await elsewhere.newPage()
  await signIn(other, 'vera@velmoor.example', 'harbour-demo')
  await expect(other.getByRole('heading', { name: 'Decks' })).toBeVisible()
  const change = async (current: string, next: string) => {
    await page.goto('/account')
    await page.getByLabel('Current password').fill(current)
    await page.getByLabel('New password', { exact: true }).fill(next)
    await page.getByLabel('New password again').fill(next)
    await page.getByRole('button', { name: 'Change it' }).click()
  }
  await change('harbour-demo', 'short')
  await expect(page.getByText('A password has at least 10 letters')).toBeVisible()
  await change('not this one', 'seven bollards')
  await expect(page.getByText('The current password is another one').first()).toBeVisible()
  await change('harbour-demo', 'seven bollards')
  await expect(page.getByText('Your password is another one now').first()).toBeVisible()
  await other.goto('/media')
  await expect(other).toHaveURL(/sign-in/)
  await elsewhere.close()
  await change('seven bollards', 'harbour-demo')
  await expect(page.getByText('Your password is another one now').first()).toBeVisible()
})

test('a screen is added with an address, gets another, and loses it', async ({ page }) => {
  await enter(page)
  await page.goto('/screens')
  await page.getByRole('button', { name: 'Add a screen' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Pilot house')
  await page.getByRole('button', { name: 'Add it' }).click()
  const first = await page.getByLabel('Link').inputValue()
  await page.keyboard.press('Escape')
  const tokenOf = (link: string) => ({ authorization: `Bearer ${link.split('#')[1]}` })
  expect((await page.request.get('/api/screen', { headers: tokenOf(first) })).status()).toBe(200)
  await more(page, 'Pilot house', 'Give it a new address')
  const second = await page.getByLabel('Link').inputValue()
  await page.keyboard.press('Escape')
  expect((await page.request.get('/api/screen', { headers: tokenOf(first) })).status()).toBe(401)
  expect((await page.request.get('/api/screen', { headers: tokenOf(second) })).status()).toBe(200)
  await more(page, 'Pilot house', 'Take its address back')
  await expect(page.getByText('no address', { exact: true })).toBeVisible()
  expect((await page.request.get('/api/screen', { headers: tokenOf(second) })).status()).toBe(401)
  await more(page, 'Pilot house', 'Remove the screen')
  await page.getByRole('button', { name: 'Remove Pilot house' }).click()
  await expect(page.getByText('Pilot house').filter({ hasNotText: 'off the list' })).toHaveCount(0)
})
