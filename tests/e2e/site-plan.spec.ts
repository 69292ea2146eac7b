import { readFileSync } from 'node:fs'
import { type Locator, type Page } from '@playwright/test'
import DxfParser from 'dxf-parser'
import { expect, test } from './drivers/test'
import { openTab } from './drivers/desk'
import { signInAs } from './drivers/sign-in'
import { watchErrors } from './drivers/watch-errors'

const plan = (page: Page): Locator => page.getByRole('group', { name: 'Site plan, to scale' })
const onPlan = (page: Page, name: string | RegExp): Locator => plan(page).getByRole('button', { name, exact: true })
const figure = (page: Page, name: string): Locator => page.locator('dl.figures div', { hasText: name }).locator('dd')
const check = (page: Page, id: string): Locator => page.locator(`[data-check="${id}"]`)
const add = async (page: Page, kind: string) => {
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await page.getByRole('button', { name: kind, exact: true }).click()
}
const dragBy = async (page: Page, what: Locator, dx: number, dy: number) => {
  const box = (await what.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 + dx, box.y + box.height / 2 + dy, { steps: 8 })
  await page.mouse.up()
}

test('from a survey of the site to a set-out design and its drawings', async ({ page }) => {
  test.setTimeout(180_000)
  const errors = watchErrors(page)
  await signInAs(page, 'designer')
  await page.goto('/ponds')
  await page.getByRole('link', { name: 'Lower pond', exact: true }).click()

  // what is there: a level, two house corners, a tree, where dirty water may go, the supply
  await openTab(page, 'Survey', 'Site survey')
  await expect(page.getByText('Nothing is marked yet.')).toBeVisible()
  await add(page, 'Spot level')
  await page.getByLabel('Level over the waterline').fill('0.4 m')
  await add(page, 'Fixed point')
  await add(page, 'Fixed point')
  await page.getByLabel('Along the survey').fill('8 m')
  await add(page, 'Electrical supply')
  await add(page, 'Discharge area')
  await page.getByLabel('Along the survey').fill('14 m')
  await page.getByLabel('Across the survey').fill('0 m')
  await add(page, 'Tree')
  await page.getByLabel('Crown radius').fill('3 m')
  const leaves = figure(page, 'Leaves of the tree a year')
  const near = parseFloat((await leaves.textContent())!)
  // further away by mouse it sheds less into the pond; one step back brings it where it was
  await dragBy(page, onPlan(page, 'tree, crown 6 m'), -120, 0)
  await expect.poll(async () => parseFloat((await leaves.textContent())!)).toBeLessThan(near)
  await page.getByRole('button', { name: 'Undo', exact: true }).click()
  await expect.poll(async () => parseFloat((await leaves.textContent())!)).toBe(near)
  // by keys it moves by a step of the grid, and says where it is
  await onPlan(page, 'tree, crown 6 m').focus()
  const said = page.locator('.place-readout')
  const before = await said.textContent()
  await page.keyboard.press('ArrowLeft')
  await expect(said).not.toHaveText(before!)
  await expect(said).toContainText('from fixed point A')
  await page.getByRole('button', { name: 'Save site survey' }).click()
  await expect(page.getByText('Site survey saved')).toBeVisible()
  await page.reload()
  await expect(onPlan(page, 'tree, crown 6 m')).toBeVisible()

  // the design laid out on it: lift from the level, pipe from the route
  await openTab(page, 'Filter')
  await page.getByRole('navigation', { name: 'Design sections' }).getByRole('link', { name: 'Site plan' }).click()
  await page.getByRole('button', { name: 'Lay out on the site' }).click()
  await expect(figure(page, 'Lift, pond to bed')).toHaveText(/^0\.4\sm$/)
  await expect(check(page, 'site-levels')).toContainText('OK')
  const pipe = figure(page, 'Delivery pipe')
  const metres = async () => parseFloat((await pipe.textContent())!)
  const first = await metres()
  await dragBy(page, onPlan(page, 'Bed'), 100, 0)
  await expect.poll(metres).toBeGreaterThan(first)
  await page.getByRole('heading', { name: 'Filter design' }).click()
  await page.keyboard.press('Control+z')
  await expect.poll(metres).toBe(first)

  // into the pond it cannot go
  await dragBy(page, onPlan(page, 'Bed'), -180, 0)
  await expect(check(page, 'site-clearances')).toContainText('Bed crosses the pond')
  await page.getByRole('heading', { name: 'Filter design' }).click()
  await page.keyboard.press('Control+z')
  await expect(check(page, 'site-clearances')).toContainText('OK')

  // a corner drawn out of the pipe is a bend more
  await expect(pipe).toContainText('2 bends')
  await onPlan(page, 'Delivery pipe').focus()
  await onPlan(page, 'Delivery pipe, add a corner after 2').press('Enter')
  await dragBy(page, onPlan(page, 'Delivery pipe, corner 3'), 0, 60)
  await expect(pipe).toContainText('3 bends')

  // a stream back to the pond, with its water and its fall
  await page.getByRole('button', { name: 'Add a stream' }).click()
  await expect(figure(page, 'Stream')).toContainText('of water')
  await page.getByLabel('Fall at 1').fill('900 mm')
  await expect(check(page, 'site-stream')).toContainText('Stop')
  await page.getByLabel('Fall at 1').fill('150 mm')
  await expect(check(page, 'site-stream')).toContainText('OK')

  // a kidney is smaller than its box, and everything goes by it
  const areaText = async () => (await check(page, 'house-size').textContent())!
  const rectangle = await areaText()
  await page.getByLabel('Shape of the bed').selectOption({ label: 'Kidney' })
  await expect.poll(areaText).not.toBe(rectangle)

  // what the plan decides is not typed elsewhere
  await page.getByRole('navigation', { name: 'Design sections' }).getByRole('link', { name: 'Pump and pipes' }).click()
  await expect(page.getByLabel('Length', { exact: true })).toBeDisabled()
  await page.getByRole('navigation', { name: 'Design sections' }).getByRole('link', { name: 'Site plan' }).click()

  // set out by tape, and kept
  const table = page.locator('table', { hasText: 'From A' })
  await expect(table.getByRole('row', { name: /Bed corner 4/ })).toBeVisible()
  await page.getByRole('button', { name: /Save as version/ }).click()
  await expect(page.getByText('Opened from version 1.')).toBeVisible()

  // drawings: the site plan to scale, dimensions that measure, all of it in one file
  await page.getByRole('navigation', { name: 'Design sections' }).getByRole('link', { name: 'Drawings' }).click()
  await page.getByLabel('Drawing', { exact: true }).selectOption({ label: 'Site plan' })
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export DXF' }).click(),
  ])
  const dxf = new DxfParser().parseSync(readFileSync((await download.path())!, 'utf8'))!
  expect(dxf.entities.filter((e) => e.type === 'DIMENSION').length).toBeGreaterThanOrEqual(2)
  const set = await page.getByRole('link', { name: 'Drawing set (PDF)' }).getAttribute('href')
  const pdf = await page.request.get(set!)
  expect(pdf.headers()['content-type']).toBe('application/pdf')
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-')

  // the pond's own page shows it from above
  await openTab(page, 'Overview')
  await expect(page.getByRole('img', { name: 'Site plan, to scale' })).toBeVisible()
  expect(errors).toEqual([])
})
