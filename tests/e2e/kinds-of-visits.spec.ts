import AxeBuilder from '@axe-core/playwright'
import { expect, test, type BrowserContext, type Page } from '@playwright/test'
import sharp from 'sharp'
import { keptOnDevice, PHONE, StepAtHand } from './drivers/field'
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
  ['winter-shutdown', '10:45', 'kelp'],
  ['tub-care', '22:00', 'museum'],
] as const

async function plan(desk: Page, jobType: string, startTime: string, pond: string): Promise<string> {
  await desk.goto(`/ponds?q=${pond}`)
  const href = (await desk.locator('main a[href^="/ponds/"]').filter({ hasNotText: 'Add' }).first().getAttribute('href'))!
  await desk.goto('/rounds')
  const sheet = (await desk
    .getByRole('link', { name: /^Day sheet/ })
    .first()
    .getAttribute('href'))!
  const { today } = await (await desk.request.get('/api/v1/field/pack')).json()
  const data = { pondId: href.split('/')[2], jobType, day: today, startTime, crewId: sheet.split('/')[2], note: '' }
  const answer = await desk.request.post('/api/v1/visits', { data })
  expect(answer.status(), await answer.text()).toBe(200)
  return `/field?visit=${(await answer.json()).id}`
}

/** Answers what stands: photos taken, decisions made, tests filled in, fish counted, someone told. */
async function answerStep(page: Page, step: StepAtHand): Promise<void> {
  const title = await step.title()
  if ((await step.card.getByLabel('Take a photo').count()) > 0) await step.photo(photo)
  const choice = step.card.getByRole('radio')
  if ((await choice.count()) > 0) await choice.first().check()
  for (const [label, value] of [
    ['Water temperature', '9'],
    ['pH', '7.4'],
    ['Total ammonia (TAN)', '0.1'],
    ['Nitrite', '0.05'],
    ['KH', '6'],
    ['Tap temperature', '9'],
    ['Tap chlorine', '0.3'],
    ['Dissolved oxygen', '9'],
    ['Free chlorine', '0'],
    ['Water changed', '0'],
  ] as const)
    for (const field of await step.card
      .getByLabel(label, { exact: true })
      .or(step.card.getByLabel(new RegExp(`^${label.replace(/[()]/g, '\\$&')}`)))
      .all())
      if ((await field.inputValue()) === '') await field.fill(value)
  for (const field of await step.card.getByLabel(/^(Koi|Goldfish|Shubunkin|Orfe|Sturgeon|Tench|Rudd|Small|Rice)/).all()) await field.fill('3')
  const told = step.card.getByLabel('Who was told')
  if ((await told.count()) > 0) await told.fill('The customer')
  const done = step.card.getByRole('button', { name: 'Done', exact: true })
  if (await done.isEnabled()) {
    await done.click()
    const again = step.card.getByRole('button', { name: 'Read again: it is right' })
    const stays = step.card.getByRole('heading', { name: title, exact: true })
    await expect(stays.or(again).first())
      .toBeVisible({ timeout: 300 })
      .catch(() => undefined)
    if (await again.isVisible()) await again.click()
    if ((await stays.count()) > 0 && (await step.title()) === title && (await step.card.getByRole('alert').count()) > 0)
      await step.leaveOut('Cannot be done today')
  } else await step.leaveOut('Has to wait')
  await expect(step.card.getByRole('heading', { name: title, exact: true })).toHaveCount(0)
}

/** Nothing a thumb has to hit is smaller than 48 px. */
async function smallTargets(page: Page): Promise<string[]> {
  return page
    .locator('a:visible, button:visible, summary:visible, select:visible, main input:visible:not([type=file]):not([type=radio]):not([type=checkbox])')
    .evaluateAll((all) =>
      all
        .filter((e) => e.getBoundingClientRect().height < 47.5)
        .map((e) => `${e.tagName} ${e.textContent?.trim().slice(0, 30)} ${e.getBoundingClientRect().height}`),
    )
}

const seriousOn = async (page: Page) =>
  (await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa']).analyze()).violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${v.id}: ${v.nodes[0].html}`)

for (const [jobType, startTime, pond] of KINDS)
  test(`${jobType}: every step without signal, then the report`, async ({ browser, baseURL }) => {
    test.setTimeout(180_000)
    const desk = await (await browser.newContext({ baseURL })).newPage()
    await signInAs(desk, 'office')
    const visit = await plan(desk, jobType, startTime, pond)
    const context: BrowserContext = await browser.newContext({ baseURL, viewport: PHONE, hasTouch: true })
    const page = await context.newPage()
    const errors = watchErrors(page)
    await signInAs(page, 'crew-lead')
    await keptOnDevice(page)
    await context.setOffline(true)
    await page.goto(visit)
    expect(await smallTargets(page)).toEqual([])
    await page.getByRole('button', { name: 'Start the visit' }).click()
    const step = new StepAtHand(page)
    for (let i = 0; i < 40; i++) {
      await expect(step.card.or(page.getByText('All steps are answered')).first()).toBeVisible()
      if (await page.getByText('All steps are answered').isVisible()) break
      if (i === 3) {
        expect(await smallTargets(page)).toEqual([])
        expect(await seriousOn(page)).toEqual([])
      }
      await answerStep(page, step)
    }
    if (jobType === 'netting') {
      // what stands on the pond now is written down for the next crew
      await page.getByText('Net, de-icer and the like').click()
      await page.getByLabel('Its name on the label').fill('Leaf net 6 × 8')
      await page.getByLabel('Where it is now').selectOption({ label: 'on the pond' })
      await page.getByRole('button', { name: 'Keep where it is' }).click()
      await expect(page.getByRole('list', { name: 'Seasonal gear' })).toContainText('Leaf net 6 × 8 on the pond')
    }
    await page.getByRole('button', { name: 'Finish the visit' }).click()
    await expect(page.getByRole('region', { name: new RegExp(`^${startTime}`) })).toContainText('done')
    await context.setOffline(false)
    await expect(page.getByText(/^All sent/)).toBeVisible({ timeout: 40_000 })
    await page.goto(visit)
    await page.getByRole('link', { name: 'Read the report' }).click()
    await expect(page.getByRole('heading', { name: 'What was done' })).toBeVisible()
    expect(errors.filter((e) => !/ERR_INTERNET_DISCONNECTED|Failed to fetch/.test(e))).toEqual([])
    await context.close()
  })

test('the field sheet in the sun: nothing serious, in the day and in a visit', async ({ browser, baseURL }) => {
  const page = await (await browser.newContext({ baseURL, viewport: PHONE, hasTouch: true })).newPage()
  await signInAs(page, 'technician')
  await page.goto('/field')
  await expect(page.getByText(/^All sent/)).toBeVisible()
  for (let i = 0; i < 2; i++) await page.getByRole('button', { name: /^Theme:/ }).click()
  await expect(page.locator('html')).toHaveAttribute('data-bs-theme', 'sun')
  expect(await seriousOn(page)).toEqual([])
  await page.reload()
  await expect(page.locator('html')).toHaveAttribute('data-bs-theme', 'sun')
})
