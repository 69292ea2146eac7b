import { test as base } from '@playwright/test'

export { expect } from '@playwright/test'

/**
 * Playwright's test, which also closes what a test opened for a second person or device: left open,
 * their pages go on asking the server and drawing for the rest of the run.
 */
export const test = base.extend<{ closeOthers: void }>({
  closeOthers: [
    async ({ browser }, use) => {
      const before = new Set(browser.contexts())
      await use()
      // the fixture's own context is closed by Playwright, after its picture of a failure is taken
      await Promise.all(
        browser
          .contexts()
          .filter((context) => !before.has(context))
          .map((context) => context.close()),
      )
    },
    { auto: true },
  ],
})
