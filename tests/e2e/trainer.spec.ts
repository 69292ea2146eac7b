import { type Page } from '@playwright/test'
import { expect, test } from './drivers/test'
import { openFromMenu } from './drivers/desk'
import { seriousOn } from './drivers/field-checks'
import { emailOf, signInAs, signInByForm } from './drivers/sign-in'
import { watchErrors } from './drivers/watch-errors'

const KNOWN_YEAR = 2

const goHome = async (page: Page, week: number, of: number) => {
  await page.getByRole('button', { name: 'Finish visit: a week passes' }).click()
  if (week < of) await expect(page.getByText(`Week ${week + 1} of ${of}`)).toBeVisible()
}

test('a technician plays the spring rush to its debrief: looks, tests, chooses, asks, is told no, comes back, and plays the year again', async ({
  page,
}) => {
  test.setTimeout(180_000)
  const errors = watchErrors(page)
  await signInByForm(page, emailOf('technician'))
  await openFromMenu(page, 'Water', 'Training pond')
  const scenario = page.getByRole('region', { name: 'The spring rush on one pond' })
  await expect(scenario).toContainText('not finished yet')
  await scenario.getByRole('button', { name: 'Start' }).click()
  await expect(page.getByText('Week 1 of 13')).toBeVisible()
  // begun anew in a year that is known: no ice in its first week
  const begun = await page.request.post('/api/v1/trainer-games', {
    data: { scenario: 'spring-rush', seed: KNOWN_YEAR },
  })
  await page.goto(`/trainer/${(await begun.json()).id}`)

  // the first morning: only what an eye sees
  const pond = page.getByRole('region', { name: 'Pond' })
  await expect(pond.getByRole('img', { name: /no water falls from the bed/ })).toBeVisible()
  await expect(pond).toContainText('The pump is off. No water is falling.')
  await expect(page.getByText('60 min left')).toBeVisible()
  expect(await seriousOn(page)).toEqual([])

  // a test takes its time and shows what it can show
  const tests = page.getByRole('region', { name: 'Tests' })
  await tests.getByRole('button', { name: /Nitrite/ }).click()
  await expect(tests.getByText(/mg\/L/)).toBeVisible()
  await expect(page.getByText('55 min left')).toBeVisible()

  // too much for an hour is refused before it is done
  const tasks = page.getByRole('region', { name: 'Tasks' })
  await tasks.getByRole('tab', { name: 'The floor' }).click()
  await tasks.getByRole('button', { name: /the whole floor/ }).click()
  await expect(page.getByText('That takes 95 minutes; you have 60. Leave something for next week.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Finish visit: a week passes' })).toBeDisabled()
  await tasks.getByRole('button', { name: 'Remove: Lift sludge off the floor' }).click()

  // the foreman knows, at a price
  await page.getByRole('button', { name: 'Ask the foreman' }).click()
  await expect(page.getByRole('region', { name: 'The foreman' })).toContainText('First the pump')
  await page.getByRole('button', { name: 'Plan the visit like that' }).click()
  await expect(page.getByRole('list', { name: 'Chosen for this visit' })).toContainText('Pump: started')

  // loaded anew, nothing is lost and nothing is unasked: tests, tasks and the question stay with this visit
  const keptVisit = async () => (await page.evaluate(() => JSON.stringify(window.localStorage))).includes('pump')
  await expect.poll(keptVisit).toBe(true)
  await page.reload()
  await expect(page.getByRole('list', { name: 'Chosen for this visit' })).toContainText('Pump: started')
  await expect(page.getByRole('region', { name: 'The foreman' })).toContainText('Hearing it again costs nothing.')
  await expect(tests.getByText(/mg\/L/).first()).toBeVisible()
  await goHome(page, 1, 13)
  await expect(pond.getByRole('img', { name: /water falls from the bed/ })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Notebook' })).toContainText('Pump: started')

  // what is on cannot be put on again; a bed that works is left alone
  await tasks.getByRole('tab', { name: 'Equipment' }).click()
  await expect(tasks.getByRole('group', { name: 'Pump' }).getByRole('button')).toHaveText([/stopped/])
  await tasks.getByRole('tab', { name: 'Plants and algae' }).click()
  await tasks.getByRole('button', { name: /the bed’s, four fifths/ }).click()
  await goHome(page, 2, 13)

  // the season is kept: it goes on where it was left
  await page.goto('/trainer')
  await scenario.getByRole('link', { name: 'Continue: week 3 of 13' }).click()
  await expect(page.getByText('Week 3 of 13')).toBeVisible()
  for (let week = 3; week <= 13; week++) await goHome(page, week, 13)

  // the debrief: points, four ways through the same year, other years, and what could not be seen
  const score = page.getByRole('region', { name: 'Your score' })
  await expect(score).toContainText(/\d+ of 100 points/, { timeout: 30_000 })
  await expect(score).toContainText('This is your first season here.')
  const counted = page.getByRole('region', { name: 'Score by part' })
  for (const way of ['Your season', 'By the house rules', 'Nothing done', 'Feed early, clean late'])
    await expect(counted).toContainText(way)
  await expect(counted.getByRole('row', { name: /Questions to the foreman/ })).toContainText('−2')
  const points = (
    await counted
      .getByRole('row', { name: /^Points/ })
      .getByRole('cell')
      .allTextContents()
  ).map(Number)
  expect(points[1], 'the house does better than nothing done').toBeGreaterThan(points[2]! + 20)
  await expect(
    page.getByRole('region', { name: 'The same year in four ways' }).getByRole('img', { name: /Bacteria in the bed/ }),
  ).toBeVisible()
  await expect(page.getByRole('region', { name: 'Week by week' }).getByRole('row')).toHaveCount(14)
  expect(await seriousOn(page)).toEqual([])
  const luck = page.getByRole('region', { name: 'Judgement or luck' })
  await luck.getByRole('button', { name: 'Try 20 other years' }).click()
  // stopped at once, it tells of the years it has
  await luck.getByRole('button', { name: 'Stop' }).click()
  await expect(luck).toContainText(/of \d+ other years? the same choices|in \d+ of \d+ other years?/, { timeout: 30_000 })
  await expect(luck.getByRole('status')).toContainText(/\d+ runs of each option/)

  // progress is the person's own, and the team sees it
  await page.getByRole('link', { name: 'Trainer' }).first().click()
  await expect(scenario).toContainText(/best of one season: \d+ points/)
  await expect(page.getByRole('region', { name: 'Team scores' })).toContainText('You')

  // the same year can be tried again
  await scenario.getByRole('link', { name: /points/ }).click()
  await page.getByRole('button', { name: 'Play the same year again' }).click()
  await expect(page.getByText('Week 1 of 13')).toBeVisible()
  expect(errors).toEqual([])
})

test('a week that cannot be kept without a connection is not lost', async ({ page, context }) => {
  await signInAs(page, 'office')
  await page.goto('/trainer')
  await page.getByRole('region', { name: 'Through the winter' }).getByRole('button', { name: 'Start' }).click()
  await page.getByRole('region', { name: 'Tests' }).getByRole('button', { name: /KH/ }).click()
  await context.setOffline(true)
  await page.getByRole('button', { name: 'Finish visit: a week passes' }).click()
  await expect(page.getByText('No connection. Nothing was saved; your entries are still here.')).toBeVisible()
  await expect(page.getByText('87 min left')).toBeVisible()
  await context.setOffline(false)
  await goHome(page, 1, 28)
  await expect(page.getByRole('region', { name: 'Notebook' })).toContainText('KH')
})
