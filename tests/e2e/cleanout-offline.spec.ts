import { expect, test } from './drivers/test'
import sharp from 'sharp'
import { keptOnDevice, PHONE, StepAtHand } from './drivers/field'
import { planToday } from './drivers/plan-today'
import { leadOf, signInAs, signInWith } from './drivers/sign-in'
import { watchErrors } from './drivers/watch-errors'

const CREW = 'Newt'

test('a cleanout without signal: fish stay in the tank while the test says stop, and the lead passes it with a reason', async ({
  browser,
  baseURL,
}) => {
  test.setTimeout(240_000)
  const image = await sharp({ create: { width: 900, height: 700, channels: 3, background: '#6b8f71' } })
    .jpeg()
    .toBuffer()
  const desk = await (await browser.newContext({ baseURL })).newPage()
  await signInAs(desk, 'office')
  const visit = await planToday(desk, 'spring-cleanout', '09:00', 'highcairn', CREW)
  const context = await browser.newContext({ baseURL, viewport: PHONE, hasTouch: true })
  const page = await context.newPage()
  const errors = watchErrors(page)
  await signInWith(page, leadOf(CREW))
  await keptOnDevice(page)
  await context.setOffline(true)
  await page.goto(visit)
  await page.getByRole('button', { name: 'Start visit' }).click()

  const step = new StepAtHand(page)
  let stopped = false
  for (let n = 0; n < 50; n++) {
    await expect(step.card.or(page.getByText('All steps are done')).first()).toBeVisible()
    if (await page.getByText('All steps are done').isVisible()) break
    const title = await step.title()
    if (title === 'Test the refilled pond and the tank') {
      // ammonia that the high pH makes toxic
      await step.answer(image, {
        'Water temperature': '14',
        'Tank temperature': '13',
        pH: '8.8',
        'Total ammonia (TAN)': '0.9',
        'Free chlorine': '0',
      })
    } else if (title === 'Fish back, gently') {
      await expect(step.card.getByRole('alert')).toContainText('Stop: keep the fish in the tank.')
      const done = step.card.getByRole('button', { name: 'Done', exact: true })
      await expect(done).toBeDisabled()
      await step.card.getByLabel('Koi').fill('20')
      // a word is no reason
      const why = step.card.getByLabel(/^To override this stop/)
      await why.fill('ok')
      await expect(done).toBeDisabled()
      await why.fill('Binder given, tank at its limit')
      await done.click()
      await expect(step.card.getByRole('heading', { name: title, exact: true })).toHaveCount(0)
      stopped = true
    } else await step.answer(image)
  }
  expect(stopped).toBe(true)
  // a restart in the middle of nowhere
  await page.reload()
  await expect(page.getByText('All steps are done')).toBeVisible()
  await page.getByRole('button', { name: 'Finish visit' }).click()
  await expect(page.getByRole('region', { name: /^09:00/ })).toContainText('done')
  await context.setOffline(false)
  await expect(page.getByText(/^All sent/)).toBeVisible({ timeout: 60_000 })

  await page.goto(visit)
  await page.getByRole('link', { name: 'Open report' }).click()
  await expect(
    page.getByText(/Stop overridden by Joss Emberly at “Fish back, gently”: Binder given, tank at its limit/),
  ).toBeVisible()
  await expect(page.getByText(/Test TAN and nitrite after the cleanout/)).toBeVisible()
  expect(errors.filter((e) => !/ERR_INTERNET_DISCONNECTED|Failed to fetch/.test(e))).toEqual([])
  await context.close()
})
