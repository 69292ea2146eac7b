import { execFileSync } from 'node:child_process'
import { readFileSync, writeFileSync } from 'node:fs'
import { type Locator, type Page } from '@playwright/test'
import { expect, test } from './drivers/test'
import { openTab } from './drivers/desk'
import DxfParser from 'dxf-parser'
import { signInAs } from './drivers/sign-in'
import { watchErrors } from './drivers/watch-errors'

const openDesign = async (page: Page, pondName: string): Promise<void> => {
  await page.goto('/ponds')
  await page.getByRole('link', { name: pondName, exact: true }).click()
  await openTab(page, 'Filter')
  await expect(page.getByRole('heading', { name: 'Filter design' })).toBeVisible()
  await expect(page.getByRole('region', { name: 'Checks' })).toBeVisible()
}
const part = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Design sections' }).getByRole('link', { name, exact: true }).click()
const check = (page: Page, id: string): Locator => page.locator(`[data-check="${id}"]`)
const apply = async (page: Page, id: string, button: string) => {
  await check(page, id).locator('summary').click()
  await check(page, id).getByRole('button', { name: button }).click()
}
const saved = async (page: Page, press: () => Promise<void>): Promise<string> => {
  const [download] = await Promise.all([page.waitForEvent('download'), press()])
  return readFileSync((await download.path())!, 'utf8')
}
const offer = (page: Page, label: string, name: string, text: string) =>
  page.getByLabel(`${label}: file`).setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) })

test('a lined wetland for the koi collector, from the bench to an accepted proposal', async ({ page, browser }) => {
  test.setTimeout(180_000)
  const errors = watchErrors(page)
  await signInAs(page, 'designer')
  await openDesign(page, 'Koi pond')

  // kind and size: a larger bed than before, undone and done again by keyboard
  const length = page.getByLabel('Bed length')
  const before = await length.inputValue()
  await length.fill('8 m')
  await length.blur()
  await page.getByRole('heading', { name: 'Filter design' }).click()
  await page.keyboard.press('Control+z')
  await expect(length).toHaveValue(before)
  await page.keyboard.press('Control+Shift+z')
  await expect(length).toHaveValue('8 m')
  await expect(page.getByRole('img', { name: /Expected ammonia level month by month/ }).locator('svg')).toBeVisible()

  // the bed: a boundary by keyboard and by drag
  await part(page, 'Bed')
  const boundary = page.getByRole('slider', { name: /Upper edge of layer 4/ })
  await boundary.focus()
  await page.keyboard.press('ArrowUp')
  await expect(boundary).toHaveAttribute('aria-valuetext', /260\smm/)
  // dragged down by a hundred millimetres of the drawing, it stands a hundred millimetres lower
  const layer = (await page.locator('rect[fill^="url(#stone-"]').nth(3).boundingBox())!
  const grip = (await boundary.locator('.grip').boundingBox())!
  await page.mouse.move(grip.x + 4, grip.y + 2)
  await page.mouse.down()
  await page.mouse.move(grip.x + 30, grip.y + 2 + layer.height * (100 / 260), { steps: 5 })
  await page.mouse.up()
  await expect(page.getByLabel('Layer 4 thickness')).toHaveValue('160 mm')
  await page.getByRole('button', { name: 'Undo' }).click()

  // the train before the bed, and the split flow solved as a network
  await part(page, 'Filter train')
  await page.getByLabel('Add equipment').selectOption({ label: 'Floating skimmer on a suction line' })
  await expect(page.getByRole('row', { name: /Leaf litter that still reaches the bed 60/ })).toBeVisible()
  await part(page, 'Network')
  await page.getByRole('button', { name: 'Split flow' }).click()
  await expect(page.getByTestId('network-state')).toHaveText('Solved.')
  await expect(page.getByRole('img', { name: /Flow diagram: Bed [\d.]+\sm³\/h, Bypass [\d.]+\sm³\/h/ })).toBeVisible()
  const inp = await saved(page, () => page.getByRole('button', { name: 'Export INP' }).click())
  expect(inp).toContain('[PUMPS]')
  await page.getByLabel('Add branch').selectOption({ label: 'Trickle tower' })
  await expect(page.getByRole('img', { name: /Trickle tower [\d.]+\sm³\/h/ })).toBeVisible()

  // plants
  await part(page, 'Planting')
  await page.getByLabel('Search plants').fill('cattail')
  await page.getByRole('button', { name: 'Plant Broadleaf cattail' }).click()
  await expect(page.getByText(/regulated somewhere: check your state or national list/)).toBeVisible()
  await page.getByRole('button', { name: 'Remove Broadleaf cattail' }).click()

  // the way over the tower costs the pump flow: one remedy brings it back
  await apply(page, 'flow-needed', 'Apply')
  await expect(check(page, 'flow-needed').locator('.verdict')).toHaveClass(/pass/)

  // what has to be looked at on site, then the version
  await apply(page, 'electrics', 'Agreed with the electrician')
  await expect(check(page, 'electrics')).toContainText('OK')
  await page.getByLabel('Version name').fill('With a bypass')
  await page.getByRole('button', { name: /Save as version/ }).click()
  await expect(page.getByText('Opened from version 2.')).toBeVisible()
  await part(page, 'Versions')
  await page.getByRole('button', { name: 'Approve version 2' }).click()
  await expect(page.getByRole('button', { name: 'Mark version 2 as built' })).toBeVisible()
  const compare = page.getByRole('region', { name: 'Compare two versions' })
  await compare.getByLabel('Left').selectOption({ label: '1: As built' })
  await expect(compare.getByRole('row', { name: /^Size/ })).toHaveClass(/differs/)

  // price and proposal with both versions
  await part(page, 'Materials and price')
  await expect(page.getByTestId('price-total')).toHaveText(/€[\d,]+/)
  const range = page.getByTestId('price-range')
  await expect(range).toHaveText(/nine in ten such jobs come to €[\d,]+ to €[\d,]+; about \d+ in 100/)
  const proposal = page.getByRole('region', { name: 'Proposal' })
  await proposal.getByLabel('Message to the customer').fill('The larger bed carries your koi when they are grown.')
  await proposal.getByRole('button', { name: 'Add option' }).click()
  await proposal.getByRole('button', { name: 'Create proposal' }).click()
  const link = await page.getByTestId('proposal-link').getAttribute('href')
  expect(errors).toEqual([])

  // the customer, with nothing but the link, on a phone
  const customer = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage()
  const customerErrors = watchErrors(customer)
  await customer.goto(link!)
  await expect(customer.getByText('The larger bed carries your koi')).toBeVisible()
  await expect(customer.getByRole('heading', { name: 'Why this size' })).toHaveCount(2)
  await expect(customer.getByText(/licensed practice decide/)).toBeVisible()
  const pdf = await customer.request.get(link!.replace('/proposal/', '/api/v1/proposal/') + '/proposal.pdf')
  expect(pdf.headers()['content-type']).toBe('application/pdf')
  writeFileSync(test.info().outputPath('proposal.pdf'), await pdf.body())
  const words = execFileSync('pdftotext', ['-layout', test.info().outputPath('proposal.pdf'), '-'], {
    encoding: 'utf8',
  })
  expect(words).toContain('A filter for Koi pond')
  expect(words).toContain('Gravel 19–38 mm')
  expect(words).toMatch(/page 1 of \d/)
  await customer.getByRole('button', { name: 'Accept proposal' }).click()
  await expect(customer.getByText('Your name is missing.').first()).toBeVisible()
  await customer.getByLabel('Better', { exact: false }).check()
  await customer.getByLabel('Your name').fill('Osk Highcairn')
  await customer.getByRole('button', { name: 'Accept proposal' }).click()
  await expect(customer.getByRole('heading', { name: 'Accepted' })).toBeVisible()
  await customer.reload()
  await expect(customer.getByText(/Osk Highcairn/)).toBeVisible()
  await expect(customer.getByRole('button', { name: 'Accept proposal' })).toHaveCount(0)
  // a second answer is refused whatever is sent
  expect(
    (
      await customer.request.post(link!.replace('/proposal/', '/api/v1/proposal/'), {
        data: { answer: 'declined', name: 'Someone' },
      })
    ).status(),
  ).toBe(409)
  expect(customerErrors).toEqual([])

  await page.reload()
  await expect(page.getByText(/accepted \(Better\) by Osk Highcairn/)).toBeVisible()
})

test('a raised trough in a court needs an engineer on its slab', async ({ page }) => {
  await signInAs(page, 'designer')
  await openDesign(page, 'Court basin')
  await page.getByLabel('Filter type').selectOption({ label: 'Raised trough wetland' })
  await expect(page.getByLabel('Walls above ground')).toBeVisible()
  await page.getByLabel('Foundation').selectOption({ label: 'A slab or roof' })
  await expect(check(page, 'wall-loads')).toContainText('Stop')
  await apply(page, 'wall-loads', 'Confirmed with a licensed engineer')
  await expect(check(page, 'wall-loads')).toContainText('OK')
  await expect(check(page, 'outlet-order')).toContainText('OK')
  await page.getByRole('button', { name: 'Save as version 1' }).click()
  await expect(page.getByRole('button', { name: 'Save as version 2' })).toBeVisible()
})

test('the starving bed: water runs under the roots, and one remedy mends it', async ({ page }) => {
  await signInAs(page, 'designer')
  await openDesign(page, 'Yellow bog pond')
  await expect(page.getByLabel('Filter type')).toHaveValue('horizontal-bed')
  await expect(check(page, 'root-zone')).toContainText('Stop')
  await check(page, 'root-zone').locator('summary').click()
  await expect(check(page, 'root-zone')).toContainText('pale and stunted')
  await check(page, 'root-zone').getByRole('button', { name: 'Apply remedy' }).click()
  await expect(check(page, 'root-zone')).toContainText('OK')
  await expect(page.getByRole('status').filter({ hasText: 'Depth' })).toContainText(/Depth: 700\smm → 200\smm/)
})

test('a pump CSV with a bad row: the row is named, the rest kept and on the bench', async ({ page }) => {
  await signInAs(page, 'owner')
  await page.goto('/prices')
  const csv = [
    'name,flow_m3_h,head_m,power_W,price,outlet_mm',
    'Mill pump,0,5,180,310,50',
    'Mill pump,6,"4,1",,,',
    'Mill pump,8,abc,,,',
    'Mill pump,12,1.2,,,',
  ].join('\n')
  await offer(page, 'Import pumps (CSV)', 'pumps.csv', csv)
  await expect(page.getByText('1 pump imported.')).toBeVisible()
  await expect(page.getByText(/Line 4: head_m: “abc”/)).toBeVisible()
  await openDesign(page, 'Koi pond')
  await part(page, 'Pump and pipes')
  await page.getByLabel('Pump', { exact: true }).selectOption({ label: 'Mill pump, 180 W' })
  await expect(page.getByRole('heading', { name: 'Mill pump' })).toBeVisible()
})

test('broken and future files are refused with the reason, and nothing is lost', async ({ page }) => {
  await signInAs(page, 'designer')
  await openDesign(page, 'Koi pond')
  const length = await page.getByLabel('Bed length').inputValue()
  await part(page, 'Network')
  await offer(
    page,
    'Import INP file',
    'broken.inp',
    '[RESERVOIRS]\n P 0\n[JUNCTIONS]\n J 0 0\n[PIPES]\n p1 J X 50 100 150 0 Open\n[END]\n',
  )
  await expect(page.getByText(/undefined node X/)).toBeVisible()
  await part(page, 'Drawings')
  const json = await saved(page, () => page.getByRole('button', { name: 'Export JSON' }).click())
  const design = JSON.parse(json)
  await offer(page, 'Import design file', 'future.json', JSON.stringify({ ...design, format: 99 }))
  await expect(page.getByText(/format 99; this program reads up to format/)).toBeVisible()
  await offer(page, 'Import design file', 'half.json', json.slice(0, 200))
  await expect(page.getByText(/half.json: This file is not JSON/)).toBeVisible()
  await offer(
    page,
    'Import design file',
    'odd.json',
    JSON.stringify({ ...design, design: { ...design.design, lengthM: -3 } }),
  )
  await expect(page.getByText(/design.lengthM: Bed length must be between/)).toBeVisible()
  await part(page, 'Type and size')
  await expect(page.getByLabel('Bed length')).toHaveValue(length)

  // and a good one comes back without loss
  await part(page, 'Drawings')
  await offer(
    page,
    'Import design file',
    'same.json',
    JSON.stringify({ ...design, design: { ...design.design, lengthM: 5.5 } }),
  )
  await expect(page.getByText(/same.json opened/)).toBeVisible()
  expect(JSON.parse(await saved(page, () => page.getByRole('button', { name: 'Export JSON' }).click())).design).toEqual(
    { ...design.design, lengthM: 5.5 },
  )
  const schema = await page.request.get('/api/v1/design.schema.json')
  expect((await schema.json()).properties.design.properties.layers.type).toBe('array')
})

test('drawings measure what the design says, as DXF and on paper', async ({ page }) => {
  await signInAs(page, 'designer')
  await openDesign(page, 'Koi pond')
  await page.getByLabel('Bed length').fill('6 m')
  await page.getByLabel('Bed width').fill('3 m')
  await part(page, 'Drawings')
  const dxf = new DxfParser().parseSync(
    await saved(page, () => page.getByRole('button', { name: 'Export DXF' }).click()),
  )!
  expect(Object.keys(dxf.tables.layer.layers)).toEqual(
    expect.arrayContaining(['OUTLINE', 'PIPE', 'PLANTS', 'DIMENSIONS', 'TEXT']),
  )
  const outline = dxf.entities.find((e) => e.layer === 'OUTLINE') as unknown as { vertices: { x: number; y: number }[] }
  const xs = outline.vertices.map((v) => v.x)
  const ys = outline.vertices.map((v) => v.y)
  expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(6, 6)
  expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(3, 6)
  await page.getByLabel('Scale').selectOption('50')
  const svg = await saved(page, () => page.getByRole('button', { name: 'Export SVG' }).click())
  expect(svg).toContain('width="297mm"')
  const path = svg.match(/<path d="M([\d.]+) [\d.]+L([\d.]+) [\d.]+L[^"]*" fill="#ece5d8"/)!
  expect(Number(path[2]) - Number(path[1])).toBeCloseTo(120, 2)
})

test('a pond that goes another way than the house, and work that is there again on another machine', async ({
  page,
  browser,
}) => {
  test.setTimeout(120_000)
  const errors = watchErrors(page)
  await signInAs(page, 'designer')
  await openDesign(page, 'Terrace pond')
  await page.getByRole('link', { name: 'Rules for this pond' }).click()
  const size = page.getByRole('group', { name: 'Sizing method' })
  await size.getByLabel(/Different for this pond/).check()
  await size.getByLabel('Sizing method here').selectOption({ label: 'By nitrogen and oxygen' })
  await page.getByRole('button', { name: 'Save pond rules' }).click()
  await expect(page.getByText('Reason for this pond is missing.').first()).toBeVisible()
  await size.getByLabel('Reason').fill('Guests feed the fish all summer.')
  await page.getByRole('button', { name: 'Save pond rules' }).click()
  await expect(page.getByText(/Sizes and windows of this pond now follow/)).toBeVisible()
  await page.goto(page.url().replace('/house-rules', ''))
  await expect(
    page.getByText(/Differs from the house rules: Sizing method \(Guests feed the fish all summer/),
  ).toBeVisible()
  await expect(page.getByText(/^Leaf net [\d.]+\sm × [\d.]+\sm/)).toBeVisible()
  await openTab(page, 'Filter')
  await expect(page.getByText('By nitrogen and oxygen (house)')).toBeVisible()

  // a change is kept on the server: another browser goes on from it
  await page.getByLabel('Bed length').fill('6.75 m')
  await expect(page.getByText(/here and on your other devices/)).toBeVisible()
  const second = await browser.newContext({ baseURL: new URL(page.url()).origin })
  const elsewhere = await second.newPage()
  await signInAs(elsewhere, 'designer')
  await elsewhere.goto(page.url())
  await expect(elsewhere.getByLabel('Bed length')).toHaveValue('6.75 m')
  await elsewhere.getByRole('button', { name: 'Discard changes' }).click()
  await expect(elsewhere.getByLabel('Bed length')).not.toHaveValue('6.75 m')
  await second.close()

  // the perimeter bog goes around the pond's own shore; the flow diagram is a sheet like the others
  await page.getByLabel('Filter type').selectOption({ label: 'Perimeter bog' })
  await part(page, 'Drawings')
  const svg = await saved(page, () => page.getByRole('button', { name: 'Export SVG' }).click())
  expect(svg).toContain('along the shore')
  await page.getByLabel('Drawing').selectOption({ label: 'Flow diagram' })
  const flow = await saved(page, () => page.getByRole('button', { name: 'Export DXF' }).click())
  const words = new DxfParser().parseSync(flow)!.entities.flatMap((e) => ('text' in e ? [String(e.text)] : []))
  expect(words).toEqual(expect.arrayContaining(['Pond', expect.stringMatching(/^Bed/)]))
  expect(errors).toEqual([])
})

test('own fittings and pipes are offered on the bench, and a broken row is named', async ({ page }) => {
  const errors = watchErrors(page)
  await signInAs(page, 'owner')
  await page.goto('/prices')
  const tables = page.getByRole('region', { name: 'Pipes and fittings' })
  await tables.locator('summary').click()
  await tables.getByRole('button', { name: 'Add fitting' }).click()
  const name = tables.getByLabel(/^Name of fitting/).last()
  await tables.getByRole('button', { name: 'Save pipes and fittings' }).click()
  await expect(tables.getByText('Fitting name is missing.').first()).toBeVisible()
  await name.fill('Long bend')
  await tables.getByLabel('K of Long bend').fill('0.2')
  await tables.getByLabel('Cost of Long bend').fill('9.90')
  await tables.getByRole('button', { name: 'Save pipes and fittings' }).click()
  await expect(tables.getByText(/Designs now use these values/)).toBeVisible()
  await openDesign(page, 'Koi pond')
  await part(page, 'Pump and pipes')
  await page.getByText(/^Fittings, total K =/).click()
  await expect(page.getByLabel('Long bend (0.2)')).toBeVisible()
  expect(errors).toEqual([])
})

test('what visitors throw and a heated room reach the filter; a pond without filter or pump is a design too', async ({
  page,
}) => {
  const errors = watchErrors(page)
  await signInAs(page, 'designer')
  await page.goto('/ponds')
  await page.getByRole('searchbox').first().fill('Bowls green')
  await page.getByRole('link', { name: 'Club pond', exact: true }).click()
  await openTab(page, 'Survey')
  await page.getByLabel('Feed thrown by visitors each day').fill('60 g')
  await page.getByLabel('Room temperature').fill('20 °C')
  await page.getByRole('button', { name: 'Save survey' }).click()
  await expect(page.getByRole('button', { name: 'Save survey' })).toBeHidden()

  await openTab(page, 'Filter')
  await expect(page.getByRole('heading', { name: 'Filter design' })).toBeVisible()
  await page.getByText('How this was calculated').click()
  await expect(page.getByText(/Ammonia in that month comes from:.*visitors’ feed/)).toBeVisible()
  await expect(page.getByText(/What may turn out \(90 %\)/)).toBeVisible()

  // choosing a method sizes the bed, and one step back brings the earlier size
  const length = page.getByLabel('Bed length')
  const width = page.getByLabel('Bed width')
  await length.fill('0.5 m')
  await width.fill('0.5 m')
  await width.blur()
  await expect(check(page, 'house-size').locator('.verdict')).toHaveClass(/stop/)
  await page.getByRole('radio', { name: /By surface/ }).check()
  await expect(length).not.toHaveValue('0.5 m')
  await expect(check(page, 'tan-target').locator('.verdict')).toHaveClass(/pass/)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(length).toHaveValue('0.5 m')

  await page.getByLabel('Filter type').selectOption({ label: 'No filter' })
  await expect(check(page, 'stock-limit')).toBeAttached()
  await part(page, 'Pump and pipes')
  await expect(page.getByRole('heading', { name: 'No pump' })).toBeVisible()
  await part(page, 'Materials and price')
  await expect(page.getByText(/breather valve/)).toHaveCount(0)
  await expect(page.getByText(/pump/i).filter({ hasText: /Low-lift|Pond pump/ })).toHaveCount(0)
  expect(errors).toEqual([])
})
