import { existsSync } from 'node:fs'
import { defineConfig } from '@playwright/test'

/**
 * Debian's browser without its windows draws the same pages with less work; the whole one serves where it cannot be
 * had.
 */
const HEADLESS = '/usr/bin/chromium-headless-shell'
export const WHOLE_BROWSER = '/usr/bin/chromium'
const BROWSER = existsSync(HEADLESS) ? HEADLESS : WHOLE_BROWSER

export default defineConfig({
  testDir: 'tests/e2e',
  outputDir: 'test-results',
  timeout: 90_000,
  expect: { timeout: 15_000 },
  workers: 2,
  // two cores that others use too: what fails once for want of time is tried again, and named as such
  retries: 1,
  fullyParallel: false,
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: '.slow-reed-test/playwright.json' }]],
  use: {
    baseURL: process.env.BASE_URL,
    locale: 'en-GB',
    timezoneId: 'Etc/GMT+3',
    viewport: { width: 1280, height: 800 },
    // what moves for the eye's sake is drawn by the processor here, and costs the tests their time
    contextOptions: { reducedMotion: 'reduce' },
    // a trace of every step costs a third of the run: asked for when a failure is hunted
    trace: process.env.TRACE ? 'retain-on-failure' : 'off',
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: BROWSER,
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
})
