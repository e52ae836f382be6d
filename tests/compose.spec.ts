import { readFile } from 'node:fs/promises'
import { expect, test } from '@playwright/test'
import { goPhase } from './support/people'
import { add, addShape, at, blank, drag, hit, set, stage, tab, value } from './support/stage'
import { choose } from './support/choose'

test('a line of text is turned to an edge by two points picked on the picture', async ({ page }) => {
  await blank(page, 'Turned')
  await add(page).getByRole('button', { name: 'Text', exact: true }).click()
  await page.keyboard.type('Along the quay wall')
  await page.getByRole('button', { name: 'Done' }).click()
  await tab(page, 'Place')
  await page.getByTestId('pick-angle').click()
  await page.mouse.click(...(await at(page, 400, 800)))
  await page.mouse.click(...(await at(page, 1200, 600)))
  await expect(page.getByTestId('draw')).toHaveCount(0)
  expect(await value(page, 'Angle')).toBeCloseTo(360 - (Math.atan2(200, 800) * 180) / Math.PI, 0)
  await set(page, 'Angle', '30')
  await expect(hit(page, 'Text')).toHaveAttribute('style', /rotate\(30deg\)/)
})

test('five parts are aligned and spaced, grouped, moved as one and opened again; a press reaches what lies under', async ({ page }) => {
  await blank(page, 'Lined up')
  for (const [index, left] of [100, 420, 700, 1180, 1500].entries())
    await addShape(page, 'rectangle', { left, top: 200 + index * 37, width: 180, height: 120 })
  await page.mouse.click(...(await at(page, 960, 900)))
  await page.keyboard.press('Control+a')
  await expect(page.getByRole('heading', { name: '5 shapes' })).toBeVisible()
  await tab(page, 'Place')
  await page.getByTestId('align-top').click()
  await page.getByTestId('space-across').click()
  const boxes = await hit(page, 'Rectangle').evaluateAll(nodes =>
    nodes
      .map(node => ({ left: Number.parseFloat((node as HTMLElement).style.left), top: Number.parseFloat((node as HTMLElement).style.top) }))
      .sort((a, b) => a.left - b.left),
  )
  expect(new Set(boxes.map(box => box.top))).toEqual(new Set([200]))
  expect(boxes.map(box => box.left)).toEqual([100, 450, 800, 1150, 1500])
  await set(page, 'Gap across', '40')
  expect(await value(page, 'Width')).toBe(5 * 180 + 4 * 40)
  await page.getByRole('heading', { name: '5 shapes' }).click()
  await page.keyboard.press('g')
  await expect(page.getByRole('heading', { name: 'Group', exact: true })).toBeVisible()
  const [left] = [await value(page, 'Left')]
  await page.keyboard.press('ArrowRight')
  expect(await value(page, 'Left')).toBe(left + 8)
  await page.keyboard.press('Shift+G')
  await expect(page.getByRole('heading', { name: '5 shapes' })).toBeVisible()

  // One lies over another: pressed again at the same place, the one beneath comes into the hand.
  await addShape(page, 'ellipse', { left: 100, top: 200, width: 180, height: 120 })
  await page.mouse.click(...(await at(page, 960, 900)))
  await page.mouse.click(...(await at(page, 190, 260)))
  await expect(page.getByRole('heading', { name: 'Ellipse' })).toBeVisible()
  await page.waitForTimeout(400)
  await page.mouse.click(...(await at(page, 190, 260)))
  await expect(page.getByRole('heading', { name: 'Rectangle' })).toBeVisible()
})

test('a connector holds on to two shapes and follows them; a guide of one’s own draws parts to it', async ({ page }) => {
  await blank(page, 'Held')
  await addShape(page, 'rectangle', { left: 200, top: 200, width: 200, height: 200 })
  await addShape(page, 'ellipse', { left: 1200, top: 600, width: 200, height: 200 })
  await page.getByRole('button', { name: 'Add a shape or line' }).click()
  await page.locator('[data-tool=connector]').click()
  await drag(page, [300, 300], [1300, 700])
  await tab(page, 'Shape')
  await expect(page.getByText('Begins at')).toBeVisible()
  const before = await hit(page, 'Connector').getAttribute('style')
  await page.mouse.click(...(await at(page, 1300, 700)))
  await expect(page.getByRole('heading', { name: 'Ellipse' })).toBeVisible()
  await page.keyboard.press('Shift+ArrowRight')
  await expect.poll(() => hit(page, 'Connector').getAttribute('style')).not.toBe(before)
  // A guide out of the ruler, and a part moved near to it.
  const ruler = (await page.getByTestId('ruler-x').boundingBox())!
  await page.mouse.move(ruler.x + 4, ruler.y + 200)
  await page.mouse.down()
  await page.mouse.move(...(await at(page, 633, 500)), { steps: 5 })
  await page.mouse.up()
  await expect(page.locator('[data-guide^=x]')).toHaveCount(1)
  const guide = Number((await page.locator('[data-guide^=x]').getAttribute('data-guide'))!.slice(1))
  await drag(page, [300, 300], [300 + guide - 200 + 6, 320])
  await tab(page, 'Place')
  expect(await value(page, 'Left')).toBe(guide)
})

test('a variant without the caption is composed, played and taken away; the deck in general keeps it', async ({ page }) => {
  await blank(page, 'Two seasons')
  await addShape(page, 'star', { left: 200, top: 200 })
  await add(page).getByRole('button', { name: 'Text', exact: true }).click()
  await page.keyboard.type('Only in summer')
  await page.getByRole('button', { name: 'Done' }).click()
  await page.getByTestId('variant').click()
  await page.getByRole('menuitem', { name: 'New variant' }).click()
  await page.getByLabel('Name of the variant').fill('Winter')
  await page.keyboard.press('Enter')
  await expect(page.getByTestId('variant')).toContainText('Winter')
  await page.locator('[data-row=Text]').getByRole('button', { name: /^Text/ }).click()
  await page.getByRole('button', { name: 'Hide Text' }).click()
  await expect(stage(page)).not.toContainText('Only in summer')
  await goPhase(page, 'Deliver')
  await expect(page.getByLabel('Variant')).not.toHaveText('it is in general')
  const pages = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Export as a page' }).click()
  const file = await (await pages).path()
  const bundle = JSON.parse(/<script type="application\/json" id="bundle">([\s\S]*?)<\/script>/.exec(await readFile(file, 'utf8'))![1]!)
  const texts = Object.values(
    bundle.deck.elements as Record<string, { kind: string; hidden?: boolean; owner: string; text?: unknown }>,
  ).filter(element => JSON.stringify(element.text ?? '').includes('Only in summer'))
  expect(texts.map(element => element.hidden)).toEqual([true])
  expect(bundle.deck.variants).toEqual({})
  await choose(page.getByLabel('Variant'), 'it is in general')
  await goPhase(page, 'Compose')
  await expect(stage(page)).toContainText('Only in summer')
})

test('parts are copied to another slide, words and cells pasted from outside; a pasted range is asked about once', async ({ page }) => {
  await blank(page, 'Pasted')
  await addShape(page, 'heart', { left: 300, top: 300 })
  await page.getByRole('heading', { name: 'Heart' }).click()
  const clipboard = await page.evaluateHandle(() => new DataTransfer())
  const send = (kind: 'copy' | 'paste') =>
    page.evaluate(
      ([data, name]) => {
        document.dispatchEvent(new ClipboardEvent(name as string, { clipboardData: data as DataTransfer, bubbles: true, cancelable: true }))
      },
      [clipboard, kind] as const,
    )
  await send('copy')
  await send('paste')
  await expect(hit(page, 'Heart')).toHaveCount(2)
  await page.keyboard.press('Control+d')
  await page.keyboard.press('Shift+ArrowRight')
  await page.keyboard.press('Control+d')
  await tab(page, 'Place')
  // The offset of the first duplicate, with the nudge after it, is repeated.
  expect(await value(page, 'Left')).toBe(340 + 2 * 80)
  const outside = async (data: Record<string, string>) =>
    page.evaluate(entries => {
      const transfer = new DataTransfer()
      for (const [type, words] of Object.entries(entries)) transfer.setData(type, words)
      document.dispatchEvent(new ClipboardEvent('paste', { clipboardData: transfer, bubbles: true, cancelable: true }))
    }, data)
  await page.mouse.click(...(await at(page, 1800, 1040)))
  await outside({
    'text/plain': 'Route\tRiders\nAstrel\t1200\nQuill\t840',
    'text/html':
      '<table><tr><td>Route</td><td>Riders</td></tr><tr><td>Astrel</td><td>1200</td></tr><tr><td>Quill</td><td>840</td></tr></table>',
  })
  await page.getByRole('button', { name: /^A table/ }).click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(stage(page).locator('.stage-cell')).toHaveCount(6)
  await expect(stage(page).locator('.stage-cell').nth(3)).toHaveText('1,200')
  await outside({
    'text/html': '<p>Bold <b>words</b><script>window.run = 1</script><img src="http://127.0.0.1:1/x.png" onerror="window.run = 2"></p>',
    'text/plain': 'Bold words',
  })
  await expect(stage(page)).toContainText('Bold words')
  expect(await page.evaluate(() => (window as { run?: number }).run)).toBeUndefined()
  await page.mouse.click(...(await at(page, 1800, 1040)))
  await outside({ 'text/html': `<p>${'<span>x</span>'.repeat(200_000)}</p>`, 'text/plain': 'Only its words' })
  await expect(page.getByText(/MB of formatting, more than is read here/).first()).toBeVisible()
  await expect(stage(page)).toContainText('Only its words')
  // More than a table to write in may hold is kept whole, as data; more lines than a text takes change nothing.
  await outside({ 'text/plain': ['Day\tRiders', ...Array.from({ length: 620 }, (_, index) => `D${index}\t${index}`)].join('\n') })
  await expect(page.getByRole('dialog')).toContainText('621 rows of 2')
  await page.getByRole('button', { name: /^A table/ }).click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(stage(page).locator('.stage-cell', { hasText: /^D619$/ })).toHaveCount(1)
  await page.keyboard.press('Delete')
  const parts = await page.locator('[data-hit]').count()
  await outside({ 'text/plain': Array.from({ length: 2500 }, (_, index) => `line ${index}`).join('\n') })
  await expect(page.getByText(/has 2,500 lines; a text on a slide may have 2,000/).first()).toBeVisible()
  await expect(page.locator('[data-hit]')).toHaveCount(parts)
  // Found and replaced in the whole deck.
  await page.mouse.click(...(await at(page, 1800, 1040)))
  await page.keyboard.press('/')
  await page.getByRole('combobox', { name: 'Find', exact: true }).fill('words')
  await page.getByRole('button', { name: 'Replace', exact: true }).click()
  await page.getByLabel('Replace with').fill('letters')
  await page.getByRole('button', { name: /^Replace all 2/ }).click()
  await page.keyboard.press('Escape')
  await expect(stage(page)).toContainText('Bold letters')
  await expect(stage(page)).toContainText('Only its letters')
})
