import { execFileSync } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import { type Locator, type Page } from '@playwright/test'
import { openTab } from './drivers/desk'
import { signInAs } from './drivers/sign-in'
import { expect, test } from './drivers/test'
import { watchErrors } from './drivers/watch-errors'

const part = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Design sections' }).getByRole('link', { name, exact: true }).click()
const check = (page: Page, id: string): Locator => page.locator(`[data-check="${id}"]`)
const apply = async (page: Page, id: string) => {
  await check(page, id).locator('summary').click()
  await check(page, id).getByRole('button', { name: 'Apply' }).click()
}
const openDesign = async (page: Page, search: string, pondName: string): Promise<void> => {
  await page.goto('/ponds')
  await page.getByRole('searchbox').first().fill(search)
  await page.getByRole('link', { name: pondName, exact: true }).first().click()
  await openTab(page, 'Filter')
  await expect(page.getByRole('region', { name: 'Checks' })).toBeVisible()
}

test('a train from a lamp before its screen to the register of a filter that is built', async ({ page }) => {
  test.setTimeout(120_000)
  const errors = watchErrors(page)
  await signInAs(page, 'designer')
  await openDesign(page, 'Farm reserve', 'Reserve pond')
  await page.getByLabel('Filter type').selectOption({ label: 'Lined upflow wetland' })

  // a lamp, and a drum behind it in the pumped line: the wrong way round
  await part(page, 'Filter train')
  await page.getByLabel('Add equipment').selectOption({ label: 'UV clarifier' })
  await page.getByLabel('Add equipment').selectOption({ label: 'Rotary drum filter' })
  const drum = page.locator('[data-unit="drum"]')
  await drum.getByLabel('Line').selectOption({ label: 'Pressure, pump to bed' })
  await expect(check(page, 'train-order')).toContainText('UV clarifier stands before Rotary drum filter')
  await apply(page, 'train-order')
  await expect(check(page, 'train-order').locator('.verdict')).toHaveClass(/pass/)
  await expect(page.locator('[data-unit]').first()).toHaveAttribute('data-unit', 'drum')

  // before the pump it keeps more of the dirt, and runs by gravity
  const kept = async () => Number(/keeps ([\d.]+)/.exec((await drum.textContent())!)![1])
  const pumped = await kept()
  await drum.getByLabel('Line').selectOption({ label: 'Gravity, to the pump' })
  await expect.poll(kept).toBeGreaterThan(pumped)
  await page.getByRole('button', { name: 'Add intake pipes' }).click()
  await expect(page.getByText(/The water at the pump stands .* below the pond/)).toBeVisible()
  await expect(page.getByRole('img', { name: 'Flow diagram of the train' })).toContainText('Rotary drum filter')

  // nobody has looked at the room for its service yet
  await expect(check(page, 'train-reach')).toContainText('2 units not looked at yet')
  await apply(page, 'train-reach')
  await expect(check(page, 'train-reach').locator('.verdict')).toHaveClass(/pass/)
  await expect(page.getByRole('region', { name: 'After a power cut' })).toContainText('Keep the lamp off')

  // the split flow is solved with the train in it
  await part(page, 'Network')
  await page.getByRole('button', { name: 'Split flow' }).click()
  await expect(page.getByTestId('network-state')).toHaveText('Solved.')
  await page.getByRole('button', { name: 'Remove network' }).click()

  // a year of it in money, with the lamp's current and a new lamp in it
  await part(page, 'Materials and price')
  await expect(page.getByRole('row', { name: /Rotary drum filter to \d+ m³\/h/ })).toBeVisible()
  const upkeep = page.getByRole('region', { name: 'Upkeep a year' }).first()
  await expect(upkeep.getByRole('row', { name: /Electricity [\d,]+ kWh €[\d,]+/ })).toBeVisible()
  await expect(page.getByTestId('upkeep-total')).toHaveText(/€[\d,]+/)

  await page.getByLabel('Version name').fill('Drum and lamp')
  await page.getByRole('button', { name: /Save as version/ }).click()
  await expect(page.getByText(/Opened from version \d/)).toBeVisible()
  await part(page, 'Drawings')
  const set = page.getByRole('link', { name: /Drawing set/ })
  const pdf = await page.request.get((await set.getAttribute('href'))!)
  writeFileSync(test.info().outputPath('set.pdf'), await pdf.body())
  const words = execFileSync('pdftotext', ['-layout', test.info().outputPath('set.pdf'), '-'], { encoding: 'utf8' })
  expect(words).toContain('After a power cut')
  expect(words).toMatch(/Rotary drum filter\s+Gravity, to the pump/)

  await part(page, 'Versions')
  await page.getByRole('button', { name: /^Approve version/ }).click()
  const reason = page.getByLabel(/Reason for version \d+ despite open stops/)
  const built = page.getByRole('button', { name: /^Mark version \d+ as built/ })
  await expect(reason.or(built).first()).toBeVisible()
  if (await reason.isVisible()) {
    await reason.fill('The farm wants it so')
    await page.getByRole('button', { name: /^Approve version/ }).click()
  }
  await built.click()
  await page.getByRole('button', { name: 'Mark as built', exact: true }).click()
  await openTab(page, 'Equipment')
  await expect(page.getByText('Rotary drum filter').first()).toBeVisible()
  await expect(page.getByText('UV clarifier').first()).toBeVisible()
  expect(errors).toEqual([])
})

test('options that the computer finds: stopped, found, explored, opened, and three saved as versions', async ({
  page,
}) => {
  test.setTimeout(180_000)
  const errors = watchErrors(page)
  await signInAs(page, 'designer')
  await openDesign(page, 'Swimming pond', 'Swimming pond')
  await part(page, 'Options')
  const find = page.getByRole('button', { name: 'Find options' })

  await expect(find).toBeVisible()

  // nothing to build, and a budget that is none, are said before anything is searched
  for (const type of await page
    .getByRole('group', { name: 'Filter types that may be built' })
    .getByRole('checkbox')
    .all())
    await type.setChecked(false)
  await expect(page.getByText('Choose at least one filter type.')).toBeVisible()
  await expect(find).toBeDisabled()
  await page.getByLabel('Lined upflow wetland').check()
  await page.getByLabel('Horizontal gravel bed').check()
  await page.getByLabel('Surface wetland or planted stream').check()

  // a search can be stopped, and keeps what it has
  await find.click()
  await expect(page.getByTestId('options-state')).toContainText(/[1-9][\d,]* designs worked through/)
  await page.getByRole('button', { name: 'Stop search' }).click()
  await expect(page.getByTestId('options-state')).toContainText('Stopped after')

  await find.click()
  await expect(page.getByTestId('options-state')).toContainText('5,000 designs worked through in', { timeout: 90_000 })
  await expect(page.getByRole('img', { name: /\d+ options by price and Phosphorus/ }).locator('svg')).toBeVisible()
  const picks = page.getByRole('region', { name: 'Picked options' })
  await expect(picks.getByRole('row')).toHaveCount(4)
  await expect(picks.getByRole('row', { name: /^Lowest price best of all in price/ })).toBeVisible()

  // another wish, another second option
  await page.getByLabel('What matters most beside the price').selectOption({ label: 'Less work' })
  await expect(picks.getByRole('row', { name: /^Least work/ })).toBeVisible()

  // another section takes nothing away
  await part(page, 'Bed')
  await expect(page.getByRole('heading', { name: 'Find options' })).toHaveCount(0)
  await part(page, 'Options')
  await expect(page.getByTestId('options-state')).toContainText('5,000 designs worked through in')
  await expect(picks.getByRole('row', { name: /^Least work/ })).toBeVisible()

  // opened as the design, no check stops it; one step back brings the earlier one
  await page.getByRole('button', { name: 'Open Lowest price as the design' }).click()
  await expect(page.getByTestId('check-count')).toContainText('0 stop')
  await page.getByRole('button', { name: 'Undo' }).click()

  await page.getByRole('button', { name: 'Save all 3 as versions' }).click()
  await expect(page.getByText(/Saved as 3 versions/)).toBeVisible()
  await part(page, 'Versions')
  for (const name of ['Lowest price', 'Least work', 'Best balance'])
    await expect(page.getByText(name, { exact: false }).first()).toBeVisible()
  expect(errors).toEqual([])
})
