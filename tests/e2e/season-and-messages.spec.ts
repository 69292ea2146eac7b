import { type Page } from '@playwright/test'
import { expect, test } from './drivers/test'
import { openCustomer, openTab } from './drivers/desk'
import ICAL from 'ical.js'
import { signInAs } from './drivers/sign-in'
import { watchErrors } from './drivers/watch-errors'
import { goOnWhenAsked } from './drivers/go-on'

const events = (text: string) =>
  new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').map((e) => new ICAL.Event(e))

/** A planned cleanout of the coming season, on its ribbon. */
async function plannedCleanout(page: Page) {
  const year = new Date().getUTCFullYear()
  for (const y of [year + 1, year]) {
    await page.goto(`/season?year=${y}`)
    await page.getByLabel('Find').fill('Highcairn')
    const visit = page.getByRole('button', { name: /^Spring cleanout at Highcairn House/ })
    if ((await visit.count()) > 0) return visit.first()
  }
  throw new Error('No cleanout is planned at Highcairn House')
}

test('a visit is moved along its ribbon, told what it breaks; the calendar and the customer follow', async ({
  page,
  request,
}) => {
  test.setTimeout(120_000)
  const errors = watchErrors(page)
  await signInAs(page, 'office')

  // a link that needs no sign-in
  await page.goto('/import-export')
  await page.getByRole('button', { name: 'Create link' }).click()
  const link = await page.getByLabel('New calendar link').inputValue()
  const before = events(await (await request.get(link)).text())

  const visit = await plannedCleanout(page)
  const name = (await visit.getAttribute('aria-label'))!
  await visit.focus()
  await page.keyboard.press('Space')
  const said = page.locator('.drag-note')
  await page.keyboard.press('ArrowRight')
  await expect(said).toHaveText(/: (fits, |.*; (costs|saves|no extra cost))/)
  // ten weeks later the window is long over
  for (let i = 0; i < 9; i++) await page.keyboard.press('Shift+ArrowRight')
  await expect(said).toHaveText(/outside its window/)
  await page.keyboard.press('Escape')
  await expect(said).toHaveText('')
  await expect(page.getByRole('button', { name })).toBeVisible()

  // with the mouse: thirty days are thirty days of its ribbon's width, whatever part of it was taken hold of
  const [mark, ribbon] = [(await visit.boundingBox())!, (await visit.locator('xpath=..').boundingBox())!]
  const day = ribbon.width / 365
  // whole pixels, as a mouse has them; at its left edge, since the mark of a second day lies over the rest
  const at = (days: number) => Math.ceil(mark.x) + Math.round(days * day)
  await page.mouse.move(at(0), mark.y + mark.height / 2)
  await page.mouse.down()
  await page.mouse.move(at(15), mark.y + mark.height / 2, { steps: 4 })
  await page.mouse.move(at(30), mark.y + mark.height / 2 + 40, { steps: 4 })
  await expect(said).toHaveText(/outside its window|fits|costs|saves|no extra cost/)
  const DAY_MS = 86_400_000
  const dayOf = (text: string) => Date.parse(`${/(\d+ [A-Z][a-z]+)/.exec(text)![1]} 2027 UTC`) / DAY_MS
  expect(dayOf(await said.innerText()) - dayOf(/at [^,]*, ([^,]*),/.exec(name)![1]!)).toBe(30)
  await page.keyboard.press('Escape')
  await page.mouse.up()
  await expect(said).toHaveText('')
  await expect(page.getByRole('button', { name })).toBeVisible()

  // a week on, put down
  await goOnWhenAsked(page, /^(Move anyway|Revoke)$/)
  await page.getByRole('button', { name }).focus()
  await page.keyboard.press('Space')
  await expect(said).toHaveText(/fits, |costs|saves|no extra cost|window/)
  await page.keyboard.press('Shift+ArrowRight')
  await expect(said).toHaveText(/costs|saves|no extra cost/)
  await page.keyboard.press('Enter')
  // kept only once it can be taken back
  await expect(page.getByRole('button', { name: 'Undo' })).toBeVisible()
  await expect(page.getByRole('button', { name })).toHaveCount(0)
  await expect(page.getByRole('button', { name: /^Spring cleanout at Highcairn House/ })).toBeVisible()

  const after = events(await (await request.get(link)).text())
  const moved = after.filter((event) => {
    const was = before.find((b) => b.uid === event.uid)
    return was && was.sequence < event.sequence
  })
  expect(moved.length).toBeGreaterThan(0)
  // nothing fell out and nothing got a second name; other visits may be planned meanwhile
  expect(after.map((e) => e.uid)).toEqual(expect.arrayContaining(before.map((e) => e.uid)))
  expect(new Set(after.map((e) => e.uid)).size).toBe(after.length)

  // the customer is told, and the letter lies in the outbox
  await page.goto('/messages')
  const messagesBefore = (await (await request.get(`${process.env.MAIL_URL}/messages`)).json()).messages.length
  await page.getByRole('button', { name: /^Send to \d+ customers?$/ }).click()
  await expect(page.getByText(/messages? (is|are) being sent/)).toBeVisible()
  await expect(async () => {
    const { messages } = await (await request.get(`${process.env.MAIL_URL}/messages`)).json()
    expect(messages.length).toBeGreaterThan(messagesBefore)
    expect(messages[messages.length - 1].text).toMatch(/^Dear /)
  }).toPass({ timeout: 20_000 })
  // the outbox has a letter a moment before its state is written down
  await expect(async () => {
    await page.getByRole('button', { name: 'Refresh' }).click()
    await expect(page.getByText('sent', { exact: true }).first()).toBeVisible({ timeout: 2_000 })
  }).toPass({ timeout: 20_000 })

  // revoked, the link opens nothing
  await page.goto('/import-export')
  await page.getByRole('button', { name: 'Revoke link: whole company' }).click()
  await expect(page.getByRole('button', { name: 'Revoke link: whole company' })).toHaveCount(0)
  expect((await request.get(link)).status()).toBe(404)
  expect(errors).toEqual([])
})

test('a site gets its hours, days off and place; the map, equipment and wishes follow', async ({ page }) => {
  const errors = watchErrors(page)
  await signInAs(page, 'office')
  await openCustomer(page, 'Kelp Cottage')
  await page.getByText('Site details: Kelp Cottage').click()
  await page.getByLabel('Access from').fill('09:00')
  await page.getByLabel('Access until').fill('08:00')
  await page.getByRole('button', { name: 'Save site' }).click()
  await expect(page.getByText('The closing time is before the opening time.').first()).toBeVisible()
  await page.getByLabel('Access until').fill('15:00')
  await page.getByLabel('Wednesday').check()
  await page.getByRole('button', { name: 'Add period' }).click()
  await page.getByLabel('From (1)').fill('2027-07-01')
  await page.getByLabel('To (1)').fill('2027-07-14')
  await page.getByRole('button', { name: 'Save site' }).click()
  await expect(page.getByText('Saved. The next plan will use it.')).toBeVisible()

  await page.getByRole('link', { name: 'Walled pool', exact: true }).click()
  await openTab(page, 'Equipment')
  await page.getByText('Add equipment').click()
  await page.getByLabel('Name', { exact: true }).fill('Clarifier by the wall')
  await page.getByLabel('Installed on').fill('2025-01-10')
  await page.getByRole('button', { name: 'Save equipment' }).click()
  await expect(page.getByText('overdue')).toBeVisible()
  await page.getByRole('button', { name: 'Clarifier by the wall: serviced today' }).click()
  await expect(page.getByText('overdue')).toHaveCount(0)
  await openTab(page, 'Visits')
  await page.getByText('Add follow-up').click()
  await page.getByLabel('Task').fill('Reset the loose edge stone')
  await page.getByRole('button', { name: 'Save follow-up' }).click()
  await expect(page.getByText('Reset the loose edge stone')).toBeVisible()
  await page.getByRole('button', { name: 'Remove: Reset the loose edge stone' }).click()
  await expect(page.getByText('Reset the loose edge stone')).toHaveCount(0)

  await page.goto('/map')
  await expect(page.getByRole('region', { name: /^Map of \d+ sites/ })).toBeVisible()
  await expect(page.getByText('Cold Ash Common').first()).toBeVisible()
  expect(errors).toEqual([])
})
