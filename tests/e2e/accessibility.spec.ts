import { expect, test } from '@playwright/test'
import { seriousOn } from './drivers/field-checks'
import { signInAs } from './drivers/sign-in'
import { watchErrors } from './drivers/watch-errors'

test('the doors have nothing serious', async ({ page }) => {
  await page.goto('/sign-in')
  expect(await seriousOn(page)).toEqual([])
})

const PARTS = ['bed', 'water', 'beside', 'network', 'planting', 'outlook', 'price', 'drawings', 'versions']

for (const theme of ['light', 'dark', 'sun'] as const)
  test(`every main view has nothing serious in the ${theme} theme`, async ({ page }) => {
    test.setTimeout(300_000)
    const errors = watchErrors(page)
    await signInAs(page, theme === 'light' ? 'owner' : theme === 'dark' ? 'office' : 'designer')
    await page.request.put('/api/v1/preferences', { data: { units: theme === 'dark' ? 'us' : 'metric', theme } })
    await page.goto('/ponds?q=lanternhouse')
    const pond = await page.getByRole('link', { name: 'Garden pond' }).getAttribute('href')
    await page.goto(pond!)
    const visit = await page
      .getByRole('link', { name: /Spring cleanout, .* 2026|Spring cleanout, / })
      .last()
      .getAttribute('href')
    const field = visit!.replace('/visits/', '/field?visit=').replace('/report', '')
    // the sun theme is for outdoors; the field sheet's own tests see the rest of it
    const views =
      theme === 'sun' ? ['/', '/rounds', pond!, '/field', field] : ['/', '/season', '/rounds', '/ponds', pond!, `${pond}/design`, visit!, '/field', field]
    if (theme !== 'sun') views.push(`${pond}/plan`, `${pond}/service`, '/planning')
    // a day sheet, from the rounds of today
    await page.goto('/rounds')
    views.push(
      (await page
        .getByRole('link', { name: /^Day sheet/ })
        .first()
        .getAttribute('href'))!,
    )
    if (theme !== 'sun') views.push('/plants', `${pond}/plants`)
    if (theme === 'light') views.push('/ponds/new')
    // the water lab's and the practice pond's own tests look at them in the light
    if (theme !== 'sun') views.push('/map')
    if (theme === 'dark') views.push(`${pond}/what-if`, `${pond}/diagnosis`, '/practice-pond')
    if (theme === 'light')
      views.push(
        '/letters',
        '/exchange',
        '/customers',
        '/practice',
        `${pond}/practice`,
        '/people',
        '/prices',
        '/cutting',
        ...PARTS.map((part) => `${pond}/design?part=${part}`),
      )
    for (const view of views) {
      await page.goto(view)
      await page.waitForLoadState('networkidle')
      expect(await seriousOn(page, theme !== 'light'), view).toEqual([])
    }
    expect(errors).toEqual([])
    await page.request.put('/api/v1/preferences', { data: { units: 'metric', theme: 'light' } })
  })

test('nothing is wider than a small phone', async ({ page }) => {
  await page.setViewportSize({ width: 360, height: 740 })
  await signInAs(page, 'owner')
  await page.goto('/ponds?q=lanternhouse')
  const pond = await page.getByRole('link', { name: 'Garden pond' }).getAttribute('href')
  for (const view of [
    '/',
    '/season',
    '/rounds',
    '/ponds',
    pond!,
    `${pond}/design`,
    `${pond}/plan`,
    `${pond}/service`,
    `${pond}/survey`,
    '/people',
    '/field',
    '/prices',
    '/cutting',
    '/map',
    '/letters',
    '/exchange',
    '/customers',
    '/planning',
    '/water',
    `${pond}/outlook`,
    `${pond}/what-if`,
    `${pond}/settling`,
    `${pond}/diagnosis`,
    '/practice-pond',
    ...PARTS.map((part) => `${pond}/design?part=${part}`),
  ]) {
    await page.goto(view)
    const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
    expect(over, view).toBeLessThanOrEqual(0)
  }
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
