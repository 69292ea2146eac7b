import { type Browser, type BrowserContext } from '@playwright/test'
import { expect, test } from './drivers/test'
import sharp from 'sharp'
import { keptOnDevice, PHONE, StepAtHand } from './drivers/field'
import { planToday } from './drivers/plan-today'
import { DEMO_PASSWORD } from '../../demo/people'
import { signInAs, signInWith } from './drivers/sign-in'
import { watchErrors } from './drivers/watch-errors'
import { PACK_FORMAT } from '../../src/domain/field/field-pack'
import { goOnWhenAsked } from './drivers/go-on'

let photo: Buffer
test.beforeAll(async () => {
  photo = await sharp({ create: { width: 2400, height: 1800, channels: 3, background: { r: 90, g: 130, b: 120 } } })
    .jpeg()
    .toBuffer()
})

const phoneOf = async (browser: Browser, baseURL: string | undefined): Promise<BrowserContext> =>
  browser.newContext({ baseURL, viewport: PHONE, hasTouch: true, serviceWorkers: 'allow' })

test('a flush without signal for the whole visit: through reload and restart, and handed in once', async ({
  browser,
  baseURL,
}) => {
  test.setTimeout(180_000)
  const desk = await (await browser.newContext({ baseURL })).newPage()
  await signInAs(desk, 'office')
  const visit = await planToday(desk, 'wetland-flush', '05:00', 'lanternhouse')

  const context = await phoneOf(browser, baseURL)
  const page = await context.newPage()
  const errors = watchErrors(page)
  await signInAs(page, 'crew-lead')
  await keptOnDevice(page)

  await context.setOffline(true)
  await page.goto(visit)
  await page.getByRole('button', { name: 'Start visit' }).click()
  const step = new StepAtHand(page)
  await step.is('Photograph the pond as found')
  // nothing comes of a step without what it needs
  await step.done()
  await expect(step.card.getByRole('alert')).toContainText('at least one photo')
  await step.photo(photo)
  await step.done()
  await expect(page.getByText(/entries waiting to send/).first()).toBeVisible()

  // the phone is closed and opened again, still without signal
  await page.close()
  const again = await context.newPage()
  errors.push(...watchErrors(again))
  await again.goto('/field')
  await expect(again.getByText(/No signal/)).toBeVisible()
  await expect(again.getByText(/waiting to send\.$/).first()).toBeVisible()
  await again
    .getByRole('region', { name: /^05:00/ })
    .getByRole('link', { name: 'Resume visit' })
    .click()
  const now = new StepAtHand(again)
  await expect(now.card).toBeVisible()
  await again.getByText('Add finding').click()
  await again.getByLabel('What did you find?').fill('Breather valve fouled')
  await again.getByRole('button', { name: 'Save finding' }).click()
  await expect(again.getByRole('list', { name: 'Findings' })).toContainText('Breather valve fouled')
  for (let i = 0; i < 40; i++) {
    if (await again.getByText('All steps are done').isVisible()) break
    const title = await now.title()
    if ((await now.card.getByLabel('Take photo').count()) > 0) {
      await now.photo(photo)
      await now.done()
    } else await now.leaveOut('Nothing to do here')
    await expect(now.card.getByRole('heading', { name: title, exact: true })).toHaveCount(0)
  }
  await again.getByRole('button', { name: 'Finish visit' }).click()
  await expect(again.getByRole('region', { name: /^05:00/ })).toContainText('done')

  // signal: it goes out by itself
  await context.setOffline(false)
  await expect(again.getByText(/^All sent/)).toBeVisible({ timeout: 40_000 })
  await again
    .getByRole('region', { name: /^05:00/ })
    .getByRole('link', { name: 'View visit' })
    .click()
  await again.getByRole('link', { name: 'Open report' }).click()
  await expect(again.getByText(/Follow-up visit: Breather valve fouled/)).toBeVisible()
  await expect(again.getByRole('img', { name: 'Pond after' })).toBeVisible()
  expect(errors.filter((e) => !/ERR_INTERNET_DISCONNECTED|Failed to fetch/.test(e))).toEqual([])
  await context.close()
})

test('two phones on one visit: both answers are kept and shown, and one settles them', async ({ browser, baseURL }) => {
  test.setTimeout(120_000)
  const desk = await (await browser.newContext({ baseURL })).newPage()
  await signInAs(desk, 'office')
  const visit = await planToday(desk, 'winter-check', '04:00', 'highcairn')
  const contexts = await Promise.all([phoneOf(browser, baseURL), phoneOf(browser, baseURL)])
  const [lead, tech] = await Promise.all(contexts.map((c) => c.newPage()))
  await signInAs(lead!, 'crew-lead')
  await signInAs(tech!, 'technician')
  for (const phone of [lead, tech]) await keptOnDevice(phone!)
  await lead!.goto(visit)
  await lead!.getByRole('button', { name: 'Start visit' }).click()
  await expect(lead!.getByText(/^All sent/)).toBeVisible()
  await tech!.goto(visit)
  await expect(new StepAtHand(tech!).card).toBeVisible()

  // both without signal, both leave the same step out
  for (const context of contexts) await context.setOffline(true)
  for (const [phone, why] of [
    [lead, 'Lead: no camera'],
    [tech, 'Tech: too dark'],
  ] as const) {
    const step = new StepAtHand(phone!)
    await step.is('Photograph the pond as found')
    await step.leaveOut(why)
  }
  for (const context of contexts) await context.setOffline(false)
  for (const phone of [lead, tech, lead]) {
    await phone!.reload()
    await expect(phone!.getByText(/^All sent/)).toBeVisible({ timeout: 40_000 })
  }
  await lead!
    .getByText(/^Arrive/)
    .first()
    .click()
  await lead!.getByRole('button', { name: /^Photograph the pond as found/ }).click()
  await expect(new StepAtHand(lead!).card.getByText(/also answered this step/)).toBeVisible()
  await new StepAtHand(lead!).leaveOut('Both: no light')
  await lead!.getByRole('button', { name: /^Photograph the pond as found/ }).click()
  await expect(new StepAtHand(lead!).card.getByText(/also answered this step/)).toHaveCount(0)

  // who was there, and an end that is not the usual one
  await lead!.getByText('Can’t do this visit').click()
  await lead!.getByLabel('Reason', { exact: true }).selectOption({ label: 'Stopped by the weather' })
  await lead!.getByLabel('What happened').fill('Lightning over the hill')
  await lead!.getByRole('button', { name: 'End visit' }).click()
  await expect(lead!.getByRole('region', { name: /^04:00/ })).toContainText('not done')
  for (const context of contexts) await context.close()
})

test('photos shared from another app without signal are put to a visit, and reach the office', async ({
  browser,
  baseURL,
}) => {
  test.setTimeout(90_000)
  const desk = await (await browser.newContext({ baseURL })).newPage()
  await signInAs(desk, 'office')
  const id = (await planToday(desk, 'winter-check', '23:00', 'gannet')).split('=')[1]!
  const context = await phoneOf(browser, baseURL)
  const page = await context.newPage()
  const errors = watchErrors(page)
  await signInAs(page, 'crew-lead')
  await keptOnDevice(page)
  await context.setOffline(true)
  await page.goto(`/field?visit=${id}`)
  await page.getByRole('button', { name: 'Start visit' }).click()
  await expect(new StepAtHand(page).card).toBeVisible()
  // as the phone's own sheet for sharing posts them: a form that leads to a page
  await page.evaluate(
    (bytes) => {
      const files = new DataTransfer()
      files.items.add(new File([new Uint8Array(bytes)], 'shore.jpg', { type: 'image/jpeg' }))
      const form = document.createElement('form')
      Object.assign(form, { method: 'post', action: '/field/share', enctype: 'multipart/form-data' })
      const input = Object.assign(document.createElement('input'), { type: 'file', name: 'photos', files: files.files })
      form.append(input)
      document.body.append(form)
      form.submit()
    },
    [...photo],
  )
  const shared = page.getByRole('region', { name: '1 shared photo' })
  await shared.getByLabel('Visit').selectOption(id)
  await shared.getByRole('button', { name: 'Add to visit' }).click()
  await expect(shared).toHaveCount(0)
  await context.setOffline(false)
  await expect(page.getByText(/^All sent/)).toBeVisible({ timeout: 40_000 })
  await expect(async () => {
    const { photos } = await (await desk.request.get(`/api/v1/field/visits/${id}?format=${PACK_FORMAT}`)).json()
    expect(photos).toHaveLength(1)
  }).toPass()
  expect(errors).toEqual([])
  await context.close()
})

test('a lost phone is shut out: it forgets its rounds when it is next heard of', async ({ browser, baseURL }) => {
  test.setTimeout(90_000)
  const desk = await (await browser.newContext({ baseURL })).newPage()
  await signInAs(desk, 'owner')
  // somebody whose only device this is
  const person = {
    name: `Wren ${Date.now() % 100_000}`,
    email: `wren${Date.now()}@tussock-tarn.example`,
    role: 'technician',
    password: DEMO_PASSWORD,
    crewId: null,
  }
  const added = await desk.request.post('/api/v1/people', { data: person })
  expect(added.status(), await added.text()).toBe(200)
  const context = await phoneOf(browser, baseURL)
  const page = await context.newPage()
  await signInWith(page, person.email)
  await keptOnDevice(page)
  await desk.goto('/people')
  await goOnWhenAsked(desk, /^Block device$/)
  const own = desk
    .getByRole('region', { name: 'Devices' })
    .getByRole('button', { name: new RegExp(`^Block .*of ${person.name}$`) })
  await own.click()
  await expect(own).toHaveCount(0)
  await page.reload()
  await expect(page.getByText(/has blocked this device/)).toBeVisible()
  expect(await page.evaluate(async () => (await indexedDB.databases()).map((d) => d.name))).toContain('slow-reed-field')
  await context.close()
})
