import { expect, test } from './drivers/test'
import { openTab } from './drivers/desk'
import { seriousOn } from './drivers/field-checks'
import { planToday, pondHref } from './drivers/plan-today'
import { signInAs } from './drivers/sign-in'
import { watchErrors } from './drivers/watch-errors'

test('all ponds forecast on demand, followed to the end; the worst leads to its outlook, and from there to a visit', async ({
  page,
}) => {
  test.setTimeout(180_000)
  const errors = watchErrors(page)
  await signInAs(page, 'owner')
  // whatever the season: nitrite was found high at a pond with many goldfish this morning
  const logged = await page.request.post(`/api/v1${await pondHref(page, 'weir%20garden')}/readings`, {
    data: {
      at: new Date(Date.now() - 60_000).toISOString(),
      method: 'drops',
      confirmedUnlikely: true,
      readings: { nitrite: { value: 2.5, belowStep: false } },
    },
  })
  expect(logged.status(), await logged.text()).toBe(200)
  await page.goto('/forecasts')
  const run = page.getByRole('region', { name: 'Latest forecast', exact: true })
  const ask = run.getByRole('button', { name: 'Forecast all ponds now' })
  // the night's own may still be under way
  await expect(ask).toBeVisible({ timeout: 120_000 })
  await ask.click()
  await expect(run.getByRole('progressbar', { name: 'Ponds forecast' })).toBeVisible()
  await expect(run.getByText(/^Calculated .* \d+ of \d+ ponds\.$/)).toBeVisible({ timeout: 120_000 })
  const [, done, of] = /(\d+) of (\d+) ponds/.exec((await run.textContent())!)!
  expect(Number(of)).toBeGreaterThan(40)
  expect(done).toBe(of)

  // it is among the risks at once, and Today names it too
  const risks = page.getByRole('region', { name: 'Ponds at risk' })
  const risk = risks.getByRole('listitem').filter({ hasText: 'Weir House: Weir garden pond' })
  await expect(risk).toContainText(/Nitrite: above .* in \d+ % of runs/)
  // told by how far it looked ahead, with what it stands on, and that these ponds are invented
  const accuracy = page.getByRole('region', { name: 'Forecast accuracy' })
  await expect(accuracy.getByRole('rowheader', { name: 'Water temperature' })).toBeVisible()
  await expect(accuracy.getByRole('cell', { name: '11–21' }).first()).toBeVisible()
  await expect(accuracy).toContainText(/\d+ of them had no forecast at the time/)
  await expect(accuracy.getByRole('alert')).toContainText('these ponds are invented')
  expect(await seriousOn(page)).toEqual([])
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Risks in the next three weeks' })).toBeVisible()
  await page.locator('a[href$="/forecast"]', { hasText: 'Weir House: Weir garden pond' }).click()

  await expect(page.getByRole('heading', { level: 2, name: 'Forecast', exact: true })).toBeVisible()
  // nothing flat is drawn: what hardly changes is one figure, and its chart is a press away
  const weeks = page.getByRole('region', { name: 'Forecast for the coming weeks' })
  await expect(weeks.getByRole('heading', { name: 'Hardly changes' })).toBeVisible()
  const steady = await weeks.getByRole('listitem').count()
  expect(steady).toBeGreaterThan(0)
  await expect(weeks.locator('figure')).toHaveCount(8 - steady)
  await weeks.getByRole('button', { name: 'Show these charts too' }).click()
  await expect(weeks.locator('figure')).toHaveCount(8)
  expect(await seriousOn(page)).toEqual([])
  await page.getByRole('link', { name: 'Schedule a visit' }).click()
  await expect(page).toHaveURL(/\/plan\?job=/)
  // and the crew that goes there has it on the field sheet
  await page.goto(await planToday(page, 'winter-check', '01:10', 'weir%20garden', 'Newt'))
  await expect(page.getByRole('region', { name: 'Forecast' })).toContainText(/Nitrite: above/)
  for (const theme of ['light', 'dark', 'sun']) {
    await page.evaluate((t) => (document.documentElement.dataset.bsTheme = t), theme)
    expect(await seriousOn(page, theme !== 'light'), theme).toEqual([])
  }
  await page.goto(await pondHref(page, 'lanternhouse'))
  await openTab(page, 'Water', 'Forecast')
  await expect(page.getByRole('region', { name: 'Risks' })).toBeVisible()
  expect(errors).toEqual([])
})
