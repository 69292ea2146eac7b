import { expect, test } from './drivers/test'
import { openFromMenu } from './drivers/desk'

test.use({ baseURL: process.env.EMPTY_BASE_URL })

test('an empty database asks for the firm, then works from nothing to a planned visit', async ({ page }) => {
  await page.goto('/')
  await expect(page).toHaveURL(/\/welcome$/)
  await page.getByRole('button', { name: 'Create company' }).click()
  await expect(page.getByText('Firm name is missing.')).toBeVisible()
  await page.getByLabel('Company name').fill('Rushlight Ponds')
  await page.getByLabel('Your name').fill('Ede Marlow')
  await page.getByLabel('E-mail').fill('ede@rushlight.example')
  await page.getByLabel('Password').fill('short')
  await page.getByRole('button', { name: 'Create company' }).click()
  await expect(page.getByText('A password needs at least 10 characters.')).toBeVisible()
  await page.getByLabel('Password').fill('quite long enough')
  await page.getByRole('button', { name: 'Create company' }).click()
  await expect(page.getByText('No visits today.')).toBeVisible()
  await expect(page.getByText('Add your first pond')).toBeVisible()

  await openFromMenu(page, 'Settings', 'People')
  await page.getByLabel('New crew').fill('Moorhen')
  await page.getByRole('button', { name: 'Add crew' }).click()
  await expect(page.getByRole('heading', { name: 'Crews: Moorhen' })).toBeVisible()
  await page.getByLabel('Name', { exact: true }).fill('Tolly Brand')
  await page.getByLabel('E-mail').fill('tolly@rushlight.example')
  await page.getByLabel('Role').selectOption({ label: 'Crew lead' })
  await page.getByLabel('Crew', { exact: true }).selectOption({ label: 'Moorhen' })
  await page.getByLabel('Initial password').fill('another long one')
  await page.getByRole('button', { name: 'Save person' }).click()
  await expect(page.getByRole('row', { name: /Tolly Brand/ })).toContainText('Moorhen')

  await page.goto('/ponds')
  await expect(page.getByText('No ponds yet.')).toBeVisible()
  await page.getByRole('link', { name: 'Add pond' }).click()
  await page.getByLabel('Customer name').fill('First customer')
  await page.getByLabel('Site name').fill('First site')
  await page.getByLabel('Pond name').fill('First pond')
  await page.getByLabel('Length', { exact: true }).fill('4 m')
  await page.getByLabel('Width', { exact: true }).fill('2.5 m')
  await page.getByLabel('Zone 1 floor depth').fill('80 cm')
  await page.getByLabel('Altitude').fill('30 m')
  await page.getByRole('button', { name: 'Save pond' }).click()
  await page.getByRole('link', { name: 'Schedule cleanout' }).first().click()
  await page.getByRole('button', { name: 'Schedule cleanout' }).click()
  await expect(page.getByRole('button', { name: /Spring cleanout at First site/ })).toBeVisible()

  // the door for first firms is shut now
  expect(
    (
      await page.request.post('/api/v1/first-firm', {
        data: { firmName: 'Second', ownerName: 'B', email: 'b@second.example', password: 'quite long enough' },
      })
    ).status(),
  ).toBe(409)
})
