import { type Page } from '@playwright/test'
import { expect, test } from './drivers/test'
import { seriousOn } from './drivers/field-checks'
import { crewOf, pondHref } from './drivers/plan-today'
import { signInAs } from './drivers/sign-in'
import { watchErrors } from './drivers/watch-errors'

const mapOf = (page: Page) => page.getByRole('region', { name: /^Map of \d+ sites?/ })

test('the map zooms, its pins open by keys and lead to ponds, and a pond finds its pin', async ({ page }) => {
  const errors = watchErrors(page)
  await signInAs(page, 'office')
  await page.goto('/map')
  const map = mapOf(page)
  await expect(map.getByText('Cold Ash Common')).toBeVisible()
  // towns and marks stand apart
  expect(await coveredNames(page)).toEqual([])

  // pins that would cover one another are one mark; pressed, it comes apart
  const gathered = map.getByRole('button', { name: /\d+ sites here: zoom in$/ })
  const before = await gathered.count()
  expect(before).toBeGreaterThan(0)
  const scale = await map.locator('.leaflet-control-scale-line').innerText()
  await gathered.first().press('Enter')
  await expect(map.locator('.leaflet-control-scale-line')).not.toHaveText(scale)
  await page.getByRole('button', { name: 'All sites' }).click()
  await expect(map.locator('.leaflet-control-scale-line')).toHaveText(scale)

  // a pond leads to its pin, opened
  await page.goto(await pondHref(page, 'foxholt'))
  await page.getByRole('link', { name: 'On the map' }).click()
  await expect(page).toHaveURL(/\/map\?pond=/)
  const popup = map.locator('.leaflet-popup')
  await expect(popup.getByRole('heading', { name: 'Foxholt' })).toBeVisible()
  await expect(popup.getByRole('link', { name: 'Old pond' })).toBeFocused()
  expect(await seriousOn(page)).toEqual([])
  await page.keyboard.press('Escape')
  await expect(popup).toHaveCount(0)

  // by keys alone: to the pin, open it, and on to the pond
  await map.getByRole('button', { name: /^Foxholt, / }).focus()
  await page.keyboard.press('Enter')
  await expect(popup.getByRole('link', { name: 'Old pond' })).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Old pond' })).toBeVisible()
  expect(errors).toEqual([])
})

test('a crew’s round stands on the map and along the hours, and moves with a visit', async ({ page }) => {
  const errors = watchErrors(page)
  await signInAs(page, 'office')
  const { crewId, today } = await crewOf(page, 'Newt')
  // a day that nothing else is planned on
  const day = `${Number(today.slice(0, 4)) + 2}-01-14`
  await planOn(page, { day, crewId, startTime: '09:00', pond: 'foxholt' })
  await page.goto(`/map?day=${day}`)
  const map = mapOf(page)
  const stop = map.getByRole('button', { name: /^Newt, stop \d+.*: Foxholt, 09:00$/ })
  await expect(stop).toBeVisible()
  await page.getByLabel('Show the round of Newt').uncheck()
  await expect(stop).toHaveCount(0)
  await expect(page).toHaveURL(new RegExp(`hide=${crewId}`))
  // what is hidden is so after a reload too
  await page.reload()
  await expect(map.getByText('Cold Ash Common')).toBeVisible()
  await expect(stop).toHaveCount(0)

  // the day to scale: nine o'clock, half an hour, with the ways
  await page.goto(`/rounds?day=${day}&view=day`)
  const lane = page.locator(`[data-cell="${crewId} ${day}"]`)
  const card = lane.getByRole('button', { name: /^Winter check at Foxholt, 09:00$/ })
  await expect(card).toBeVisible()
  await expect(lane.locator('.lane-drive').first()).toBeVisible()
  await expect(page.getByText(/^Leaves yard \d\d:\d\d, back \d\d:\d\d$/).first()).toBeVisible()
  expect(await startOnAxis(page, card)).toBeCloseTo(9, 1)
  expect(await seriousOn(page)).toEqual([])

  // moved by its panel to the afternoon, it stands there
  await card.click()
  const panel = page.getByRole('dialog', { name: 'Selected visit' })
  await panel.getByLabel('Start').fill('14:00')
  await panel.getByRole('button', { name: 'Move visit' }).click()
  const later = lane.getByRole('button', { name: 'Winter check at Foxholt, 14:00' })
  await expect(later).toBeVisible()
  expect(await startOnAxis(page, later)).toBeCloseTo(14, 1)

  // the week has the same day with its work and its driving
  await page.getByRole('button', { name: 'Week', exact: true }).click()
  await expect(page.locator(`[data-cell="${crewId} ${day}"]`).getByText(/min on site, .*driving/)).toBeVisible()
  expect(errors).toEqual([])
})

test('a list of ponds has its map beside it, which shows what the list shows', async ({ page }) => {
  const errors = watchErrors(page)
  await signInAs(page, 'office')
  await page.goto('/ponds')
  await page.getByRole('button', { name: 'Map', exact: true }).click()
  await expect(page).toHaveURL(/map=true/)
  const map = mapOf(page)
  await expect(map.getByText('Cold Ash Common')).toBeVisible()
  await page.getByLabel('Search ponds').fill('foxholt')
  await expect(page.getByRole('region', { name: 'Map of 1 site' })).toBeVisible()
  await expect(map.getByRole('button', { name: /^Foxholt, / })).toHaveCount(1)
  // a list that shows nothing has a map that shows nothing, also when it is opened so
  await page.goto('/ponds?map=true&q=xyzzy')
  await expect(page.getByRole('region', { name: 'Map of 0 sites' }).getByText('Cold Ash Common')).toBeVisible()
  await expect(page.getByRole('button', { name: 'All sites' })).toBeDisabled()
  await page.getByLabel('Search ponds').fill('foxholt')
  await expect(map.getByRole('button', { name: /^Foxholt, / })).toHaveCount(1)
  expect(errors).toEqual([])
})

test('a pond of the season unfolds into its types of visits, and a window says why it lies there', async ({ page }) => {
  const errors = watchErrors(page)
  await signInAs(page, 'office')
  const year = new Date().getFullYear()
  await page.goto(`/season?year=${year}`)
  await expect(page.getByText(/^Today, \d+ \w+$/)).toBeVisible()
  await page.getByLabel('Find').fill('foxholt')
  await page.getByRole('button', { name: 'Visit types of Foxholt, Old pond' }).click()
  for (const lane of ['Spring cleanout', 'Standard bacteria', 'Winter shutdown'])
    await expect(page.locator('.season-lane').getByText(lane, { exact: true })).toBeVisible()
  await page
    .locator('.season-lane')
    .getByRole('button', { name: /^Foxholt: Spring cleanout: / })
    .focus()
  await expect(page.getByRole('tooltip').getByText(/likely years/)).toBeVisible()
  expect(await seriousOn(page)).toEqual([])
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Visit types of Foxholt, Old pond' }).click()
  await expect(page.locator('.season-lane')).toHaveCount(0)
  expect(errors).toEqual([])
})

test('rounds and season lie across the paper', async ({ page }) => {
  await signInAs(page, 'office')
  for (const [view, mark] of [
    ['/rounds', '.rounds'],
    ['/rounds?view=day', '.lanes'],
    ['/season', '.season'],
  ] as const) {
    await page.goto(view)
    await expect(page.locator(mark)).toBeVisible()
    const sizes = pageSizes(await page.pdf({ preferCSSPageSize: true }))
    expect(sizes.length).toBeGreaterThan(0)
    for (const [width, height] of sizes) expect(width, view).toBeGreaterThan(height)
  }
})

/** A winter check, planned by the office. */
async function planOn(
  desk: Page,
  { pond, ...at }: { day: string; crewId: string; startTime: string; pond: string },
): Promise<void> {
  const pondId = (await pondHref(desk, pond)).split('/')[2]
  const answer = await desk.request.post('/api/v1/visits', {
    data: { pondId, visitType: 'winter-check', note: '', ...at },
  })
  expect(answer.status(), await answer.text()).toBe(200)
}

/** Names of towns that a mark stands on. */
const coveredNames = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const boxOf = (e: Element) => e.getBoundingClientRect()
    const marks = [...document.querySelectorAll('.map-pin, .map-cluster, .map-stop')].map(boxOf)
    return [...document.querySelectorAll('.map-town')]
      .filter((town) => {
        const box = boxOf(town)
        return marks.some((m) => m.left < box.right && box.left < m.right && m.top < box.bottom && box.top < m.bottom)
      })
      .map((town) => town.textContent)
  })

/** The hour at which a card begins by where it stands on the axis above it. */
async function startOnAxis(page: Page, card: ReturnType<Page['locator']>): Promise<number> {
  const hours = await page.locator('.lane-hours span').evaluateAll((spans) =>
    spans.flatMap((span) => {
      const { left, width } = span.getBoundingClientRect()
      return width > 0 ? [{ hour: Number(span.textContent.slice(0, 2)), left }] : []
    }),
  )
  const [first, last] = [hours[0]!, hours.at(-1)!]
  const { x } = (await card.boundingBox())!
  return first.hour + ((x - first.left) / (last.left - first.left)) * (last.hour - first.hour)
}

/** Width and height of each page of a PDF, points. */
const pageSizes = (pdf: Buffer): [number, number][] =>
  [...pdf.toString('latin1').matchAll(/\/MediaBox\s*\[\s*0\s+0\s+([\d.]+)\s+([\d.]+)\s*\]/g)].map((m) => [
    Number(m[1]),
    Number(m[2]),
  ])
