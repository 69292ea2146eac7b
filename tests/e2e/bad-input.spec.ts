import { expect, test } from './drivers/test'
import { openTab } from './drivers/desk'
import { signInAs } from './drivers/sign-in'

test.describe('bad input', () => {
  test.beforeEach(({ page }) => signInAs(page, 'owner'))

  test('the survey form names each wrong figure and loses nothing', async ({ page }) => {
    await page.goto('/ponds/new')
    await page.getByLabel('Customer name').fill('Somebody')
    await page.getByLabel('Length', { exact: true }).fill('5 furlongs')
    await expect(page.getByText('“furlongs” is not a unit known here')).toBeVisible()
    await page.getByLabel('Length', { exact: true }).fill('5 m')
    await page.getByLabel('Width', { exact: true }).fill('3 m')
    await page.getByLabel('Metered fill').fill("12'")
    await expect(page.getByText(/this field needs a volume/)).toBeVisible()
    await page.getByLabel('Metered fill').fill('')
    await page.getByLabel('Zone 1 floor depth').fill('-1 m')
    await page.getByRole('button', { name: 'Add fish' }).click()
    await page.getByLabel('Fish 1 count').fill('1000000000')
    await page.getByLabel('Fish 1 length').fill('10 cm')
    await page.getByRole('button', { name: 'Save pond' }).click()
    await expect(page.getByText('Depth must be between 0.05 and 15 m.').first()).toBeVisible()
    await expect(page.getByText(/More than 100,000 fish cannot be right/).first()).toBeVisible()
    await expect(page.getByText('Pond name is missing.').first()).toBeVisible()
    await page.getByLabel('Zone 1 floor depth').fill('1 m')
    await page.getByLabel('Zone 1 wall slope').fill('3')
    await expect(page.getByText(/The walls of zone 1 meet at about 0.5/)).toBeVisible()
    await page.waitForTimeout(500)
    await page.reload()
    await expect(page.getByLabel('Customer name')).toHaveValue('Somebody')
    await expect(page.getByText('Your unsaved entries have been restored.')).toBeVisible()
  })

  test('two people editing one pond see both versions', async ({ page, browser, baseURL }) => {
    await page.goto('/ponds?q=museum')
    await page.getByRole('link', { name: 'Court basin' }).click()
    await openTab(page, 'Survey')
    await page.waitForURL(/\/survey$/)
    const other = await (await browser.newContext({ baseURL })).newPage()
    await signInAs(other, 'designer')
    await other.goto(page.url())
    await other.getByLabel('Notes').fill('Keeper wants it empty by noon')
    await other.getByRole('button', { name: 'Save survey' }).click()
    await other.waitForURL(/\/ponds\/[0-9a-f-]+$/)

    await page.getByLabel('Notes').fill('Grille is loose on the north side')
    await page.getByRole('button', { name: 'Save survey' }).click()
    const both = page.getByRole('alert').filter({ hasText: 'Someone else saved this pond' })
    await expect(both).toContainText('Keeper wants it empty by noon')
    await expect(both).toContainText('Grille is loose on the north side')
    await page.getByRole('button', { name: 'Overwrite with mine' }).click()
    await expect(page.getByText('Grille is loose on the north side')).toBeVisible()
  })

  test('the API answers 4xx with the field, never 500', async ({ page }) => {
    const post = (path: string, data: string) =>
      page.request.post(path, { data: Buffer.from(data), headers: { 'content-type': 'application/json' } })
    const answers = await Promise.all([
      post('/api/v1/ponds', 'not json'),
      post('/api/v1/ponds', '{}'),
      post('/api/v1/calc/water.doSaturation', '{"temp_C": 1e400}'),
      post('/api/v1/calc/water.doSaturation', '{"temp_C": NaN}'),
      post('/api/v1/calc/nothing.here', '{}'),
      post('/api/v1/visits/not-an-id/tell', '{}'),
      post('/api/v1/ponds', JSON.stringify({ filler: 'x'.repeat(10_000_000) })),
      post('/api/v1/calc/pond.volume', '{"zones":[{"topArea_m2":1,"midArea_m2":1,"bottomArea_m2":1,"depth_m":0}]}'),
    ])
    expect(answers.map((a) => a.status())).toEqual([400, 422, 422, 400, 404, 404, 413, 422])
    for (const answer of answers) {
      expect(answer.headers()['content-type']).toContain('application/problem+json')
      expect((await answer.text()).length).toBeLessThan(5000)
      expect(await answer.text()).not.toMatch(/at .*\.(ts|js):\d+/)
    }
    expect((await answers[7].json()).fields[0].path).toBe('zones.0.depth_m')
    expect((await page.request.post('/api/v1/calc/water.doSaturation', { data: { temp_C: 20 } })).status()).toBe(200)
    expect(Object.keys((await (await page.request.get('/api/v1/openapi.json')).json()).paths)).toContain(
      '/api/v1/calc/filter.size',
    )
  })

  test('unknown addresses say so', async ({ page }) => {
    for (const path of [
      '/ponds/00000000-0000-4000-8000-000000000000',
      '/ponds/nonsense',
      '/visits/nonsense/report',
      '/nothing',
    ]) {
      const answer = await page.goto(path)
      expect(answer!.status(), path).toBe(404)
      await expect(page.getByRole('heading', { name: 'Page not found' })).toBeVisible()
    }
    // below the menu at the desk; a customer's link leads nobody into the firm's own pages
    await page.goto('/ponds/nonsense')
    await expect(page.getByRole('navigation', { name: 'Main menu' })).toBeVisible()
    for (const path of ['/proposal/nonsense', '/customer-page/nonsense']) {
      expect((await page.goto(path))!.status(), path).toBe(404)
      await expect(page.getByRole('heading', { name: 'This page is no longer available' })).toBeVisible()
      await expect(page.getByRole('link')).toHaveCount(0)
    }
    await page.goto('/field?visit=00000000-0000-4000-8000-000000000000')
    await expect(page.getByText('This visit was not found.')).toBeVisible()
  })

  test('a foreign page cannot post', async ({ page }) => {
    const answer = await page.request.post('/api/v1/crews', {
      data: { name: 'Intruder' },
      headers: { origin: 'https://elsewhere.example' },
    })
    expect(answer.status()).toBe(403)
  })
})

test('too many wrong passwords must wait', async ({ page }) => {
  await page.goto('/sign-in')
  // each failure makes the next wait twice as long: before long somebody who types as fast as this has to wait
  const tooMany = page.locator('.alert').getByText(/Too many attempts. Try again in \d+ (seconds|minutes)/)
  for (let i = 0; i < 14 && !(await tooMany.isVisible()); i++) {
    await page.getByLabel('E-mail').fill('perrin@tussock-tarn.example')
    await page.getByLabel('Password').fill(`wrong ${i}`)
    await page.getByRole('button', { name: 'Sign in' }).click()
    await expect(page.getByRole('button', { name: 'Sign in' })).toBeEnabled()
    await expect(page.locator('.alert')).toBeVisible()
  }
  await expect(tooMany).toBeVisible()
})
