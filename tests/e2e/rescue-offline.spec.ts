import { expect, test } from './drivers/test'
import sharp from 'sharp'
import { keptOnDevice, PHONE, StepAtHand } from './drivers/field'
import { seriousOn, smallTargets } from './drivers/field-checks'
import { crewOf, pondHref } from './drivers/plan-today'
import { leadOf, signInAs, signInWith } from './drivers/sign-in'
import { watchErrors } from './drivers/watch-errors'
import { PACK_FORMAT } from '../../src/domain/field/field-pack'

const CREW = 'Kingfisher'
/** Tests of a pond that was left alone for years, stage by stage as it mends. */
const STAGES = [
  { 'Total ammonia (TAN)': '1.6', Nitrite: '0.4', KH: '2', pH: '7.6', 'Dissolved oxygen': '5.6' },
  { 'Total ammonia (TAN)': '0.8', Nitrite: '0.3', KH: '3', pH: '7.6', 'Dissolved oxygen': '7' },
  { 'Total ammonia (TAN)': '0.2', Nitrite: '0.05', KH: '4', pH: '7.7', 'Dissolved oxygen': '8.5' },
]

test('the neglected pond is mended over three visits without signal, with its stops', async ({ browser, baseURL }) => {
  test.setTimeout(300_000)
  const image = await sharp({ create: { width: 900, height: 700, channels: 3, background: { r: 60, g: 80, b: 50 } } })
    .jpeg()
    .toBuffer()
  const desk = await (await browser.newContext({ baseURL })).newPage()
  await signInAs(desk, 'office')
  const pond = await pondHref(desk, 'foxholt')
  const { crewId, today } = await crewOf(desk, CREW)
  const planned = await desk.request.post(`/api/v1${pond}/rescue`, {
    data: {
      first: today,
      crewId,
      startTime: '09:00',
      tan: 1.6,
      nitrite: 0.4,
      ph: 7.6,
      khDH: 2,
      ghDH: 9,
      fillPh: 7.6,
      fillKhDH: 6,
      oxygenMgL: 5.6,
      hasMedia: false,
      rockSections: 1,
    },
  })
  expect(planned.status(), await planned.text()).toBe(200)
  expect(await planned.json()).toMatchObject({ visits: 3 })

  const context = await browser.newContext({ baseURL, viewport: PHONE, hasTouch: true })
  const page = await context.newPage()
  const errors = watchErrors(page)
  await signInWith(page, leadOf(CREW))
  await keptOnDevice(page)
  const { visits } = await (await page.request.get(`/api/v1/field/pack?format=${PACK_FORMAT}`)).json()
  const stages = visits
    .map((v: { visit: { id: string; job: { key: string } } }) => v.visit)
    .filter((v: { job: { key: string } }) => v.job.key.startsWith('rescue-'))
  expect(stages.map((v: { job: { key: string } }) => v.job.key)).toEqual([
    'rescue-floor',
    'rescue-strainers',
    'rescue-rocks',
  ])

  await context.setOffline(true)
  for (const [i, tests] of STAGES.entries()) {
    await page.goto(`/field?visit=${stages[i].id}`)
    // what this stage is to do, and what stops it
    await expect(
      page.getByText(
        new RegExp(
          `^Rescue, stage ${i + 1} of 3\\. .*No feed\\. Change at most .*Stop and aerate while oxygen is below 5 mg/L`,
        ),
      ),
    ).toBeVisible()
    await page.getByRole('button', { name: 'Start visit' }).click()
    const step = new StepAtHand(page)
    for (let n = 0; n < 40; n++) {
      await expect(step.card.or(page.getByText('All steps are done')).first()).toBeVisible()
      if (await page.getByText('All steps are done').isVisible()) break
      const title = await step.title()
      if (title === 'Siphon the open floor only') {
        // the sludge smells: the step stops, and the crew leaves it
        await step.card.getByRole('radio', { name: 'Smell of rotten eggs' }).check()
        await expect(step.card.getByRole('alert')).toContainText('Stop: leave the sediment alone')
        expect(await smallTargets(page)).toEqual([])
        expect(await seriousOn(page)).toEqual([])
        await expect(step.card.getByRole('button', { name: 'Done', exact: true })).toBeDisabled()
        await step.leaveOut('Smelled at the second metre: air on, stepped back')
        await expect(step.card.getByRole('heading', { name: title, exact: true })).toHaveCount(0)
      } else if (title === 'Raise KH in steps') {
        const rise = step.card.getByLabel(/^KH rise/)
        // too much for one day stops
        await rise.fill('3')
        await expect(step.card.getByRole('alert')).toContainText('Stop: do not raise KH yet.')
        await expect(step.card.getByRole('button', { name: 'Done', exact: true })).toBeDisabled()
        await rise.fill('1')
        await expect(step.card.getByText('Safe', { exact: true })).toBeVisible()
        await step.done()
        await expect(step.card.getByRole('heading', { name: title, exact: true })).toHaveCount(0)
      } else await step.answer(image, { ...tests, 'Water changed': '0.5' })
    }
    await page.getByRole('button', { name: 'Finish visit' }).click()
    await expect(page.getByText(/No signal/)).toBeVisible()
  }
  await context.setOffline(false)
  // it goes out by itself; a device that just finished goes on to the report
  await expect(page.getByText(/^All sent/).or(page.getByRole('heading', { name: 'Work done' }))).toBeVisible({
    timeout: 60_000,
  })

  // the reports say what was stopped, the pond has its tests, and the next ones are asked for
  await desk.goto(`/visits/${stages[0].id}/report`)
  await expect(desk.getByText(/Skipped: Siphon the open floor only \(Smelled at the second metre/)).toBeVisible()
  await desk.goto(`/visits/${stages[2].id}/report`)
  await expect(desk.getByRole('heading', { name: 'Work done' })).toBeVisible()
  await desk.goto(`${pond}/water`)
  await expect(desk.getByRole('row', { name: /Total ammonia/ })).toContainText('0.2')
  await desk.goto(`${pond}/visits`)
  await expect(desk.getByText(/Test after the last stage of the rescue \(1 of 2\)/)).toBeVisible()
  expect(errors.filter((e) => !/ERR_INTERNET_DISCONNECTED|Failed to fetch/.test(e))).toEqual([])
  await context.close()
})
