import { defineConfig } from '@playwright/test'

const port = Number(process.env.HAILBANK_TEST_PORT ?? 4690)

/** The real interface, in Debian's Chromium, against a built and started server with a database of its own. */
export default defineConfig({
  testDir: 'tests',
  // Generous: they only say when to give up, and machines that others use too are slow at times.
  timeout: 240_000,
  expect: { timeout: 30_000 },
  fullyParallel: false,
  workers: 1,
  forbidOnly: !!process.env.CI,
  reporter: [['list']],
  globalSetup: './tests/support/start.ts',
  use: {
    testIdAttribute: 'data-test',
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    actionTimeout: 30_000,
    locale: 'en-GB',
    trace: 'retain-on-failure',
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
