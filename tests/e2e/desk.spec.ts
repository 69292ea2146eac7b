import { type Page } from '@playwright/test'
import { expect, test } from './drivers/test'
import { emailOf, signInAs, signInByForm } from './drivers/sign-in'

const openPond = async (page: Page, search: string, name: string) => {
  await page.goto(`/ponds?q=${search}`)
  await page.getByRole('link', { name }).click()
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible()
  await page.waitForLoadState('networkidle')
}

test('readings logged between visits appear with their meaning, impossible ones are refused', async ({ page }) => {
  await signInAs(page, 'owner')
  await openPond(page, 'terrace', 'Terrace pond')
  await page.locator('summary', { hasText: 'Log water tests' }).click()
  const form = page.locator('form').filter({ hasText: 'Test method' })
  await form.getByLabel('pH', { exact: true }).fill('74')
  await form.getByLabel('Nitrite').fill('0.6')
  await form.getByRole('button', { name: 'Log water tests' }).click()
  await expect(form.getByText(/pH cannot be 74/).first()).toBeVisible()
  await form.getByLabel('pH', { exact: true }).fill('9.8')
  await form.getByRole('button', { name: 'Log water tests' }).click()
  await expect(form.getByText(/is unusual/).first()).toBeVisible()
  await form.getByRole('button', { name: 'Confirm this reading' }).click()
  await expect(page.getByRole('row', { name: /^Nitrite/ })).toContainText('Act')
  await expect(page.getByRole('row', { name: /^pH/ })).toContainText('9.8')
  await page.goto('/')
  await expect(
    page.getByRole('listitem').filter({ hasText: 'Inn terrace: Terrace pond' }).filter({ hasText: 'Act' }),
  ).toBeVisible()
})

test('a planned visit is moved and taken off on the rounds', async ({ page }) => {
  await signInAs(page, 'office')
  await openPond(page, 'foxholt', 'Old pond')
  await page.getByRole('link', { name: 'Schedule cleanout' }).first().click()
  await page.getByLabel('Crew', { exact: true }).selectOption({ label: 'Newt (2 people)' })
  await page.getByRole('button', { name: 'Schedule cleanout' }).click()
  const stop = page.getByRole('button', { name: /Spring cleanout at Foxholt/ })
  await stop.click()
  const chosen = page.getByRole('region', { name: 'Selected visit' })
  await chosen.getByLabel('Start').fill('06:30')
  await chosen.getByLabel('Crew').selectOption({ label: 'Kingfisher' })
  await chosen.getByRole('button', { name: 'Move visit' }).click()
  await expect(page.getByRole('button', { name: 'Spring cleanout at Foxholt, 06:30' })).toBeVisible()
  await page.getByRole('button', { name: 'Spring cleanout at Foxholt, 06:30' }).click()
  await chosen.getByRole('button', { name: 'Cancel visit' }).click()
  await expect(stop).toHaveCount(0)
})

test('house rules moves the windows of every pond', async ({ page }) => {
  await signInAs(page, 'owner')
  const feeding = async () => {
    await openPond(page, 'rill', 'Rill basin')
    return page.getByRole('listitem').filter({ hasText: 'Begin feeding' }).first().textContent()
  }
  const before = await feeding()
  const rules = async (value: string) => {
    await page.goto('/house-rules')
    await page.waitForLoadState('networkidle')
    await page.getByLabel('Begin feeding from').fill(value)
    const answer = page.waitForResponse((r) => r.url().endsWith('/api/v1/house-rules'))
    await page.getByRole('button', { name: 'Save house rules' }).click()
    expect((await answer).ok()).toBe(true)
    await expect(page.getByLabel('Begin feeding from')).toHaveValue(value.replace(/^(\d+) C$/, '$1.0 °C'))
    await page.waitForLoadState('networkidle')
  }
  await rules('13 C')
  expect(await feeding()).not.toBe(before)
  await rules('10 C')
  expect(await feeding()).toBe(before)
})

test('an unsaved design survives a reload and recomputes while typing', async ({ page }) => {
  await signInAs(page, 'designer')
  await openPond(page, 'lanternhouse', 'Garden pond')
  await page.getByRole('link', { name: 'Filter design' }).click()
  await page.waitForLoadState('networkidle')
  await page.getByLabel('Bed length').fill('4 m')
  await page.getByLabel('Bed width').fill('2 m')
  await expect(page.getByTestId('bed-area')).toHaveText(/8\sm²/)
  // a half-typed figure keeps the last good picture and says what is wrong
  await page.getByLabel('Bed width').fill('2 mice')
  await expect(page.getByText('“mice” is not a unit known here')).toBeVisible()
  await expect(page.getByTestId('bed-area')).toHaveText(/8\sm²/)
  await page.getByLabel('Bed width').fill('2.5 m')
  await expect(page.getByTestId('bed-area')).toHaveText(/10\sm²/)
  await page.waitForTimeout(500)
  await page.reload()
  await expect(page.getByTestId('bed-area')).toHaveText(/10\sm²/)
  await page.getByRole('link', { name: 'Pump and pipes' }).click()
  const flow = await page.getByTestId('duty-flow').textContent()
  await page.getByLabel('Lift to the bed’s water level').fill('1.5 m')
  await expect(page.getByTestId('duty-flow')).not.toHaveText(flow!)
  await page.getByLabel('Lift to the bed’s water level').fill('19 m')
  await expect(page.getByTestId('duty-flow')).toHaveText('no flow')
})

test('a finished year shows its visits, and the theme and sign-out follow the person', async ({ page }) => {
  await signInAs(page, 'crew-lead')
  await page.goto('/season')
  await page
    .getByRole('link', { name: /^Season \d+$/ })
    .first()
    .click()
  await expect(page.getByRole('link', { name: /Spring cleanout at Lanternhouse.*done/ })).toBeVisible()
  await page.getByLabel('Window').selectOption('netting')
  await expect(page.getByText('The outline marks the window for “Netting up”')).toBeVisible()
  await page.getByLabel('Theme').selectOption('sun')
  await expect(page.locator('html')).toHaveAttribute('data-bs-theme', 'sun')
  await expect(page.getByLabel('Theme')).toBeEnabled()
  await page.reload()
  await expect(page.locator('html')).toHaveAttribute('data-bs-theme', 'sun')
  await page.waitForLoadState('networkidle')
  await page.getByLabel('Theme').selectOption('light')
  await expect(page.getByLabel('Theme')).toBeEnabled()
  await page.locator('summary', { hasText: 'Hale Underbrook' }).click()
  await page.getByRole('button', { name: 'Sign out', exact: true }).click()
  await page.waitForURL('/sign-in')
  await page.goto('/ponds')
  await expect(page).toHaveURL(/\/sign-in$/)
})

test('people see only what their role may do', async ({ page }) => {
  await signInByForm(page, emailOf('technician'))
  await page.locator('nav summary', { hasText: 'More' }).click()
  await expect(page.getByRole('link', { name: 'Map' })).toBeVisible()
  await expect(page.getByRole('link', { name: 'Prices' })).toHaveCount(0)
  // everyone sees who works here and changes the own password; people are changed by the owner alone
  await page.getByRole('link', { name: 'People' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'People' })).toBeVisible()
  await expect(page.getByLabel('Current password')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Save person' })).toHaveCount(0)
  await openPond(page, 'lanternhouse', 'Garden pond')
  await expect(page.getByRole('link', { name: 'Schedule cleanout' })).toHaveCount(0)
  await expect(page.getByRole('link', { name: 'Edit survey' })).toHaveCount(0)
  await page.goto(page.url() + '/survey')
  await expect(page.getByRole('heading', { name: 'Not available to this account' })).toBeVisible()
})

test('the list of ponds keeps what was searched for and how it was sorted when one comes back to it', async ({
  page,
}) => {
  await signInAs(page, 'owner')
  await page.goto('/ponds')
  await page.waitForLoadState('networkidle')
  await page.getByLabel('Search ponds').fill('koi')
  await page.getByRole('button', { name: 'Water', exact: true }).click()
  await expect(page).toHaveURL(/\?q=koi&sort=volumeM3$/)
  const names = () => page.locator('tbody tr td:first-child').allTextContents()
  const before = await names()
  expect(before.length).toBeGreaterThan(1)
  await page.locator('tbody a').first().click()
  await expect(page).toHaveURL(/\/ponds\/[0-9a-f-]{36}$/)
  await page.goBack()
  await expect(page.getByLabel('Search ponds')).toHaveValue('koi')
  await expect.poll(names).toEqual(before)
})
