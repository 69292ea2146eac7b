import type { Page } from '@playwright/test'

/** Goes on whenever a question stands in the way, by the button whose name says so. */
export async function goOnWhenAsked(page: Page, goOn: RegExp): Promise<void> {
  const question = page.getByRole('dialog', { name: 'Question' })
  await page.addLocatorHandler(question, () => question.getByRole('button', { name: goOn }).click())
}
