import { expect, test } from './drivers/test'
import { openAccount, openCustomer } from './drivers/desk'
import { signInAs } from './drivers/sign-in'
import { watchErrors } from './drivers/watch-errors'

/** A second app on the same database, as on another machine. */
const TWIN = process.env.TWIN_BASE_URL!

test('two apps on one database are one firm: signed in once, one plan, one truth, signed out once', async ({
  page,
  context,
}) => {
  test.setTimeout(120_000)
  const errors = watchErrors(page)
  await signInAs(page, 'office')
  const { name, value } = (await context.cookies()).filter((c) => c.httpOnly)[0]!
  const twin = await page.context().browser()!.newContext({ baseURL: TWIN })
  await twin.addCookies([{ name, value, url: TWIN }])
  const other = await twin.newPage()

  // a customer changed on one is seen on the other, and a stale copy is a conflict there
  const phone = (p: typeof page) => p.getByLabel('Phone', { exact: true })
  for (const p of [page, other]) {
    await openCustomer(p, 'Highcairn')
    await p.getByText(/^Edit /).click()
    await expect(phone(p)).toBeVisible()
  }
  await phone(page).fill('01 23')
  await page.getByRole('button', { name: 'Save customer' }).click()
  await expect(page.getByText(/^Saved/).first()).toBeVisible()
  await phone(other).fill('99 99')
  await other.getByRole('button', { name: 'Save customer' }).first().click()
  await expect(other.getByText(/^Someone else saved this/).first()).toBeVisible()

  // a plan asked for on one is followed and stopped on the other
  await page.goto('/planning')
  await page.getByLabel('Late season (days)').fill('3')
  await page.getByRole('button', { name: 'Build plan' }).click()
  await expect(page.getByRole('progressbar', { name: 'Plan' })).toBeVisible()
  await other.goto('/planning')
  await other.getByRole('button', { name: 'Stop and show best so far' }).click()
  for (const p of [page, other])
    await expect(p.getByText(/season 3 days late|Stopped before it started/).first()).toBeVisible({ timeout: 60_000 })

  // signing out on one ends it on the other
  await page.goto('/')
  await openAccount(page)
  await page.getByRole('button', { name: 'Sign out', exact: true }).click()
  await page.waitForURL('**/sign-in')
  await other.goto('/season')
  await expect(other).toHaveURL(/\/sign-in/)
  await twin.close()
  expect(errors).toEqual([])
})
