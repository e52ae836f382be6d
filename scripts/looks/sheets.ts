import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import path from 'node:path'
import vue from '@vitejs/plugin-vue'
import { build } from 'vite'
import { looks } from '../../core/looks'
import { seasons } from '../../core/testing'
import { makePictures } from '../../demo/pictures'
import { sheetDeck } from './deck'

/**
 * Draws looks as sheets: `npm run looks -- OUT.png [name …] [--deep] [--seed N] [--size W×H] [--only family,family] [--wide px]
 * [--columns n] [--leftward]`; the last in Arabic. Without names: eight slides of every
 * look; `none` is how families stand without one.
 */
const require = createRequire(import.meta.url)
const { chromium } = require('@playwright/test') as typeof import('@playwright/test')
const root = path.resolve('.')
const [out = 'docs/screenshots/looks.png', ...rest] = process.argv.slice(2)
const flag = (name: string) => {
  const at = rest.indexOf(`--${name}`)
  return at < 0 ? undefined : (rest[at + 1] ?? '')
}
const valued = new Set(['--seed', '--size', '--only', '--wide', '--columns'])
const asked = rest.filter((word, index) => !word.startsWith('--') && !valued.has(rest[index - 1] ?? ''))
const size = (flag('size') ?? '1920x1080').split(/[x×]/).map(Number) as [number, number]
const eight = ['title', 'chapter', 'lead-rows', 'steps-row', 'numbers-row', 'statement', 'picture-full', 'list']
const only = flag('only')?.split(',') ?? (asked.length ? undefined : eight)
const named: (string | null)[] = looks.flatMap(({ name }) => (!asked.length || asked.includes(name) ? [name] : []))
if (asked.includes('none')) named.push(null)
const decks = named.map(look =>
  sheetDeck(
    { look, seed: Number(flag('seed') ?? 4711), ground: rest.includes('--deep') ? 'deep' : 'light' },
    { width: size[0], height: size[1] },
    only,
    rest.includes('--leftward') ? 'ar' : 'en',
  ),
)
const wide = Number(flag('wide') ?? (asked.length ? 480 : 232))
const columns = Number(flag('columns') ?? (asked.length ? 4 : 8))

const made = await build({
  root: path.join(root, 'scripts/looks/page'),
  configFile: false,
  logLevel: 'error',
  plugins: [vue()],
  define: { 'process.env.NODE_ENV': '"production"' },
  resolve: { alias: { '#core': path.join(root, 'core'), '#stage': path.join(root, 'stage') } },
  build: {
    write: false,
    minify: false,
    cssCodeSplit: false,
    lib: { entry: path.join(root, 'scripts/looks/page/main.ts'), formats: ['iife'], name: 'sheet', fileName: () => 'sheet.js' },
  },
})
const files = [made].flat().flatMap(one => ('output' in one ? one.output : []))
const script = files.flatMap(file => (file.type === 'chunk' ? [file.code] : [])).join('\n')
const style = files.flatMap(file => (file.type === 'asset' ? [String(file.source)] : [])).join('\n')
const [picture] = await makePictures(1)
const browser = await chromium.launch({
  executablePath: process.env.HAILBANK_CHROMIUM ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--force-color-profile=srgb'],
})
try {
  const page = await browser.newPage({ viewport: { width: columns * (wide + 16) + 32, height: 800 } })
  page.on('pageerror', error => console.error(error.message))
  await page.route('http://sheet.invalid/**', route => {
    const { pathname } = new URL(route.request().url())
    const font = /^\/fonts\/([a-z0-9-]+)\/([a-z0-9-]+\.woff2)$/.exec(pathname)
    if (font) {
      const folder = path.dirname(require.resolve(`@fontsource/${font[1]!}/package.json`))
      return route.fulfill({ contentType: 'font/woff2', body: readFileSync(path.join(folder, 'files', font[2]!)) })
    }
    if (pathname === '/picture') return route.fulfill({ body: Buffer.from(picture!.bytes) })
    return route.fulfill({ contentType: 'text/html', body: '<!doctype html><style>body{margin:0;background:#cfd2cf}</style>' })
  })
  await page.goto('http://sheet.invalid/')
  await page.addStyleTag({ content: style })
  await page.addScriptTag({ content: script })
  await page.evaluate(([given, px, across, tables]) => window.drawSheet(given, px, across, tables), [
    decks,
    wide,
    columns,
    [seasons],
  ] as const)
  await page.waitForLoadState('networkidle')
  await page.waitForTimeout(400)
  await page.screenshot({ path: out, fullPage: true })
} finally {
  await browser.close()
}
