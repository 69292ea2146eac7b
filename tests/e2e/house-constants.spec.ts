import AxeBuilder from '@axe-core/playwright'
import { type Locator, type Page } from '@playwright/test'
import { openFromMenu, openTab } from './drivers/desk'
import { signInAs } from './drivers/sign-in'
import { expect, test } from './drivers/test'
import { watchErrors } from './drivers/watch-errors'

const part = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Design sections' }).getByRole('link', { name, exact: true }).click()
const check = (page: Page, id: string): Locator => page.locator(`[data-check="${id}"]`)
const openDesign = async (page: Page): Promise<void> => {
  await page.goto('/ponds')
  await page.getByRole('searchbox').first().fill('Wildlife pond')
  await page.getByRole('link', { name: 'Wildlife pond', exact: true }).first().click()
  await openTab(page, 'Filter')
  await expect(page.getByRole('region', { name: 'Checks' })).toBeVisible()
}
const setFigure = async (page: Page, name: string, figure: string) => {
  await page.getByRole('button', { name: `Change ${name}` }).click()
  const row = page.getByRole('group', { name })
  await row.getByLabel(/^Own figure/).fill(figure)
  await row.getByLabel('Reason').fill('Dug up two of our own beds.')
  await row.getByLabel('Source of the figure').fill('Own measurements')
}

test('a figure of the firm’s own reaches its designs with its reason, and a pond’s own stands before it', async ({
  page,
}) => {
  test.setTimeout(120_000)
  const errors = watchErrors(page)
  await signInAs(page, 'owner')
  await openDesign(page)
  await page.getByLabel('Filter type').selectOption({ label: 'Lined upflow wetland' })
  const house = check(page, 'house-size')
  const before = await house.textContent()

  await openFromMenu(page, 'Settings', 'House rules')
  await page.getByRole('link', { name: 'Design constants' }).click()
  await page.getByText('Bed size by share').click()
  await setFigure(page, 'Bed volume as a share of pond volume, Wildlife', '16 %')
  await page.getByRole('button', { name: 'Save design constants' }).click()
  await expect(page.getByText('Saved. Designs now use these figures.')).toBeVisible()
  expect((await new AxeBuilder({ page }).analyze()).violations.filter((v) => v.impact === 'serious')).toEqual([])
  // what contradicts itself is refused at its field, and nothing entered is lost
  await page.getByText('Solids and flushing').click()
  await setFigure(page, 'Solids caught in the gravel', '60 %')
  await page.getByRole('button', { name: 'Save design constants' }).click()
  await expect(page.getByText(/This contradicts another constant/)).toBeVisible()
  await expect(page.getByRole('group', { name: 'Solids caught in the gravel' }).getByLabel('Reason')).toHaveValue(/Dug/)
  await page.getByRole('button', { name: 'Remove the change of Solids caught in the gravel' }).click()
  await page.getByRole('button', { name: 'Save design constants' }).click()
  await expect(page.getByText('Saved. Designs now use these figures.')).toBeVisible()

  await openDesign(page)
  await page.getByLabel('Filter type').selectOption({ label: 'Lined upflow wetland' })
  await expect.poll(() => house.textContent()).not.toBe(before)
  await page.getByText('How this was calculated').first().click()
  await expect(
    page.getByText(/Bed volume as a share of pond volume, Wildlife: 16.% instead of 5.% \(house\)/),
  ).toBeVisible()

  await page
    .getByRole('link', { name: /^Rules/ })
    .first()
    .click()
  await page.getByText('Show all constants').click()
  await page.getByText('Bed size by share').click()
  await expect(page.getByText('House: 16 %')).toBeVisible()
  await setFigure(page, 'Bed volume as a share of pond volume, Wildlife', '7 %')
  await page.getByRole('button', { name: 'Save design constants' }).click()
  await expect(page.getByText('Saved. Designs now use these figures.')).toBeVisible()
  await openDesign(page)
  await page.getByText('How this was calculated').first().click()
  await expect(page.getByText(/Wildlife: 7.% instead of 5.% \(this pond\)/)).toBeVisible()

  // the house goes back to the usual figure
  await page.goto('/house-rules/constants')
  await page.getByRole('button', { name: /^Remove the change of Bed volume/ }).click()
  await page.getByRole('button', { name: 'Save design constants' }).click()
  await expect(page.getByText('Saved. Designs now use these figures.')).toBeVisible()
  expect(errors).toEqual([])
})

test('a dry-mounted pump draws by a line that is checked and priced; skimmers go by what seals the pond', async ({
  page,
}) => {
  test.setTimeout(120_000)
  const errors = watchErrors(page)
  await signInAs(page, 'designer')
  await openDesign(page)
  await page.getByLabel('Filter type').selectOption({ label: 'Lined upflow wetland' })
  await part(page, 'Pump and pipes')
  await page.getByLabel('Pump', { exact: true }).selectOption('D12')
  await expect(page.getByLabel('Suction length')).toHaveValue('2 m')
  await expect(check(page, 'suction').locator('.verdict')).toHaveClass(/pass/)
  await page.getByLabel('Pump above the water').fill('7.8 m')
  await expect(check(page, 'suction').locator('.verdict')).toHaveClass(/stop/)
  await check(page, 'suction').locator('summary').click()
  await check(page, 'suction').getByRole('button', { name: 'Apply' }).click()
  await expect(check(page, 'suction').locator('.verdict')).toHaveClass(/pass/)
  await part(page, 'Materials and price')
  await expect(page.getByRole('row', { name: /Foot valve with strainer/ })).toBeVisible()

  await part(page, 'Filter train')
  const chooser = page.getByRole('region', { name: 'Skimmer for this pond' }).first()
  await expect(chooser.getByRole('row', { name: /Wall skimmer/ })).toContainText('clamping flange')
  await chooser.getByRole('button', { name: 'Use: Floating skimmer on a suction line' }).click()
  await expect(page.locator('[data-unit="skimmer-floating"]')).toBeVisible()
  await expect(chooser.getByRole('row', { name: /Floating skimmer on a suction line/ })).toContainText('In the train')

  // it is what stands there already, built by somebody else: drafts are weighed against it
  await page.getByRole('button', { name: /^Save as version/ }).click()
  await expect(page.getByText(/^Opened from version \d+\.$/)).toBeVisible()
  await part(page, 'Versions')
  await page.getByRole('button', { name: /^Record version \d+ as found/ }).click()
  await expect(page.getByText('as found', { exact: true })).toBeVisible()
  await openDesign(page)
  await expect(page.getByText(/^Filter as found \(version \d+\)$/)).toBeVisible()
  // and was it a slip, it is taken back
  await part(page, 'Versions')
  await page.getByRole('button', { name: /^Version \d+ is not what was found/ }).click()
  await expect(page.getByText('as found', { exact: true })).toHaveCount(0)
  expect(errors).toEqual([])
})
