import { expect, test } from './drivers/test'
import { openTab } from './drivers/desk'
import { seriousOn } from './drivers/field-checks'
import { pondHref } from './drivers/plan-today'
import { signInAs } from './drivers/sign-in'
import { watchErrors } from './drivers/watch-errors'

test('green water on the undersized filter: diagnosed, acted on, its steps on the pond, and a visit of it on the season', async ({
  page,
}) => {
  test.setTimeout(120_000)
  const errors = watchErrors(page)
  await signInAs(page, 'owner')
  const pond = await pondHref(page, 'brewery')
  await page.goto(pond)
  await openTab(page, 'Water', 'Diagnose')
  await expect(page.getByRole('heading', { level: 2, name: 'Diagnose', exact: true })).toBeVisible()

  // nothing is suggested while nothing is reported; a picture says what is seen
  await expect(page.getByRole('region', { name: 'Next question' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Water colour' }).click()
  expect(await seriousOn(page)).toEqual([])
  await page.getByRole('button', { name: 'Green', exact: true }).click()
  await expect(page.getByRole('region', { name: 'Next question' }).getByRole('group')).toHaveCount(1)

  // the file knows already that the filter is too small, and how old its word is
  await page.getByText('All questions').click()
  const known = page.getByRole('group', { name: 'Is the filter smaller than the house method asks?' })
  await expect(known).toContainText('yes, by the saved filter')
  // what is seen at the water decides
  const answer = (question: string, word: 'Yes' | 'No') =>
    page.getByRole('group', { name: question }).last().getByRole('button', { name: word }).click()
  await answer('Is more fed than the fish eat in a few minutes?', 'No')
  await answer('Is the filter newer than ten weeks?', 'No')
  // the file counts the lamp's hours; it was changed yesterday
  await answer('Is its lamp past its hours?', 'No')
  await answer('Were all media cleaned, or the pond drained, in the last six weeks?', 'No')
  await expect(page.getByRole('region', { name: 'Answers so far' }).getByRole('listitem')).toHaveCount(5)
  const causes = page.getByRole('region', { name: 'Likely causes' })
  await expect(causes.getByRole('listitem').first()).toContainText('the filter is too small')
  await expect(causes.getByRole('listitem').first()).toContainText('Is the water green? yes')
  await expect(page.getByRole('region', { name: 'Next question' })).toBeVisible()
  expect(await seriousOn(page)).toEqual([])

  // acted on: dated steps, a date by which it should look better, and the steps on the pond's own list
  const todo = page.getByRole('region', { name: 'What to do' })
  await expect(todo).toContainText('It should improve between')
  await todo.getByRole('button', { name: 'Add these steps as follow-ups' }).click()
  await expect(todo.getByRole('status')).toContainText('Added to the pond’s follow-ups')
  await page.getByRole('button', { name: 'Partly improved' }).click()
  await expect(page.getByRole('button', { name: 'Partly improved' })).toHaveAttribute('aria-pressed', 'true')
  const flush = (await todo.getByRole('link', { name: 'Schedule: wetland flush' }).getAttribute('href'))!
  await page.goto(`${pond}/visits`)
  await expect(
    page.getByText('Check whether it is better: Green water: the filter is too small for what feeds the algae'),
  ).toBeVisible()

  // a visit for it, planned from the step, stands on the season
  await page.goto(flush)
  await page.getByLabel('Day', { exact: true }).fill(`${new Date().getUTCFullYear() + 1}-05-20`)
  await page.getByRole('button', { name: 'Schedule visit' }).click()
  await expect(page).not.toHaveURL(/plan\?job/, { timeout: 15_000 })
  await page.goto(`/season?year=${new Date().getUTCFullYear() + 1}`)
  await page.getByLabel('Find').fill('Brewery')
  await expect(page.getByRole('button', { name: /^Wetland flush at Brewery yard/ }).first()).toBeVisible()
  expect(errors).toEqual([])
})
