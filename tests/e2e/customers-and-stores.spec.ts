import { expect, test } from './drivers/test'
import { openCustomer } from './drivers/desk'
import { PHONE } from './drivers/field'
import { signInAs } from './drivers/sign-in'
import { watchErrors } from './drivers/watch-errors'

test('a customer’s own page: made, read on a phone, a visit asked for, and ended', async ({
  page,
  browser,
  baseURL,
}) => {
  const errors = watchErrors(page)
  await signInAs(page, 'office')
  await openCustomer(page, 'Highcairn')
  await page
    .getByRole('button', { name: /^Share customer page/ })
    .first()
    .click()
  const link = await page
    .getByLabel(/^Link to customer page/)
    .first()
    .inputValue()

  const phone = await (await browser.newContext({ baseURL, viewport: PHONE, hasTouch: true })).newPage()
  errors.push(...watchErrors(phone))
  await phone.goto(link)
  await expect(phone.getByRole('heading', { name: 'This week' }).first()).toBeVisible()
  await expect(phone.getByRole('heading', { name: 'Next visits' }).first()).toBeVisible()
  expect(await phone.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)).toBeLessThanOrEqual(0)
  await phone.getByText('Request a visit').first().click()
  await phone.getByLabel('What do you need?').first().fill('hm')
  await phone
    .getByRole('button', { name: /^Send to/ })
    .first()
    .click()
  await expect(phone.getByText('Describe in a few words what you need.').first()).toBeVisible()
  await phone.getByLabel('What do you need?').first().fill('The falls have gone quiet')
  await phone
    .getByRole('button', { name: /^Send to/ })
    .first()
    .click()
  await expect(phone.getByText('Already with us').first()).toBeVisible()
  const report = phone.getByRole('link', { name: /Spring cleanout/ }).first()
  if ((await report.count()) > 0) {
    await report.click()
    await expect(phone.getByRole('heading', { name: 'Past visits' })).toBeVisible()
    await expect(phone.getByText('For the office')).toHaveCount(0)
  }

  // the office sees the wish, and ends the link
  await page.reload()
  await page
    .getByRole('button', { name: /^End link: / })
    .first()
    .click()
  // not before it is said what is lost
  const question = page.getByRole('dialog').filter({ hasText: 'will stop working' })
  await question.getByRole('button', { name: 'End link' }).click()
  await expect(page.getByRole('button', { name: /^Share customer page/ }).first()).toBeVisible()
  expect((await phone.goto(link))!.status()).toBe(404)
  expect(errors).toEqual([])
})

test('the stores: an item with its product, what came in, what is to order; the product book keeps its labels', async ({
  page,
}) => {
  const errors = watchErrors(page)
  await signInAs(page, 'office')
  await page.goto('/stores')
  const form = page.getByRole('form', { name: 'New item' })
  await form.getByLabel('Product').selectOption({ label: 'Clay flocculant' })
  await expect(form.getByLabel('Name')).toHaveValue('Clay flocculant')
  await form.getByLabel('Minimum stock').fill('2000')
  await form.getByRole('button', { name: 'Add item' }).click()
  const row = page.getByRole('row', { name: /Clay flocculant/ })
  await expect(row).toContainText('2 kg')
  await page.getByRole('button', { name: 'Clay flocculant' }).click()
  const move = page.getByRole('region', { name: 'Clay flocculant' })
  await move.getByLabel('Amount, g').fill('500')
  await move.getByRole('button', { name: 'Save movement' }).click()
  await expect(move.getByText('Saved.')).toBeVisible()
  await expect(row).toContainText('1.5 kg')
  await expect(page.getByRole('region', { name: 'Stock movements' })).toContainText('Clay flocculant: 500 g')

  const book = page.getByRole('region', { name: 'Product book' })
  await book.getByText('Pond bacteria, liquid').click()
  const product = book.locator('details').filter({ hasText: 'Pond bacteria, liquid' })
  await product.getByLabel('Maximum water temperature').fill('5')
  await book.getByRole('button', { name: 'Save product book' }).click()
  await expect(book.getByText('The coldest water must be colder than the warmest.').first()).toBeVisible()
  await product.getByLabel('Maximum water temperature').fill('34')
  await book.getByRole('button', { name: 'Save product book' }).click()
  await expect(book.getByText('Saved.')).toBeVisible()
  expect(errors).toEqual([])
})

test('a rescue in stages from its tests, doses for a pond, and steps in the firm’s own words', async ({ page }) => {
  const errors = watchErrors(page)
  await signInAs(page, 'owner')
  await page.goto('/ponds?q=ropewalk')
  const pond = (await page
    .locator('main a[href^="/ponds/"]')
    .filter({ hasNotText: 'Add' })
    .first()
    .getAttribute('href'))!
  await page.goto(`${pond}/rescue`)
  await page.getByLabel('Total ammonia (TAN)').fill('1.5')
  await page.getByLabel('KH', { exact: true }).fill('2')
  await page.getByLabel('First visit').fill('2027-07-05')
  await page.getByLabel('Start').fill('05:00')
  const stages = page.getByRole('list', { name: 'Stages' })
  await expect(stages.getByText('Rescue: open floor and first change')).toBeVisible()
  await expect(stages.getByText(/sodium bicarbonate/).first()).toBeVisible()
  await expect(stages.getByText('Rescue: half of the biological media')).toHaveCount(2)
  await page.getByRole('button', { name: 'Schedule these visits' }).click()
  await page.waitForURL('**/rounds?day=2027-07-0*')
  await page.goto(`${pond}/visits`)
  await expect(page.getByText('Rescue: half of the biological media').first()).toBeVisible()

  await page.goto(`${pond}/doses`)
  const dose = page.getByRole('region', { name: 'Dose' })
  await dose.getByLabel('Product').selectOption({ label: 'Sodium bicarbonate' })
  await dose.getByLabel('Desired rise').fill('4')
  await expect(dose.getByRole('alert')).toContainText('Stop: do not raise KH yet.')
  await dose.getByLabel('Product').selectOption({ label: 'Sodium thiosulfate, crystals' })
  await dose.getByLabel('New water', { exact: true }).fill('3')
  await dose.getByLabel('Chlorine in the new water').fill('0.5')
  // 3 m³ × 0.5 mg/L × 7 g: 10.5 g, a whole scoop of 15 g
  await expect(dose.getByText('1 × scoop')).toBeVisible()
  await expect(dose.getByText(/about \d+ min: /).first()).toBeVisible()
  const changes = page.getByRole('region', { name: 'Water changes' })
  await changes.getByLabel('Level in the pond').fill('80')
  await changes.getByLabel('Level in the new water', { exact: true }).fill('5')
  await changes.getByLabel('Desired level', { exact: true }).fill('40')
  // 80 → 55 → 38.3 by thirds
  await expect(changes.getByText('2 changes')).toBeVisible()

  await page.goto('/house-rules')
  await page.getByRole('link', { name: 'Visit types and steps' }).click()
  await page.getByRole('link', { name: 'Winter check' }).click()
  await page.getByRole('button', { name: 'Add step here' }).click()
  await page.getByRole('region', { name: 'Selected step' }).getByLabel('Title').fill('Ring the bell')
  await expect(
    page.getByRole('region', { name: 'Crew view' }).getByRole('heading', { name: 'Ring the bell' }),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Save steps' }).click()
  await expect(page.getByText('customised, version 1')).toBeVisible()
  await page.getByRole('button', { name: 'Restore standard steps' }).click()
  await expect(page.getByText('standard steps')).toBeVisible()
  expect(errors).toEqual([])
})

test('a key for probes is made, posts readings once, and is revoked', async ({ page, request }) => {
  await signInAs(page, 'owner')
  await page.goto('/import-export')
  const keys = page.getByRole('region', { name: 'API keys' })
  await keys.getByLabel('Name').fill('Probe in the walled pool')
  await keys.getByRole('button', { name: 'Create key' }).click()
  const key = await keys.getByLabel('New key').inputValue()
  await page.goto('/ponds?q=kelp')
  const pond = (await page
    .locator('main a[href^="/ponds/"]')
    .filter({ hasNotText: 'Add' })
    .first()
    .getAttribute('href'))!.split('/')[2]
  const pack = [{ n: `${pond}/waterTemp`, u: 'Cel', v: 7.25, t: -60 }]
  const post = () => request.post('/api/v1/readings', { data: pack, headers: { authorization: `Bearer ${key}` } })
  expect(await (await post()).json()).toMatchObject({ kept: 1, refused: [] })
  const calc = { data: { temp_C: 20 }, headers: { authorization: `Bearer ${key}` } }
  expect((await request.post('/api/v1/calc/water.doSaturation', calc)).status()).toBe(401)
  await page.goto('/import-export')
  await keys.getByRole('button', { name: 'Revoke key Probe in the walled pool' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Revoke' }).click()
  await expect(keys.getByText('Probe in the walled pool')).toHaveCount(0)
  expect((await post()).status()).toBe(401)
})
