import { expect, test } from './drivers/test'
import { openTab } from './drivers/desk'
import { signInAs } from './drivers/sign-in'
import { watchErrors } from './drivers/watch-errors'

test('corners from GeoJSON, dragged and typed; a kidney; three more ways to the volume', async ({ page }) => {
  const errors = watchErrors(page)
  await signInAs(page, 'designer')
  await page.goto('/ponds/new')
  await page.getByLabel('Measured as').selectOption('points')
  const ring = [
    [-45, 45],
    [-44.9999, 45],
    [-44.9999, 45.00005],
    [-45, 45.00005],
    [-45, 45],
  ]
  const file = page.getByLabel('Open GeoJSON file: file')
  await file.setInputFiles({
    name: 'utm.geojson',
    mimeType: 'application/json',
    buffer: Buffer.from('{"type":"Polygon","coordinates":[[[500000,1],[500009,1],[500009,9]]]}'),
  })
  await expect(page.getByText(/must be longitude and latitude in degrees/)).toBeVisible()
  await file.setInputFiles({
    name: 'pond.geojson',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify({ type: 'Polygon', coordinates: [ring] })),
  })
  await expect(page.getByText('pond.geojson: 4 corners.')).toBeVisible()
  await page.getByLabel('Zone 1 floor depth').fill('0.8 m')
  const plan = page.getByRole('group', { name: /Plan of the pond/ })
  await expect(plan).toBeVisible()

  // a corner by keyboard, and by hand
  const corner = plan.getByRole('button', { name: /Corner 3/ })
  const across = page.getByLabel('Corner 3 across')
  const before = await across.inputValue()
  await corner.focus()
  await page.keyboard.press('ArrowUp')
  await expect(across).not.toHaveValue(before)
  const stepped = await across.inputValue()
  const box = (await corner.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + 20, box.y - 25, { steps: 4 })
  await page.mouse.up()
  await expect(across).not.toHaveValue(stepped)

  await page.getByLabel('Measured as').selectOption('kidney')
  await page.getByLabel('Length', { exact: true }).fill('8 m')
  await page.getByLabel('Width', { exact: true }).fill('4 m')
  // wider than the pond: the drawing waits, and nothing typed is lost
  await page.getByLabel('Width at the waist').fill('5 m')
  await expect(page.getByText(/appear once the waterline/)).toBeVisible()
  await page.getByLabel('Width at the waist').fill('2.5 m')
  await expect(page.getByRole('img', { name: /Plan of the pond, 8 m by/ })).toBeVisible()
  const surveyed = await page.getByTestId('adopted-volume').textContent()
  await page.getByText('Other volume measurements').click()
  await page.getByRole('button', { name: 'Add salt dilution' }).click()
  await page.getByLabel('1. Salt dilution: salt added').fill('10 kg')
  await page.getByLabel('Rise in salinity').fill('0.05 %')
  await expect(page.getByTestId('adopted-volume')).not.toHaveText(surveyed!)
  await page.getByText('Streams and filter boxes').click()
  await page.getByRole('button', { name: 'Add stream' }).click()
  await page.getByLabel('Stream 1 length').fill('6 m')
  await page.getByText('How this was calculated').first().click()
  await expect(page.getByRole('cell', { name: 'Salt dilution' })).toBeVisible()
  expect(errors).toEqual([])
})

test('a level log tells a leak from evaporation, and where to look', async ({ page }) => {
  await signInAs(page, 'technician')
  await page.goto('/ponds')
  await page.getByRole('link', { name: 'Oak tub' }).click()
  await openTab(page, 'Water')
  const panel = page.locator('section', { has: page.getByRole('heading', { name: 'Water loss' }) })
  await expect(panel).toContainText('top up about')
  await panel.getByText('Log water level').click()
  await panel.getByLabel('Hours between readings').fill('24')
  await panel.getByRole('button', { name: 'Save level log' }).click()
  await expect(panel.getByText(/Drop in the pond/).first()).toBeVisible()
  await panel.getByLabel('Pond level fell by').fill('40 mm')
  await panel.getByLabel(/Bucket level fell by/).fill('2 mm')
  await panel.getByRole('button', { name: 'Save level log' }).click()
  await expect(panel).toContainText('leave the pump off for a day')
  await panel.getByLabel('Pond level fell by').fill('39 mm')
  await panel.getByLabel(/Bucket level fell by/).fill('2 mm')
  await panel.getByLabel('Pump on in between').uncheck()
  await panel.getByRole('button', { name: 'Save level log' }).click()
  await expect(panel).toContainText('check the shell')
})

test('liners of several ponds are cut from rolls, drawn, with what is too wide named', async ({ page }) => {
  await signInAs(page, 'office')
  await page.goto('/cutting')
  await expect(page.getByRole('button', { name: 'Calculate cuts' })).toBeDisabled()
  for (const name of [/Oak tub/, /Court basin/, /Court pond/, /Rill basin/])
    await page.getByRole('checkbox', { name }).first().check()
  await page.getByRole('button', { name: 'Calculate cuts' }).click()
  await expect(page.getByTestId('cut-waste')).toContainText('%', { timeout: 30_000 })
  await expect(page.getByText('All cutting patterns were tried.')).toBeVisible()
  await expect(page.getByRole('img', { name: /Roll .* used: / }).first()).toBeVisible()
  await page.getByLabel('Roll 3 width').fill('2 m')
  await page.getByLabel('Roll 2 width').fill('2 m')
  await page.getByLabel('Roll 1 width').fill('2 m')
  await page.getByRole('button', { name: 'Calculate cuts' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'Wider than any roll' })).toContainText('Court basin', {
    timeout: 30_000,
  })
})

test('a shelf of one width is drawn and counted, and one that fills the pond is refused by name', async ({ page }) => {
  const errors = watchErrors(page)
  await signInAs(page, 'designer')
  await page.goto('/ponds')
  await page.getByRole('link', { name: 'Terrace pond', exact: true }).click()
  await openTab(page, 'Survey')
  const width = page.getByLabel('Zone 2 shelf width')
  await width.fill('9 m')
  await page.getByRole('button', { name: /Save/ }).first().click()
  await expect(page.getByText(/walls of zone 2 meet/).first()).toBeVisible()
  await width.fill('0.6 m')
  await page.getByRole('button', { name: /Save/ }).first().click()
  await expect(page.getByRole('heading', { name: 'Terrace pond', level: 1 })).toBeVisible()
  await openTab(page, 'Survey')
  await expect(page.getByLabel('Zone 2 shelf width')).toHaveValue('0.6 m')
  expect(errors).toEqual([])
})
