import { type Page } from '@playwright/test'
import { expect, test } from './drivers/test'
import { seriousOn } from './drivers/field-checks'
import { signInAs } from './drivers/sign-in'
import { watchErrors } from './drivers/watch-errors'

test('the doors have nothing serious', async ({ page }) => {
  await page.goto('/sign-in')
  expect(await seriousOn(page)).toEqual([])
})

const PARTS = ['bed', 'water', 'beside', 'network', 'planting', 'outlook', 'price', 'drawings', 'versions']

/** Views that are used outdoors, in the theme for it; the field sheet's own tests see the rest of it. */
const OUTDOORS = ['/', '/rounds', '/field']

/** Addresses that depend on the demo firm: a pond with everything, a visit that is over, a day sheet. */
async function addresses(page: Page) {
  await page.goto('/ponds?q=lanternhouse')
  const pond = (await page.getByRole('link', { name: 'Garden pond' }).getAttribute('href'))!
  await page.goto(pond)
  const cleanout = page.getByRole('link', { name: /^Spring cleanout, / }).last()
  const report = (await cleanout.getAttribute('href'))!
  await page.goto('/rounds')
  const daySheet = page.getByRole('link', { name: /^Day sheet/ }).first()
  return {
    pond,
    report,
    daySheet: (await daySheet.getAttribute('href'))!,
    field: report.replace('/visits/', '/field?visit=').replace('/report', ''),
  }
}

/** The address of a text that was shown instead of its words. */
const RAW_KEY = /^[a-z]\w+\.[a-z]\w+\.[\w-]+$/

/**
 * One look at a view: all rules in the light, colours in the other themes, and on a small phone nothing wider than
 * it.
 */
async function look(page: Page, view: string, themes: readonly string[]): Promise<void> {
  await page.goto(view)
  await page.waitForLoadState('networkidle')
  await expect(page.getByText(RAW_KEY), `${view}: texts without words`).toHaveCount(0)
  const wear = (theme: string) => page.evaluate((t) => (document.documentElement.dataset.bsTheme = t), theme)
  await wear('light')
  expect(await seriousOn(page), view).toEqual([])
  for (const theme of themes) {
    await wear(theme)
    expect(await seriousOn(page, true), `${view}, ${theme}`).toEqual([])
  }
  await page.setViewportSize({ width: 360, height: 740 })
  const over = () => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
  // what is drawn to the width of its place follows a moment later
  await expect.poll(over, view).toBeLessThanOrEqual(0)
  await page.setViewportSize({ width: 1280, height: 800 })
}

type Addresses = Awaited<ReturnType<typeof addresses>>
const GROUPS: Readonly<Record<string, (at: Addresses) => readonly string[]>> = {
  'of the day': ({ report, daySheet, field }) => [
    '/',
    '/season',
    '/rounds',
    daySheet,
    report,
    '/field',
    field,
    '/planning',
    '/map',
  ],
  'of the firm': () => [
    '/ponds',
    '/messages',
    '/import-export',
    '/customers',
    '/house-rules',
    '/people',
    '/prices',
    '/cutting',
    '/plants',
    '/stores',
  ],
  'of a pond': ({ pond }) => [
    '/ponds/new',
    pond,
    ...['survey', 'plan', 'service-plan', 'plants', 'house-rules'].map((of) => `${pond}/${of}`),
  ],
  'of the water': ({ pond }) => [
    '/forecasts',
    '/trainer',
    ...['forecast', 'what-if', 'start-up', 'diagnosis'].map((of) => `${pond}/${of}`),
  ],
  'of the design': ({ pond }) => [`${pond}/design`, ...PARTS.map((part) => `${pond}/design?part=${part}`)],
}

for (const [group, viewsOf] of Object.entries(GROUPS))
  test(`views ${group}: nothing serious in any theme, nothing wider than a small phone`, async ({ page }) => {
    test.setTimeout(180_000)
    const errors = watchErrors(page)
    // colours that fade over are looked at when they are there
    await page.emulateMedia({ reducedMotion: 'reduce' })
    await signInAs(page, 'owner')
    const at = await addresses(page)
    for (const view of viewsOf(at))
      await look(page, view, OUTDOORS.includes(view) || view === at.pond ? ['dark', 'sun'] : ['dark'])
    expect(errors).toEqual([])
  })

test('units switch for the person everywhere', async ({ page }) => {
  await signInAs(page, 'technician')
  await page.goto('/ponds?q=lanternhouse')
  await expect(page.getByRole('row', { name: /Lanternhouse/ })).toContainText('m³')
  await page.getByLabel('Units').selectOption('us')
  await expect(page.getByRole('row', { name: /Lanternhouse/ })).toContainText('gal')
  await page.getByLabel('Units').selectOption('metric')
  await expect(page.getByRole('row', { name: /Lanternhouse/ })).toContainText('m³')
})
