import { defineConfig } from '@playwright/test'
import { places, port } from './tests/support/server'

/** The real interface, in Debian's Chromium, against a built server; each worker has one of its own, with a database. */
export default defineConfig({
  testDir: 'tests',
  // Generous: they only say when to give up, and machines that others use too are slow at times.
  timeout: 240_000,
  expect: { timeout: 30_000 },
  fullyParallel: false,
  workers: places.length,
  forbidOnly: !!process.env.CI,
  reporter: [['list'], ['./tests/support/seen.ts']],
  reportSlowTests: { max: 10, threshold: 30_000 },
  globalSetup: './tests/support/start.ts',
  use: {
    testIdAttribute: 'data-test',
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    actionTimeout: 30_000,
    locale: 'en-GB',
    // Recorded where that is asked for: it takes a third of the time.
    trace: process.env.HAILBANK_TRACE ? 'retain-on-failure' : 'off',
    launchOptions: {
      executablePath: process.env.HAILBANK_CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--force-color-profile=srgb',
      ],
    },
  },
})
