import { type Page } from '@playwright/test'
import { expect, test } from './drivers/test'
import { openTab } from './drivers/desk'
import { addDays, mondayOf } from '../../src/core/numeric/calendar'
import { signInAs } from './drivers/sign-in'
import { watchErrors } from './drivers/watch-errors'
import { goOnWhenAsked } from './drivers/go-on'

test('from a service plan to a season that is worked out, looked at, and taken over', async ({ page }) => {
  test.setTimeout(180_000)
  const errors = watchErrors(page)
  await signInAs(page, 'office')

  // what the customer agrees to: begun from a usual plan, changed, a mistake named
  await page.goto('/ponds')
  await page.getByRole('link', { name: 'Lark pool', exact: true }).click()
  await openTab(page, 'Visits', 'Service plan')
  await page.getByRole('button', { name: 'Full care' }).click()
  await page.getByLabel('Visit 2: to, month-day').fill('15-02')
  await page.getByRole('button', { name: 'Save service plan' }).click()
  await expect(page.getByText('Enter month and day like 04-15.').first()).toBeVisible()
  await page.getByLabel('Visit 2: to, month-day').fill('10-01')
  await page.getByLabel('Visit 2: interval, days').fill('21')
  await page.getByRole('button', { name: 'Save service plan' }).click()
  await expect(page.getByText('Saved. The next plan will use it.')).toBeVisible()

  // a plan of the year, worked out by a worker
  await page.goto('/planning')
  await page.getByRole('button', { name: 'Build plan' }).click()
  const plan = page.getByRole('region', { name: 'The plan' })
  await expect(plan).toBeVisible({ timeout: 90_000 })
  await expect(plan.getByRole('heading')).toHaveText(/\d+ new visits, \d+ moved/)
  await expect(plan.getByText(/Checked automatically/)).toBeVisible()
  await expect(plan.getByText(/by straight lines/)).toHaveCount(0)
  await expect(plan.getByRole('img', { name: /Hours of work against crew hours by week/ }).locator('svg')).toBeVisible()

  // one week is left out, the rest taken over
  const changes = page.getByRole('region', { name: 'Changes', exact: true })
  const all = Number(/(\d+) new visits/.exec((await plan.getByRole('heading').textContent())!)![1])
  await changes
    .getByRole('checkbox', { name: /^Select the week of/ })
    .first()
    .uncheck()
  const take = changes.getByRole('button', { name: /^Accept \d+ visits?$/ })
  await expect(take).toBeVisible()
  await take.click()
  const told = page.getByText(/^\d+ visits? accepted\.$/)
  await expect(told).toBeVisible({ timeout: 60_000 })
  expect(Number(/\d+/.exec((await told.textContent())!)![0])).toBeLessThanOrEqual(all + 50)

  // what was taken over is planned: asked again, only what was left out is new
  await page.getByRole('button', { name: 'Build plan' }).click()
  await expect(plan).toBeVisible({ timeout: 90_000 })
  const again = /(\d+) new visits/.exec((await plan.getByRole('heading').textContent()) ?? '')
  expect(again ? Number(again[1]) : 0).toBeLessThan(all / 2)
  // what is agreed and due later is not silently dropped
  await expect(
    page
      .getByRole('region', { name: 'Due later' })
      .getByRole('listitem')
      .or(page.getByText('Agreed visits that fall due'))
      .first(),
  ).toBeVisible()
  expect(errors).toEqual([])
})

/** Everything that stands on the rounds of a week: its card's name by the day it lies on. */
async function stopsOf(page: Page, monday: string): Promise<string[]> {
  await page.goto(`/rounds?day=${monday}`)
  await expect(page.locator('[data-cell]').first()).toBeVisible()
  return page
    .locator('[data-cell]')
    .evaluateAll((cells) =>
      cells.flatMap((cell) =>
        [...cell.querySelectorAll('.stop-card.planned')].map(
          (card) => `${cell.getAttribute('data-cell')} ${card.getAttribute('aria-label')}`,
        ),
      ),
    )
}

test('ten dates promised in February stay where they are when a crew falls sick in April', async ({ page }) => {
  test.setTimeout(240_000)
  const errors = watchErrors(page)
  await signInAs(page, 'office')
  // the season stands already; the week of it with the most visits
  const year = new Date().getUTCFullYear() + 1
  const weeks = [`${year}-04-05`, `${year}-04-12`, `${year}-04-19`, `${year}-04-26`].map((day) => mondayOf(day))
  let week = { monday: '', stops: [] as string[] }
  for (const monday of weeks) {
    const stops = await stopsOf(page, monday)
    if (stops.length > week.stops.length) week = { monday, stops }
  }
  expect(week.stops.length).toBeGreaterThanOrEqual(10)

  // promised one by one
  const promised = week.stops.slice(0, 10)
  await page.goto(`/rounds?day=${week.monday}`)
  const chosen = page.getByRole('dialog', { name: 'Selected visit' })
  for (const stop of promised) {
    const [crewId, day, ...name] = stop.split(' ')
    const card = page.locator(`[data-cell="${crewId} ${day}"]`).getByRole('button', { name: name.join(' ') })
    await card.click()
    await chosen.getByLabel('Promised to the customer').check()
    await chosen.getByRole('button', { name: 'Move visit' }).click()
    await expect(chosen).toHaveCount(0)
    await expect(card).toContainText('promised')
  }

  // the crew of the first one that was not promised is away all week
  const others = week.stops.slice(10)
  const away = (others[0] ?? promised[0])!.split(' ')[0]!
  await page.goto('/planning')
  await page.locator('summary', { hasText: 'Re-plan' }).click()
  await page.getByLabel('Event', { exact: true }).selectOption({ label: 'Crew absent' })
  await page.getByLabel('Crew', { exact: true }).selectOption(away)
  await page.getByLabel('First day').fill(week.monday)
  await page.getByLabel('Last day').fill(addDays(week.monday, 4))
  await page.getByRole('button', { name: 'Re-plan' }).click()
  const plan = page.getByRole('region', { name: 'The plan' })
  await expect(plan.getByText(/ absent\./)).toBeVisible({ timeout: 90_000 })
  const changes = page.getByRole('region', { name: 'Changes', exact: true })
  if ((await changes.count()) > 0) {
    await changes.getByRole('button', { name: /^Accept (all|\d+) visits?$/ }).click()
    await expect(page.getByText(/^\d+ visits? accepted\.$/)).toBeVisible({ timeout: 60_000 })
  }

  // what was promised with another crew is where it was; of the sick crew's nothing is left there
  const after = await stopsOf(page, week.monday)
  for (const stop of promised) if (!stop.startsWith(away)) expect(after).toContain(stop)
  expect(after.filter((stop) => stop.startsWith(away)).length).toBeLessThan(
    Math.max(1, week.stops.filter((stop) => stop.startsWith(away)).length),
  )
  expect(errors).toEqual([])
})

// here and not in a file of its own: two files run side by side, and a plan taken over in one would be stale in the
// other
test('two days of rain are re-planned, and part of what changes is taken over', async ({ page }) => {
  test.setTimeout(180_000)
  const errors = watchErrors(page)
  await signInAs(page, 'office')
  await page.goto('/planning')
  await page.locator('summary', { hasText: 'Re-plan' }).click()
  const spring = `${new Date().getUTCFullYear() + 1}-04-0`
  await page.getByLabel('First day').fill(`${spring}6`)
  await page.getByLabel('Last day').fill(`${spring}7`)
  await page.getByRole('button', { name: 'Re-plan' }).click()
  const plan = page.getByRole('region', { name: 'The plan' })
  await expect(plan.getByText(/Rain or storm\./)).toBeVisible({ timeout: 90_000 })
  const changes = page.getByRole('region', { name: 'Changes', exact: true })
  if ((await changes.count()) > 0) {
    await expect(changes.locator('td:nth-child(2)').filter({ hasText: /\b[67] Apr\b/ })).toHaveCount(0)
    // part of it: one change is left out where there are several
    const each = changes.getByRole('checkbox', { name: / at / })
    if ((await each.count()) > 1) await each.first().uncheck()
    await changes.getByRole('button', { name: /^Accept (all|\d+) visits?$/ }).click()
    await expect(page.getByText(/^\d+ visits? accepted\.$/)).toBeVisible({ timeout: 30_000 })
  } else await expect(plan.getByRole('heading')).toHaveText('No changes')
  expect(errors).toEqual([])
})

test('what-ifs: a late spring and a crew away, stopped early with the best so far', async ({ page }) => {
  test.setTimeout(120_000)
  const errors = watchErrors(page)
  await signInAs(page, 'owner')
  await page.goto('/planning')
  await page.getByLabel('Late season (days)').fill('14')
  for (const crew of ['Otter', 'Newt', 'Kingfisher']) await page.getByLabel(`Without crew ${crew}`).check()
  await page.getByRole('button', { name: 'Build plan' }).click()
  await expect(page.getByText('There is no crew to plan for.').first()).toBeVisible()
  await page.getByLabel('Without crew Otter').uncheck()
  await page.getByRole('button', { name: 'Build plan' }).click()
  // once a worker has it
  await expect(page.getByText(/^\d+ %$/)).toBeVisible({ timeout: 30_000 })
  await page.getByRole('button', { name: 'Stop and show best so far' }).click()
  const plan = page.getByRole('region', { name: 'The plan' })
  await expect(plan.getByText(/What if: season 14 days late, without/)).toBeVisible({ timeout: 60_000 })
  expect(errors).toEqual([])
})

test('what a crew may do is set under People', async ({ page }) => {
  const errors = watchErrors(page)
  await signInAs(page, 'office')
  await page.goto('/people')
  await page.getByRole('region', { name: 'Crews' }).getByText('Newt', { exact: true }).click()
  await page.getByLabel('Newt: days off (2027-04-09, 2027-04-10)').fill('2027-13-01')
  await page.getByRole('button', { name: 'Save Newt' }).click()
  await expect(page.getByText('That date does not exist.').first()).toBeVisible()
  await page.getByLabel('Newt: days off (2027-04-09, 2027-04-10)').fill('2027-04-09')
  await page.getByRole('button', { name: 'Save Newt' }).click()
  await expect(page.getByText('Saved.')).toBeVisible()
  expect(errors).toEqual([])
})

test('a visit is dragged to another day, judged while it hangs, and taken back', async ({ page }) => {
  test.setTimeout(90_000)
  const errors = watchErrors(page)
  await signInAs(page, 'office')
  const card = page.locator('.stop-card.planned').first()
  // whichever week of spring the plan has put work into
  for (const day of [
    '2027-03-29',
    '2027-04-05',
    '2027-04-12',
    '2027-04-19',
    '2027-04-26',
    '2027-03-22',
    '2027-05-03',
  ]) {
    await page.goto(`/rounds?day=${day}`)
    await expect(page.getByRole('region', { name: 'Crews and days' })).toBeVisible()
    if ((await card.count()) > 0) break
  }
  const name = (await card.getAttribute('aria-label'))!
  const from = (await card.locator('xpath=..').getAttribute('data-cell'))!
  const target = page.locator(`[data-cell^="${from.slice(0, 36)} "]`).nth(4)
  const to = (await target.getAttribute('data-cell'))!
  await card.hover()
  await page.mouse.down()
  const box = (await target.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + 20, { steps: 12 })
  await expect(target.getByText(/^(Fits; |Conflicts: )/)).toBeVisible()
  await goOnWhenAsked(page, /^Move anyway$/)
  await page.mouse.up()
  await expect(
    page
      .locator(`[data-cell="${to}"]`)
      .getByRole('button', { name: name.split(',')[0] })
      .first(),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.locator(`[data-cell="${from}"]`).getByRole('button', { name })).toBeVisible()

  // by keyboard alone: lift, carry one day on, put down, or back with Escape
  await page.locator(`[data-cell="${from}"]`).getByRole('button', { name }).focus()
  await page.keyboard.press('Space')
  const spoken = page.locator('[id^="DndLiveRegion"]')
  // it hangs over its own day at first; every place is spoken of by name
  const OVER = /, over crew \w+, \w+day, \d+ \w+ \d{4}$/
  await expect(spoken).toHaveText(OVER)
  const own = await spoken.innerText()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByText(/^(Fits; |Conflicts: )/)).toBeVisible()
  await expect(spoken).not.toHaveText(own)
  await expect(spoken).toHaveText(OVER)
  await page.keyboard.press('Escape')
  await expect(spoken).toHaveText(/, stays where it was$/)
  await expect(page.locator(`[data-cell="${from}"]`).getByRole('button', { name })).toBeVisible()

  // why it stands where it does
  await page.locator(`[data-cell="${from}"]`).getByRole('button', { name }).click()
  await page.getByText('Why this day and crew').click()
  const why = page.getByRole('list', { name: 'Why this day and crew' })
  await expect(why.getByText(/^Window \d+ \w+ – \d+ \w+; /)).toBeVisible()
  await expect(why.getByText(/^It (could start up to|adds) /).first()).toBeVisible()
  await page.getByRole('dialog', { name: 'Selected visit' }).getByRole('button', { name: 'Close' }).click()
  expect(errors).toEqual([])
})
