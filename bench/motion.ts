import { createRequire } from 'node:module'
import path from 'node:path'
import { build } from 'esbuild'
import { finish, frame, report } from './report'

/** The way of a chart to other rows on the DOM, beside D3’s transitions of the same marks. */
const { chromium } = createRequire(import.meta.url)('@playwright/test') as typeof import('@playwright/test')
const root = path.resolve(import.meta.dirname, '..')
const { outputFiles } = await build({
  entryPoints: [path.join(root, 'bench/page/charts.ts')],
  bundle: true,
  write: false,
  format: 'iife',
  minify: true,
  alias: { '#core': path.join(root, 'core'), '#stage': path.join(root, 'stage') },
  logLevel: 'error',
})
const browser = await chromium.launch({
  executablePath: process.env.HAILBANK_CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking'],
})
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.setContent('<body></body>')
  // D3 takes the browser’s frames as it is loaded: they are timed from before that on.
  await page.evaluate(() => {
    const frameTimes = new Map<number, number>()
    const native = window.requestAnimationFrame.bind(window)
    window.requestAnimationFrame = callback =>
      native(time => {
        const start = performance.now()
        callback(time)
        frameTimes.set(time, (frameTimes.get(time) ?? 0) + performance.now() - start)
      })
    Object.assign(window, { frameTimes })
  })
  await page.addScriptTag({ content: outputFiles[0]!.text })
  type Measured = { ours: number; d3: number }
  const measure = (count: number, kind: string) =>
    page.evaluate(([many, as]) => (window as unknown as { measure(count: number, kind: string): Promise<Measured> }).measure(many, as), [
      count,
      kind,
    ] as const)
  for (const [count, kind, budget, ratio] of [
    [50, 'bar', 25, 4],
    [1000, 'bar', 120, 3],
    [50_000, 'scatter', 5000, 3],
  ] as const) {
    const rounds: Measured[] = []
    for (let round = 0; round < (count > 10_000 ? 1 : 3); round++) rounds.push(await measure(count, kind))
    const middle = (of: keyof Measured) => rounds.map(one => one[of]).sort((a, b) => a - b)[Math.floor(rounds.length / 2)]!
    const [ours, d3] = [middle('ours'), middle('d3')]
    const marks = `${count.toLocaleString('en')} marks`
    report(`${marks} on their way, drawn on the page`, (100 * ours) / frame, budget, '% of a frame')
    report(`the same against D3’s transitions of their attributes alone`, ours / d3, ratio, 'times as long')
  }
} finally {
  await browser.close()
}
finish()
