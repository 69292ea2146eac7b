import { expect, type Page } from '@playwright/test'

/** Opens a tab of the pond that is open, and a page of that tab. */
export async function openTab(page: Page, tab: string, of?: string): Promise<void> {
  await page
    .getByRole('navigation', { name: 'Pages of this pond' })
    .getByRole('link', { name: tab, exact: true })
    .click()
  if (of)
    await page
      .getByRole('navigation', { name: `Pages of ${tab}` })
      .getByRole('link', { name: of, exact: true })
      .click()
}

/** Opens a page of the menu; of an area with one page only that. */
export async function openFromMenu(page: Page, area: string, of?: string): Promise<void> {
  const menu = page.getByRole('navigation', { name: 'Main menu' })
  if (!of) return menu.getByRole('link', { name: area, exact: true }).click()
  await menu.getByRole('button', { name: area, exact: true }).click()
  await menu.getByRole('link', { name: of, exact: true }).click()
}

export const openAccount = (page: Page): Promise<void> => page.getByRole('button', { name: /^Account of / }).click()

/** Opens the page of the only customer that a search leaves. */
export async function openCustomer(page: Page, search: string): Promise<void> {
  await page.goto('/customers')
  await page.getByLabel('Search customers').fill(search)
  const row = page.getByRole('row').nth(1)
  await expect(row).toContainText(search)
  await row.getByRole('link').first().click()
  await expect(page.getByRole('heading', { name: 'Contact' })).toBeVisible()
}
