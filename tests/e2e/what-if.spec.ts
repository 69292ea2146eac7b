import { expect, test, type Page } from '@playwright/test'
import { PHONE } from './drivers/field'
import { seriousOn } from './drivers/field-checks'
import { pondHref } from './drivers/plan-today'
import { signInAs } from './drivers/sign-in'
import { watchErrors } from './drivers/watch-errors'

/** From now on the page keeps how long it was blocked at most, ms. */
const watchBlocking = (page: Page) =>
  page.evaluate(() => {
    const kept = window as unknown as { blockedMs: number }
    kept.blockedMs = 0
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) kept.blockedMs = Math.max(kept.blockedMs, entry.duration)
    }).observe({ type: 'longtask' })
  })
const blockedMs = (page: Page) => page.evaluate(() => (window as unknown as { blockedMs: number }).blockedMs)

test('staged and all-at-once cleaning of the neglected pond side by side, kept, shown again by its address, and a long run stopped', async ({ page }) => {
  test.setTimeout(120_000)
  const errors = watchErrors(page)
  await signInAs(page, 'owner')
  const pond = await pondHref(page, 'foxholt')
  await page.goto(pond)
  await page.getByRole('link', { name: 'What if', exact: true }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'What if' })).toBeVisible()

  // begun from the ready-made question, with a finer look at few runs
  await page.getByLabel('Runs of each').selectOption({ label: '20, quickly' })
  await page.getByRole('button', { name: 'Run them' }).click()
  const verdict = page.getByRole('region', { name: 'The verdict' })
  await expect(verdict).toContainText(/better\s+ammonia peaks lower/, { timeout: 60_000 })
  await expect(verdict).toContainText(/better\s+more of the bed’s bacteria live on/)
  await expect(verdict).toContainText('20 runs of each way')
  await expect(page.getByRole('region', { name: 'Where the nitrogen went' })).toContainText('taken out: plants, sludge, algae')

  // the eye's view follows the day
  const eye = page.getByRole('region', { name: 'What the eye sees' })
  await expect(eye.getByRole('img')).toHaveCount(2)
  await expect(eye.getByText(/\(day 21\)/)).toBeVisible()
  await eye.getByRole('slider').fill('40')
  await expect(eye.getByText(/\(day 41\)/)).toBeVisible()
  expect(await seriousOn(page)).toEqual([])

  // an event that cannot be is named, and nothing is lost
  await page.getByLabel('Day', { exact: true }).first().fill('900')
  await page.getByRole('button', { name: 'Run them' }).click()
  await expect(page.getByText('Day must be between 0 and 730.')).toBeVisible()
  await page.getByLabel('Day', { exact: true }).first().fill('4')

  // kept under a name, found again by its own address
  await page.getByRole('region', { name: 'Kept what-ifs' }).getByLabel('Name').fill('Rinse in April')
  await page.getByRole('button', { name: 'Keep this what-if' }).click()
  const link = page.getByRole('link', { name: 'Rinse in April' })
  await expect(link).toBeVisible()
  await page.goto((await link.getAttribute('href'))!)
  await expect(page.getByLabel('Day', { exact: true }).first()).toHaveValue('4')

  // a long run leaves the page free and can be stopped; what was done is shown as rough
  await page.getByLabel('For', { exact: true }).selectOption({ label: 'two years' })
  await page.getByLabel('Runs of each').selectOption({ label: '500' })
  await watchBlocking(page)
  await page.getByRole('button', { name: 'Run them' }).click()
  await expect(page.getByText(/^[1-9]\d* of 500 runs$/)).toBeVisible({ timeout: 30_000 })
  await expect.poll(async () => Number((await page.getByText(/of 500 runs/).textContent())!.split(' ')[0]), { timeout: 60_000 }).toBeGreaterThan(12)
  expect(await blockedMs(page)).toBeLessThan(100)
  await page.getByRole('button', { name: 'Stop', exact: true }).click()
  await expect(page.getByText(/Stopped early: \d+ runs of each/)).toBeVisible()
  await page.getByRole('button', { name: 'Take away: Rinse in April' }).click()
  await expect(page.getByText('None kept yet.')).toBeVisible()
  expect(errors).toEqual([])
})

test('a kept what-if goes with a proposal, and the customer turns its days on a phone', async ({ page, browser, baseURL }) => {
  const errors = watchErrors(page)
  await signInAs(page, 'designer')
  await page.goto(`${await pondHref(page, 'brewery')}/design?part=price`)
  const maker = page.getByRole('region', { name: 'Proposal' })
  await maker.getByLabel('What-if that goes with it').selectOption({ label: 'A green spring, with the bed as it is and rebuilt' })
  await maker.getByRole('button', { name: 'Make the proposal' }).click()
  const link = await page.getByTestId('offer-link').getAttribute('href', { timeout: 30_000 })
  const phone = await (await browser.newContext({ baseURL, viewport: PHONE, hasTouch: true })).newPage()
  await phone.goto(link!)
  const outlook = phone.getByRole('region', { name: 'What the water would do' })
  await expect(outlook).toContainText('A green spring, with the bed as it is and rebuilt')
  await expect(outlook.getByRole('img')).toHaveCount(2)
  await expect(outlook.getByRole('status')).toContainText('20 runs of each way')
  await expect(outlook.getByText(/\(day 29\)/)).toBeVisible()
  await outlook.getByRole('slider').fill('60')
  await expect(outlook.getByText(/\(day 61\)/)).toBeVisible()
  expect(await seriousOn(phone)).toEqual([])
  expect(await phone.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0)
  expect(errors).toEqual([])
})
