import { expect, test } from './drivers/test'
import { keptOnDevice, PHONE, StepAtHand } from './drivers/field'
import { seriousOn, smallTargets } from './drivers/field-checks'
import { planToday, pondHref } from './drivers/plan-today'
import { leadOf, signInAs, signInWith } from './drivers/sign-in'
import { watchErrors } from './drivers/watch-errors'
import { PACK_FORMAT } from '../../src/domain/field/field-pack'

const CREW = 'Newt'

test('plants of a pond: taken over, set down, moved, seen to at the water without signal, and their cuttings planted', async ({
  browser,
  baseURL,
}) => {
  test.setTimeout(180_000)
  const desk = await (await browser.newContext({ baseURL })).newPage()
  const errors = watchErrors(desk)
  await signInAs(desk, 'owner')
  const pond = await pondHref(desk, 'inn%20terrace')
  await desk.goto(`${pond}/plants`)
  await desk.getByRole('button', { name: 'Planted as designed' }).click()
  const groups = desk.getByRole('region', { name: 'Plant groups' })
  await expect(groups.getByRole('button', { name: 'Sweet flag' })).toBeVisible()

  // a new group in the pond, moved along with the keys
  await desk.getByText('Add plant group').click()
  await desk.getByLabel('Plant', { exact: true }).selectOption({ label: 'White water lily (Nymphaea alba)' })
  await desk.getByLabel('Location', { exact: true }).selectOption({ label: 'In the pond' })
  await desk.getByLabel('Plants', { exact: true }).fill('3')
  await desk.getByRole('button', { name: 'Add to plan' }).click()
  const lily = desk.getByRole('button', { name: /^3 White water lily, good/ })
  await expect(lily).toBeVisible()
  const before = await lily.getAttribute('aria-label')
  await lily.focus()
  const kept = desk.waitForResponse((r) => r.url().includes('/api/v1/plants/') && r.request().method() === 'PUT')
  await desk.keyboard.press('ArrowRight')
  expect((await kept).status()).toBe(200)
  await desk.reload()
  await expect(lily).toBeVisible()
  expect(await lily.getAttribute('aria-label')).not.toBe(before)

  // seen to be pale: the bed asks for a look at its roots
  await groups.getByRole('button', { name: 'Sweet flag' }).click()
  const sheet = desk.getByRole('region', { name: 'Sweet flag' })
  await sheet.getByLabel('Care given').selectOption('look')
  await sheet.getByLabel('Condition').selectOption({ label: 'Pale or stunted' })
  await sheet.getByRole('button', { name: 'Save' }).click()
  await expect(
    desk.getByRole('region', { name: 'Plant care due' }).getByText('Check whether roots are wet'),
  ).toBeVisible()
  expect(await seriousOn(desk)).toEqual([])

  // the crew does it without signal, thins the lily and keeps pieces
  const visit = await planToday(desk, 'plant-care', '06:10', 'inn%20terrace', CREW)
  const context = await browser.newContext({ baseURL, viewport: PHONE, hasTouch: true })
  const page = await context.newPage()
  errors.push(...watchErrors(page))
  await signInWith(page, leadOf(CREW))
  await keptOnDevice(page)
  await context.setOffline(true)
  await page.goto(visit)
  await page.getByRole('button', { name: 'Start visit' }).click()
  await page.getByText(/^Plants\s*\d+ open/).click()
  await page.getByRole('button', { name: /^How does the bed look/ }).click()
  const step = new StepAtHand(page)
  await step.is('How does the bed look?')
  const roots = step.card.getByRole('button', { name: /^Check whether roots are wet: \d+ Sweet flag: done/ })
  await roots.click()
  await expect(step.card.getByRole('group', { name: 'Plants here' })).toContainText('done')
  await expect(roots).toHaveCount(0)
  await page.getByText('Plants: condition and care').click()
  await page.getByLabel('Plant group').selectOption({ label: '3 White water lily, in the pond: good' })
  await page.getByLabel('Care given').selectOption('divide')
  await page.getByLabel('Plants here now').fill('2')
  await page.getByLabel('Rooted pieces kept').fill('4')
  expect(await smallTargets(page)).toEqual([])
  expect(await seriousOn(page)).toEqual([])
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('list', { name: 'Plant entries' })).toContainText(
    'White water lily: divided, 2 plants, 4 pieces kept',
  )
  await page.getByText('Can’t do this visit').click()
  await page.getByLabel('What happened').fill('The rest another day')
  await page.getByRole('button', { name: 'End visit' }).click()
  await context.setOffline(false)
  await expect(page.getByText(/^All sent/)).toBeVisible({ timeout: 40_000 })

  // the desk sees the group as it stands, its gap, and what may close it
  await desk.goto(`${pond}/plants`)
  await expect(desk.getByRole('row', { name: /White water lily/ })).toContainText('2')
  const gaps = desk.getByRole('region', { name: 'Gaps' })
  await expect(gaps).toContainText('White water lily: 1 missing')
  await expect(gaps).toContainText('1 White water lily from the holding bed')
  await desk.goto('/stores')
  await expect(desk.getByRole('row', { name: /White water lily, rooted pieces/ })).toContainText('4')
  await desk.goto('/plants')
  await expect(desk.getByRole('region', { name: 'Cuttings kept' })).toContainText('4 White water lily')
  await expect(desk.getByRole('region', { name: 'Tender plants', exact: true })).toContainText('Water canna')
  const csv = await (await desk.request.get('/api/v1/plants.csv')).text()
  expect(csv).toContain('Water canna,Canna')
  expect(errors.filter((e) => !/ERR_INTERNET_DISCONNECTED|Failed to fetch/.test(e))).toEqual([])
  await context.close()
})

test('several ponds of one stop: started together, what counts for all is done once, and on to the next', async ({
  browser,
  baseURL,
}) => {
  test.setTimeout(120_000)
  const desk = await (await browser.newContext({ baseURL })).newPage()
  await signInAs(desk, 'office')
  const basin = await planToday(desk, 'winter-check', '21:00', 'dock basin', CREW)
  await planToday(desk, 'winter-check', '21:30', 'slip pond', CREW)
  const context = await browser.newContext({ baseURL, viewport: PHONE, hasTouch: true })
  const page = await context.newPage()
  await signInWith(page, leadOf(CREW))
  await keptOnDevice(page)
  await page.goto(basin)
  const ponds = page.getByRole('navigation', { name: 'Ponds at this stop' })
  await expect(ponds.getByRole('link')).toHaveCount(2)
  await page.getByRole('button', { name: 'Start all 2 ponds at this stop' }).click()
  const step = new StepAtHand(page)
  await step.is('Photograph the pond as found')
  await step.leaveOut('Too dark')
  await step.is('Walk the site for hazards')
  await expect(step.card.getByLabel('Applies to Slip pond too')).toBeChecked()
  expect(await smallTargets(page)).toEqual([])
  await step.done()
  await step.is('Is the hole in the ice open, the aerator on?')
  const goTo = async (pond: RegExp) => {
    await ponds.getByRole('link', { name: pond }).click()
    await expect(ponds.getByRole('link', { name: pond })).toHaveAttribute('aria-current', 'page')
  }
  await goTo(/Slip pond/)
  await step.is('Photograph the pond as found')
  await step.leaveOut('Too dark')
  // the hazards were walked for both
  await step.is('Is the hole in the ice open, the aerator on?')
  await goTo(/Dock basin/)
  for (let i = 0; i < 12; i++) {
    await expect(step.card.or(page.getByText('All steps are done')).first()).toBeVisible()
    if (await page.getByText('All steps are done').isVisible()) break
    const title = await step.title()
    await step.leaveOut('Not part of this test')
    await expect(step.card.getByRole('heading', { name: title, exact: true })).toHaveCount(0)
  }
  await page.getByRole('button', { name: 'Finish visit' }).click()
  await step.is('Is the hole in the ice open, the aerator on?')
  await expect(ponds.getByRole('link', { name: /Slip pond/ })).toHaveAttribute('aria-current', 'page')
  await context.close()
})

test('a visit on paper holds its steps, amounts, stops and room to write', async ({ page }) => {
  await signInAs(page, 'office')
  await page.goto('/rounds')
  const { visits } = await (await page.request.get(`/api/v1/field/pack?format=${PACK_FORMAT}`)).json()
  const cleanout = visits.find((v: { visit: { job: { key: string } } }) => v.visit.job.key === 'spring-cleanout').visit
  await page.goto(`/visits/${cleanout.id}/sheet`)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Spring cleanout')
  await expect(page.getByText(/^Stop: Fish go back only with NH₃/)).toBeVisible()
  await expect(page.getByText(/^Holding tank of at least/).first()).toBeVisible()
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden()
  const pdf = await page.pdf({ format: 'A4' })
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-')
})
