import { expect, test } from '@playwright/test'
import { serverMeasurer } from '../server/measure/measurer'
import { signedIn, enter } from './support/people'

/** In the words of several languages, with kerning pairs, figures and signs. */
const samples = [
  'Spring timetable briefing',
  'AVATAR Wolf, To. Ty',
  'Fährverbindung nach Größenwörth',
  '06:10 to 22:40, 41.2 %',
  'Côté jardin, œuvre naïve',
  'Žluťoučký kůň',
  'illicit fillings flow',
  '“Quoted” – and so on…',
]
const fonts = [
  ['Hanken Grotesk', 400],
  ['Hanken Grotesk', 700],
  ['Bricolage Grotesque', 700],
  ['Spline Sans Mono', 600],
] as const

test('the browser and the server measure text alike, within one per cent', async ({ page }) => {
  await enter(page)
  for (const [family, weight] of fonts) {
    const widths = await page.evaluate(
      async ({ family, weight, samples }) => {
        await Promise.all(samples.map(text => document.fonts.load(`${weight} 100px "${family}"`, text)))
        const context = document.createElement('canvas').getContext('2d')!
        context.font = `${weight} 100px "${family}"`
        context.fontKerning = 'normal'
        return samples.map(text => context.measureText(text).width)
      },
      { family, weight, samples },
    )
    samples.forEach((text, index) => {
      const reckoned = serverMeasurer().width(text, { family, size: 100, weight, italic: false })
      expect(Math.abs(reckoned / widths[index]! - 1), `${family} ${weight}: ${text}`).toBeLessThan(0.01)
    })
  }
})

test('a line on the stage is as wide as it was reckoned to be', async ({ page }) => {
  await signedIn(page)
  await page.goto('/decks/demo-briefing?phase=compose')
  const board = page.getByTestId('stage')
  await expect(board.locator('.stage-line').first()).toBeVisible()
  const lines = await board.locator('.stage-line').evaluateAll(nodes =>
    nodes.map(node => ({
      text: node.textContent!,
      width: (node as HTMLElement).offsetWidth,
      size: Number.parseFloat(getComputedStyle(node.querySelector('.stage-run')!).fontSize),
      weight: Number(getComputedStyle(node.querySelector('.stage-run')!).fontWeight),
      family: getComputedStyle(node.querySelector('.stage-run')!).fontFamily.split(',')[0]!.replaceAll('"', ''),
      spacing: Number.parseFloat(getComputedStyle(node.querySelector('.stage-run')!).letterSpacing) || 0,
    })),
  )
  expect(lines.length).toBeGreaterThan(1)
  for (const line of lines) {
    const reckoned =
      serverMeasurer().width(line.text, { family: line.family, size: line.size, weight: line.weight, italic: false }) +
      line.spacing * line.text.length
    // The browser tells whole pixels: half a one either way.
    expect(Math.abs(reckoned - line.width), line.text).toBeLessThan(Math.max(0.6, line.width * 0.01))
  }
})
