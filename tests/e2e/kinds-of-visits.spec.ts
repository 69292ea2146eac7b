import { type BrowserContext } from '@playwright/test'
import { expect, test } from './drivers/test'
import sharp from 'sharp'
import { keptOnDevice, PHONE, StepAtHand } from './drivers/field'
import { seriousOn, smallTargets } from './drivers/field-checks'
import { planToday } from './drivers/plan-today'
import { signInAs } from './drivers/sign-in'
import { watchErrors } from './drivers/watch-errors'

let photo: Buffer
test.beforeAll(async () => {
  photo = await sharp({ create: { width: 900, height: 700, channels: 3, background: { r: 70, g: 120, b: 90 } } })
    .jpeg()
    .toBuffer()
})

/** Kinds whose steps the crew answers without signal from the first to the last, each at an hour of its own. */
const KINDS = [
  ['netting', '01:00', 'lark'],
  ['winter-shutdown', '17:10', 'kelp'],
  ['tub-care', '20:20', 'museum'],
] as const

for (const [visitType, startTime, pond] of KINDS)
  test(`${visitType}: every step without signal, then the report`, async ({ browser, baseURL }) => {
    test.setTimeout(180_000)
    const desk = await (await browser.newContext({ baseURL })).newPage()
    await signInAs(desk, 'office')
    const visit = await planToday(desk, visitType, startTime, pond)
    const context: BrowserContext = await browser.newContext({ baseURL, viewport: PHONE, hasTouch: true })
    const page = await context.newPage()
    const errors = watchErrors(page)
    await signInAs(page, 'crew-lead')
    await keptOnDevice(page)
    await context.setOffline(true)
    await page.goto(visit)
    expect(await smallTargets(page)).toEqual([])
    await page.getByRole('button', { name: 'Start visit' }).click()
    const step = new StepAtHand(page)
    for (let i = 0; i < 40; i++) {
      await expect(step.card.or(page.getByText('All steps are done')).first()).toBeVisible()
      if (await page.getByText('All steps are done').isVisible()) break
      if (i === 3) {
        expect(await smallTargets(page)).toEqual([])
        expect(await seriousOn(page)).toEqual([])
      }
      await step.answer(photo)
    }
    if (visitType === 'netting') {
      // what stands on the pond now is written down for the next crew
      await page.getByText('Seasonal equipment: on the pond or stored').click()
      await page.getByLabel('Name on label').fill('Leaf net 6 × 8')
      await page.getByLabel('Location now').selectOption({ label: 'on the pond' })
      await page.getByRole('button', { name: 'Save location' }).click()
      await expect(page.getByRole('list', { name: 'Seasonal equipment' })).toContainText('Leaf net 6 × 8 on the pond')
    }
    await page.getByRole('button', { name: 'Finish visit' }).click()
    await expect(page.getByRole('region', { name: new RegExp(`^${startTime}`) })).toContainText('done')
    await context.setOffline(false)
    await expect(page.getByText(/^All sent/)).toBeVisible({ timeout: 40_000 })
    await page.goto(visit)
    await page.getByRole('link', { name: 'Open report' }).click()
    await expect(page.getByRole('heading', { name: 'Work done' })).toBeVisible()
    expect(errors.filter((e) => !/ERR_INTERNET_DISCONNECTED|Failed to fetch/.test(e))).toEqual([])
    await context.close()
  })

test('every view of the field sheet, in the sun and in the dark: nothing serious, nothing too small for a thumb', async ({
  browser,
  baseURL,
}) => {
  test.setTimeout(180_000)
  const desk = await (await browser.newContext({ baseURL })).newPage()
  await signInAs(desk, 'office')
  const visit = await planToday(desk, 'winter-check', '00:10', 'hazel')
  const page = await (await browser.newContext({ baseURL, viewport: PHONE, hasTouch: true })).newPage()
  await signInAs(page, 'technician')
  await page.goto('/field')
  await expect(page.getByText(/^All sent/)).toBeVisible()
  const theme = async (wanted: string) => {
    while ((await page.locator('html').getAttribute('data-bs-theme')) !== wanted)
      await page.getByRole('button', { name: /^Theme:/ }).click()
    // colours that are still changing are no colours to judge
    await page.waitForTimeout(400)
  }
  /** A view in the theme of the moment. */
  const look = async (view: string, coloursOnly = false) => {
    expect([view, await smallTargets(page)]).toEqual([view, []])
    expect([view, await seriousOn(page, coloursOnly)]).toEqual([view, []])
  }
  await theme('sun')
  await look('day')
  await page.goto(visit)
  await expect(page.getByRole('button', { name: 'Start visit' })).toBeVisible()
  // the theme stays through a reload
  await expect(page.locator('html')).toHaveAttribute('data-bs-theme', 'sun')
  await look('planned visit')
  await page.getByRole('button', { name: 'Start visit' }).click()
  const step = new StepAtHand(page)
  await step.photo(photo)
  await look('photo kept')
  await step.card.getByRole('button', { name: 'Draw on photo 1' }).click()
  await look('sketch')
  await page.getByRole('button', { name: 'Close' }).click()
  await step.done()
  await step.is('Walk the site for hazards')
  await step.card.getByRole('button', { name: 'Skip step' }).click()
  const folded = page.locator('main details:not([open]) > summary')
  for (let i = 0; i < 20 && (await folded.count()) > 0; i++) await folded.first().click()
  await look('all folds open')
  await theme('dark')
  await look('all folds open in the dark', true)
  await page.getByLabel('What happened').fill('Too dark')
  await page.getByRole('button', { name: 'End visit' }).click()
  await expect(page).toHaveURL(/\/field$/)
  await page.goto(visit)
  await expect(page.getByText(/This visit could not be done/)).toBeVisible()
  await look('visit that is over')
})
