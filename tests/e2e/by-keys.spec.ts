import { type Locator, type Page } from '@playwright/test'
import { expect, test } from './drivers/test'
import { openCustomer } from './drivers/desk'
import { crewOf, pondHref } from './drivers/plan-today'
import { signInAs } from './drivers/sign-in'
import { watchErrors } from './drivers/watch-errors'

/** Nothing that a task needs is further away than so many presses of Tab. */
const MOST_TABS = 80

/** Goes to something by Tab alone, as who has no mouse does. */
async function tabTo(page: Page, goal: Locator): Promise<void> {
  await expect(goal).toBeVisible()
  for (let i = 0; i < MOST_TABS; i++) {
    if (await goal.evaluate((element) => element === document.activeElement)) return
    await page.keyboard.press('Tab')
  }
  throw new Error(`Not reached by ${MOST_TABS} presses of Tab: ${goal}`)
}

/** A time of day as it is typed into a field for one. */
const typeTime = async (page: Page, digits: string) => {
  for (const digit of digits) await page.keyboard.press(digit)
}

test('a visit is moved to another hour by keys alone, and moved back by them', async ({ page }) => {
  const errors = watchErrors(page)
  await signInAs(page, 'office')
  const { crewId, today } = await crewOf(page, 'Newt')
  // a day that nothing else is planned on
  const day = `${Number(today.slice(0, 4)) + 2}-02-11`
  const pondId = (await pondHref(page, 'foxholt')).split('/')[2]
  const answer = await page.request.post('/api/v1/visits', {
    data: { pondId, visitType: 'winter-check', note: '', day, crewId, startTime: '09:00' },
  })
  expect(answer.status(), await answer.text()).toBe(200)
  await page.goto(`/rounds?day=${day}`)
  await page.waitForLoadState('networkidle')

  await tabTo(page, page.getByRole('button', { name: /^Winter check at Foxholt, 09:00/ }))
  await page.keyboard.press('Enter')
  const panel = page.getByRole('dialog', { name: 'Selected visit' })
  await tabTo(page, panel.getByLabel('Start'))
  await typeTime(page, '1330')
  await expect(panel.getByLabel('Start')).toHaveValue('13:30')
  await page.keyboard.press('Enter')
  const moved = page.getByRole('button', { name: /^Winter check at Foxholt, 13:30/ })
  await expect(moved).toBeVisible()
  await expect(panel).toHaveCount(0)

  await tabTo(page, page.getByRole('button', { name: 'Undo' }))
  await page.keyboard.press('Enter')
  await expect(page.getByRole('button', { name: /^Winter check at Foxholt, 09:00/ })).toBeVisible()
  expect(errors).toEqual([])
})

test('a water test is logged by keys alone, and stands in the pond’s record', async ({ page }) => {
  const errors = watchErrors(page)
  await signInAs(page, 'office')
  await page.goto(`${await pondHref(page, 'works%20canteen')}/water`)
  await page.waitForLoadState('networkidle')
  await tabTo(page, page.getByLabel('Nitrate'))
  await page.keyboard.type('12')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('row', { name: /^Nitrate/ })).toContainText('12 mg/L')
  await tabTo(page, page.getByRole('button', { name: 'All', exact: true }))
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/span=all/)
  await expect(page.getByRole('img', { name: /^.* from .* to .*, with/ })).toBeVisible()
  await tabTo(page, page.getByText('Tests as a table'))
  await page.keyboard.press('Enter')
  await expect(page.getByRole('table', { name: 'Water tests' }).getByText('12 mg/L')).toBeVisible()
  expect(errors).toEqual([])
})

test('a customer’s telephone is changed by keys alone; what was entered holds the page until it is saved', async ({
  page,
}) => {
  const errors = watchErrors(page)
  await signInAs(page, 'office')
  await openCustomer(page, 'Tinker’s Works')
  await page.waitForLoadState('networkidle')
  const phone = page.getByLabel('Phone')
  const away = page.getByRole('navigation', { name: 'Main menu' }).getByRole('link', { name: 'Ponds', exact: true })
  await tabTo(page, page.locator('summary', { hasText: /^Edit/ }))
  await page.keyboard.press('Enter')
  await tabTo(page, phone)
  await page.keyboard.press('Control+a')
  await page.keyboard.type('0555 0199')

  // away from here, and back on second thoughts
  await away.focus()
  await page.keyboard.press('Enter')
  const question = page.getByRole('dialog').filter({ hasText: 'What you entered on this page is not saved yet.' })
  await expect(question).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(question).toHaveCount(0)
  // the keys are given back to where they were, and only then go on
  await expect(away).toBeFocused()
  await expect(page).toHaveURL(/\/customers\//)
  await expect(phone).toHaveValue('0555 0199')

  await phone.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
  // saved: nothing holds it any more
  await away.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1, name: 'Ponds' })).toBeVisible()
  expect(errors).toEqual([])
})
