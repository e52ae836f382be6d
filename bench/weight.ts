import { gzipSync } from 'node:zlib'
import type { Browser, Cookie } from '@playwright/test'

/**
 * The scripts that a page loads before it can be used, in KB (1,024 bytes) compressed with gzip, whatever the server chose. What a
 * browser fetches ahead, for pages that may come next, is not counted.
 *
 * @param seen what can be pressed or read once the page works
 */
export async function scriptsOf(browser: Browser, url: string, seen: string, cookies: Cookie[] = []): Promise<number> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  try {
    await context.addCookies(cookies)
    const page = await context.newPage()
    const loaded: Promise<number>[] = []
    page.on('response', response => {
      if (!/\.m?js$/.test(new URL(response.url()).pathname)) return
      loaded.push(
        response
          .request()
          .allHeaders()
          .then(async headers => (headers['sec-purpose']?.includes('prefetch') ? 0 : gzipSync(await response.body()).length)),
      )
    })
    await page.goto(url)
    await page.waitForSelector(seen)
    page.removeAllListeners('response')
    return (await Promise.all(loaded)).reduce((sum, bytes) => sum + bytes, 0) / 1024
  } finally {
    await context.close()
  }
}
